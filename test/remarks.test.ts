import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../src/index.ts";
import type { Heard } from "../src/index.ts";

/*
 * Laws of what is said beside a command: what is no business of the home changes nothing, and what points back to
 * the command takes it back.
 */

const home = `
languages: [en, de, fr, es, it, nl]
rooms:
  hall: { name: { en: hall, de: Flur, fr: couloir, es: pasillo, it: corridoio, nl: gang } }
  loft: { name: { en: loft, de: Dachboden, fr: grenier, es: desván, it: soffitta, nl: zolder } }
voicepoints: { door: { room: hall } }
devices:
  lamp: { kind: light, room: hall, name: { en: hall lamp, de: Flurlampe, fr: lampe du couloir, es: lámpara del pasillo, it: lampada del corridoio, nl: ganglamp } }
  heat: { kind: heater, room: hall, name: { en: heater, de: Heizer, fr: chauffage, es: estufa, it: stufa, nl: kachel } }
  one: { kind: fan, room: loft, name: { en: left fan, de: linker Ventilator, fr: ventilateur gauche, es: ventilador izquierdo, it: ventilatore sinistro, nl: linker ventilator } }
  two: { kind: fan, room: loft, name: { en: right fan, de: rechter Ventilator, fr: ventilateur droit, es: ventilador derecho, it: ventilatore destro, nl: rechter ventilator } }
`;
const book = readPhrasebook([{ path: "home.yaml", text: home }]);

interface Speech {
  /** What is done. */
  orders: readonly string[];
  /** What is answered, refused, or asked back. */
  others: readonly string[];
  /** What is no business of the home. */
  remarks: readonly string[];
  /** What takes back what was said. */
  backs: readonly string[];
}

