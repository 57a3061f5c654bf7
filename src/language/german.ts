import { toCardinal, toOrdinal } from "n2words/de-DE";
import type { LanguagePack } from "./pack.ts";
import { germanSounds } from "./sounds/german.ts";
import type { SunWords } from "./times.ts";

const flick = "(schalte | schalt | mache | mach | stelle | stell | knipse | knips)";
const set = "(setze | setz | stelle | stell | mache | mach | bringe | bring | drehe | dreh)";
const to = "(auf | zu)";
const open = "(fahre | fahr | ziehe | zieh | mache | mach | rolle | roll | lasse | lass)";
const unroll = "fahre | fahr | rolle | roll | kurbel | kurble | ziehe | zieh | lasse | lass";
const by = "[um] $amount";

const turn =
  "schalte | schalt | mache | mach | stelle | stell | knipse | knips | drehe | dreh | tu | schmeiß | wirf";
const bring =
  "mach | mache | schalt | schalte | stell | stelle | dreh | drehe | setz | setze | fahr | fahre | tu | lass | lasse | bring | bringe | krieg | färb | färbe | nimm | nehme | schieb | schiebe | wechsle | ändere";
const bringing =
  "machen | schalten | stellen | drehen | setzen | fahren | haben | lassen | bringen | kriegen | bekommen | halten | färben";
const ending = `${bringing} | sein | werden | bleiben | gehen | ist | sind | bleibt | wird`;
const adjust =
  "stell | stelle | setz | setze | dreh | drehe | mach | mache | bring | bringe | regel | regle | fahr | fahre | änder | ändere | schalt | schalte | dimm | dimme";
const adjusting =
  "stellen | setzen | drehen | machen | bringen | regeln | fahren | ändern | schalten | dimmen";
const of = "[von | vom | für | im | in | am | an | bei | beim]";
const upward = "höher | hoch | rauf | herauf | hinauf";
const downward = "niedriger | runter | herunter | hinunter | tiefer";
const should =
  "soll | sollte | sollen | sollten | muss | müssen | müsste | müssten | darf | dürfen | kann | können | könnte | könnten";

/** What is put before "… zu …". */
const mind =
  "(würde es dir etwas ausmachen | macht es dir etwas aus | würde es Ihnen etwas ausmachen | wärst du so nett | wärst du so lieb | wie wäre es)";

/** A verb and what goes with it, as an order, as "du kannst …", and as "… zu …". */
function order(imperative: string, infinitive: string, rest: string): string[] {
  return [`(${imperative}) ${rest}`, `${rest} (${infinitive})`];
}

/** A verb whose first part stands last: "schalte … ein", "… einschalten", "… einzuschalten". */
function apart(
  imperative: string,
  particle: string,
  infinitive: string,
  rest = "$target",
): string[] {
  const withTo = particle.split(" | ").flatMap((part) =>
    infinitive
      .split(" | ")
      .filter((verb) => verb.startsWith(part))
      .map((verb) => `${part}zu${verb.slice(part.length)}`),
  );
  return [
    `(${imperative}) ${rest} [wieder] (${particle})`,
    `${rest} [wieder] (${infinitive})`,
    ...(withTo.length > 0 ? [`${mind} ${rest} [wieder] (${withTo.join(" | ")})`] : []),
  ];
}

const inThe = "[in | im | am | auf | bei | beim]";

const very = "so | sehr | echt | ganz schön | ziemlich | richtig";

/** What the sun does, as a time. */
function sun(what: string, sentence: string): SunWords {
  return {
    at: [`bei ${what}`, `(bei | zum | mit | ab) ${what}`, sentence],
    until: [`bis ${what}`, `bis [zum] ${what}`],
    before: [`$duration vor ${what}`, `$duration vor [dem] ${what}`],
    after: [`$duration nach ${what}`, `$duration nach [dem] ${what}`],
  };
}

const soFar = "so weit wie (möglich | es [nur] geht)";

