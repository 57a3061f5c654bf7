import { describe, expect, test } from "vitest";
import { type Book, readPhrasebook } from "../src/index.ts";

const home = `
rooms:
  hers:
    name:
      { en: "Ella's room", de: Ellas Zimmer, fr: "chambre d'Ella", es: cuarto de Ella, it: camera di Ella, nl: "Ella's kamer" }
  hall: { name: { en: hall, de: Flur, fr: couloir, es: pasillo, it: corridoio, nl: gang } }
languages: [en, de, fr, es, it, nl]
devices:
  hers-light: { kind: light, room: hers, name: { en: night light, de: Nachtlicht, fr: veilleuse, es: luz de noche, it: lucina, nl: nachtlampje } }
  hall-light: { kind: light, room: hall, name: { en: hall light, de: Flurlicht, fr: lumière du couloir, es: luz del pasillo, it: luce del corridoio, nl: ganglamp } }
`;
const book = readPhrasebook([{ path: "home.yaml", text: home }]);

function turnedOff(language: string, phrase: string): readonly string[] {
  const heard = book.hear(phrase, { language });
  return heard.outcome === "act"
    ? heard.commands.flatMap(({ effects }) => effects.map(({ device }) => device))
    : [heard.outcome];
}

describe("a room is told by whose it is", () => {
  test.each([
    ["en", "Ella's light off"],
    ["en", "turn Ella's night light off"],
    ["de", "Ellas Licht aus"],
    ["de", "mach das Licht von Ella aus"],
    ["fr", "éteins la lumière d'Ella"],
    ["es", "apaga la luz de Ella"],
    ["it", "spegni la luce di Ella"],
    ["nl", "doe Ella's lamp uit"],
    ["nl", "doe het licht van Ella uit"],
  ])("%s: %s", (language, phrase) => {
    expect(turnedOff(language, phrase)).toEqual(["hers-light"]);
  });

  test.each([
    ["en", "Ella's asleep, hall light off"],
    ["en", "hall light off, Ella is in bed"],
    ["de", "Ella schläft, Flurlicht aus"],
    ["nl", "Ella slaapt, ganglamp uit"],
  ])("while a remark about somebody speaks of no room: %s: %s", (language, phrase) => {
    expect(turnedOff(language, phrase)).toEqual(["hall-light"]);
  });
});

describe("what is so is told, and nothing is done for it", () => {
  test.each(["the hall light's on", "the hall light's still off", "Ella's light's off"])(
    "%s",
    (phrase) => {
      expect(turnedOff("en", phrase)).toEqual(["unknown"]);
    },
  );

  test("while it may be asked for and made sure of", () => {
    expect(turnedOff("en", "make sure the hall light's off")).toEqual(["hall-light"]);
    expect(turnedOff("en", "check the hall light's off")).toEqual(["answer"]);
  });
});

describe("what comes once a while is over ends it", () => {
  test.each([
    ["en", "hall light on for ten minutes then off"],
    ["de", "Flurlicht zehn Minuten an und dann wieder aus"],
    ["fr", "allume la lumière du couloir dix minutes puis éteins"],
    ["es", "enciende la luz del pasillo diez minutos y luego apágala"],
    ["it", "accendi la luce del corridoio dieci minuti e poi spegnila"],
    ["nl", "ganglamp tien minuten aan en dan weer uit"],
  ])("%s: %s", (language, phrase) => {
    const [on, off] = book.hear(phrase, { language }).commands.flatMap(({ effects }) => effects);
    expect(on).toMatchObject({ device: "hall-light", set: { power: "on" } });
    expect(on?.when).toBeUndefined();
    expect(off).toMatchObject({
      device: "hall-light",
      set: { power: "off" },
      when: { in: 600 },
    });
  });
});

describe("what is said of others beside a command takes nothing back", () => {
  test.each([
    ["en", "everything's soaked, hall light off"],
    ["en", "wind's picking up, hall light off"],
    ["en", "hall light off, nobody's in there"],
    ["en", "what a day, hall light off"],
    ["en", "hall light off, someone's giving a speech"],
    ["de", "alles ist klatschnass, Flurlicht aus"],
    ["de", "Flurlicht aus, keiner braucht es"],
    ["fr", "éteins la lumière du couloir, tout le monde dort"],
    ["fr", "personne ne lit, éteins la lumière du couloir"],
    ["es", "nos vamos todos, apaga la luz del pasillo"],
    ["es", "apaga la luz del pasillo, que no la usa nadie"],
    ["it", "è tutto fradicio, spegni la luce del corridoio"],
    ["it", "spegni la luce del corridoio, non la usa nessuno"],
    ["nl", "alles is doorweekt, ganglamp uit"],
    ["nl", "ganglamp uit, dat is gezelliger"],
  ])("%s: %s", (language, phrase) => {
    expect(turnedOff(language, phrase)).toEqual(["hall-light"]);
  });

  test.each([
    ["en", "everything's off, hall light off or not"],
    ["en", "what if nobody's there, hall light off"],
    ["en", "somebody said hall light off"],
    ["de", "wie schade, dass das Flurlicht aus ist"],
    ["fr", "tous les soirs, éteins la lumière du couloir"],
    ["es", "que nadie apague la luz del pasillo"],
    ["it", "nessuno spenga la luce del corridoio"],
    ["nl", "laat niemand de ganglamp uitdoen"],
  ])("while this is no order: %s: %s", (language, phrase) => {
    expect(book.hear(phrase, { language }).outcome).not.toBe("act");
  });
});