const speech: Readonly<Record<string, Speech>> = {
  en: {
    orders: ["hall lamp off", "turn the heater to twenty one", "hall lamp to thirty percent"],
    others: ["is the hall lamp on", "heater to two hundred", "fan on"],
    remarks: [
      "Joss",
      "I can't find my spectacles",
      "the twins never sleep",
      "that usually does the trick",
      "I've dropped two buttons",
      "my train leaves in ten minutes",
      "we've closed",
      "she's been snoring for an hour",
      "it's already late",
      "it's nearly nine",
      "it's half past six",
      "someone's at the door",
      "see you tomorrow",
    ],
    backs: [
      "flibber off",
      "I don't mean that",
      "that isn't necessary",
      "he said",
      "if Joss agrees",
    ],
  },
  de: {
    orders: [
      "Flurlampe aus",
      "stell den Heizer auf einundzwanzig",
      "Flurlampe auf dreißig Prozent",
    ],
    others: ["ist die Flurlampe an", "Heizer auf zweihundert", "Ventilator an"],
    remarks: [
      "Joss",
      "ich find meine Brille nicht",
      "die Zwillinge schlafen nie",
      "das hilft meistens",
      "ich hab zwei Knöpfe verloren",
      "wir gehen in zehn Minuten schwimmen",
      "wir haben geschlossen",
      "sie schnarcht seit einer Stunde",
      "es ist schon spät",
      "es ist gleich neun",
      "es ist halb sieben",
      "jemand ist an der Tür",
      "bis morgen",
    ],
    backs: [
      "Flibber aus",
      "das meine ich nicht",
      "das ist nicht nötig",
      "hat er gesagt",
      "wenn Joss will",
    ],
  },
  fr: {
    orders: [
      "éteins la lampe du couloir",
      "mets le chauffage à vingt et un",
      "lampe du couloir à trente pour cent",
    ],
    others: [
      "est-ce que la lampe du couloir est allumée",
      "chauffage à deux cents",
      "allume le ventilateur",
    ],
    remarks: [
      "Joss",
      "je ne trouve pas mes lunettes",
      "les jumeaux ne dorment jamais",
      "j'ai perdu deux boutons",
      "mon bus part dans dix minutes",
      "on a fermé",
      "elle ronfle depuis une heure",
      "il est déjà tard",
      "il est presque neuf heures",
      "quelqu'un est à la porte",
      "à demain",
    ],
    backs: ["je ne veux pas ça", "ce n'est pas la peine", "il a dit", "si Joss veut"],
  },
  es: {
    orders: [
      "apaga la lámpara del pasillo",
      "pon la estufa a veintiuno",
      "lámpara del pasillo al treinta por ciento",
    ],
    others: [
      "está encendida la lámpara del pasillo",
      "estufa a doscientos",
      "enciende el ventilador",
    ],
    remarks: [
      "Joss",
      "no encuentro mis gafas",
      "los mellizos no duermen nunca",
      "he perdido dos botones",
      "mi tren sale en diez minutos",
      "hemos cerrado",
      "ya es tarde",
      "son casi las nueve",
      "alguien llama a la puerta",
      "llaman a la puerta",
      "hasta mañana",
    ],
    backs: ["no quiero eso", "no hace falta", "ha dicho él", "si Joss quiere"],
  },
  it: {
    orders: [
      "spegni la lampada del corridoio",
      "metti la stufa a ventuno",
      "lampada del corridoio al trenta per cento",
    ],
    others: ["è accesa la lampada del corridoio", "stufa a duecento", "accendi il ventilatore"],
    remarks: [
      "Joss",
      "non trovo i miei occhiali",
      "i gemelli non dormono mai",
      "di solito aiuta",
      "ho perso due bottoni",
      "il mio treno parte tra dieci minuti",
      "siamo chiusi",
      "è già tardi",
      "sono quasi le nove",
      "qualcuno bussa alla porta",
      "suonano alla porta",
      "a domani",
    ],
    backs: ["non voglio quello", "non serve", "ha detto lui", "se Joss vuole"],
  },
  nl: {
    orders: ["ganglamp uit", "zet de kachel op eenentwintig", "ganglamp op dertig procent"],
    others: ["is de ganglamp aan", "kachel op tweehonderd", "ventilator aan"],
    remarks: [
      "Joss",
      "ik kan m'n bril niet vinden",
      "de tweeling slaapt nooit",
      "dat werkt altijd",
      "ik ben twee knopen kwijt",
      "m'n trein vertrekt over tien minuten",
      "ze snurkt al een uur",
      "het is al laat",
      "het is bijna negen uur",
      "er staat iemand aan de deur",
      "tot morgen",
    ],
    backs: ["flibber uit", "dat bedoel ik niet", "dat hoeft niet", "zei hij", "als Joss wil"],
  },
};

/** What comes of a phrase, wherever its words stand. */
function cameOf({ outcome, commands }: Heard): string {
  const done = commands.flatMap(({ effects }) =>
    effects.map((effect) => ({ ...effect, from: undefined })),
  );
  return `${outcome} ${JSON.stringify(done)}`;
}

describe.each(Object.entries(speech))("beside a command: %s", (language, said) => {
  const hear = (phrase: string): string => cameOf(book.hear(phrase, { language, at: "door" }));

  test.each(said.remarks)("%s: changes nothing of what is done, answered or refused", (remark) => {
    const phrases = [...said.orders, ...said.others];
    for (const beside of [
      (one: string) => `${one}, ${remark}`,
      (one: string) => `${remark}, ${one}`,
    ]) {
      const changed = phrases.filter((phrase) => hear(beside(phrase)) !== hear(phrase));
      expect(changed.map((phrase) => [beside(phrase), hear(beside(phrase))])).toEqual([]);
    }
  });

  test.each(said.backs)("%s: leaves nothing to do", (back) => {
    const done = said.orders
      .map((order) => `${order}, ${back}`)
      .filter((phrase) => hear(phrase).startsWith("act"));
    expect(done).toEqual([]);
  });

  test("what stands alone is as it is meant to be", () => {
    expect(said.orders.map((order) => hear(order).split(" ")[0])).toEqual(["act", "act", "act"]);
    const outcomes = said.others.map((other) => hear(other).split(" ")[0]);
    expect(outcomes).toEqual(["answer", "refuse", "unsure"]);
  });
});