export const german: LanguagePack = {
  language: "de",
  name: "Deutsch",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["einhundert", "hundert"],
      ["eins", "ein"],
      ["eins", "eine"],
      ["eins", "einen"],
      ["zwei", "zwo"],
    ],
    pairs: false,
    ordinal: toOrdinal,
    ordinalEndings: [
      ["e", "en"],
      ["e", "er"],
      ["e", "es"],
      ["e", "em"],
    ],
    ordinalSigns: [],
    optional: ["und"],
    thousand: { word: "tausend", one: "tausend", joined: true },
    hundreds: [],
    minus: ["minus"],
    point: ["komma"],
    decimalSign: ",",
    fractions: [
      {
        value: 0.5,
        said: [
          "halb",
          "halbe",
          "die hälfte",
          "hälfte",
          "zur hälfte",
          "ein halb",
          "einhalb",
          "halben",
          "halber",
          "halbes",
          "einen halben",
          "ein halber",
          "ein halbes",
        ],
      },
      { value: 0.25, said: ["viertel", "ein viertel", "einviertel", "einem viertel"] },
      { value: 0.75, said: ["dreiviertel", "drei viertel", "drei vierteln"] },
      { value: 1.5, said: ["anderthalb"] },
      { value: 1 / 3, said: ["einem Drittel", "drittel", "ein drittel"] },
      { value: 2 / 3, said: ["zwei drittel", "zweidrittel", "zwei dritteln"] },
    ],
    fractionJoiners: ["und"],
    fractionEndings: [{ value: 0.5, ending: "einhalb" }],
  },
  times: {
    units: {
      second: ["Sekunde", "Sekunden", "Sek", "s"],
      minute: ["Minute", "Minuten", "Min", "m"],
      hour: ["Stunde", "Stunden", "Std", "h"],
      day: ["Tag", "Tage", "Tagen"],
      week: ["Woche", "Wochen"],
    },
    one: ["eine", "einer", "einen", "einem", "ein"],
    durations: {
      30: ["eine halbe Minute", "einer halben Minute"],
      900: ["Viertelstunde", "eine Viertelstunde", "einer Viertelstunde"],
      1800: ["halbe Stunde", "eine halbe Stunde", "einer halben Stunde"],
      2700: ["Dreiviertelstunde", "eine Dreiviertelstunde", "einer Dreiviertelstunde"],
      5400: ["anderthalb Stunden", "eineinhalb Stunden"],
    },
    joiners: ["und"],
    clock: [
      { said: ["$hour [Uhr]", "($clock | $dotted) Uhr"] },
      { said: ["$hour Uhr $minute"] },
      { said: ["halb $hour"], minutes: -30 },
      { said: ["Viertel nach $hour"], minutes: 15 },
      { said: ["Viertel vor $hour", "(dreiviertel | drei Viertel) $hour"], minutes: -15 },
      { said: ["fünf vor halb $hour"], minutes: -35 },
      { said: ["fünf nach halb $hour"], minutes: -25 },
      { said: ["$minute [Minute | Minuten] nach $hour"] },
      { said: ["$minute [Minute | Minuten] vor $hour"], before: true },
    ],
    moments: { "00:00": ["Mitternacht"], "12:00": ["Mittag", "zwölf Uhr mittags"] },
    morning: [
      "(früh | morgens | vormittags | am Morgen | am Vormittag) um $time",
      "$time (morgens | früh | vormittags | am Morgen | am Vormittag)",
      "(morgens | vormittags) um $time",
    ],
    afternoon: [
      "(Abend | Nachmittag | abends | nachmittags | am Abend | am Nachmittag) um $time",
      "$time (nachmittags | abends | am Nachmittag | am Abend)",
      "(nachmittags | abends) um $time",
    ],
    night: ["$time (nachts | in der Nacht)", "nachts um $time"],
    days: { 0: ["heute"], 1: ["morgen"], 2: ["übermorgen"] },
    weekday: ["[am] [nächsten | kommenden | diesen] $weekday"],
    date: ["[am] [den] $day $month [$year]"],
    partOf: {
      morning: ["$date (früh | vormittag | morgen)"],
      afternoon: ["$date (mittag | nachmittag | abend)"],
      night: ["$date nacht"],
    },
    when: {
      in: ["(in | nach) $duration", "$duration später"],
      at: ["(um | ab | von) $time [$date]", "$date (um | ab) $time"],
      for: [
        "[für] [die (nächsten | nächste | kommenden | kommende) | den (nächsten | kommenden) | weitere] $duration",
        "(für | während) (die | den | der) (nächste | nächsten | kommende | kommenden) $unit",
        "(die | den) (nächste | nächsten | kommende | kommenden) $unit",
        "$duration (lang | länger)",
        "[weitere] $duration",
      ],
      until: ["bis [um] $time [$date]", "bis $date [um] $time"],
    },
    sun: {
      reply: "{$when}: {$reply}",
      sunrise: sun("Sonnenaufgang", "(wenn | sobald) die Sonne aufgeht"),
      sunset: sun("Sonnenuntergang", "(wenn | sobald) die Sonne untergeht"),
      dawn: {
        at: [
          "im Morgengrauen",
          "(bei | im | zum) (Tagesanbruch | Morgengrauen)",
          "(wenn | sobald) es hell wird",
        ],
        until: ["bis zum Morgengrauen", "bis [zum] (Tagesanbruch | Morgengrauen)"],
        before: ["$duration vor dem Morgengrauen"],
        after: ["$duration nach dem Morgengrauen"],
      },
      dusk: {
        at: [
          "in der Dämmerung",
          "bei [Einbruch der] (Dunkelheit | Dämmerung)",
          "in der (Abenddämmerung | Dämmerung)",
          "(wenn | sobald) es dunkel wird",
        ],
        until: ["bis zur Dämmerung", "bis [zur] (Dämmerung | Dunkelheit)"],
        before: ["$duration vor der Dämmerung"],
        after: ["$duration nach der Dämmerung"],
      },
    },
    then: [
      "und",
      "dann",
      "und dann",
      "danach",
      "und danach",
      "anschließend",
      "aber",
      "und zwar",
      "sowie",
    ],
  },
  units: {
    percent: ["Prozent", "%"],
    degrees: ["Grad"],
    celsius: ["celsius"],
    fahrenheit: ["fahrenheit"],
    kelvin: ["Kelvin", "k"],
  },
  elisions: [],
  links: ["", "n", "s", "en", "es"],
  inflections: ["er", "es", "en", "em", "e"],
  endings: ["'s", "s", "n"],
  // "Mach bitte mal das Licht an": in German these stand within the phrase.
  alike: [
    ["lampe", "leuchte", "licht"],
    ["fernseher", "tv", "fernsehgerät"],
    ["bad", "badezimmer"],
    ["toilette", "wc", "klo"],
    ["flur", "diele"],
    ["büro", "arbeitszimmer"],
    ["kühlschrank", "eisschrank"],
  ],
  plurals: {
    head: "last",
    endings: [
      ["e", "en"],
      ["er", "er"],
      ["el", "el"],
      ["or", "oren"],
      ["o", "os"],
      ["g", "gen"],
      ["", "en"],
    ],
  },
  sounds: germanSounds,
  small: ["der", "die", "das", "den", "dem", "des", "mein", "meine", "meinen", "unser", "unsere"],
  diminutives: [
    ["chen", "e"],
    ["chen", ""],
    ["lein", ""],
  ],
  requests: { endings: ["st", "t"], after: ["du"] },
  courtesies: {
    opening: [
      "bei Gelegenheit | (wenn | sobald) du (kannst | Zeit hast | dazu kommst | einen Moment hast)",
      "(kann | könnte | würde | mag) (jemand | einer | irgendwer | irgendjemand)",
      "(kannst | könntest | würdest | magst | willst) du [bitte] | du (kannst | könntest | darfst)",
      "(kannst | könntest | würdest | magst | willst) du [so nett sein und] | (können | könnten | würden) Sie",
      "ich (möchte | will | hätte | brauche | bräuchte) [gern | gerne] [dass du] | wir (möchten | wollen | hätten | brauchen) [gern | gerne]",
      "(sei so gut | sei so lieb | sei so nett | tu mir den Gefallen) [und] | (kann | könnte) ich [gern | gerne] | (können | könnten) wir [gern | gerne]",
      "(würde es dir etwas ausmachen | macht es dir etwas aus | wärst du so nett | wärst du so lieb | es wäre schön | es wäre nett) [wenn du]",
      "(sorg | sorge) dafür | (achte | schau) darauf | stell sicher | (ich möchte | ich will) dass | wie wäre es [wenn du] | lass uns | (geh | geh bitte) und | (gib | gebt) (mir | uns)",
    ],
    closing: [
      "hinter (mir | uns)",
      "bei Gelegenheit | (wenn | sobald) du (kannst | Zeit hast | dazu kommst)",
      "danke | dankeschön | für (mich | uns) | (kannst | könntest | würdest | magst) du | ja | (jetzt | nun) [gleich | sofort] | sofort | gleich | schnell | flott | zackig | mal eben | aber dalli | wenn du kannst | wenn es geht | (wenn du Zeit hast) | haben | sein | gern | gerne | wieder | machst | machen | könntest du",
    ],
  },
  targets: {
    all: ["alle", "sämtliche", "jede", "jeden", "jedes"],
    both: ["beide", "die beiden", "alle beide", "alle zwei"],
    everything: [
      "alles",
      "alle geräte",
      ...["alles was", "was"].flatMap((what) =>
        ["an", "noch an", "eingeschaltet", "noch eingeschaltet"].map((on) => `${what} ${on} ist`),
      ),
    ],
    here: ["hier", "hier drin", "in diesem raum", "in diesem zimmer"],
    it: ["es", "sie", "ihn", "ihnen", "dieses", "diese", "diesen"],
    there: ["dort", "dort drin", "da drin", "dem raum dort", "jenem raum"],
    outside: ["draußen", "im Freien"],
    inside: ["drinnen"],
    everywhere: ["überall", "im ganzen Haus", "ganzes Haus", "ganzen Haus", "im Haus", "im Hause"],
    one: ["die", "der", "das"],
    ones: ["die"],
    this: ["dieser", "diese", "dieses", "diesen", "diesem"],
    inPlace: ["in", "im", "am", "an", "auf", "vom", "von"],
    and: ["und", "&", "sowie"],
    except: ["außer", "bis auf", "aber nicht", "nur nicht", "ausgenommen", "ohne"],
  },
  kinds: {
    light: {
      one: ["lampe", "leuchte"],
      // "Das Licht" is all the light there is.
      many: ["licht", "lichter", "lampen", "leuchten", "beleuchtung"],
    },
    plug: { one: ["steckdose"], many: ["steckdosen"] },
    pump: { one: ["pumpe"], many: ["pumpen"] },
    fan: { one: ["lüfter", "ventilator"], many: ["lüfter", "ventilatoren"] },
    heater: { one: ["heizer", "heizkörper"], many: ["heizer", "heizkörper"] },
    thermostat: { one: ["thermostat", "heizung"], many: ["thermostate", "heizungen"] },
    blind: {
      one: ["rollo", "jalousie", "rollladen", "vorhang", "markise"],
      many: ["rollos", "jalousien", "rollläden", "vorhänge", "markisen"],
      differ: true,
    },
    gate: { one: ["tor"], many: ["tore"] },
    valve: { one: ["ventil"], many: ["ventile"] },
    lock: { one: ["schloss", "tür"], many: ["schlösser", "türen"] },
    alarm: { one: ["alarm", "alarmanlage"], many: ["alarmanlagen"] },
    camera: { one: ["kamera"], many: ["kameras"] },
    sensor: { one: ["sensor", "fühler"], many: ["sensoren", "fühler"] },
    player: { one: ["lautsprecher", "musik"], many: ["lautsprecher"] },
    button: { one: ["taster", "knopf"], many: ["taster", "knöpfe"] },
    vacuum: {
      one: ["staubsauger", "sauger", "roboter"],
      many: ["staubsauger", "sauger", "roboter"],
    },
    appliance: { one: ["maschine", "gerät"], many: ["maschinen"] },
    locator: { one: ["anhänger"], many: ["anhänger"] },
  },
  properties: {
    power: ["Strom"],
    brightness: ["Helligkeit"],
    colour: ["Farbe"],
    warmth: ["Farbtemperatur"],
    speed: ["Geschwindigkeit", "Drehzahl"],
    oscillate: ["Schwenken"],
    target: ["Solltemperatur", "Zieltemperatur", "Einstellung"],
    temperature: ["Temperatur"],
    humidity: ["Luftfeuchte", "Luftfeuchtigkeit", "Feuchte"],
    mode: ["Modus", "Betriebsart"],
    preset: ["Voreinstellung"],
    position: ["Position", "Stellung"],
    tilt: ["Neigung", "Lamellen"],
    flow: ["Durchfluss"],
    locked: ["Schloss"],
    armed: ["Alarmmodus"],
    recording: ["Aufnahme"],
    illuminance: ["Beleuchtungsstärke"],
    pm25: ["Feinstaub"],
    co2: ["Kohlendioxid", "CO2"],
    moisture: ["Feuchtigkeit"],
    contact: ["Kontakt"],
    motion: ["Bewegung"],
    battery: ["Batterie", "Akku", "Ladung"],
    level: ["Füllstand", "Pegel"],
    volume: ["Lautstärke"],
    muted: ["Stummschaltung"],
    source: ["Quelle", "Eingang"],
    playing: ["Wiedergabe"],
    activity: ["Tätigkeit", "Status"],
    program: ["Programm"],
  },
  values: {
    power: { on: ["an"], off: ["aus"] },
    mode: {
      off: ["aus"],
      heat: ["Heizen"],
      cool: ["Kühlen"],
      auto: ["Auto", "Automatik", "automatisch"],
    },
    preset: {
      home: ["zuhause", "zu Hause", "anwesend", "Komfort"],
      away: ["abwesend", "weg", "unterwegs"],
      sleep: ["Nacht", "schlafen", "Schlaf"],
    },
    armed: {
      off: ["aus", "unscharf"],
      home: ["anwesend", "zuhause", "zu Hause"],
      away: ["abwesend", "extern", "unterwegs"],
      night: ["Nacht"],
    },
    contact: { open: ["offen"], closed: ["geschlossen"] },
    locked: { true: ["abgeschlossen"], false: ["aufgeschlossen"] },
    motion: { true: ["in Bewegung"], false: ["ruhig"] },
    muted: { true: ["stumm"], false: ["nicht stumm"] },
    activity: {
      docked: ["in der Station"],
      cleaning: ["am Saugen"],
      paused: ["angehalten"],
      returning: ["auf dem Rückweg"],
      idle: ["bereit"],
      running: ["in Betrieb"],
      done: ["fertig"],
    },
    playing: { play: ["am Spielen"], pause: ["pausiert"], stop: ["gestoppt"] },
    flow: { on: ["offen"], off: ["zu"] },
    recording: { on: ["an"], off: ["aus"] },
    oscillate: { on: ["an"], off: ["aus"] },
  },
  states: {
    on: ["an", "ein", "eingeschaltet", "angeschaltet", "angelassen", "angemacht"],
    off: ["aus", "ausgeschaltet", "ausgemacht"],
    open: ["offen", "auf", "geöffnet", "oben", "aufgelassen"],
    closed: ["zu", "geschlossen", "unten"],
    locked: ["abgeschlossen", "verriegelt", "zugesperrt", "abgesperrt", "verschlossen"],
    unlocked: ["aufgeschlossen", "unverriegelt", "aufgesperrt"],
    armed: ["scharf", "scharf geschaltet"],
    disarmed: ["unscharf"],
    recording: ["am aufnehmen", "aufnehmend"],
    playing: ["am spielen"],
    paused: ["pausiert", "angehalten"],
    muted: ["stumm", "stummgeschaltet"],
    unmuted: ["nicht stumm", "laut"],
    running: ["in betrieb", "am laufen", "am saugen"],
    docked: ["in der station", "am laden"],
    moving: ["in bewegung", "Bewegung"],
    finished: ["fertig", "durch"],
  },
  doing: {
    closed: [],
    locked: [],
    on: ["brennt", "brennen", "leuchtet", "leuchten"],
    running: ["läuft", "laufen", "arbeitet", "saugt"],
    playing: ["spielt", "spielen"],
    docked: ["lädt", "laden"],
    moving: ["bewegt sich"],
  },
  colours: {
    "#ff0000": ["rot"],
    "#00ff00": ["grün"],
    "#0000ff": ["blau"],
    "#ffff00": ["gelb"],
    "#ffa500": ["orange"],
    "#800080": ["lila", "purpur"],
    "#ee82ee": ["violett"],
    "#ffc0cb": ["rosa"],
    "#ff69b4": ["pink"],
    "#ff00ff": ["magenta"],
    "#00ffff": ["cyan", "zyan"],
    "#008080": ["petrol", "blaugrün"],
    "#40e0d0": ["türkis"],
    "#add8e6": ["hellblau"],
    "#00008b": ["dunkelblau"],
    "#000080": ["marineblau"],
    "#87ceeb": ["himmelblau"],
    "#006400": ["dunkelgrün"],
    "#90ee90": ["hellgrün"],
    "#32cd32": ["limette", "limettengrün"],
    "#808000": ["oliv", "olivgrün"],
    "#ffd700": ["gold", "golden"],
    "#ffbf00": ["bernstein"],
    "#ff7f50": ["koralle"],
    "#fa8072": ["lachs"],
    "#dc143c": ["karmesin"],
    "#8b0000": ["dunkelrot"],
    "#e6e6fa": ["lavendel"],
    "#4b0082": ["indigo"],
    "#a0522d": ["siena"],
    "#b4532f": ["terrakotta"],
    "#ffdab9": ["pfirsich"],
    "#f5f5dc": ["beige"],
    "#ffffff": ["weiß", "reinweiß"],
  },
  warmths: {
    1900: ["kerzenlicht", "kerzenschein"],
    2700: ["warmweiß", "warm weiß", "warm"],
    3500: ["neutralweiß", "neutral weiß", "neutral"],
    4000: ["kaltweiß", "kalt weiß", "kühl weiß"],
    5500: ["tageslicht", "tageslichtweiß"],
    6500: ["eisweiß", "kalt"],
  },
  amounts: {
    more: "mehr",
    less: "weniger",
    small: [
      "etwas",
      "[ein] [klein] (bisschen | wenig)",
      "leicht",
      "ein klein wenig",
      "eine Spur",
      "einen Tick",
      "eine Stufe",
      "[ein] Stück",
      "einen Spalt",
      "[einen] Spaltbreit",
      "[ein] (Hauch | Stückchen | Quäntchen | Müh)",
    ],
    counted: ["(Stufen | Stufe | Ticks)"],
    large: ["viel", "deutlich", "sehr viel"],
  },
  levels: {
    least: [
      "minimum",
      "das minimum",
      "(kleinste | kleinster | niedrigste | niedrigster) stufe",
      "so (dunkel | leise | langsam | niedrig | schwach) wie [es] [nur] (möglich | geht)",
    ],
    low: ["niedrig", "langsam", "schwach", "gedimmt", "kleine stufe", "stufe eins"],
    medium: ["mittel", "mittlere stufe", "stufe zwei"],
    high: ["hoch", "schnell", "hohe stufe", "stufe drei"],
    full: [
      "voll",
      "maximum",
      "das maximum",
      "volle stufe",
      "volle leistung",
      "(höchste | höchster) stufe",
      "ganz (hoch | auf | rauf)",
      "voll (auf | hoch)",
      "so (hell | hoch | weit | laut | schnell | stark) wie [es] [nur] (möglich | geht)",
      "volle Helligkeit",
      "volle Pulle",
      "ganz hell",
      "(voller | vollster | höchster) (stufe | leistung | kraft)",
    ],
  },
  fillers: [
    "halt",
    "auch",
    "ungefähr",
    "etwa",
    "circa",
    "ca",
    "'s",
    "s",
    "n",
    "bitte",
    "gern",
    "gerne",
    "mal",
    "äh",
    "ähm",
    "hm",
    "also",
    "nun",
    "na",
    "ja",
    "eben",
    "doch",
    "gerade",
    "einfach",
    "okay",
    "ok",
    "hey",
    "vielleicht",
    "kurz",
    "noch",
    "jetzt",
    "nur",
    "mir",
    "uns",
    "bloß",
    "eigentlich",
    "übrigens",
  ],
  repairs: [
    "[ach | äh] nein [warte]",
    "(ich meine | ich meinte)",
    "(besser gesagt | vielmehr)",
    "(quatsch | entschuldigung | Korrektur)",
  ],
  excuses: [
    "(das | die | den | es) (hat | habt | haben) (jemand | wer | irgendwer | er | sie | ihr) (angelassen | offen gelassen | vergessen)",
    "(jemand | wer | er | sie) hat (das | die | den | es) (angelassen | offen gelassen | vergessen)",
    "(ich | wir) (schau | schaue | schauen | guck | gucke | gucken | ess | esse | essen | trinken | les | lese | lesen | hol | hole | brauch | brauche) (was | etwas)",
    "da (ist | sind | kommt | kommen | steht | liegt)",
    "(es | das) (fängt | beginnt)",
    "(ich | wir | man) (versteh | verstehe | hör | höre | seh | sehe | kapier) (dich | euch | sie | ihn | es | das | mich) [ja | doch] [gar | sonst] (nicht | kaum | schlecht)",
    "(ich | wir | man) (seh | sehe | sehen | sieht | hör | höre | hören | hört | finde | finden) (hier | ja | so) [gar] (nichts | nix | kaum)",
    "(ich | wir | man) (seh | sehe | sehen | sieht | hör | höre | hören | hört | finde | finden) [gar] (nichts | nix | kaum)",
    "(ich | wir | man) (kann | können) (hier | so) [gar] (nicht | nichts | kaum) (schlafen | lesen | sehen | hören | denken | arbeiten)",
    "(ich | wir | man) (kann | können) [gar] (nicht | nichts | kaum) (schlafen | lesen | sehen | hören | denken | arbeiten)",
    "(ich | wir) (hab | habe | haben)",
    "vergessen",
  ],
  stays: {
    verbs: ["lass", "lasse", "lasst", "lassen", "behalte"],
    after: [
      "in Ruhe",
      "so",
      "wie (es | er | sie) ist",
      "wie sie sind",
      "(aus dem Spiel | außen vor)",
    ],
  },
  hedges: [
    ..."scherz witz spass sonnenuntergang sonnenaufgang dämmerung morgengrauen nicht kein keine keinen keinem keiner keines niemand nie niemals nichts nirgends ohne weder stopp statt anstatt lieber fast beinahe".split(
      " ",
    ),
    ..."wenn falls ob sobald solange während bevor nachdem bis als hätte wäre würde würdest sollte solltest könnte dürfte angenommen stell vor wünsche wünschte hoffe frage wundere erinnere erinnern vergiss vergessen merk denk denkt erinner versuch versuche plane".split(
      " ",
    ),
    ..."sagt sagte gesagt sage erzähl erzählt erzählte fragt fragte meint meinte dachte denke glaubt glaube gehört gelesen wer warum wieso weshalb was welche welcher wie hat hast hatte hatten war waren wurde wurden gestern schon bereits jeden jede jedes immer täglich oft meistens".split(
      " ",
    ),
    ..."angemacht ausgemacht eingeschaltet ausgeschaltet angeschaltet aufgemacht zugemacht geöffnet geschlossen gestellt gedreht gestartet".split(
      " ",
    ),
  ],
  clauses:
    "hallo guten ich mir mich mein meine wir uns du er sie es ihr ist sind bin seid hab".split(" "),
  speakers: { words: ["ich", "wir"] },
  orNot: ["oder nicht", "oder was"],
  therefore: ["also", "deshalb", "daher", "darum"],
  reasons: ["weil", "denn", "da", "damit", "für"],
  adjectives: {
    co2: ["stickig"],
    brightness: ["hell"],
    illuminance: ["hell", "dunkel"],
    speed: ["schnell"],
    temperature: ["warm", "heiß", "kalt", "kühl"],
    humidity: ["feucht", "trocken"],
    moisture: ["nass", "feucht", "trocken"],
    volume: ["laut"],
    position: ["weit offen", "weit auf", "weit"],
    battery: ["voll", "geladen"],
    level: ["voll"],
  },
  frames: {
    besides: ["mit", "auf", "bei", "in"],
    state: [
      "$target [wieder | ganz] $state",
      `(${bring}) $target [wieder | ganz] $state`,
      `$target (${should}) [wieder | ganz] $state`,
      `$target [wieder | ganz] $state (${ending})`,
      `$target (${should}) [wieder | ganz] $state (${ending})`,
      `dass $target [wieder | ganz] $state (${ending})`,
      "(kann | könnte | können | könnten) $target [wieder | ganz] $state (sein | werden | bleiben)",
      `${mind} $target [wieder | ganz] $state zu (machen | schalten | stellen | drehen | lassen)`,
    ],
    of: [
      `$property ${of} $target $state`,
      `$property ${of} $target (${should}) $state [sein | stehen | bleiben | werden]`,
    ],
    more: [
      "$state",
      "$state (bei | an) $target",
      "(kann | könnte) es [bitte] $state (sein | werden | gehen)",
    ],
    deed: [
      "(sag | sage) $target [dass] (er | sie | es) $verb [soll | sollen]",
      "(sag | sage) $target (er | sie | es) (soll | sollte) $verb",
      `$target (${should}) $verb`,
      "(lass | lasse | lasst) $target $verb",
      `dass $target $verb (${should})`,
    ],
    asked: [
      "(ist | sind | steht | stehen | läuft | laufen) $target [noch | gerade | schon | jetzt] [auf | im | in | bei | mit] $value",
      "(ist | sind | steht | stehen) $property (von | vom | des | der | bei | beim | am | im | in) $target [noch | gerade | schon | jetzt] [auf | im | in | bei] $value",
      "(ist | sind | steht | stehen) $target $property [noch | schon] [auf | im | in] $value",
    ],
    sorts: {
      switched: {
        on: {
          states: ["an", "(angeschaltet | eingeschaltet | angemacht)", "$property (an | ein)"],
          commands: [
            ...apart("schalte | schalt | knipse | knips", "ein", "einschalten"),
            ...apart(
              turn,
              "an",
              "anschalten | einschalten | anmachen | anstellen | anknipsen | andrehen",
            ),
            ...apart("schalte | schalt", "ein", "einschalten", `$property ${of} $target`),
            ...apart(turn, "an", "anschalten | einschalten | anmachen", `$property ${of} $target`),

            ...apart(turn, "an", "anschalten | einschalten | anmachen", "$target $property"),
          ],
        },
        off: {
          states: ["(aus | ab)", "(ausgeschaltet | abgeschaltet | ausgemacht)", "$property aus"],
          commands: [
            ...apart(
              turn,
              "aus | ab",
              "ausschalten | abschalten | ausmachen | abstellen | ausknipsen | abdrehen",
            ),
            ...apart(
              turn,
              "aus | ab",
              "ausschalten | abschalten | ausmachen",
              `$property ${of} $target`,
            ),
            ...apart(turn, "aus | ab", "ausschalten | abschalten | ausmachen", "$target $property"),
          ],
        },
      },
      level: {
        to: {
          states: [
            "(hoch | runter | rauf | zurück) auf $value",
            "auf $value (hoch | runter | rauf | zurück)",
            "[auf | bei | zu | mit] $value",
            "[auf | bei | mit] $value $property",
            "[auf | bei | mit] $property [auf | von | bei] $value",
          ],
          commands: [
            ...order(adjust, adjusting, "$property [hoch | runter] auf $value"),
            "$property [auf] $value",
            "$value (auf | bei | für) $target",
            ...order(adjust, adjusting, `$target [${upward} | ${downward}] (auf | bis) $value`),
            ...order(adjust, adjusting, `$target auf $value (${upward} | ${downward})`),
            ...order(
              `${adjust} | erhöh | erhöhe | senk | senke`,
              `${adjusting} | erhöhen | senken`,
              `$property ${of} $target [${upward} | ${downward}] auf $value`,
            ),
            ...order(
              `${adjust} | erhöh | erhöhe | senk | senke`,
              `${adjusting} | erhöhen | senken`,
              "$target $property auf $value",
            ),
            ...order(
              "erhöh | erhöhe | senk | senke | reduzier | reduziere",
              "erhöhen | senken | reduzieren",
              "$target auf $value",
            ),
            `$property ${of} $target [auf | bei] $value`,
            `$value $property ${of} $target`,
            `$target auf $value (hochdrehen | runterdrehen | herunterdrehen | hochstellen | runterstellen | hochfahren | runterfahren)`,
          ],
        },
        up: {
          states: [
            `[um] $amount (${upward})`,
            `(${upward}) [um $amount]`,
            `$property [[um] $amount] (${upward})`,
            "[$amount] mehr $property",
          ],
          commands: [
            ...order(adjust, adjusting, `$property [[um] $amount] (${upward})`),
            ...order("erhöh | erhöhe", "erhöhen", "$property [[um] $amount]"),
            "$property (höher | hoch | rauf)",
            ...order(
              "erhöh | erhöhe | steiger | steigere",
              "erhöhen | steigern",
              "$target [[um] $amount]",
            ),
            ...order(
              "erhöh | erhöhe | steiger | steigere",
              "erhöhen | steigern",
              `$property ${of} $target [[um] $amount]`,
            ),
            ...order(
              "erhöh | erhöhe | steiger | steigere",
              "erhöhen | steigern",
              "$target $property [um $amount]",
            ),
            ...order(adjust, adjusting, `$property ${of} $target [[um] $amount] (${upward})`),
            "$target [[um] $amount] (hochdrehen | aufdrehen | hochstellen | raufdrehen)",
            `(dreh | drehe) $target [[um] $amount] auf`,
            `[$amount] mehr $property ${of} $target`,
            "[$amount] mehr $property (von | vom | der | des | in | im | an | am | auf | bei) $target",
            "(dreh | drehe) $target [$amount] auf",
          ],
        },
        down: {
          states: [
            `[um] $amount (${downward} | zurück)`,
            `(${downward}) [um $amount]`,
            `$property [[um] $amount] (${downward})`,
            "[$amount] weniger $property",
          ],
          commands: [
            "$target [$amount] zurückdrehen",
            ...order(adjust, adjusting, `$property [[um] $amount] (${downward})`),
            ...order(
              "senk | senke | verringer | verringere",
              "senken | verringern",
              "$property [[um] $amount]",
            ),
            "$property (runter | niedriger)",
            ...order(
              "senk | senke | verringer | verringere | reduzier | reduziere",
              "senken | verringern | reduzieren",
              "$target [[um] $amount]",
            ),
            ...order(
              "senk | senke | verringer | verringere | reduzier | reduziere",
              "senken | verringern | reduzieren",
              `$property ${of} $target [[um] $amount]`,
            ),
            ...order(
              "senk | senke | verringer | verringere | reduzier | reduziere",
              "senken | verringern | reduzieren",
              "$target $property [um $amount]",
            ),
            ...order(adjust, adjusting, `$property ${of} $target [[um] $amount] (${downward})`),
            "$target [[um] $amount] (runterdrehen | herunterdrehen | runterstellen | zurückdrehen)",
            `[$amount] weniger $property ${of} $target`,
            "[$amount] weniger $property (von | vom | der | des | in | im | an | am | auf | bei) $target",
          ],
        },
      },
      choice: {
        to: {
          states: [
            "[auf | in | im | mit] $value",
            "[auf | in | im] $value $property",
            "[auf | in | im] $property $value",
            "$property [auf | in] $value",
          ],
          commands: [
            ...order(adjust, adjusting, `$property ${of} $target auf $value`),
            ...order(adjust, adjusting, "$target $property auf $value"),
            ...order(
              "schalt | schalte | stell | stelle",
              "umschalten | umstellen",
              "$target auf $value",
            ),
            "(schalt | schalte | stell | stelle) $target auf $value um",
            ...order("wähl | wähle | nimm", "wählen | nehmen", `$property $value ${of} $target`),
            `$property ${of} $target [auf] $value`,
            ...order(adjust, adjusting, "$property auf $value"),
            "$property [auf] $value",
          ],
        },
      },
      colour: {
        to: {
          states: ["[auf | in] $value", "$property [auf] $value"],
          commands: [
            ...order(adjust, adjusting, `$property ${of} $target [auf] $value`),
            ...order(adjust, adjusting, "$target $property [auf] $value"),
            `$property ${of} $target [auf] $value`,
          ],
        },
      },
      text: {
        to: {
          states: ["$property auf $value", "$property $value"],
          commands: [...order(adjust, adjusting, `$property ${of} $target auf $value`)],
        },
      },
      action: {
        call: { states: [], commands: ["$verb $target", "$target $verb"] },
      },
    },
  },
  vocabulary: {
    "mode-on": {
      reply: "{$target}: an.",
    },
    "mode-off": {
      reply: "{$target}: aus.",
    },
    "position-short": {
      states: ["$level (zu | geschlossen | unten | runter | herunter | rein | eingefahren)"],
      patterns: [
        "(schließ | schließe | mach | mache | fahr | fahre | lass | zieh) $target [zu] $level (zu | runter | herunter | herab)",
        "(schließ | schließe) $target [zu] $level",
        "$target [zu] $level (schließen | zumachen | runterfahren | herunterfahren | runterlassen)",
        "$target (zu | um) $level (runter | zu | herunter)",
      ],
      reply: "{$target} geht zu.",
    },
    "program-start": {
      patterns: [
        "(starte | start) $target (mit | auf | im) [dem] [Programm] $program",
        "(starte | start) [das] [Programm] $program [Programm] (am | im | in | auf | bei | beim | an) $target",
        "$target [mit | im | in | auf] [Programm] $program [Programm] (starten | anwerfen | laufen lassen)",
        "(lass | lasse) $target [mit | im | in] [Programm] $program [Programm] laufen",
        "(mach | mache | koch | koche | brüh | brühe | bereite | gib) [mir | uns] [einen | eine | ein | noch einen | noch eine] [Tasse] $program [(mit | in | aus) $target] [zu]",
        "[noch] (einen | eine | ein) [Tasse] $program [(mit | in | aus) $target] [machen | kochen | brühen]",
      ],
      reply: "{$target} startet mit {$program}.",
    },
    "power-start": {
      deeds: ["laufen | starten | anlaufen"],
      patterns: ["(starte | start) $target", "$target (starten | laufen lassen)"],
      reply: "{$target}: an.",
    },
    "power-stop": {
      patterns: ["(stopp | stoppe | halt | halte) $target [an]", "$target (stoppen | anhalten)"],
      reply: "{$target}: aus.",
    },
    "ask-how": {
      patterns: [
        "wie $measure ist es",
        "wie $measure (ist | sind | läuft | steht) [es | denn] [von | vom | im | in | am | auf | bei] $target [eingestellt | gerade | offen]",
        "wie $measure $target (ist | sind)",
        "wie $measure ist (Erde | Boden | Luft) (in | im | auf | am) $target",
        "ist es [sehr | noch | schon] $measure [im | in | auf | am] $target",
        "ist es [im | in | auf | am] $target [sehr | noch | schon] $measure",
      ],
      reply: "",
    },
    "ask-setting": {
      patterns: [
        "(auf was | worauf | wie) (ist | sind | steht) $target [gestellt | eingestellt]",
        "auf wie viel [Grad | Prozent] (ist | steht) $target [gestellt | eingestellt]",
      ],
      reply: "",
    },
    "ask-doing": {
      patterns: [
        "was (macht | tut | treibt) $target [gerade | da]",
        "wie (läuft | weit ist) $target [gerade]",
      ],
      reply: "",
    },
    "power-on": {
      states: ["(am laufen | in Betrieb)"],
      patterns: [
        "(zünd | zünde) $target an",
        "$target (aktivieren | anzünden)",
        `${flick} $target [wieder] (an | ein)`,
        "$target (an | ein)",
        "(aktiviere | aktivier) $target",
        "ich brauche $target [an]",
        "(mach | mache | gib | macht) [mir | uns] [ein bisschen | etwas | ein wenig] Licht [[in | im | am | auf] $target]",
        "$target anlassen",
      ],
      reply: "{$target}: an.",
    },
    "power-off": {
      patterns: [
        "(lösch | lösche | kill) $target",
        "$target (löschen | deaktivieren)",
        "(deaktiviere | deaktivier | lösche | lösch) $target",
        "ich brauche $target nicht [mehr]",
        "$target auslassen",
      ],
      reply: "{$target}: aus.",
    },
    "brightness-to": {
      patterns: [
        "$target auf $level (runterdimmen | herunterdimmen | hochdimmen | abdimmen)",
        `(${set} | dimme | dimm) $target ${to} $level [Helligkeit]`,
        `${set} [die] Helligkeit (von | vom | der | des | im | in) $target ${to} $level`,
        `$target ${to} $level [Helligkeit]`,
        "$target $level [Helligkeit | hell]",
        `$target ${to} $level (dimmen | stellen | setzen)`,
        "(dimme | dimm) $target $level",
      ],
      reply: "{$target} auf {$level} Prozent.",
    },
    brighter: {
      states: ["[[um] $amount] heller", "heller um $amount"],
      patterns: [
        "[$amount] mehr Licht",
        "$target [[um] $amount] (heller | aufhellen)",
        "$target heller machen um $amount",
        "[$amount] mehr Licht [von | vom | im | in | am] $target",
        `${set} $target heller [${by}]`,
        `(dimme | dimm | drehe | dreh) $target [${by}] (hoch | auf | rauf)`,
      ],
      reply: "{$target} heller.",
    },
    dimmer: {
      states: ["[[um] $amount] dunkler", "dunkler um $amount"],
      patterns: [
        "[$amount] weniger Licht",
        "$target [[um] $amount] (dimmen | abdunkeln | runterdimmen | herunterdimmen)",
        "[$amount] weniger Licht [von | vom | im | in | am] $target",
        `${set} $target dunkler [${by}]`,
        `(dimme | dimm | drehe | dreh) $target [${by}] [runter | herunter | ab]`,
      ],
      reply: "{$target} dunkler.",
    },
    "speed-to": {
      patterns: [
        "(lass | lasse) $target [auf | mit] $level laufen",
        "$target (auf | mit) $level laufen lassen",
      ],
      reply: "{$target} auf {$level} Prozent.",
    },
    faster: {
      states: ["[[um] $amount] schneller"],
      patterns: [`${set} $target schneller [${by}]`, "lass $target schneller laufen"],
      reply: "{$target} schneller.",
    },
    slower: {
      states: ["[[um] $amount] langsamer"],
      patterns: [`${set} $target langsamer [${by}]`, "lass $target langsamer laufen"],
      reply: "{$target} langsamer.",
    },
    "oscillate-on": {
      deeds: ["schwenken"],
      states: ["am schwenken"],
      patterns: ["$target schwenken lassen", "$target schwenken", "(schwenke | schwenk) $target"],
      reply: "{$target} schwenkt.",
    },
    "oscillate-off": {
      patterns: ["lass $target nicht [mehr] schwenken", "$target nicht [mehr] schwenken"],
      reply: "{$target} schwenkt nicht mehr.",
    },
    "colour-to": {
      patterns: [`(${flick} | färbe | färb) $target [auf | in] $colour`],
      reply: "{$target} in {$colour}.",
    },
    "warmer-light": { states: ["[$amount] (wärmer | gemütlicher)"], reply: "{$target} wärmer." },
    "cooler-light": {
      states: ["[$amount] (kälter | kühler | weißer)"],
      reply: "{$target} kühler.",
    },
    "warmth-to": {
      patterns: [`${flick} $target [auf] $warmth`],
      reply: "{$target} auf {$warmth} Kelvin.",
    },
    "temperature-to": {
      patterns: [
        "(heiz | heize | kühl | kühle) $target auf $degrees [auf | hoch | runter | ab]",
        "[im | in] $target auf $degrees (heizen | aufheizen | hochdrehen | runterdrehen | kühlen)",
        "(stell | stelle | dreh | drehe | setz | setze | mach | mache | bring) [die] Temperatur [von | vom | im | in | am | für | bei] $target [hoch | runter] auf $degrees",
        "[die] Temperatur [von | vom | im | in | am | für | bei] $target auf $degrees [stellen | setzen]",
        "$target Temperatur [auf] $degrees",
        "(stell | stelle | setz | setze) $target Temperatur auf $degrees",
        `(${set} | heize | heiz | kühle | kühl) $target ${to} $degrees`,
        `${set} [die] (Temperatur | Solltemperatur) (von | vom | der | des | im | in) $target ${to} $degrees`,
        `$target ${to} $degrees (stellen | setzen | heizen)`,
        "$degrees (in | im | am) $target",
        ...order(adjust, adjusting, "Temperatur [hoch | runter] auf $degrees"),
        "Temperatur [auf] $degrees",
        "mach $degrees (in | im | am) $target",
      ],
      reply: "{$target} auf {$degrees} Grad.",
    },
    warmer: {
      states: ["[[um] $amount] (wärmer | heißer)", "[[um] $amount] (mehr | wärmer)"],
      patterns: [
        "$target [$amount] (anheizen | aufheizen | vorheizen)",
        "(heiz | heize | wärm | wärme) $target [$amount] [auf | an]",
        "(erhöh | erhöhe) [die] Temperatur [[von | vom | im | in | am | bei] $target] [[um] $amount]",
        "[die] Temperatur [[von | vom | im | in | am | bei] $target] [[um] $amount] erhöhen",
        `${set} $target (wärmer | heißer) [${by}]`,
        `(erhöhe | erhöh) [die] Temperatur (von | vom | der | des | im | in) $target [${by}]`,
        `(mache | mach) es [${by}] wärmer (in | im | am) $target`,
      ],
      reply: "{$target} wärmer.",
    },
    cooler: {
      states: ["[[um] $amount] (kühler | kälter)"],
      patterns: [
        "[die] Temperatur [[von | vom | im | in | am | bei] $target] [[um] $amount] senken",
        `${set} $target (kühler | kälter) [${by}]`,
        `(senke | senk | verringere | verringer) [die] Temperatur (von | vom | der | des | im | in) $target [${by}]`,
        `(mache | mach) es [${by}] kühler (in | im | am) $target`,
      ],
      reply: "{$target} kühler.",
    },
    "mode-to": {
      reply: "{$target}: {$mode}.",
    },
    "preset-to": {
      reply: "{$target}: {$preset}.",
    },
    open: {
      deeds: ["aufgehen | öffnen | hochfahren | auffahren"],
      states: [
        `[ganz | komplett | ${soFar}] (auf | offen | geöffnet | oben | hoch | rauf | nach oben | raus | ausgefahren)`,
        "so weit (auf | hoch | rauf | nach oben | raus) wie (möglich | es [nur] geht)",
      ],
      patterns: [
        "(öffne | öffn | öffnen Sie) $target [ganz | komplett]",
        "$target [ganz | komplett | wieder] (öffnen | aufmachen | hochfahren | hochziehen | aufziehen)",
        `${open} $target [ganz] (auf | hoch | rauf | nach oben)`,
        `(${unroll}) $target [ganz] (aus | raus | heraus)`,
        "$target [ganz] (ausfahren | rausfahren | ausrollen | herausfahren | rauskurbeln | auskurbeln)",
        "(hebe | heb) $target [an]",
        "$target aufziehen",
        "$target aufschieben",
      ],
      reply: "{$target} geht auf.",
    },
    close: {
      deeds: ["zugehen | schließen | runterfahren | herunterfahren | zufahren"],
      states: [
        `[ganz | komplett | ${soFar}] (zu | geschlossen | unten | runter | herunter | nach unten | rein | eingefahren)`,
        "so weit (zu | runter | herunter | nach unten | rein) wie (möglich | es [nur] geht)",
      ],
      patterns: [
        "(schließe | schließ | schließen Sie) $target [ganz | komplett]",
        "$target [ganz | komplett | wieder] (schließen | zumachen | herunterfahren | runterfahren | runterlassen | herunterlassen)",
        `${open} $target [ganz] (zu | runter | herunter | nach unten)`,
        `(${unroll} | hole | hol) $target [ganz] (ein | rein | herein)`,
        "$target [ganz] (einfahren | reinfahren | einrollen | einholen | reinholen | einziehen | einkurbeln | reinkurbeln)",
        "(senke | senk) $target [ab]",
        "$target zuziehen",
        "$target zuschieben",
      ],
      reply: "{$target} geht zu.",
    },
    "position-to": {
      states: [
        "[auf | zu] $level (offen | auf | geöffnet | hoch | oben | raus | heraus | draußen | ausgefahren)",
      ],
      patterns: [
        "(öffne | mach | mache | fahr | fahre | zieh | ziehe) $target [zu | auf] $level [weit] [auf | hoch | rauf | offen]",
        "$target [zu | auf] $level (öffnen | aufmachen | hochfahren | hochziehen)",
        `(${set} | fahre | fahr | öffne | schließe | schließ) $target ${to} $level`,
      ],
      reply: "{$target} auf {$level} Prozent.",
    },
    "open-more": {
      patterns: [
        "(öffne | hebe | heb) $target um $amount [weiter]",
        `${open} $target (noch $amount | $amount weiter | weiter) (auf | hoch | rauf)`,
        `(${unroll} | mach | mache) $target [um] $amount (auf | hoch | rauf | raus | aus)`,
      ],
      states: [
        "[um] $amount [weiter] (auf | offen | hoch | höher | rauf | nach oben | raus)",
        "[$amount] weiter (auf | offen | hoch | rauf | nach oben | raus)",
      ],
      reply: "{$target} weiter auf.",
    },
    "close-more": {
      patterns: [
        "(schließ | schließe | senke | senk) $target um $amount [weiter]",
        `${open} $target (noch $amount | $amount weiter | weiter) (zu | runter)`,
        `(${unroll} | mach | mache) $target [um] $amount (zu | runter | rein | ein)`,
      ],
      states: [
        "[um] $amount [weiter] (zu | runter | tiefer | herunter | nach unten | rein)",
        "[$amount] weiter (zu | runter | herunter | nach unten | rein)",
      ],
      reply: "{$target} weiter zu.",
    },
    "tilt-to": {
      states: ["[auf] $level (gekippt | geneigt)"],
      patterns: [
        "(kippe | kipp | neige | neig) $target [auf] $level",
        "$target [auf] $level (kippen | neigen)",
        "(kipp | kippe | neig | neige | dreh | drehe) (Lamellen [von | vom | an] $target | $target) auf $level",
        "(Lamellen [von | vom | an] $target | $target) auf $level (kippen | neigen | drehen)",
      ],
      reply: "{$target}: Neigung {$level} Prozent.",
    },
    "stop-moving": {
      patterns: [
        "(stopp | stoppe | halt | halte) $target [an]",
        "$target (anhalten | stoppen)",
        "(stoppe | stopp | halte | halt) $target [an]",
        "$target (stopp | stoppen | anhalten)",
      ],
      reply: "{$target} angehalten.",
    },
    "flow-on": {
      states: ["(offen | auf | geöffnet)"],
      patterns: [
        "$target (aufmachen | aufdrehen | öffnen)",
        `${flick} $target (an | ein | auf)`,
        "$target (an | ein | auf)",
        "(öffne | öffn) $target",
      ],
      reply: "{$target} offen.",
    },
    "flow-off": {
      states: ["(zu | geschlossen)"],
      patterns: [
        "$target (zumachen | zudrehen | schließen | abdrehen)",
        `${flick} $target (aus | ab | zu)`,
        "(schließe | schließ) $target",
      ],
      reply: "{$target} zu.",
    },
    water: {
      patterns: [
        "(bewässere | gieß | gieße | wässere | spreng | sprenge) $target",
        "$target (bewässern | gießen | wässern | sprengen)",
      ],
      reply: "{$target} offen.",
    },
    lock: {
      deeds: ["abschließen"],
      states: ["(abgeschlossen | verriegelt | zugesperrt | zu | verschlossen)"],
      patterns: [
        "(schließ | schließe | sperr | sperre) $target [wieder] (ab | zu)",
        "$target [wieder] (abschließen | zusperren | zusperrn | verriegeln | absperren | zuschließen)",
        "(verriegle | verriegele | verriegel | sichere | sicher) $target",
      ],
      reply: "{$target} abgeschlossen.",
    },
    unlock: {
      states: ["(aufgeschlossen | entriegelt | aufgesperrt | unverschlossen)"],
      patterns: [
        "(schließ | schließe | sperr | sperre) $target [wieder] auf",
        "$target [wieder] (aufschließen | aufsperren | entriegeln)",
        "(entriegle | entriegele | entriegel) $target",
      ],
      reply: "{$target} aufgeschlossen.",
    },
    arm: {
      states: [
        "(scharf | aktiv | an | ein) [auf | für] [$mode]",
        "[auf | in | für] [die] $mode [scharf]",
      ],
      patterns: [
        "$target (scharfschalten | scharf schalten | scharf stellen | scharfstellen | aktivieren) [für | auf] [$mode]",
        "(aktivier | aktiviere) $target [für | auf | im] [$mode]",
        "(schalt | schalte | stell | stelle | mach | mache) $target [für | auf] [die] $mode scharf",
        `${flick} $target scharf [auf] [$mode]`,
        `${flick} $target [auf] $mode [scharf]`,
        "(schärfe | schärf) $target",
        "$target [für | auf | in] $mode [Modus] scharf (schalten | stellen | machen)",
      ],
      reply: "{$target} ist scharf.",
    },
    disarm: {
      states: ["(unscharf | aus)"],
      patterns: [
        "$target (entschärfen | unscharf schalten | deaktivieren | ausschalten | ausmachen)",
        "(deaktivier | deaktiviere) $target",
        `${flick} $target (unscharf | aus | ab)`,
        "(entschärfe | entschärf) $target",
      ],
      reply: "{$target} ist unscharf.",
    },
    record: {
      deeds: ["aufnehmen | aufzeichnen"],
      states: ["am aufnehmen"],
      patterns: [
        "(starte | start | beginn | beginne) [mit der | die | eine] Aufnahme [mit | auf | von | vom | der] $target",
        "[mit] $target aufnehmen",
        "[die | eine] Aufnahme (mit | von | vom | auf | an | der) $target (starten | beginnen | anfangen)",
        "(nimm | nehm) [mit] $target auf",
        "(nimm | nehme) mit $target auf",
        "$target (aufnehmen | Aufnahme starten | Aufnahme an)",
        "$target aufnehmen [lassen]",
      ],
      reply: "{$target} nimmt auf.",
    },
    "stop-recording": {
      patterns: [
        "(stoppe | stopp | beende) [die] Aufnahme (mit | auf | von | vom) $target",
        "$target (nicht [mehr] aufnehmen | Aufnahme stoppen | Aufnahme aus)",
        "lass $target nicht [mehr] aufnehmen",
      ],
      reply: "{$target} nimmt nicht mehr auf.",
    },
    play: {
      deeds: ["[weiter] spielen | weiterspielen"],
      states: ["am spielen"],
      patterns: [
        "(weiter | mach weiter | weiterspielen)",
        "$target (abspielen | spielen | weiterspielen | laufen lassen)",
        "(spiel | spiele | starte | start) [die] (Musik | Wiedergabe) [im | in | auf | am | vom] $target [ab | weiter]",
        "(spiele | spiel) $target [ab | weiter]",
        "$target (abspielen | weiterspielen | weiter)",
        "(starte | start) [die] Wiedergabe (auf | von | vom) $target",
      ],
      reply: "{$target} spielt.",
    },
    pause: {
      deeds: ["pausieren"],
      states: ["(pausiert | auf Pause | angehalten)"],
      patterns: [
        "Pause",
        "(mach | mache) Pause",
        "(pausiere | pausier) die (Musik | Wiedergabe)",
        "Musik Pause",
        "(pausier | pausiere) [die] (Musik | Wiedergabe) [im | in | auf | am | vom] $target",
        "(pausiere | pausier) $target",
        "$target (Pause | pausieren | anhalten)",
        "(halte | halt) $target an",
      ],
      reply: "{$target} pausiert.",
    },
    "stop-playing": {
      states: ["gestoppt"],
      patterns: [
        "(stoppe | stopp) $target",
        "$target (stopp | stoppen)",
        "(beende | stoppe | stopp) [die] (Wiedergabe | Musik) (auf | von | vom) $target",
      ],
      reply: "{$target} gestoppt.",
    },
    next: {
      patterns: [
        "(nächstes | nächster) (Lied | Titel | Stück)",
        "(überspring | überspringe) [das | dieses] Lied",
        "(nächstes | nächster | nächsten) (Lied | Titel | Stück) [auf | am | im | in | beim] $target",
        "(spiel | spiele | geh | gehe) [zum | das | den] (nächsten | nächste) (Lied | Titel | Stück) [auf | am | im | in | beim] $target",
        "(überspring | überspringe) [das | den | dieses | diesen] (Lied | Titel | Stück) [auf | am | im | in | beim] $target",
        "[das | den] (nächste | nächsten) (Lied | Titel | Stück) [auf | am | im | in | beim] $target (spielen | abspielen)",
        "$target (weiter | nächster Titel | nächstes Lied | überspringen)",
      ],
      reply: "Nächster Titel auf {$target}.",
    },
    previous: {
      patterns: [
        "(voriger | voriges | vorheriger | letzter) (Titel | Lied | Stück) (auf | am | im) $target",
        "$target (zurück | voriger Titel | voriges Lied)",
      ],
      reply: "Voriger Titel auf {$target}.",
    },
    "play-what": {
      patterns: [
        "(spiele | spiel) $what (auf | über) $target",
        "$what auf $target (spielen | abspielen)",
      ],
      reply: "{$what} auf {$target}.",
    },
    "volume-to": {
      patterns: [
        `${set} $target ${to} $level [Lautstärke]`,
        `${set} [die] Lautstärke (von | vom | der | des | im | in | am) $target ${to} $level`,
        `$target ${to} $level [Lautstärke]`,
      ],
      reply: "{$target} auf Lautstärke {$level}.",
    },
    louder: {
      states: ["[[um] $amount] lauter"],
      patterns: ["[$amount] lauter", `${set} $target lauter [${by}]`],
      reply: "{$target} lauter.",
    },
    quieter: {
      states: ["[[um] $amount] leiser"],
      patterns: ["[$amount] leiser", `${set} $target leiser [${by}]`],
      reply: "{$target} leiser.",
    },
    mute: {
      states: ["(stumm | still | stummgeschaltet)"],
      patterns: [
        "stumm",
        "Ton aus",
        "mach den Ton aus",
        `${flick} $target stumm`,
        "$target (stumm | stummschalten | stumm schalten)",
      ],
      reply: "{$target} stumm.",
    },
    unmute: {
      states: ["(laut | nicht mehr stumm)"],
      patterns: [
        `${flick} $target (laut | nicht [mehr] stumm)`,
        "$target (laut schalten | nicht [mehr] stumm)",
        `${flick} [den] Ton (von | vom | am) $target [wieder] (an | ein)`,
        "[der] Ton (von | vom | am) $target [wieder] (an | ein)",
      ],
      reply: "{$target} wieder laut.",
    },
    "source-to": {
      patterns: [
        "(spiel | spiele) $source [auf | am | über] $target",
        "(spiel | spiele | leg | lege) [etwas] $source [auf]",
        "(mach | mache | stell | stelle | schalt | schalte) [etwas] $source (an | rein)",
        "[etwas] $source (spielen | auflegen | anmachen | anstellen)",
        `(${set} | schalte | schalt) $target [um] auf $source [um]`,
      ],
      reply: "{$target} auf {$source}.",
    },
    press: {
      patterns: [
        "(drück | drücke | läut | läute | betätige) [auf] $target",
        "$target (drücken | läuten | betätigen)",
        "(klingel | klingle) [mit] $target",
        "(drücke | drück | betätige | betätig) [auf] $target",
      ],
      reply: "{$target} gedrückt.",
    },
    start: {
      deeds: ["laufen | starten | loslegen | anfangen | saugen | putzen | fegen"],
      states: ["(am laufen | am saugen | gestartet)"],
      patterns: [
        "$target (starten | loslegen | laufen lassen | losschicken)",
        "(starte | start) $target",
        "$target (start | starten | loslegen | los)",
        "(schicke | schick) $target (los | raus | [zum] (saugen | putzen | wischen | reinigen))",
      ],
      reply: "{$target} gestartet.",
    },
    stop: {
      deeds: ["stoppen | aufhören"],
      states: ["(gestoppt | beendet)"],
      patterns: ["(stoppe | stopp | beende) $target", "$target (stopp | stoppen | beenden)"],
      reply: "{$target} gestoppt.",
    },
    "pause-work": {
      states: ["(pausiert | auf Pause | angehalten)"],
      patterns: [
        "(pausiere | pausier) $target",
        "$target (Pause | pausieren | anhalten)",
        "(halte | halt) $target an",
      ],
      reply: "{$target} angehalten.",
    },
    "stop-work": {
      deeds: ["stoppen | aufhören | stehen bleiben"],
      states: ["gestoppt"],
      patterns: ["(stoppe | stopp) $target", "$target (stopp | halt | stoppen)"],
      reply: "{$target} angehalten.",
    },
    dock: {
      deeds: ["heimfahren | zurückfahren | laden"],
      states: [
        "(zurück | in der Station | nach Hause | heim)",
        "zurück (zur | in die | auf die) (Station | Basis | Ladestation)",
      ],
      patterns: [
        "(schick | schicke | bring | bringe) $target (zurück | [zurück] (nach Hause | heim | zur Station | in die Station | zur Ladestation | auf die Ladestation))",
        "$target (nach Hause | zurück | heim | zur Station | zur Ladestation) (schicken | bringen | fahren lassen)",
        "$target (zurück [zur | in (die | deine) | auf (die | deine)] [Station | Basis | Ladestation] | nach Hause | zur Station | andocken | laden)",
        "(docke | dock) $target an",
      ],
      reply: "{$target} fährt zurück.",
    },
    "program-to": {
      patterns: [
        "(wähl | wähle | nimm | stell | stelle) [das] Programm $program (am | im | für | bei | beim | an) $target [ein]",
        "(wähle | wähl) [das] [Programm] $program (am | im | für) $target",
        "$target [auf | mit] [Programm] $program",
      ],
      reply: "{$target} auf {$program}.",
    },
    find: {
      patterns: [
        "wo (ist | sind | habe ich) $target",
        "(finde | find | suche | such) $target",
        "ich (finde | suche) $target [nicht]",
        "lass $target (klingeln | piepen)",
        "(hilf mir | hilf) $target [zu] (finden | suchen)",
      ],
      reply: "{$target} klingelt.",
    },
    "run-routine": {
      patterns: [
        "(starte | start | beginne | mach) [mit] [die routine] $routine",
        "führe [die routine] $routine aus",
        "routine $routine [starten | ausführen]",
      ],
      reply: "",
    },
    "ask-value": {
      patterns: [
        "(wie | was) ist $measure [von | vom | der | des | im | in | am | auf | bei] $target",
        "(wie | was) ist $measure",
        "wie hoch ist $measure",
        "was (zeigt | misst) $target [an]",
        "(wie | was) (ist | sind) $measure $target",
        "(auf | in | mit) (welche | welcher | welchem) $measure (ist | steht) $target [gestellt | eingestellt]",
        "welche $measure hat [es in] $target",
        "welche $measure (ist | herrscht) [von | vom | im | in | am | auf | bei] $target",
        "was (ist | sind) [bei | an | von | vom | im | in] $target $measure",
        "wie hoch ist $measure [von | vom | der | des | im | in | am] $target",
        "(sag | sage | nenn | nenne) mir $measure [von | vom | der | des | im | in | am] $target",
        "$measure (von | vom | der | des | im | in | am) $target",
        "(welche | welcher | welches) $measure ist (in | im | auf | am | bei) $target",
        "wie viel $measure (ist | hat) [in | im | auf | am | bei] $target",
        "ist $measure [von | vom | der | des | im | in | am | auf | bei] $target [noch] (an | aus)",
        "ist $target $measure [noch] (an | aus)",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        "wie viel Grad (hat | sind | ist) [es] [in | im | am] $target",
        "ist es (warm | kalt | heiß | kühl) [in | im | am | auf] $target",
        "ist es [in | im | am | auf] $target (warm | kalt | heiß | kühl)",
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "(ist | sind | steht | stehen) $target [noch | gerade | alle | schon] $state [gerade]",
        "(habe | hab | haben) (ich | wir) $target [noch] $state",
        "(habe | hab) ich $target [noch] $state (gelassen | vergessen)",
        "(hat | haben) [jemand | wer | irgendwer] $target $state",
        "(schau | guck | sag mir | prüf) [mal] ob $target [noch] $state (ist | sind)",
        "(prüfe | prüf | schau) ob $target $state (ist | sind)",
        "(gibt es | ist | war) [da] $state (in | im | auf | am | bei) $target",
        "(ist | sind) $target $state oder (zu | auf | offen | geschlossen | an | aus | abgeschlossen)",
        "(hat | haben | habe | hab) (jemand | wer | irgendwer | ich | wir | man) $target [noch] $state (gelassen | vergessen | stehen lassen)",
      ],
      reply: "",
    },
    "ask-whether-does": {
      patterns: [
        "$state [noch | gerade | schon] $target [noch | gerade | schon]",
        "$target $state [noch | gerade | schon]",
        "(schau | guck | prüf | prüfe | sag mir) ob $target [noch] $state",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "wie viele [von] $target (habe | hab | haben) (ich | wir) [noch] $state [gelassen]",
        "zeig mir [alle] $target (die | welche) [noch] $state sind",
        "was ist [alles | noch | alles noch] $state",
        "was (habe | hab | haben) (ich | wir) [noch | alles] $state [gelassen]",
        "was (habe | hab | haben) (ich | wir) [noch] [in | im | am | auf] $target [noch | alles] $state [gelassen]",
        "was ist [in | im | am | auf] $target [noch | alles] $state",

        "welche [von] $target (ist | sind) [noch | gerade | alle] $state",
        "wie viele [von] $target (ist | sind) [noch | gerade] $state",
        "wie viele [von] $target (habe | hab) ich [noch] $state gelassen",
        "was ist [noch] $state (in | im | am) $target",
        "was ist (in | im | am) $target [noch] $state",
      ],
      reply: "",
    },
    "ask-which-do": {
      patterns: [
        "(welche | wie viele) [von] $target $state [noch | gerade]",
        "(welche | wie viele) $state [noch | gerade] $target",
      ],
      reply: "",
    },
    "ask-motion": {
      patterns: [
        "ist (jemand | irgendwer | irgendjemand) (in | im | am | auf) $target",
        "(gibt es | ist) [irgendeine | irgendwelche] Bewegung (in | im | am | auf) $target",
        "bewegt sich [da] (was | etwas | jemand | irgendwer | wer) (in | im | am | auf) $target",
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "ist [noch] (etwas | was | irgendwas | irgendetwas) [noch] $state",
        "(habe | hab) ich [noch] (etwas | was | irgendwas | irgendetwas) [noch] $state gelassen",

        "ist $target [noch] (etwas | was | irgendwas | irgendetwas) [noch] $state",
        "ist [noch] (etwas | was | irgendwas | irgendetwas) [noch] $state [in | im | am | auf] $target",
        "ist (in | im | am | auf) $target [noch] (etwas | was | irgendwas | irgendetwas) [noch] $state",
        "ist [noch] (etwas | was | irgendwas | irgendetwas) [in | im | am | auf] $target [noch] $state",
        "(habe | hab) ich (irgendein | irgendeine | irgendwelche) $target [noch] $state gelassen",
        "(ist | sind) [noch] (irgendeine | irgendwelche | irgendein | noch) [von] $target [noch] $state",
        "(ist | steht) (in | im | am) $target [noch] etwas $state",
      ],
      reply: "",
    },
  },
  wishes: {
    frames: [
      `$complaint [${inThe} $target]`,
      `(es ist | mir ist | mir ist es | uns ist es | es ist mir | es ist uns) [${inThe} $target] [immer noch | noch | schon wieder] $complaint [${inThe} $target]`,
      `${inThe} $target ist es [mir | uns | immer noch | noch | schon wieder] $complaint`,
      "$target (ist | sind | läuft) [mir | uns | immer noch | noch | schon wieder] $complaint",
      `(ich finde | wir finden) es [${inThe} $target] $complaint`,
      "(ich finde | wir finden) $target $complaint",
    ],
    wishes: {
      "too-dark": {
        complaints: ["[$amount] zu (dunkel | finster | düster)", "nicht hell genug"],
        patterns: [
          `(ich sehe | ich seh | wir sehen | man sieht) [${inThe} $target] [ja | fast | gar | überhaupt] (nichts | kaum etwas | kaum was)`,
          `(ich kann | wir können | man kann) [${inThe} $target] [fast | gar | überhaupt] (nichts | kaum etwas | kaum was) sehen`,
          `${inThe} $target (sehe ich | seh ich | sehen wir | sieht man) [ja | fast | gar | überhaupt] (nichts | kaum etwas | kaum was)`,
          `es ist [${inThe} $target] [${very}] (dunkel | finster | düster)`,
          `${inThe} $target ist es [${very}] (dunkel | finster | düster)`,
        ],
      },
      "too-bright": {
        complaints: ["[$amount] zu (hell | grell)", "nicht dunkel genug"],
        patterns: ["$target (blendet | blenden) [mich | uns]"],
      },
      "too-cold": {
        complaints: ["[$amount] zu (kalt | kühl | frisch)", "nicht warm genug"],
        patterns: [
          `(mir | uns) ist [${inThe} $target] [${very}] (kalt | kühl)`,
          `(ich friere | ich frier | wir frieren | man friert) [${inThe} $target]`,
          `es ist [${inThe} $target] [${very}] (kalt | kühl)`,
          `${inThe} $target ist es [${very}] (kalt | kühl)`,
        ],
      },
      "too-warm": {
        complaints: ["[$amount] zu (warm | heiß)", "nicht (kühl | kalt) genug"],
        patterns: [
          `(mir | uns) ist [${inThe} $target] [${very}] (warm | heiß)`,
          `(ich schwitze | ich schwitz | wir schwitzen | man schwitzt) [${inThe} $target]`,
          `es ist [${inThe} $target] [${very}] heiß`,
          `${inThe} $target ist es [${very}] heiß`,
        ],
      },
      "too-loud": {
        complaints: ["[$amount] zu laut", "nicht leise genug"],
        patterns: [
          "(ich verstehe | ich versteh | man versteht) (mein | sein) eigenes Wort nicht [mehr]",
        ],
      },
      "too-quiet": {
        complaints: ["[$amount] zu leise", "nicht laut genug"],
        patterns: [
          "(ich höre | ich hör | wir hören | man hört) [$target] [fast | gar | überhaupt] (nichts | nicht | kaum)",
          "(ich kann | wir können | man kann) [$target] [fast | gar | überhaupt] (nichts | nicht | kaum) (hören | verstehen)",
        ],
      },
      "too-slow": { complaints: ["[$amount] zu langsam", "nicht schnell genug"] },
      "too-fast": { complaints: ["[$amount] zu schnell", "nicht langsam genug"] },
    },
  },
  sources: [
    "(was sagt | wie ist | wie wird | was ist | lies [mir] | sag [mir]) $source [vor]",
    "was steht (in | auf | im | am) $source",
    "wie (sieht | schaut) $source aus",
  ],
  conversation: {
    yes: ["ja [bitte]", "(klar | okay | ok | jawohl | genau | mach das | gerne)"],
    no: ["nein [danke]", "(nee | nö | lieber nicht)"],
    cancel: ["(egal | vergiss es | abbrechen | abbruch | stopp | schon gut)"],
    again: ["nochmal", "noch (einmal | mal)", "[mach das] nochmal"],
    undo: ["rückgängig", "mach das rückgängig", "[nimm das] zurück"],
  },
  answers: {
    value: "{$name}: {$property} {$value}.",
    yes: "Ja, {$name}: {$state}.",
    no: "Nein, {$name}: {$state}.",
    list: "{$list}.",
    none: "Nichts davon.",
  },
  refusals: {
    of: "{$property} von {$name}",
    that: "das",
    between: "{$what} geht von {$minimum} bis {$maximum}, nicht {$said}",
    atLeast: "{$what} beginnt bei {$minimum}, nicht {$said}",
    atMost: "{$what} geht bis {$maximum}, nicht {$said}",
    oneOf: "{$what} kann {$choices} sein, nicht {$said}",
    unable: "{$name} kann das nicht",
    alone: "{$name} muss eigens genannt werden",
    length: "das ist keine Dauer",
    nowhere: "ich weiß nicht, was gemeint ist",
    past: "{$time} ist vorbei",
    named: "es muss eigens genannt werden",
    nothing: "so etwas gibt es nicht",
    place: "„{$words}“ ist kein Ort dafür",
    day: "ich weiß nicht, welcher Tag ist",
    sun: "ich weiß nicht, wo die Sonne steht",
    times: "zwei Zeiten sind genannt",
    later: "eine Antwort kann nicht warten",
    stays: "was {$name} tut, lässt sich nicht nach einer Weile zurücknehmen",
    both: "{$what} kann nicht zugleich {$first} und {$second} sein",
  },
  replies: {
    unknown: "Das habe ich leider nicht verstanden.",
    unsure: "Was davon: {$choices}?",
    refuse: "Das geht leider nicht: {$reason}.",
    cannot: "Das geht leider nicht.",
    act: "Erledigt.",
    confirm: "Wirklich?",
    offer: "Meinst du: {$reply}?",
    code: "Wie lautet der Code?",
    failed: "{$names}: keine Antwort.",
    partly: "{$reply} {$names}: keine Antwort.",
    leftOut: "{$reply} Aber nicht: {$names}.",
    notAll: "Nicht alles davon ging.",
    withheld: "{$names} nicht: das muss eigens gesagt werden.",
    notNow: "Das geht gerade nicht.",
    running: "Das läuft schon.",
    devices: "Geräte",
    cancelled: "Dann nicht.",
    undone: "Rückgängig gemacht.",
    nothingToUndo: "Es gibt nichts rückgängig zu machen.",
    nothingToRepeat: "Es gibt nichts zu wiederholen.",
    wrongCode: "Das ist nicht der Code.",
    locked: "Zu viele falsche Codes. Warte {$duration}.",
    ask: "Welcher Wert für {$slot}?",
    in: "In {$duration}: {$reply}",
    at: "Um {$time}: {$reply}",
    for: "Für {$duration}: {$reply}",
    until: "Bis {$time}: {$reply}",
    atDay: "{$day} um {$time}: {$reply}",
    untilDay: "Bis {$day} um {$time}: {$reply}",
  },
};