describe("what is done again is done", () => {
  const blinds = readPhrasebook([
    {
      path: "home.yaml",
      text: "languages: [fr]\ndevices: { store: { kind: blind, name: store } }\n",
    },
  ]);
  test.each([
    ["rebaisse le store", "act"],
    ["retire le store", "unknown"],
  ])("%s comes to %s", (phrase, outcome) => {
    expect(blinds.hear(phrase).outcome).toBe(outcome);
  });
});

test("where a thing of a name stands is told by what was spoken of before it", () => {
  const home = readPhrasebook([
    {
      path: "home.yaml",
      text: `
rooms: { loft: {}, cellar: {}, yard: {} }
voicepoints: { gate: { room: yard } }
devices:
  loft-lamp: { kind: light, room: loft }
  loft-blind: { kind: blind, room: loft, name: blind }
  cellar-blind: { kind: blind, room: cellar, name: blind }
`,
    },
  ]);
  const effects = home
    .hear("loft lamp on and close the blind", { at: "gate" })
    .commands.flatMap((command) => command.effects);
  expect(effects).toEqual([
    { device: "loft-lamp", set: { power: "on" } },
    { device: "loft-blind", set: { position: 0 } },
  ]);
  expect(home.hear("close the blind", { at: "gate" }).outcome).toBe("unsure");
});

test("what says what is so is not advised to be an order", () => {
  const kiln = readPhrasebook([
    { path: "home.yaml", text: "devices: { kiln-light: { kind: light } }\n" },
  ]);
  const advised = (phrase: string) =>
    kiln.why(kiln.hear(phrase)).nearest.flatMap(({ paste }) => (paste ? [paste] : []));
  expect(advised("the kiln light is on")).toEqual([]);
  expect(advised("the kiln light's on")).toEqual([]);
  expect(advised("turn the kiln lite on")).toHaveLength(1);
});

/** A hall with one thing in it, in six languages. */
function hallWith(device: string): Book {
  const text = `
languages: [en, de, fr, es, it, nl]
rooms: { hall: hall }
voicepoints: { door: { room: hall } }
devices:
  ${device}
`;
  return readPhrasebook([{ path: "home.yaml", text }]);
}

describe("what a thing shall no longer do ceases", () => {
  const fan = hallWith(
    "fan: { kind: fan, room: hall, properties: { oscillate: {} }, name: { en: fan, de: Ventilator, fr: ventilateur, es: ventilador, it: ventilatore, nl: ventilator } }",
  );

  test.each([
    ["en", "stop the fan from swinging"],
    ["en", "the fan should stop oscillating"],
    ["de", "der Ventilator soll nicht mehr schwenken"],
    ["de", "lass den Ventilator nicht länger schwenken"],
    ["fr", "fais arrêter le ventilateur d'osciller"],
    ["es", "que el ventilador deje de oscilar"],
    ["it", "il ventilatore deve smettere di oscillare"],
    ["nl", "laat de ventilator niet meer zwenken"],
  ])("%s: %s", (language, phrase) => {
    const [command] = fan.hear(phrase, { language }).commands;
    expect(command?.effects).toMatchObject([{ device: "fan", set: { oscillate: "off" } }]);
  });
});

describe("what is played goes to the next and to the one before", () => {
  const player = hallWith(
    "radio: { kind: player, room: hall, name: { en: radio, de: Radio, fr: radio, es: radio, it: radio, nl: radio } }",
  );

  test.each([
    ["en", "skip to the next one", "next"],
    ["en", "back to the previous song on the radio", "previous"],
    ["de", "nächster Titel auf dem Radio", "next"],
    ["de", "spiel das vorige Lied", "previous"],
    ["fr", "passe à la suivante", "next"],
    ["fr", "remets le morceau précédent sur la radio", "previous"],
    ["es", "pasa a la siguiente", "next"],
    ["es", "vuelve a la canción anterior", "previous"],
    ["it", "passa alla prossima", "next"],
    ["it", "torna al brano precedente", "previous"],
    ["nl", "ga naar het volgende nummer", "next"],
    ["nl", "speel het vorige liedje op de radio", "previous"],
  ])("%s: %s", (language, phrase, call) => {
    const heard = player.hear(phrase, { language, at: "door" });
    expect(heard.commands.flatMap(({ effects }) => effects)).toMatchObject([
      { device: "radio", call },
    ]);
  });
});

