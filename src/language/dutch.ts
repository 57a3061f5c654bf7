import { toCardinal, toOrdinal } from "n2words/nl-NL";
import type { LanguagePack } from "./pack.ts";
import { dutchSounds } from "./sounds/dutch.ts";
import type { SunWords } from "./times.ts";

const flick = "(zet | doe | schakel | maak)";
const set = "(zet | doe | stel | draai | breng)";
const to = "(op | naar)";
const open = "(open | trek | haal | doe | zet | laat)";
const unroll = "rol | draai | schuif | klap | trek";
const by = "[met] $amount";
const of = "(van | in | op | voor)";

const turn = "zet | doe | schakel | maak | draai | knip | gooi";
const put =
  "verander | schuif | zet | doe | maak | schakel | draai | stel | laat | houd | hou | breng | krijg | trek | haal | trek";
const putting =
  "zetten | doen | maken | schakelen | draaien | stellen | laten | houden | brengen | krijgen | hebben | trekken";
const ending = `${putting} | zijn | blijven | staan | worden | gaan | is | blijft | staat | wordt | gaat`;
const adjust =
  "zet | doe | stel | draai | breng | regel | verander | schakel | dim | verhoog | verlaag";
const adjusting =
  "zetten | doen | stellen | draaien | brengen | regelen | veranderen | schakelen | dimmen | verhogen | verlagen";
const van = "[van | in | op | voor | bij | aan]";
const should = "moet | moeten | mag | mogen | kan | kunnen | zou | zouden | hoort";

/** A verb and what goes with it, as an order and as "je kunt …". */
function order(imperative: string, infinitive: string, rest: string): string[] {
  return [`(${imperative}) ${rest}`, `${rest} (${infinitive})`];
}

const inThe = "[in | op | bij | aan]";

const very = "zo | erg | heel | echt | behoorlijk";

/** What the sun does, as a time. */
function sun(one: string, other: string, sentence: string): SunWords {
  const words = `(${one} | ${other})`;
  return {
    at: [`bij ${one}`, `(bij | met | vanaf) ${words}`, sentence],
    until: [`tot ${one}`, `tot ${words}`],
    before: [`$duration voor ${one}`, `$duration voor ${words}`],
    after: [`$duration na ${one}`, `$duration na ${words}`],
  };
}