describe("so long before and after a time is a time", () => {
  test.each([
    ["en", "hall light off an hour before midnight", "23:00"],
    ["de", "Flurlicht eine Stunde vor Mitternacht aus", "23:00"],
    ["fr", "éteins la lumière du couloir une heure avant minuit", "23:00"],
    ["es", "apaga la luz del pasillo una hora antes de medianoche", "23:00"],
    ["it", "spegni la luce del corridoio un'ora prima di mezzanotte", "23:00"],
    ["nl", "ganglamp een uur voor middernacht uit", "23:00"],
    ["en", "hall light off ten minutes after nine", "21:10"],
  ])("%s: %s", (language, phrase, time) => {
    const heard = book.hear(phrase, { language, time: "2026-03-02T18:05" });
    const [effect] = heard.commands.flatMap(({ effects }) => effects);
    expect(effect).toMatchObject({ device: "hall-light", when: { at: `2026-03-02T${time}` } });
  });
});

describe("what adds something may stand within a command", () => {
  test.each([
    ["en", "hall light at eighty percent on"],
    ["de", "Flurlicht mit achtzig Prozent an"],
    ["fr", "lumière du couloir à quatre-vingts allumée"],
    ["nl", "ganglamp op tachtig aan"],
  ])("%s: %s", (language, phrase) => {
    const heard = book.hear(phrase, { language });
    expect(heard.outcome).toBe("act");
    const set = heard.commands.flatMap(({ effects }) =>
      effects.map((effect) => ("set" in effect ? effect.set : {})),
    );
    expect(Object.assign({}, ...set)).toEqual({ power: "on", brightness: 80 });
  });

  test.each([
    ["de", "könnten wir das Flurlicht anhaben", "on"],
    ["de", "das Flurlicht soll ausbleiben", "off"],
    ["nl", "kun je de ganglamp aanlaten", "on"],
  ])("and a state may be written with its verb: %s: %s", (language, phrase, power) => {
    const [command] = book.hear(phrase, { language }).commands;
    expect(command?.effects).toMatchObject([{ device: "hall-light", set: { power } }]);
  });
});

describe("what a thing needs is to be done", () => {
  test.each([
    "the hall light needs turning off",
    "the hall light could do with switching off",
    "the hall light wants turning off now",
  ])("%s", (phrase) => {
    expect(turnedOff("en", phrase)).toEqual(["hall-light"]);
  });

  test.each([
    "the hall light doesn't need turning off",
    "if the hall light needs turning off",
    "the hall light needs cutting",
    "the hall light needs fixing",
  ])("and this is no order: %s", (phrase) => {
    expect(turnedOff("en", phrase)).toEqual(["unknown"]);
  });
});

describe("what is more or less is so by an amount that goes before or after it", () => {
  test.each([
    ["en", "hall light brighter by ten"],
    ["en", "hall light ten brighter"],
    ["de", "Flurlicht heller um zehn"],
    ["de", "Flurlicht um zehn heller"],
    ["fr", "lumière du couloir plus forte de dix"],
    ["es", "luz del pasillo más fuerte en diez"],
    ["it", "luce del corridoio più forte di dieci"],
    ["nl", "ganglamp feller met tien"],
    ["nl", "ganglamp tien feller"],
  ])("%s: %s", (language, phrase) => {
    const [command] = book.hear(phrase, { language }).commands;
    expect(command?.effects).toMatchObject([{ device: "hall-light", nudge: { brightness: 10 } }]);
  });
});

describe("what a thing shall do is wished for as a state is", () => {
  test.each([
    ["en", "make the hall light go off"],
    ["fr", "j'aimerais que la lumière du couloir s'éteigne"],
    ["es", "me gustaría que la luz del pasillo se apagara"],
    ["it", "vorrei che la luce del corridoio si spegnesse"],
    ["it", "vorrei che la luce del corridoio fosse spenta"],
  ])("%s: %s", (language, phrase) => {
    expect(turnedOff(language, phrase)).toEqual(["hall-light"]);
  });

  test.each([
    ["en", "I saw the hall light go off"],
    ["en", "don't let the hall light go off"],
    ["fr", "j'ai peur que la lumière du couloir s'éteigne"],
    ["fr", "je ne veux pas que la lumière du couloir s'éteigne"],
    ["es", "si se apagara la luz del pasillo"],
    ["it", "pensavo che la luce del corridoio fosse spenta"],
    ["it", "se la luce del corridoio si spegnesse"],
  ])("and not where it is told, feared or forbidden: %s: %s", (language, phrase) => {
    expect(turnedOff(language, phrase)).toEqual(["unknown"]);
  });
});

describe("here may be told by its name", () => {
  const flats = readPhrasebook([
    {
      path: "home.yaml",
      text: `
languages: [en, de, nl]
rooms:
  hall: { name: { en: hall, de: Flur, nl: gang } }
  cellar: { name: { en: cellar, de: Keller, nl: kelder } }
  loft: { name: { en: loft, de: Dachboden, nl: zolder } }
zones: { below: { rooms: [hall, cellar], name: { en: downstairs, de: unten, nl: beneden } } }
voicepoints: { door: { room: hall }, bed: { room: loft } }
devices:
  hall-light: { kind: light, room: hall }
  cellar-light: { kind: light, room: cellar }
  loft-light: { kind: light, room: loft }
`,
    },
  ]);
  const off = (language: string, phrase: string, at: string): string[] =>
    flats
      .hear(phrase, { language, at })
      .commands.flatMap(({ effects }) => effects.map(({ device }) => device));

  test.each([
    ["en", "lights off here in the cellar", "door", ["cellar-light"]],
    ["de", "Licht hier im Keller aus", "door", ["cellar-light"]],
    ["de", "alle Lichter hier unten aus", "door", ["hall-light", "cellar-light"]],
    ["nl", "alle lampen hier beneden uit", "door", ["hall-light", "cellar-light"]],
    // Where nothing is called so, it is where somebody stands.
    ["de", "alle Lichter hier oben aus", "bed", ["loft-light"]],
    ["en", "lights off up here", "bed", ["loft-light"]],
  ])("%s: %s at the %s", (language, phrase, at, devices) => {
    expect(off(language, phrase, at)).toEqual(devices);
  });
});

describe("a place that is turned on is its lights", () => {
  const shed = readPhrasebook([
    {
      path: "home.yaml",
      text: `
languages: [en, de, fr, es, it, nl]
rooms: { shed: { name: { en: shed, de: Schuppen, fr: remise, es: cobertizo, it: capanno, nl: schuur } }, den: {} }
devices:
  lamp: { kind: light, room: shed }
  saw: { kind: plug, room: shed }
  fan: { kind: fan, room: den }
`,
    },
  ]);
  const done = (language: string, phrase: string): string[] =>
    shed
      .hear(phrase, { language })
      .commands.flatMap(({ effects }) => effects.map(({ device }) => device));

  test.each([
    ["en", "turn on the shed"],
    ["en", "light up the shed"],
    ["de", "mach den Schuppen an"],
    ["fr", "allume la remise"],
    ["es", "enciende el cobertizo"],
    ["it", "accendi il capanno"],
    ["nl", "doe de schuur aan"],
  ])("%s: %s", (language, phrase) => {
    expect(done(language, phrase)).toEqual(["lamp"]);
  });

  test("all of it is turned off, everything in it is on, and what has no light is on as it can", () => {
    expect(done("en", "turn off the shed")).toEqual(["lamp", "saw"]);
    expect(done("en", "turn on everything in the shed")).toEqual(["lamp", "saw"]);
    expect(done("en", "turn on the den")).toEqual(["fan"]);
  });
});

test("what is about nothing alone is so beside a remark", () => {
  const den = readPhrasebook([
    {
      path: "home.yaml",
      text: "rooms: { den: {} }\nvoicepoints: { sofa: { room: den } }\ndevices: { radio: { kind: player, room: den } }",
    },
  ]);
  const heard = ["mute it", "mute it, I'm on the phone", "I'm on the phone, mute it"].map(
    (phrase) => den.hear(phrase, { at: "sofa" }).commands.map(({ effects }) => effects),
  );
  expect(heard[0]).toMatchObject([[{ device: "radio", set: { muted: true } }]]);
  expect(heard[1]).toEqual(heard[0]);
  expect(heard[2]).toEqual(heard[0]);
});

describe("a number is one, whatever part of it could be a time or be said anew", () => {
  test.each([
    ["fr", "lumière du couloir à quatre-vingts, non, quatre-vingt-dix", 90],
    ["fr", "lumière du couloir à vingt, non, vingt-cinq", 25],
    ["de", "Flurlicht auf zwanzig, nein, fünfundzwanzig", 25],
    ["en", "hall light to twenty, no, twenty five", 25],
  ])("%s: %s", (language, phrase, brightness) => {
    const { commands } = book.hear(phrase, { language, time: "2026-03-02T18:05" });
    const effects = commands.flatMap((command) => command.effects);
    expect(effects).toEqual([expect.objectContaining({ set: { brightness } })]);
    expect(effects[0]).not.toHaveProperty("when");
  });
});