export const dutch: LanguagePack = {
  language: "nl",
  name: "Nederlands",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["één", "een"],
      ["ën", "en"],
    ],
    ordinal: toOrdinal,
    ordinalEndings: [],
    ordinalSigns: ["e", "de", "ste"],
    optional: ["en"],
    thousand: { word: "duizend", one: "duizend", joined: true },
    hundreds: ["honderd"],
    minus: ["min"],
    point: ["komma"],
    decimalSign: ",",
    fractions: [
      { value: 0.5, said: ["half", "halve", "een half", "de helft", "helft", "halverwege"] },
      { value: 0.25, said: ["kwart", "een kwart"] },
      { value: 0.75, said: ["driekwart", "drie kwart"] },
      { value: 1.5, said: ["anderhalf", "anderhalve"] },
      { value: 1 / 3, said: ["een derde"] },
      { value: 2 / 3, said: ["twee derde", "tweederde"] },
    ],
    fractionJoiners: ["en"],
    fractionEndings: [
      { value: 0.5, ending: "ënhalf" },
      { value: 0.5, ending: "enhalf" },
    ],
  },
  times: {
    units: {
      second: ["seconde", "seconden", "sec", "s", "secondje", "secondjes", "tel"],
      minute: ["minuut", "minuten", "min", "m", "minuutje", "minuutjes"],
      hour: ["uur", "uur", "uren", "u", "uurtje", "uurtjes"],
      day: ["dag", "dagen"],
      week: ["week", "weken"],
    },
    one: ["een", "één"],
    durations: {
      30: ["een halve minuut", "halve minuut"],
      900: ["een kwartier", "kwartier"],
      1800: ["een half uur", "half uur", "een halfuur", "halfuur"],
      2700: ["drie kwartier", "driekwart uur"],
      5400: ["anderhalf uur"],
    },
    joiners: ["en"],
    clock: [
      { said: ["$hour [uur]", "($clock | $dotted) uur"] },
      { said: ["$hour uur $minute"] },
      { said: ["half $hour"], minutes: -30 },
      { said: ["kwart over $hour"], minutes: 15 },
      { said: ["kwart voor $hour"], minutes: -15 },
      { said: ["vijf voor half $hour"], minutes: -35 },
      { said: ["vijf over half $hour"], minutes: -25 },
      { said: ["tien voor half $hour"], minutes: -40 },
      { said: ["tien over half $hour"], minutes: -20 },
      { said: ["$minute [minuut | minuten] over $hour"] },
      { said: ["$minute [minuut | minuten] voor $hour"], before: true },
    ],
    moments: {
      "00:00": ["middernacht"],
      "12:00": ["twaalf uur 's middags", "twaalf uur s middags"],
    },
    morning: [
      "(ochtend | vanochtend | 's ochtends) om $time",
      "$time ('s ochtends | s ochtends | 's morgens | s morgens | vanochtend)",
    ],
    afternoon: [
      "(vanavond | avond | vanmiddag | middag | 's avonds | 's middags) om $time",
      "$time ('s middags | s middags | 's avonds | s avonds | vanmiddag | vanavond)",
    ],
    night: ["$time ('s nachts | s nachts | vannacht)"],
    days: { 0: ["vandaag"], 1: ["morgen"], 2: ["overmorgen"] },
    weekday: ["[op] [komende | aanstaande | volgende] $weekday"],
    date: ["[op] $day $month [$year]"],
    partOf: {
      morning: ["$date ochtend", "morgenochtend"],
      afternoon: ["$date (middag | avond)", "morgenmiddag", "morgenavond"],
      night: ["$date nacht", "morgennacht"],
    },
    when: {
      in: ["(over | na) $duration", "$duration later"],
      at: ["(om | vanaf | van) $time [$date]", "$date om $time"],
      for: [
        "voor [de komende | nog] $duration",
        "[nog] $duration (lang | langer)",
        "gedurende $duration",
        "[nog] $duration",
      ],
      until: ["tot $time [$date]", "tot $date [om] $time"],
    },
    sun: {
      reply: "{$when}: {$reply}",
      sunrise: sun("zonsopgang", "zonsopkomst", "(als | zodra | wanneer) de zon opkomt"),
      sunset: sun("zonsondergang", "zonsondergang", "(als | zodra | wanneer) de zon ondergaat"),
      dawn: sun("het ochtendgloren", "dageraad", "(als | zodra) het licht wordt"),
      dusk: sun("schemering", "de schemering", "(als | zodra | wanneer) het donker wordt"),
    },
    then: ["en", "dan", "en dan", "daarna", "en daarna", "vervolgens", "maar", "en ook"],
  },
  units: {
    percent: ["procent", "%"],
    degrees: ["graden", "graad", "graadje", "graadjes"],
    celsius: ["celsius"],
    fahrenheit: ["fahrenheit"],
    kelvin: ["kelvin", "k"],
  },
  elisions: [],
  links: ["", "s", "en"],
  plurals: {
    head: "last",
    endings: [
      ["e", "es"],
      ["er", "ers"],
      ["el", "els"],
      ["aal", "alen"],
      ["aan", "anen"],
      ["", "en"],
    ],
  },
  sounds: dutchSounds,
  small: ["de", "het", "een", "mijn", "onze", "ons"],
  courtesies: {
    opening: [
      "(als | zodra | wanneer) je (kunt | kan | tijd hebt | even tijd hebt)",
      "(kan | wil | zou | kun) iemand [willen | kunnen]",
      "alsjeblieft | alstublieft | (kun | kunt | kan | wil | wilt | zou) (je | u | jij) [me] [willen | kunnen] | je (kunt | mag | kan)",
      "ik (wil | zou) [graag] [dat] [willen] | ik heb graag [dat] | wij (willen | zouden) [graag] | we (willen | zouden) [graag] | (mag | kan) ik [graag] | (mogen | kunnen) we [graag] | ik wil dat je",
      "(zou | vind) je het erg [vinden] [om] | (wees | ben) zo (vriendelijk | lief | goed) [om | en] | zorg ervoor | zorg | let erop | zorg dat je | ga maar | laten we | het is tijd om | doe me een plezier en | (geef | geeft) (me | mij | ons)",
    ],
    closing: [
      "achter (me | mij | ons)",
      "(als | zodra) je (even | een momentje | tijd) (tijd hebt | hebt) | een momentje",
      "alsjeblieft | alstublieft | bedankt | dank je [wel] | voor (mij | me) | (wil | kun) je | nu | meteen | direct | zo snel mogelijk | als je kunt | als het kan | snel | graag | hebben | oké | ja | te hebben | weer",
    ],
  },
  targets: {
    all: ["alle", "elke", "iedere"],
    both: ["beide"],
    everything: [
      "alles",
      "alle apparaten",
      ...["aan staat", "nog aan staat", "aan is", "nog aan is"].flatMap((on) => [
        `alles wat ${on}`,
        `wat ${on}`,
      ]),
    ],
    here: ["hier", "in deze kamer", "in deze ruimte"],
    it: ["het", "hem", "ze", "die", "dat", "deze"],
    there: ["daar", "daar binnen", "die kamer", "die ruimte"],
    outside: ["buiten"],
    inside: ["binnen"],
    everywhere: ["overal", "het hele huis", "hele huis", "huis"],
    one: ["die", "dat"],
    ones: ["die"],
    this: ["deze", "dit", "die", "dat"],
    inPlace: ["in", "op", "van", "bij", "aan"],
    and: ["en", "&", "plus"],
    except: ["behalve", "maar niet", "uitgezonderd", "zonder", "met uitzondering van"],
  },
  kinds: {
    light: { one: ["lamp"], many: ["licht", "lichten", "lampen", "verlichting"] },
    plug: { one: ["stopcontact", "stekker"], many: ["stopcontacten", "stekkers"] },
    pump: { one: ["pomp"], many: ["pompen"] },
    fan: { one: ["ventilator"], many: ["ventilatoren", "ventilators"] },
    heater: { one: ["kachel", "radiator"], many: ["kachels", "radiatoren"] },
    thermostat: { one: ["thermostaat", "verwarming"], many: ["thermostaten"] },
    blind: {
      one: ["rolgordijn", "gordijn", "luik", "rolluik", "jaloezie", "zonnescherm"],
      many: ["rolgordijnen", "gordijnen", "luiken", "rolluiken", "jaloezieën", "zonneschermen"],
    },
    gate: { one: ["poort", "hek"], many: ["poorten", "hekken"] },
    valve: { one: ["klep", "kraan"], many: ["kleppen", "kranen"] },
    lock: { one: ["slot", "deur"], many: ["sloten", "deuren"] },
    alarm: { one: ["alarm"], many: ["alarmen"] },
    camera: { one: ["camera"], many: ["camera's"] },
    sensor: { one: ["sensor"], many: ["sensoren"] },
    player: { one: ["speler", "luidspreker", "muziek"], many: ["spelers", "luidsprekers"] },
    button: { one: ["knop"], many: ["knoppen"] },
    vacuum: { one: ["stofzuiger"], many: ["stofzuigers"] },
    appliance: { one: ["machine", "apparaat"], many: ["machines"] },
    locator: { one: ["zoeker"], many: ["zoekers"] },
  },
  properties: {
    power: ["stroom"],
    brightness: ["helderheid"],
    colour: ["kleur"],
    warmth: ["kleurtemperatuur"],
    speed: ["snelheid"],
    oscillate: ["zwenken"],
    target: ["doeltemperatuur", "instelling"],
    temperature: ["temperatuur"],
    humidity: ["luchtvochtigheid", "vochtigheid"],
    mode: ["modus", "stand"],
    preset: ["voorinstelling"],
    position: ["positie"],
    tilt: ["kanteling", "lamellen"],
    flow: ["doorstroming"],
    locked: ["slot"],
    armed: ["alarmstand"],
    recording: ["opname"],
    illuminance: ["verlichtingssterkte", "lichtsterkte"],
    pm25: ["fijnstof"],
    co2: ["koolstofdioxide", "CO2"],
    moisture: ["vocht"],
    contact: ["contact"],
    motion: ["beweging"],
    battery: ["batterij", "accu"],
    level: ["niveau", "peil"],
    volume: ["volume"],
    muted: ["demping"],
    source: ["bron", "ingang"],
    playing: ["weergave"],
    activity: ["activiteit", "status"],
    program: ["programma"],
  },
  values: {
    power: { on: ["aan"], off: ["uit"] },
    mode: {
      off: ["uit"],
      heat: ["verwarmen"],
      cool: ["koelen"],
      auto: ["auto", "automatisch"],
    },
    preset: {
      home: ["thuis", "aanwezig", "comfort"],
      away: ["weg", "afwezig"],
      sleep: ["nacht", "slapen"],
    },
    armed: {
      off: ["uit"],
      home: ["thuis", "aanwezig"],
      away: ["weg", "afwezig"],
      night: ["nacht", "nachtstand"],
    },
    contact: { open: ["open"], closed: ["dicht"] },
    locked: { true: ["op slot"], false: ["van het slot"] },
    motion: { true: ["in beweging"], false: ["stil"] },
    muted: { true: ["gedempt"], false: ["niet gedempt"] },
    activity: {
      docked: ["in het station"],
      cleaning: ["aan het zuigen"],
      paused: ["gepauzeerd"],
      returning: ["op de terugweg"],
      idle: ["gereed"],
      running: ["bezig"],
      done: ["klaar"],
    },
    playing: { play: ["aan het spelen"], pause: ["gepauzeerd"], stop: ["gestopt"] },
    flow: { on: ["open"], off: ["dicht"] },
    recording: { on: ["aan"], off: ["uit"] },
    oscillate: { on: ["aan"], off: ["uit"] },
  },
  states: {
    on: ["aan", "ingeschakeld"],
    off: ["uit", "uitgeschakeld"],
    open: ["open", "omhoog"],
    closed: ["dicht", "gesloten", "omlaag"],
    locked: ["op slot", "vergrendeld"],
    unlocked: ["van het slot", "ontgrendeld"],
    armed: ["scherp", "ingesteld", "ingeschakeld"],
    disarmed: ["onscherp", "uitgeschakeld"],
    recording: ["aan het opnemen"],
    playing: ["aan het spelen"],
    paused: ["gepauzeerd"],
    muted: ["gedempt", "stil"],
    unmuted: ["niet gedempt"],
    running: ["bezig", "aan het draaien", "aan het zuigen"],
    docked: ["in het station", "aan het opladen"],
    moving: ["in beweging", "beweging"],
    finished: ["klaar"],
  },
  doing: {
    closed: [],
    locked: [],
    moving: ["beweegt"],
    on: ["brandt", "branden", "schijnt"],
    running: ["draait", "draaien", "loopt", "werkt"],
    playing: ["speelt", "spelen"],
    docked: ["laadt"],
  },
  colours: {
    "#ff0000": ["rood"],
    "#00ff00": ["groen"],
    "#0000ff": ["blauw"],
    "#ffff00": ["geel"],
    "#ffa500": ["oranje"],
    "#800080": ["paars", "purper"],
    "#ee82ee": ["violet"],
    "#ffc0cb": ["roze"],
    "#ff69b4": ["felroze"],
    "#ff00ff": ["magenta"],
    "#00ffff": ["cyaan"],
    "#008080": ["blauwgroen", "groenblauw"],
    "#40e0d0": ["turquoise"],
    "#add8e6": ["lichtblauw"],
    "#00008b": ["donkerblauw"],
    "#000080": ["marineblauw"],
    "#87ceeb": ["hemelsblauw"],
    "#006400": ["donkergroen"],
    "#90ee90": ["lichtgroen"],
    "#32cd32": ["limoen", "limoengroen"],
    "#808000": ["olijf", "olijfgroen"],
    "#ffd700": ["goud", "gouden"],
    "#ffbf00": ["amber"],
    "#ff7f50": ["koraal"],
    "#fa8072": ["zalm"],
    "#dc143c": ["karmozijn"],
    "#8b0000": ["donkerrood"],
    "#e6e6fa": ["lavendel"],
    "#4b0082": ["indigo"],
    "#a0522d": ["sienna"],
    "#b4532f": ["terracotta"],
    "#ffdab9": ["perzik"],
    "#f5f5dc": ["beige"],
    "#ffffff": ["wit", "zuiver wit"],
  },
  warmths: {
    1900: ["kaarslicht"],
    2700: ["warmwit", "warm wit", "warm"],
    3500: ["neutraal wit", "neutraal"],
    4000: ["koelwit", "koel wit", "koel"],
    5500: ["daglicht"],
    6500: ["ijswit", "koud"],
  },
  amounts: {
    more: "meer",
    less: "minder",
    small: [
      "[een] [klein] beetje",
      "iets",
      "wat",
      "[een] tikje",
      "[een] tandje",
      "[een] stapje",
      "[een] standje",
      "ietsje",
      "een kier",
      "[een] (stukje | eindje | likje | pietsje | tikkeltje)",
    ],
    counted: ["(standjes | stapjes | tandjes | stappen)"],
    large: ["veel", "flink"],
  },
  levels: {
    least: [
      "minimum",
      "het minimum",
      "laagste stand",
      "[z'n | zijn] laagst",
      "zo (laag | zacht | langzaam | donker) mogelijk",
    ],
    low: ["laag", "langzaam", "lage stand", "stand (één | een)"],
    medium: ["middel", "gemiddeld", "middelste stand", "stand twee"],
    high: ["hoog", "snel", "hoge stand", "stand drie"],
    full: [
      "vol",
      "[het] maximum",
      "volle kracht",
      "hoogste stand",
      "zo (fel | hoog | ver | hard | snel | licht | warm) mogelijk",
      "[z'n | zijn] hoogst",
      "maximaal",
      "helemaal (open | omhoog)",
      "volle sterkte",
      "op zijn (felst | hoogst | hardst | sterkst | helderst)",
    ],
  },
  fillers: [
    "ook",
    "ongeveer",
    "circa",
    "even",
    "graag",
    "willen",
    "eens",
    "alsjeblieft",
    "alstublieft",
    "eh",
    "uh",
    "uhm",
    "hm",
    "nou",
    "dus",
    "maar",
    "toch",
    "gewoon",
    "oké",
    "ok",
    "hé",
    "hoor",
    "zeg",
    "misschien",
    "nu",
    "alleen",
    "slechts",
    "me",
    "mij",
    "ons",
  ],
  hedges: [
    ..."blijf zonsondergang zonsopgang schemering niet geen niemand nooit niets nergens zonder noch bijna liever".split(
      " ",
    ),
    ..."als wanneer zodra terwijl voordat nadat totdat tot of zou had was waren stel veronderstel hoop wens wou herinner onthoud vergeet vergeten denk denkt probeer".split(
      " ",
    ),
    ..."zei zegt gezegd zeggen vertel vertelde vraagt vroeg gevraagd gelooft hoorde gehoord gelezen wie waarom wat welke hoe hebt heeft hadden al gisteren net elke iedere altijd vaak".split(
      " ",
    ),
    ..."aangezet uitgezet aangedaan uitgedaan geopend gesloten ingeschakeld uitgeschakeld gezet gedaan".split(
      " ",
    ),
  ],
  clauses: "ik mijn mij me we wij je hij zij ze het is zijn ben er".split(" "),
  reasons: ["omdat", "want", "zodat", "aangezien"],
  adjectives: {
    co2: ["(muf | benauwd)"],
    brightness: ["(fel | helder | licht)"],
    illuminance: ["(licht | donker | helder)"],
    speed: ["(snel | hard)"],
    temperature: ["(warm | heet | koud | koel)"],
    humidity: ["(vochtig | droog)"],
    moisture: ["(nat | vochtig | droog)"],
    volume: ["(hard | luid)"],
    position: ["(ver open | ver)"],
    battery: ["(vol | opgeladen)"],
    level: ["vol"],
  },
  frames: {
    besides: ["met", "op"],
    state: [
      "$target [weer | helemaal] $state",
      `(${put}) $target [weer | helemaal] $state`,
      `$target (${should}) [weer | helemaal] $state`,
      `$target [weer | helemaal] $state (${ending})`,
      `$target (${should}) [weer | helemaal] $state (${ending})`,
      "(kan | kunnen | zou | zouden) $target [weer | helemaal] $state (zijn | worden | kunnen)",
      `dat $target [weer | helemaal] $state (${ending})`,
    ],
    of: [
      `$property ${van} $target $state`,
      `$property ${van} $target (${should}) $state [staan | zijn | blijven | worden]`,
    ],
    more: ["$state", "(kan | mag | moet) het $state", "$state (bij | op) $target"],
    deed: [
      "zeg [tegen] $target dat (hij | ze | het) (moet | mag) $verb",
      `$target (${should}) $verb`,
      "(laat | laten) $target $verb",
      `dat $target $verb (${should})`,
    ],
    sorts: {
      switched: {
        on: {
          states: ["aan", "(ingeschakeld | aangezet)", "$property aan"],
          commands: [
            `(${turn}) $target [weer] aan`,
            "(schakel) $target [weer] in",
            "$target [weer] (aanzetten | aandoen | inschakelen | aanmaken | aan te zetten | in te schakelen | aan te doen)",
            ...order(
              turn,
              "aanzetten | aandoen | inschakelen",
              `$property ${van} $target (aan | in)`,
            ),
            `$property ${van} $target (aanzetten | inschakelen)`,
          ],
        },
        off: {
          states: ["(uit | af)", "(uitgeschakeld | uitgezet)", "$property uit"],
          commands: [
            `(${turn}) $target [weer] (uit | af)`,
            "$target [weer] (uitzetten | uitdoen | uitschakelen | afzetten | uit te zetten | uit te schakelen | uit te doen)",
            `(${turn}) $property ${van} $target uit`,
            `$property ${van} $target (uitzetten | uitschakelen)`,
          ],
        },
      },
      level: {
        to: {
          states: [
            "[op | naar | met | tot] $value",
            "[op | naar | met] $value $property",
            "[op | met] [een] $property [op | van | naar] $value",
          ],
          commands: [
            ...order(adjust, adjusting, "$property (op | naar) $value"),
            "$property [op | naar] $value",
            "$value (op | voor) $target",
            "(stel) $target in op $value",
            "(stel) $property [van | in | op] $target in op $value",
            "$target op $value instellen",
            ...order(
              adjust,
              adjusting,
              `$target [omhoog | omlaag | terug] (op | naar | tot) $value`,
            ),
            ...order(
              adjust,
              adjusting,
              `$property ${van} $target [omhoog | omlaag] (op | naar | tot) $value`,
            ),
            ...order(adjust, adjusting, "$target $property (op | naar) $value"),
            `$property ${van} $target [op | naar] $value`,
            `$value $property ${van} $target`,
          ],
        },
        up: {
          states: [
            "[met] $amount (hoger | omhoog | erbij)",
            "(hoger | omhoog) [met $amount]",
            "$property [[met] $amount] (hoger | omhoog)",
            "[$amount] meer $property",
          ],
          commands: [
            ...order(adjust, adjusting, "$property [[met] $amount] (hoger | omhoog)"),
            ...order("verhoog", "verhogen", "$property [[met] $amount]"),
            ...order("verhoog", "verhogen", "$target [[met] $amount]"),
            ...order("verhoog", "verhogen", `$property ${van} $target [[met] $amount]`),
            ...order(
              adjust,
              adjusting,
              `$property ${van} $target [[met] $amount] (hoger | omhoog)`,
            ),
            "$target [[met] $amount] (opendraaien | omhoogdraaien | ophogen)",
            `[$amount] meer $property ${van} $target`,
          ],
        },
        down: {
          states: [
            "[met] $amount (lager | omlaag | eraf | terug)",
            "(lager | omlaag | terug) [met $amount]",
            "$property [[met] $amount] (lager | omlaag)",
            "[$amount] minder $property",
          ],
          commands: [
            ...order(adjust, adjusting, "$property [[met] $amount] (lager | omlaag)"),
            ...order("verlaag", "verlagen", "$property [[met] $amount]"),
            ...order("verlaag | verminder", "verlagen | verminderen", "$target [[met] $amount]"),
            ...order(
              "verlaag | verminder",
              "verlagen | verminderen",
              `$property ${van} $target [[met] $amount]`,
            ),
            ...order(
              adjust,
              adjusting,
              `$property ${van} $target [[met] $amount] (lager | omlaag)`,
            ),
            "$target [[met] $amount] (terugdraaien | omlaagdraaien)",
            `[$amount] minder $property ${van} $target`,
          ],
        },
      },
      choice: {
        to: {
          states: [
            "[op | naar | in | met] [de] $value [stand | modus]",
            "[op | in] $property $value",
            "$property [op | naar] $value",
          ],
          commands: [
            ...order(adjust, adjusting, `$property ${van} $target (op | naar) $value`),
            ...order(adjust, adjusting, "$target $property (op | naar) $value"),
            ...order("kies | selecteer", "kiezen | selecteren", `$property $value ${van} $target`),
            `$property ${van} $target [op | naar] $value`,
            ...order(adjust, adjusting, "$property (op | naar) $value"),
            "$property [op | naar] $value",
          ],
        },
      },
      colour: {
        to: {
          states: ["[op | naar | in] $value", "$property [op | naar] $value"],
          commands: [
            ...order(`${adjust} | maak`, adjusting, `$property ${van} $target [op | naar] $value`),
            `$property ${van} $target [op] $value`,
            "(kleur) $target $value",
          ],
        },
      },
      text: {
        to: {
          states: ["$property op $value", "$property $value"],
          commands: [...order(adjust, adjusting, `$property ${van} $target (op | naar) $value`)],
        },
      },
      action: {
        call: { states: [], commands: ["$verb $target", "$target $verb"] },
      },
    },
  },
  vocabulary: {
    "mode-on": {
      reply: "{$target}: aan.",
    },
    "mode-off": {
      reply: "{$target}: uit.",
    },
    "position-short": {
      states: ["[op | voor] $level (dicht | omlaag | gesloten | naar beneden)"],
      patterns: [
        "(sluit | doe | laat | trek) $target [op | voor | tot] $level (dicht | omlaag | zakken | naar beneden)",
        "(sluit) $target [op | voor | tot] $level",
        "$target [op | voor | tot] $level (sluiten | dichtdoen)",
      ],
      reply: "{$target} gaat dicht.",
    },
    "program-start": {
      patterns: [
        "(start) $target (met | op | in) [het] [programma] $program",
        "(start) [het] [programma] $program [programma] (op | van | bij) $target",
        "(laat) $target (met | op) $program draaien",
      ],
      reply: "{$target} start met {$program}.",
    },
    "power-start": {
      deeds: ["draaien | lopen | starten"],
      states: ["aan het draaien"],
      patterns: [
        "(start) $target",
        "$target (starten | laten draaien)",
        "(laat) $target (draaien | lopen)",
        `${flick} $target aan de gang`,
      ],
      reply: "{$target}: aan.",
    },
    "power-stop": {
      patterns: ["(stop) $target", "$target stoppen", `${flick} $target stop`],
      reply: "{$target}: uit.",
    },
    "ask-how": {
      patterns: [
        "hoe $measure is het",
        "hoe $measure (is | zijn | staat | staan | draait) [het] [in | op | bij | van] $target [open | ingesteld]",
        "is het $measure [in | op | bij] $target",
        "hoe $measure is (grond | aarde | lucht) (in | op) $target",
      ],
      reply: "",
    },
    "ask-setting": {
      patterns: [
        "(waar staat | waarop staat | hoe staat) $target [op | ingesteld]",
        "op (hoeveel [graden | procent] | wat) staat $target [ingesteld]",
      ],
      reply: "",
    },
    "ask-doing": {
      patterns: ["wat (doet | is) $target [aan het doen]"],
      reply: "",
    },
    "power-on": {
      patterns: [
        "(activeer | activeren) $target",
        "$target activeren",
        "(steek) $target aan",
        `${flick} $target [weer] (aan | in)`,
      ],
      reply: "{$target} aan.",
    },
    "power-off": {
      patterns: ["$target doven", "(deactiveer | doof) $target"],
      reply: "{$target} uit.",
    },
    "brightness-to": {
      patterns: [`(${set} | dim) $target ${to} $level [helderheid]`, "dim $target [tot] $level"],
      reply: "{$target} op {$level} procent.",
    },
    brighter: {
      states: [
        "[[met] $amount] (feller | lichter | helderder)",
        "(feller | lichter | helderder) met $amount",
      ],
      patterns: [
        "[$amount] meer licht",
        "[$amount] meer licht [in | op | bij | van] $target",
        `(verhoog | vergroot) [de] helderheid ${of} $target [${by}]`,
        `draai $target [${by}] (op | hoger | omhoog)`,
      ],
      reply: "{$target} feller.",
    },
    dimmer: {
      states: [
        "[[met] $amount] (donkerder | zachter | gedimd)",
        "(donkerder | zachter) met $amount",
      ],
      patterns: [
        "[$amount] minder licht",
        "(dim) [$amount] $target",
        "$target [[met] $amount] dimmen",
        "[$amount] minder licht [in | op | bij | van] $target",
        `(${set} | maak) $target [${by}] (donkerder | zwakker | minder fel)`,
        `$target [${by}] (donkerder | zwakker | minder fel)`,
        `dim $target [${by}]`,
      ],
      reply: "{$target} donkerder.",
    },
    "speed-to": {
      patterns: [
        "(laat) $target (op | met) $level draaien",
        "$target (op | met) $level laten draaien",
        `laat $target ${to} $level draaien`,
      ],
      reply: "{$target} op {$level} procent.",
    },
    faster: {
      states: ["[[met] $amount] (sneller | harder)"],
      patterns: [`(${set} | maak | laat) $target [${by}] (sneller | harder) [draaien]`],
      reply: "{$target} sneller.",
    },
    slower: {
      states: ["[[met] $amount] (langzamer | trager | zachter)"],
      patterns: [`(${set} | maak | laat) $target [${by}] (langzamer | zachter) [draaien]`],
      reply: "{$target} langzamer.",
    },
    "oscillate-on": {
      deeds: ["zwenken | heen en weer (gaan | draaien)"],
      states: ["aan het (zwenken | draaien)"],
      patterns: [
        "$target laten zwenken",
        "(zwenk) $target",
        "laat $target (zwenken | draaien)",
        "$target zwenken",
      ],
      reply: "{$target} zwenkt.",
    },
    "oscillate-off": {
      patterns: ["laat $target niet [meer | langer] zwenken", "$target niet zwenken"],
      reply: "{$target} zwenkt niet meer.",
    },
    "colour-to": {
      patterns: ["(kleur | verf) $target $colour"],
      reply: "{$target} in {$colour}.",
    },
    "warmer-light": { states: ["[$amount] (warmer | gezelliger)"], reply: "{$target} warmer." },
    "cooler-light": {
      states: ["[$amount] (koeler | kouder | witter)"],
      reply: "{$target} koeler.",
    },
    "warmth-to": {
      reply: "{$target} op {$warmth} kelvin.",
    },
    "temperature-to": {
      patterns: [
        "(zet | stel) [de] temperatuur (op | naar) $degrees",
        "temperatuur [op] $degrees",
        "(verwarm | stook | koel) $target (tot | naar | op) $degrees",
        "$target (tot | naar | op) $degrees (verwarmen | stoken)",
        "(zet | stel | draai | breng) [de] temperatuur [van | in | op | voor | bij] $target (op | naar) $degrees",
        "temperatuur [van | in | op | voor | bij] $target (op | naar) $degrees [zetten | stellen]",
        "$target temperatuur [op] $degrees",
        `${set} [de] temperatuur ${of} $target ${to} $degrees`,
        "[maak het] $degrees in $target",
      ],
      reply: "{$target} op {$degrees} graden.",
    },
    warmer: {
      states: ["[[met] $amount] (warmer | heter)"],
      patterns: [
        "warm $target [$amount] op",
        "(verhoog) [de] temperatuur [[van | in | op | bij] $target] [[met] $amount]",
        "temperatuur [[van | in | op | bij] $target] [[met] $amount] verhogen",
        "(draai | zet) $target [[met] $amount] (hoger | omhoog | open)",
        `verhoog [de temperatuur ${of}] $target [${by}]`,
        `maak het [${by}] warmer in $target`,
      ],
      reply: "{$target} warmer.",
    },
    cooler: {
      states: ["[[met] $amount] (kouder | koeler | frisser)"],
      patterns: [
        "(verlaag) [de] temperatuur [[van | in | op | bij] $target] [[met] $amount]",
        "temperatuur [[van | in | op | bij] $target] [[met] $amount] verlagen",
        `verlaag [de temperatuur ${of}] $target [${by}]`,
        `maak het [${by}] (kouder | koeler) in $target`,
      ],
      reply: "{$target} koeler.",
    },
    "mode-to": {
      reply: "{$target}: {$mode}.",
    },
    "preset-to": {
      reply: "{$target}: {$preset}.",
    },
    open: {
      deeds: ["opengaan | openen"],
      states: ["[helemaal] (open | omhoog | op | uitgerold | uitgeklapt)"],
      patterns: [
        "$target [helemaal] (openen | opendoen | openmaken | ophalen | optrekken | opentrekken | open te doen | te openen)",
        "(haal | trek | doe | zet | maak) $target [helemaal] (op | open | omhoog)",
        "open $target [helemaal | volledig]",
        `(${unroll}) $target [helemaal] (uit | naar buiten)`,
        "$target [helemaal] (uitrollen | uitdraaien | uitschuiven | uitklappen)",
        `${open} $target [helemaal] (open | omhoog)`,
      ],
      reply: "{$target} gaat open.",
    },
    close: {
      deeds: ["dichtgaan | sluiten"],
      states: [
        "[helemaal] (dicht | omlaag | neer | toe | gesloten | naar beneden | ingerold | ingeklapt)",
      ],
      patterns: [
        "$target [helemaal] (sluiten | dichtdoen | dichtmaken | neerlaten | laten zakken | dicht te doen | te sluiten)",
        "(laat) $target [helemaal] (zakken | neer)",
        "(doe | maak | trek | haal) $target [helemaal] (dicht | toe | neer | omlaag | naar beneden)",
        "sluit $target [helemaal | volledig]",
        `(${unroll} | haal | doe) $target [helemaal] (in | binnen | naar binnen)`,
        "$target [helemaal] (inrollen | indraaien | inschuiven | inklappen | binnenhalen | inhalen)",
      ],
      reply: "{$target} gaat dicht.",
    },
    "position-to": {
      states: [
        "[op | voor] $level open",
        "(op | voor | tot) $level omhoog",
        "open [op | voor] $level",
      ],
      patterns: [
        "(open | zet | doe | haal | trek) $target [op | voor | tot] $level [open]",
        "(zet | doe | haal | trek) $target (op | voor | tot) $level omhoog",
        "$target [op | voor | tot] $level (openen | opendoen | zetten)",
        `(${set} | open | sluit) $target ${to} $level`,
        "(open | sluit) $target [voor] $level",
        `$target ${to} $level [open]`,
      ],
      reply: "{$target} op {$level} procent.",
    },
    "open-more": {
      patterns: [
        `(open | haal) $target met $amount [verder]`,
        `${open} $target (nog $amount | $amount verder | verder) (open | omhoog)`,
        `(${unroll}) $target [nog] $amount (uit | naar buiten)`,
      ],
      states: [
        "op een kier",
        "[met] $amount [verder] (omhoog | hoger | open)",
        "[$amount] verder (omhoog | open)",
      ],
      reply: "{$target} verder open.",
    },
    "close-more": {
      patterns: [
        "(sluit) $target met $amount [verder]",
        `(${open} | sluit) $target (nog $amount | $amount verder | verder) (dicht | omlaag)`,
        "laat $target [nog] $amount zakken",
        `(${unroll}) $target [nog] $amount (in | naar binnen)`,
      ],
      states: [
        "[met] $amount [verder] (omlaag | lager | dicht | naar beneden)",
        "[$amount] verder (omlaag | dicht | naar beneden)",
      ],
      reply: "{$target} verder dicht.",
    },
    "tilt-to": {
      states: ["[op] $level gekanteld"],
      patterns: [
        "(kantel) $target [op | naar | tot] $level",
        "$target [op | naar | tot] $level kantelen",
        "(kantel | draai | zet) lamellen (van | op) $target (op | naar) $level",
        "lamellen (van | op) $target (op | naar) $level (kantelen | draaien | zetten)",
      ],
      reply: "{$target} gekanteld op {$level} procent.",
    },
    "stop-moving": {
      patterns: [
        "(stop) $target",
        "$target stoppen",
        "(hou | houd) $target (tegen | stil)",
        "stop $target",
        "$target stop",
      ],
      reply: "{$target} gestopt.",
    },
    "flow-on": {
      states: ["open"],
      patterns: [
        "(open | draai) $target [open]",
        "$target (openen | opendraaien | openzetten | opendoen)",
      ],
      reply: "{$target} open.",
    },
    "flow-off": {
      states: ["(dicht | toe)"],
      patterns: ["(sluit | draai) $target [dicht]", "$target (sluiten | dichtdraaien | dichtdoen)"],
      reply: "{$target} dicht.",
    },
    lock: {
      deeds: ["op slot gaan"],
      states: ["(op slot | vergrendeld | afgesloten)"],
      patterns: ["$target (vergrendelen | afsluiten)", "vergrendel $target", "sluit $target af"],
      reply: "{$target} op slot.",
    },
    unlock: {
      states: ["(van het slot | van slot | ontgrendeld)"],
      patterns: [
        "(haal | doe) $target van [het] slot",
        "$target van [het] slot (halen | doen)",
        "$target ontgrendelen",
        "ontgrendel $target",
        "(haal | doe) $target van het slot [af]",
      ],
      reply: "{$target} van het slot.",
    },
    arm: {
      states: [
        "(scherp | ingeschakeld | aan) [op | voor] [de] [$mode]",
        "[op | in] [de] $mode [stand]",
      ],
      patterns: [
        "(schakel) $target in [op | voor] [de] [$mode]",
        "(zet | schakel | stel | doe | maak) $target [scherp | in | aan] [op | voor] [de] $mode [in | scherp]",
        "$target (scherp zetten | scherpzetten | inschakelen | activeren | aanzetten) [voor | op] [de] [$mode]",
        "(activeer) $target [voor | op] [de] [$mode]",
        "(zet | stel) $target (op scherp | scherp) [op] [$mode]",
        `${set} $target ${to} $mode`,
      ],
      reply: "{$target} staat op scherp.",
    },
    disarm: {
      states: ["(onscherp | uit | uitgeschakeld)"],
      patterns: [
        "$target (uitschakelen | uitzetten | onscherp zetten | deactiveren | uitdoen)",
        "(deactiveer) $target",
      ],
      reply: "{$target} is uit.",
    },
    record: {
      deeds: ["opnemen"],
      states: ["aan het opnemen"],
      patterns: [
        "(neem) met $target op",
        "(start | begin) [met de] opname [van | met | op] $target",
        "met $target opnemen",
        "neem op met $target",
        "$target (opnemen | opname aan | opname starten)",
      ],
      reply: "{$target} neemt op.",
    },
    "stop-recording": {
      patterns: [
        "stop [de] opname (met | van | op) $target",
        "$target (niet opnemen | opname uit | opname stoppen)",
      ],
      reply: "{$target} neemt niet meer op.",
    },
    play: {
      deeds: ["spelen | verder spelen | afspelen"],
      states: ["aan het spelen"],
      patterns: [
        "(ga verder | speel verder | verder)",
        "(zet | doe) [wat | een beetje] muziek (op | aan) [(in | op | bij) $target]",
        "(zet | doe) [wat | een beetje] muziek (in | op | bij) $target (op | aan)",
        "$target (afspelen | spelen | laten spelen | hervatten)",
        "(speel | start | hervat) [de] (muziek | weergave) [in | op | van] $target [af]",
        "(hervat | start) $target",
        "speel $target [af | verder]",
        "$target (spelen | verder | afspelen)",
      ],
      reply: "{$target} speelt.",
    },
    pause: {
      deeds: ["pauzeren"],
      states: ["(op pauze | gepauzeerd)"],
      patterns: [
        "(pauze | pauzeer)",
        "(pauzeer) de muziek",
        "(pauzeer) [de] (muziek | weergave) [in | op | van] $target",
        "(pauzeer | onderbreek) $target",
        "$target (pauze | pauzeren)",
      ],
      reply: "{$target} gepauzeerd.",
    },
    "stop-playing": {
      states: ["gestopt"],
      patterns: [
        "(stop) [de] (muziek | weergave) [in | op | van] $target",
        "stop $target",
        "$target stop",
      ],
      reply: "{$target} gestopt.",
    },
    next: {
      patterns: [
        "(volgend | volgende) (nummer | liedje)",
        "volgend (nummer | liedje) [op | van | bij | in] $target",
        "volgende (nummer | liedje | track | plaat) [op | van | bij | in] $target",
        "(speel | ga naar) [het] volgende (nummer | liedje) [op | van | bij | in] $target",
        "(sla) dit (nummer | liedje) over [op | van | bij | in] $target",
        "(sla) dit (nummer | liedje) [op | van | bij | in] $target over",
        "(volgend | volgende) (nummer | lied) (op | van) $target",
        "$target (volgende | volgend nummer)",
      ],
      reply: "Volgende op {$target}.",
    },
    previous: {
      patterns: [
        "(vorig | vorige) (nummer | lied) (op | van) $target",
        "$target (vorige | vorig nummer)",
      ],
      reply: "Vorige op {$target}.",
    },
    "play-what": {
      patterns: ["speel $what (op | via) $target"],
      reply: "{$what} op {$target}.",
    },
    "volume-to": {
      patterns: [`${set} [het] (volume | geluid) ${of} $target ${to} $level`],
      reply: "{$target} op volume {$level}.",
    },
    louder: {
      patterns: ["[(zet | doe | maak)] geluid [$amount] (harder | luider)"],
      states: ["[[met] $amount] (luider | harder)"],
      reply: "{$target} harder.",
    },
    quieter: {
      patterns: ["[(zet | doe | maak)] geluid [$amount] (zachter | stiller)"],
      states: ["[[met] $amount] (zachter | stiller)"],
      reply: "{$target} zachter.",
    },
    mute: {
      states: ["(stil | gedempt | op stil)"],
      patterns: [
        "[het] geluid uit",
        "(zet) het geluid uit",
        "$target dempen",
        "(zet) [het] geluid [van | op | bij] $target uit",
        "demp $target",
      ],
      reply: "{$target} gedempt.",
    },
    unmute: {
      patterns: [
        "[(zet | doe)] [het] geluid [weer] aan",
        "(zet | doe) [het] geluid van $target [weer] aan",
        "demp $target niet [meer | langer]",
      ],
      reply: "{$target} weer hoorbaar.",
    },
    "source-to": {
      patterns: [
        "(speel | draai) [wat] $source [op | via] $target",
        "(speel | draai) [wat] $source",
        "(zet | doe) [wat] $source (op | aan)",
      ],
      reply: "{$target} op {$source}.",
    },
    press: {
      patterns: [
        "op $target drukken",
        "(luid | bel) [met] $target",
        "(laat) $target (klinken | rinkelen)",
        "druk op $target",
        "druk $target in",
        "$target indrukken",
      ],
      reply: "{$target} ingedrukt.",
    },
    start: {
      deeds: ["draaien | lopen | starten | beginnen | schoonmaken | stofzuigen | zuigen | vegen"],
      states: ["(aan het werk | aan het zuigen | aan het draaien | bezig)"],
      patterns: [
        "$target (starten | laten draaien | laten lopen | aan het werk zetten)",
        "(laat) $target (draaien | lopen | zuigen | vegen | starten | werken)",
        "(stuur) $target (op pad | eropuit | weg)",
        "start $target",
        "laat $target (beginnen | draaien | zuigen | starten)",
        "$target (start | starten | beginnen)",
        `${flick} $target aan de gang`,
      ],
      reply: "{$target} gestart.",
    },
    stop: {
      deeds: ["stoppen | ophouden"],
      states: ["gestopt"],
      patterns: ["(stop | beëindig) $target", "$target (stoppen | beëindigen)"],
      reply: "{$target} gestopt.",
    },
    "pause-work": {
      states: ["(op pauze | gepauzeerd)"],
      patterns: ["(pauzeer | onderbreek) $target", "$target (pauze | pauzeren)"],
      reply: "{$target} gepauzeerd.",
    },
    "stop-work": {
      deeds: ["stoppen | ophouden"],
      states: ["gestopt"],
      patterns: ["stop $target", "$target (stop | stoppen)"],
      reply: "{$target} gestopt.",
    },
    dock: {
      deeds: ["terugkeren | teruggaan | naar huis gaan | opladen"],
      states: ["(op | in | naar) [zijn] (basis | station | laadstation)"],
      patterns: [
        "(stuur | breng) $target (terug | naar huis) [naar] [zijn] [basis | station | laadstation]",
        "(stuur | breng) $target naar [zijn] (basis | station | laadstation)",
        "$target (terug sturen | terugsturen | naar huis sturen)",
        "$target (naar huis | terug | [terug] naar [het | je | zijn] (basis | station | laadstation))",
        "laad $target op",
      ],
      reply: "{$target} gaat terug.",
    },
    "program-to": {
      patterns: [
        "(kies) $program [programma] (op | voor | bij) $target",
        `(${set}) $target (op | met | naar) [programma] $program`,
      ],
      reply: "{$target} op {$program}.",
    },
    find: {
      patterns: [
        "waar (zijn | is | heb ik | liggen | ligt) $target [gelaten | gelegd]",
        "$target (vinden | zoeken)",
        "(laat) $target (piepen | rinkelen | afgaan)",
        "(zoek | vind) $target",
        "ik ben $target kwijt",
      ],
      reply: "{$target} piept.",
    },
    "run-routine": {
      patterns: [
        "(start | begin | draai) [met] [de routine] $routine",
        "voer [de routine] $routine uit",
        "routine $routine",
      ],
      reply: "",
    },
    "ask-value": {
      patterns: [
        "(wat | hoe hoog) is $measure",
        "(wat | hoeveel | hoe hoog) is $measure [van | in | op | bij] $target",
        "(welke | wat voor) $measure (heeft | is het) [van | in | op | bij] $target",
        "op welke $measure staat $target",
        "(zeg | vertel) me $measure [van | in | op | bij] $target",
        "$measure (van | in | op | bij) $target",
        "hoeveel $measure (is | zit) er [nog] (in | op | bij) $target",
        "(welke | wat voor) $measure (zit | is) er (in | op | bij) $target",
        "(is | staat) $measure (van | in | op | bij) $target [nog] (aan | uit)",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        "hoeveel graden is het [in | op | bij] $target",
        "is het (warm | koud | heet | koel) [in | op | bij] $target",
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "(is | zijn | staat | staan | zit | zitten) $target [nog | allemaal] $state",
        "(heb ik | hebben we) $target [nog] $state (gelaten | laten staan)",
        "(kijk | zeg | check) [me] of $target [nog] $state (is | zijn | staat | staan | zit | zitten)",
        "(is | zijn) $target al $state",
        "(kijk | controleer | zeg me) of $target $state (is | zijn | staat | staan | zit | zitten)",
        "is er $state (in | op | bij) $target",
        "(is | zijn | staat | staan | zit | zitten) $target $state of (dicht | open | aan | uit | op slot)",
        "(heb ik | hebben we | heb je | heeft iemand) $target [nog] $state [gedaan | gezet | gelaten | laten staan | laten zitten]",
      ],
      reply: "",
    },
    "ask-whether-does": {
      patterns: [
        "$state [nog] $target [nog | al]",
        "$target $state [nog]",
        "(kijk | zeg me | controleer) of $target [nog] $state",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "wat (is | staat) er [nog | allemaal | allemaal nog] $state",
        "wat heb ik [nog] $state (gelaten | laten staan)",

        "welke [van] $target (is | zijn | staan | staat) [nog] $state",
        "hoeveel [van] $target (is | zijn | staan | staat) [er] [nog] $state",
        "wat (is | staat) [er] [nog] $state (in | op) $target",
      ],
      reply: "",
    },
    "ask-which-do": {
      patterns: ["(welke | hoeveel) [van] $target $state [er] [nog | allemaal]"],
      reply: "",
    },
    "ask-motion": {
      patterns: [
        "is er (iemand | beweging) (in | op | bij) $target",
        "beweegt er iets (in | op | bij) $target",
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "(is | staat) er [nog] iets [nog] $state",
        "(is | staat) [nog] iets $state",
        "heb ik [nog] iets $state (gelaten | laten staan)",

        "(is | staat) er [nog] iets $state [in | op | bij] $target",
        "(is | staat) er [in | op | bij] $target [nog] iets $state",
        "(is | staat) er [nog] ergens [een] $target $state",
        "(is | zijn | staan | staat) er [nog] [een | enkele] [van] $target [nog] $state",
      ],
      reply: "",
    },
  },
  wishes: {
    frames: [
      `$complaint [${inThe} $target]`,
      `(het is | het wordt | ik vind het | we vinden het) [${inThe} $target] [me | ons | nog | nog steeds | alweer] $complaint [${inThe} $target]`,
      `${inThe} $target is het [me | ons | nog | nog steeds | alweer] $complaint`,
      "$target (is | zijn | staat | staan | draait) [me | ons | nog | nog steeds | alweer] $complaint",
      "(ik vind | we vinden) $target $complaint",
    ],
    wishes: {
      "too-dark": {
        complaints: ["[$amount] te (donker | duister | somber)", "niet (licht | fel) genoeg"],
        patterns: [
          `(ik | we | wij | je) (zie | ziet | zien) [${inThe} $target] [bijna | helemaal] (niets | niks) [${inThe} $target]`,
          `(ik | we | wij | je) (kan | kunt | kunnen) [${inThe} $target] [bijna | helemaal] (niets | niks) zien [${inThe} $target]`,
          `het is [${very}] donker [${inThe} $target]`,
        ],
      },
      "too-bright": {
        complaints: ["[$amount] te (licht | fel | helder)", "niet donker genoeg"],
        patterns: ["$target (verblindt | verblinden) (me | mij | ons)"],
      },
      "too-cold": {
        complaints: ["[$amount] te (koud | koel | fris | kil)", "niet warm genoeg"],
        patterns: [
          `(ik heb | we hebben | wij hebben) het [${very} | te | een beetje] koud [${inThe} $target]`,
          `(ik bevries | ik vries | we bevriezen | wij bevriezen) [${inThe} $target]`,
          `het is [${very}] koud [${inThe} $target]`,
        ],
      },
      "too-warm": {
        complaints: ["[$amount] te (warm | heet)", "niet (koel | koud) genoeg"],
        patterns: [
          `(ik heb | we hebben | wij hebben) het [${very} | te | een beetje] (warm | heet) [${inThe} $target]`,
          `(ik zweet | we zweten | wij zweten) [${inThe} $target]`,
          `het is [${very}] (heet | snikheet) [${inThe} $target]`,
        ],
      },
      "too-loud": {
        complaints: ["[$amount] te (hard | luid)", "niet (zacht | stil) genoeg"],
        patterns: ["(ik | we | wij) (kan | kunnen) (mezelf | elkaar) niet (horen | verstaan)"],
      },
      "too-quiet": {
        complaints: ["[$amount] te (zacht | stil)", "niet (hard | luid) genoeg"],
        patterns: [
          "(ik | we | wij | je) (hoor | hoort | horen) [$target] [bijna | helemaal] (niet | niets | niks | nauwelijks)",
          "(ik | we | wij | je) (kan | kunt | kunnen) [$target] [bijna | helemaal] (niet | niets | niks | nauwelijks) (horen | verstaan)",
        ],
      },
      "too-slow": { complaints: ["[$amount] te (langzaam | traag)", "niet snel genoeg"] },
      "too-fast": { complaints: ["[$amount] te snel", "niet langzaam genoeg"] },
    },
  },
  sources: [
    "(wat is | hoe is | wat zegt | vertel [me] | lees [me] | wat staat er (in | op)) $source [voor]",
  ],
  conversation: {
    yes: ["ja [graag | alsjeblieft]", "(oké | ok | okay | prima | doe maar | zeker)"],
    no: ["nee [bedankt | dank je]"],
    cancel: ["(laat maar | annuleer | vergeet het | stop maar)"],
    again: ["nog een keer", "nog eens", "opnieuw"],
    undo: ["maak dat ongedaan", "ongedaan maken", "draai dat terug"],
  },
  answers: {
    value: "{$name}: {$property} {$value}.",
    yes: "Ja, {$name}: {$state}.",
    no: "Nee, {$name}: {$state}.",
    list: "{$list}.",
    none: "Geen enkele.",
  },
  refusals: {
    of: "{$property} van {$name}",
    that: "dat",
    between: "{$what} gaat van {$minimum} tot {$maximum}, niet {$said}",
    atLeast: "{$what} begint bij {$minimum}, niet {$said}",
    atMost: "{$what} gaat tot {$maximum}, niet {$said}",
    oneOf: "{$what} kan {$choices} zijn, niet {$said}",
    unable: "{$name} kan dat niet",
    alone: "{$name} moet apart genoemd worden",
    length: "dat is geen tijdsduur",
    nowhere: "ik weet niet wat u bedoelt",
    past: "{$time} is voorbij",
    named: "het moet apart genoemd worden",
    nothing: "zoiets is er niet",
    place: "„{$words}” is daar geen plaats voor",
    day: "ik weet niet welke dag het is",
    sun: "ik weet niet waar de zon staat",
    times: "er zijn twee tijden genoemd voor één opdracht",
    later: "een antwoord kan niet wachten",
    stays: "wat {$name} doet is na een tijdje niet terug te draaien",
    both: "{$what} kan niet tegelijk {$first} en {$second} zijn",
  },
  replies: {
    unknown: "Sorry, dat heb ik niet begrepen.",
    unsure: "Welke: {$choices}?",
    refuse: "Dat gaat niet: {$reason}.",
    cannot: "Dat gaat niet.",
    act: "Gedaan.",
    confirm: "Weet je het zeker?",
    offer: "Bedoel je: {$reply}?",
    code: "Wat is de code?",
    failed: "{$names}: geen antwoord.",
    partly: "{$reply} {$names}: geen antwoord.",
    leftOut: "{$reply} Maar niet: {$names}.",
    notAll: "Niet alles is gelukt.",
    withheld: "{$names} niet: dat moet apart gevraagd worden.",
    notNow: "Dat kan nu niet.",
    running: "Dat loopt al.",
    devices: "apparaten",
    cancelled: "Dan niet.",
    undone: "Ongedaan gemaakt.",
    nothingToUndo: "Er is niets ongedaan te maken.",
    nothingToRepeat: "Er is niets te herhalen.",
    wrongCode: "Dat is niet de code.",
    locked: "Te veel foute codes. Wacht {$duration}.",
    ask: "Welke waarde voor {$slot}?",
    in: "Over {$duration}: {$reply}",
    at: "Om {$time}: {$reply}",
    for: "{$duration} lang: {$reply}",
    until: "Tot {$time}: {$reply}",
    atDay: "{$day} om {$time}: {$reply}",
    untilDay: "Tot {$day} om {$time}: {$reply}",
  },
};
