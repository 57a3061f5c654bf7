import { toCardinal, toOrdinal } from "n2words/it-IT";
import type { LanguagePack } from "./pack.ts";
import { italianSounds } from "./sounds/italian.ts";

const on = "(accendi | accenda | accendere | attiva | attivi | attivare)";
const off = "(spegni | spenga | spegnere | disattiva | disattivi | disattivare)";
const set =
  "(metti | metta | mettere | imposta | imposti | impostare | porta | porti | regola | regoli)";
const open =
  "(apri | apra | aprire | riapri | riaprire | alza | alzi | alzare | rialza | rialzare | solleva | sollevi)";
const close =
  "(chiudi | chiuda | chiudere | richiudi | richiudere | abbassa | abbassi | abbassare | riabbassa)";
const turnUp = "(alza | alzi | alzare | aumenta | aumenti | aumentare)";
const turnDown = "(abbassa | abbassi | abbassare | riduci | riduca | diminuisci | diminuisca)";
const start = "(avvia | avvii | avviare | fai partire | inizia | inizi | comincia | lancia)";
const stop = "(ferma | fermi | fermare | arresta | arresti | interrompi)";
const to = "(a | al | all' | allo | alla | su | sul)";
const of =
  "(di | del | della | dello | dell' | dei | delle | degli | in | nel | nella | nell' | a | al | alla)";
const in_ = "(in | nel | nella | nello | nell' | a | al | alla | su | sul | sulla | sullo)";
const by = "[di] $amount";

const di =
  "[di | del | della | dello | dell' | dei | delle | degli | in | nel | nella | nell' | su | sul | sulla | a | al | alla | all' | per]";
const a = "a | al | allo | alla | all' | su | sul | sullo | in";
const put =
  "cambia | cambiare | metti | metta | mettere | imposta | imposti | impostare | lascia | lasci | lasciare | tieni | tenere | fai | fare | rendi | rendere | rimetti | rimettere | porta | portare | passa | passi | passare | vorrei | avere";
const adjust =
  "metti | metta | mettere | imposta | imposti | impostare | porta | porti | portare | regola | regoli | regolare | cambia | cambi | cambiare | passa | passi | passare | alza | alzi | alzare | abbassa | abbassi | abbassare | fissa | lascia";
const raise = "alza | alzi | alzare | aumenta | aumenti | aumentare | incrementa";
const lower =
  "abbassa | abbassi | abbassare | riduci | riduca | ridurre | diminuisci | diminuisca | diminuire";
/** "La luce si può spegnere." */
const may = "[adesso | ormai] si (può | possono | potrebbe | potrebbero) [già]";

const should = "deve | devono | dovrebbe | dovrebbero | può | possono | potrebbe | potrebbero";

const inThe = "[in | nel | nella | nello | nell' | al | alla | sul | su]";

const very = "così | molto | proprio | tanto";

export const italian: LanguagePack = {
  language: "it",
  name: "Italiano",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["uno", "un"],
      ["uno", "una"],
      ["tré", "tre"],
    ],
    pairs: false,
    ordinal: toOrdinal,
    ordinalEndings: [["o", "a"]],
    ordinalSigns: ["º", "ª", "o", "a"],
    optional: ["e"],
    thousand: { word: "mila", one: "mille", joined: true },
    hundreds: [],
    minus: ["meno"],
    point: ["virgola"],
    decimalSign: ",",
    fractions: [
      { value: 0.5, said: ["mezzo", "mezza", "metà", "la metà", "a metà", "a mezz'altezza"] },
      { value: 0.25, said: ["quarto", "un quarto"] },
      { value: 0.75, said: ["tre quarti"] },
      { value: 1 / 3, said: ["terzo", "un terzo"] },
      { value: 2 / 3, said: ["due terzi"] },
    ],
    fractionJoiners: ["e"],
    fractionEndings: [],
  },
  times: {
    units: {
      second: ["secondo", "secondi", "s"],
      minute: ["minuto", "minuti", "min", "m"],
      hour: ["ora", "ore", "h"],
      day: ["giorno", "giorni"],
      week: ["settimana", "settimane"],
    },
    one: ["un", "una"],
    durations: {
      30: ["mezzo minuto"],
      900: ["un quarto d'ora", "quarto d'ora"],
      1800: ["mezz'ora", "mezza ora", "una mezz'ora"],
      2700: ["tre quarti d'ora"],
      5400: ["ora e mezza", "un'ora e mezza"],
    },
    joiners: ["e"],
    clock: [
      { said: ["[ore | le | le ore] $hour [in punto]", "l' $hour"] },
      { said: ["[ore | le | le ore] $hour e $minute", "[ore | le] $hour $tens"] },
      { said: ["[ore | le] $hour e (mezzo | mezza)"], minutes: 30 },
      { said: ["[ore | le] $hour e un quarto"], minutes: 15 },
      { said: ["[ore | le] $hour e tre quarti"], minutes: 45 },
      { said: ["[ore | le] $hour meno un quarto"], minutes: -15 },
      { said: ["[ore | le] $hour meno $minute"], before: true },
    ],
    moments: { "00:00": ["mezzanotte"], "12:00": ["mezzogiorno"] },
    morning: [
      "(mattina | stamattina | di mattina) (alle | all' | a) $time",
      "$time (di mattina | del mattino | stamattina)",
    ],
    afternoon: [
      "(stasera | sera | questa sera | di sera | pomeriggio) (alle | all' | a) $time",
      "$time (di sera | della sera | del pomeriggio | stasera)",
    ],
    night: ["(stanotte | notte) (alle | all' | a) $time", "$time (di notte | stanotte)"],
    days: { 0: ["oggi"], 1: ["domani"], 2: ["dopodomani"] },
    weekday: ["[il | questo] [prossimo] $weekday [prossimo]"],
    date: ["[il | l'] $day $month [$year]"],
    partOf: {
      morning: ["$date mattina", "domattina"],
      afternoon: ["$date (pomeriggio | sera)"],
      night: ["$date notte"],
    },
    when: {
      in: ["(tra | fra | dopo) $duration"],
      at: [
        "(alle | alle ore | all' | a | dalle | dall') $time [[di] $date]",
        "$date (alle | all' | a) $time",
      ],
      for: [
        "[altri | altre | un altro | un'altra | ancora] $duration",
        "(per | nella) (la prossima | il prossimo | prossima) $unit",
        "per [i prossimi | le prossime | la prossima | altri | altre | un altro | un'altra | ancora] $duration",
        "per la durata di $duration",
      ],
      until: [
        "fino (alle | all' | a) $time [[di] $date]",
        "fino [a] $date (alle | a | all') $time",
      ],
    },
    sun: {
      reply: "{$when}: {$reply}",
      sunrise: {
        at: ["al sorgere del sole", "(quando | appena) (sorge il sole | il sole sorge)"],
        until: ["fino al sorgere del sole"],
        before: ["$duration prima del sorgere del sole"],
        after: ["$duration dopo il sorgere del sole"],
      },
      sunset: {
        at: [
          "al tramonto",
          "[a partire] dal tramonto",
          "al tramonto del sole",
          "(quando | appena) (tramonta il sole | il sole tramonta | cala il sole)",
        ],
        until: ["fino al tramonto"],
        before: ["$duration prima del tramonto"],
        after: ["$duration dopo il tramonto"],
      },
      dawn: {
        at: ["all'alba", "[a partire] dall'alba"],
        until: ["fino all'alba"],
        before: ["$duration prima dell'alba"],
        after: ["$duration dopo l'alba"],
      },
      dusk: {
        at: ["al crepuscolo", "all'imbrunire", "(quando | appena) (fa buio | si fa buio | è buio)"],
        until: ["fino al crepuscolo", "fino all'imbrunire"],
        before: ["$duration prima del crepuscolo"],
        after: ["$duration dopo il crepuscolo"],
      },
    },
    then: ["e", "poi", "e poi", "dopo", "e dopo", "quindi", "ma", "però", "e anche"],
  },
  units: {
    percent: ["per cento", "percento", "%"],
    degrees: ["gradi", "grado"],
    celsius: ["celsius", "centigradi"],
    fahrenheit: ["fahrenheit"],
    kelvin: ["kelvin", "k"],
  },
  elisions: [
    "l",
    "un",
    "d",
    "all",
    "dell",
    "nell",
    "sull",
    "dall",
    "quell",
    "cos",
    "c",
    "dov",
    "mezz",
  ],
  alike: [
    ["condizionatore", "climatizzatore", "aria condizionata"],
    ["lampada", "luce"],
    ["tv", "tele", "televisione", "televisore"],
    ["soggiorno", "salotto"],
    ["frigo", "frigorifero"],
    ["camera", "camera da letto"],
  ],
  plurals: {
    head: "first",
    endings: [
      ["ca", "che"],
      ["ga", "ghe"],
      ["co", "chi"],
      ["io", "i"],
      ["o", "i"],
      ["a", "e"],
      ["e", "i"],
    ],
  },
  sounds: italianSounds,
  small: ["il", "lo", "la", "i", "gli", "le", "l", "un", "uno", "una", "mio", "mia", "miei", "mie"],
  imperatives: {
    endings: [
      ["are", "a", "i"],
      ["ere", "i", "a"],
      ["ire", "i", "isci"],
    ],
  },
  diminutives: [
    ["ini", "i"],
    ["ine", "e"],
    ["ino", "o"],
    ["ina", "a"],
    ["etto", "o"],
    ["etta", "a"],
  ],
  courtesies: {
    opening: [
      "(quando | appena | se) (puoi | hai (un momento | un minuto | tempo))",
      "(può | potrebbe) qualcuno | qualcuno (può | potrebbe)",
      "per favore | per piacere | (puoi | potresti | può | potrebbe | vuoi | vorresti | riesci a) [per favore] | (vorrei | voglio | vogliamo | vorremmo | desidero | mi piacerebbe | ho bisogno di | mi serve) [avere]",
      "ti (dispiace | dispiacerebbe | spiace) | le dispiace | saresti così gentile da | (fammi il favore di | fai in modo | assicurati | si assicuri | bada) | bisognerebbe | ((posso | potrei) avere | (possiamo | potremmo) [avere]) | dai | vai e | è ora di | (dammi | dacci)",
    ],
    closing: [
      "tesoro | caro | cara | amore",
      "dietro di (me | noi)",
      "quando hai (un momento | un minuto | tempo) | un momento | un secondo",
      "per favore | per piacere | grazie | per me | (puoi | vuoi | potresti) | adesso | subito | presto | svelto | in fretta | veloce | al più presto | ora | appena puoi | se puoi | quando puoi | se non ti dispiace | di nuovo | va bene | non c'è nessuno [lì | qui | dentro] | dai",
    ],
  },
  targets: {
    all: ["tutti", "tutte", "ogni"],
    both: ["tutti e due", "tutte e due", "le due", "i due", "entrambi", "entrambe"],
    everything: [
      "tutto",
      "tutti i dispositivi",
      ...["è acceso", "è ancora acceso", "è rimasto acceso"].flatMap((on) => [
        `tutto quello che ${on}`,
        `tutto ciò che ${on}`,
        `quello che ${on}`,
      ]),
    ],
    here: ["qui", "in questa stanza", "qua"],
    it: ["lo", "la", "li", "le", "quello", "quella", "quelli", "quelle"],
    there: ["lì", "là", "lì dentro", "quella stanza"],
    outside: ["fuori", "all'esterno", "all'aperto"],
    inside: ["dentro", "all'interno"],
    everywhere: ["ovunque", "dappertutto", "tutta la casa", "di casa", "della casa"],
    one: ["quello", "quella"],
    ones: ["quelli", "quelle"],
    this: ["questo", "questa", "questi", "queste", "quel", "quello", "quella", "quei", "quelle"],
    inPlace: [
      "in",
      "nel",
      "nella",
      "nello",
      "nell'",
      "nei",
      "di",
      "del",
      "della",
      "dello",
      "dell'",
      "a",
      "al",
      "alla",
      "su",
      "sul",
      "sulla",
    ],
    and: ["e", "ed", "&", "insieme a"],
    except: ["tranne", "eccetto", "ma non", "a parte", "escluso", "esclusa"],
  },
  kinds: {
    light: { one: ["lampada"], many: ["lampade", "luce", "luci", "illuminazione"] },
    plug: { one: ["presa"], many: ["prese"] },
    pump: { one: ["pompa"], many: ["pompe"] },
    fan: { one: ["ventilatore", "ventola"], many: ["ventilatori", "ventole"] },
    heater: { one: ["stufa", "radiatore"], many: ["stufe", "radiatori"] },
    thermostat: { one: ["termostato", "riscaldamento"], many: ["termostati"] },
    blind: {
      one: ["tapparella", "tenda", "persiana"],
      many: ["tapparelle", "tende", "persiane"],
      differ: true,
    },
    gate: { one: ["cancello"], many: ["cancelli"] },
    valve: { one: ["valvola"], many: ["valvole"] },
    lock: { one: ["serratura", "porta"], many: ["serrature", "porte"] },
    alarm: { one: ["allarme"], many: ["allarmi"] },
    camera: { one: ["telecamera"], many: ["telecamere"] },
    sensor: { one: ["sensore"], many: ["sensori"] },
    player: { one: ["altoparlante", "musica"], many: ["altoparlanti"] },
    button: { one: ["pulsante"], many: ["pulsanti"] },
    vacuum: { one: ["aspirapolvere", "robot"], many: ["aspirapolveri", "robot"] },
    appliance: { one: ["macchina", "apparecchio"], many: ["macchine", "apparecchi"] },
    locator: { one: ["localizzatore"], many: ["localizzatori"] },
  },
  properties: {
    power: ["corrente"],
    brightness: ["luminosità"],
    colour: ["colore"],
    warmth: ["temperatura di colore"],
    speed: ["velocità"],
    oscillate: ["oscillazione"],
    target: ["temperatura impostata", "impostazione"],
    temperature: ["temperatura"],
    humidity: ["umidità"],
    mode: ["modalità"],
    preset: ["preimpostazione"],
    position: ["posizione"],
    tilt: ["inclinazione", "lamelle", "stecche"],
    flow: ["flusso"],
    locked: ["chiusura"],
    armed: ["modalità d'allarme"],
    recording: ["registrazione"],
    illuminance: ["illuminamento", "livello di luce"],
    pm25: ["polveri sottili"],
    co2: ["anidride carbonica", "CO2"],
    moisture: ["umidità del terreno"],
    contact: ["contatto"],
    motion: ["movimento"],
    battery: ["batteria", "carica"],
    level: ["livello"],
    volume: ["volume"],
    muted: ["muto"],
    source: ["sorgente", "ingresso"],
    playing: ["riproduzione"],
    activity: ["attività", "stato"],
    program: ["programma"],
  },
  values: {
    power: { on: ["acceso"], off: ["spento"] },
    mode: {
      off: ["spento"],
      heat: ["riscaldamento", "caldo"],
      cool: ["raffrescamento", "freddo", "raffreddamento", "raffreddare"],
      auto: ["auto", "automatico", "automatica"],
    },
    preset: {
      home: ["in casa", "presente", "comfort"],
      away: ["fuori casa", "assente"],
      sleep: ["notte", "sonno"],
    },
    armed: {
      off: ["disinserito", "spento"],
      home: ["in casa", "a casa", "casa", "presente"],
      away: ["fuori casa", "assente"],
      night: ["notte"],
    },
    contact: { open: ["aperto"], closed: ["chiuso"] },
    locked: { true: ["chiuso a chiave"], false: ["sbloccato"] },
    motion: { true: ["in movimento"], false: ["fermo"] },
    muted: { true: ["muto"], false: ["con audio"] },
    activity: {
      docked: ["alla base"],
      cleaning: ["al lavoro"],
      paused: ["in pausa"],
      returning: ["di ritorno"],
      idle: ["in attesa"],
      running: ["in funzione"],
      done: ["finito"],
    },
    playing: { play: ["in riproduzione"], pause: ["in pausa"], stop: ["fermo"] },
    flow: { on: ["aperto"], off: ["chiuso"] },
    recording: { on: ["in corso"], off: ["ferma"] },
    oscillate: { on: ["attiva"], off: ["ferma"] },
  },
  states: {
    on: ["acceso", "accesa", "accesi", "accese"],
    off: ["spento", "spenta", "spenti", "spente"],
    open: ["aperto", "aperta", "aperti", "aperte", "alzata"],
    closed: ["chiuso", "chiusa", "chiusi", "chiuse", "abbassata"],
    locked: [
      "chiuso a chiave",
      "chiusa a chiave",
      "chiusi a chiave",
      "chiuse a chiave",
      "bloccato",
      "bloccata",
    ],
    unlocked: ["sbloccato", "sbloccata"],
    armed: ["inserito", "inserita", "attivo", "attiva", "attivato"],
    disarmed: ["disinserito", "disinserita"],
    recording: ["in registrazione"],
    playing: ["in riproduzione"],
    paused: ["in pausa"],
    muted: ["muto", "muta"],
    unmuted: ["con audio"],
    running: ["in funzione", "al lavoro"],
    docked: ["alla base", "in carica"],
    moving: ["in movimento", "movimento"],
    finished: ["finito", "terminato", "pronta", "pronto"],
  },
  doing: {
    closed: [],
    locked: [],
    on: [],
    docked: [],
    moving: ["si muove"],
    running: [
      "funziona",
      "funzionano",
      "va",
      "sta andando",
      "sta ancora andando",
      "sta funzionando",
      "sta ancora funzionando",
      "sta girando",
      "sta ancora girando",
    ],
    playing: ["suona", "suonano", "sta suonando"],
  },
  colours: {
    "#ff0000": ["rosso", "rossa"],
    "#00ff00": ["verde"],
    "#0000ff": ["blu"],
    "#ffff00": ["giallo", "gialla"],
    "#ffa500": ["arancione"],
    "#800080": ["porpora"],
    "#ee82ee": ["viola"],
    "#ffc0cb": ["rosa"],
    "#ff69b4": ["rosa acceso"],
    "#ff00ff": ["magenta"],
    "#00ffff": ["ciano"],
    "#008080": ["ottanio", "verde petrolio"],
    "#40e0d0": ["turchese"],
    "#add8e6": ["azzurro", "blu chiaro"],
    "#00008b": ["blu scuro"],
    "#000080": ["blu marino", "blu navy"],
    "#87ceeb": ["celeste"],
    "#006400": ["verde scuro"],
    "#90ee90": ["verde chiaro"],
    "#32cd32": ["lime", "verde lime"],
    "#808000": ["oliva", "verde oliva"],
    "#ffd700": ["oro", "dorato", "dorata"],
    "#ffbf00": ["ambra"],
    "#ff7f50": ["corallo"],
    "#fa8072": ["salmone"],
    "#dc143c": ["cremisi"],
    "#8b0000": ["rosso scuro"],
    "#e6e6fa": ["lavanda"],
    "#4b0082": ["indaco"],
    "#a0522d": ["terra di siena", "siena"],
    "#b4532f": ["terracotta"],
    "#ffdab9": ["pesca"],
    "#f5f5dc": ["beige"],
    "#ffffff": ["bianco", "bianca", "bianco puro"],
  },
  warmths: {
    1900: ["lume di candela", "candela"],
    2700: ["bianco caldo", "caldo", "calda"],
    3500: ["bianco neutro", "neutro", "neutra"],
    4000: ["bianco freddo"],
    5500: ["luce diurna", "luce del giorno"],
    6500: ["bianco ghiaccio", "freddo", "fredda"],
  },
  amounts: {
    more: "più",
    less: "meno",
    small: [
      "[un] (po' | pochino | poco | pelo | tantino)",
      "leggermente",
      "[una] tacca",
      "[un] (filo | poco poco | pochettino)",
      "appena",
    ],
    counted: ["(tacche | scatti | gradini)"],
    large: ["molto", "parecchio", "tanto"],
  },
  levels: {
    least: [
      "minimo",
      "il minimo",
      "il più (basso | bassa | piano | lento | lenta | debole) possibile",
    ],
    low: ["basso", "bassa", "lento", "bassa velocità", "velocità (bassa | uno)"],
    medium: ["medio", "media", "media velocità", "velocità (media | due)"],
    high: ["alto", "alta", "veloce", "alta velocità", "velocità (alta | tre)"],
    full: [
      "[il] massimo",
      "piena potenza",
      "massima potenza",
      "al massimo",
      "[a] manetta",
      "il più (forte | alto | alta | luminoso | luminosa | veloce) possibile",
    ],
  },
  enclitics: ["lo", "la", "li", "le", "mi", "melo", "mela", "meli", "mele"],
  fillers: [
    "cioè",
    "anche",
    "circa",
    "attimo",
    "attimino",
    "ehm",
    "eh",
    "uhm",
    "allora",
    "dunque",
    "beh",
    "senti",
    "scusa",
    "okay",
    "ok",
    "ecco",
    "solo",
    "soltanto",
    "un attimo",
    "adesso",
    "ora",
    "pure",
    "mi",
    "ci",
    "dai",
    "magari",
  ],
  repairs: [
    "(anzi | scusa | cioè)",
    "no (aspetta | scusa | anzi | cioè)",
    "(volevo dire | voglio dire)",
  ],
  excuses: [
    "(qualcuno | lui | lei) (l'ha | li ha | le ha) (lasciato | lasciata | lasciati | lasciate | dimenticato) [acceso | accesa | aperto | aperta]",
    "voglio (vedere | guardare | dormire | leggere | uscire)",
    "(comincia | inizia | ricomincia | sta) [a | per] (piovere | nevicare | fare | farsi | grandinare | tirare)",
    "(l'ho | l'abbiamo | li ho | le ho) (lasciato | lasciata | lasciati | lasciate | dimenticato | dimenticata) [acceso | accesa | aperto | aperta]",
    "non [si | mi | ti | ci | vi | lo | la | li] (sente | sentono | sento | sentiamo | senti | vede | vedono | vedo | vediamo | capisce | capisco) [niente | nulla | bene | più | più niente]",
    "non (riesco | riusciamo) a (dormire | leggere | vedere | lavorare | sentire)",
    "(ho | abbiamo | mi sono) dimenticato",
  ],
  stays: {
    verbs: ["lascia", "lasci", "lasciate", "lasciare", "lasciami"],
    after: ["(in pace | stare)", "(com è | così | come sono)"],
  },
  auxiliaries: "ha hai hanno aveva già quasi".split(" "),
  waterers: ["irrigazione", "irrigatore", "valvola"],
  measured: ["livello di $property", "tasso di $property"],
  hedges: [
    ..."scherzo scherzavo scherzando tramonto alba imbrunire non no mai nessuno niente nulla né senza neanche quasi".split(
      " ",
    ),
    ..."se quando prima dopo mentre finché fosse fossero avesse immagina supponi supponiamo magari spero vorrei ricorda ricordati ricordo dimentica dimenticare dimenticato pensa".split(
      " ",
    ),
    ..."dice detto disse dire digli dille ha hai hanno aveva chiede chiesto crede credo sentito chi perché cosa quale come già ieri ogni sempre spesso".split(
      " ",
    ),
    ..."acceso accesi spento spenti aperto aperti chiuso chiusi messo lasciato".split(" "),
  ],
  clauses:
    "buongiorno buonasera ciao io mio mia ho abbiamo noi sta è sono c'è c si lui lei sto fa va piove resta rimane esco usciamo vado andiamo parto partiamo torno torniamo devo dobbiamo sono siamo hanno dorme dormono serve servono viene vengono arriva arrivano leggo leggiamo manca mancano".split(
      " ",
    ),
  speakers: {
    words: "io noi ci mi sto vado ho abbiamo esco vengo".split(" "),
    endings: ["iamo"],
  },
  orNot: ["o no", "o meno"],
  therefore: ["quindi", "perciò", "allora"],
  reasons: ["perché", "poiché", "siccome", "visto che", "dato che", "che", "per"],
  adjectives: {
    co2: ["(viziata | pesante)"],
    brightness: ["(luminoso | luminosa | luminose | forte)"],
    illuminance: ["(luminoso | buio | chiaro | luce)"],
    speed: ["veloce"],
    temperature: ["(caldo | calda | freddo | fredda | fresco)"],
    humidity: ["(umido | umida | umidi | umide | secco | secca)"],
    moisture: ["(umido | umida | umidi | umide | secco | secca | secche | bagnato | bagnata)"],
    volume: ["(alto | alta | forte)"],
    position: ["(aperto | aperta)"],
    battery: ["(carico | carica)"],
    level: ["(pieno | piena)"],
  },
  frames: {
    besides: ["con", "a", "al", "in", "su"],
    state: [
      "$target [di nuovo] $state",
      `(${put}) $target [di nuovo] $state`,
      `(${put}) $state $target`,
      `$target (${should}) [essere | stare | restare] $state`,
      "(può | possono | potrebbe | potrebbero) $target (essere | stare | diventare) $state",
      "che $target (sia | siano | resti | restino | è | sono | stia) $state",
    ],
    of: [`$property ${di} $target [(${should}) [essere | stare | restare]] $state`],
    more: [
      "$state $target",
      "$state",
      `(${put}) $state`,
      "$state (per | su | sul | sulla) $target",
    ],
    deed: [
      "(di | dì | dica) (a | al | alla | all' | allo) $target di $verb",
      `$target (${should}) $verb`,
      "che $target $verb",
      "(fai | faccia | fare | lascia) $verb $target",
    ],
    asked: [
      "$target è [ancora | già] [in | su | sulla | sul | al | a | impostato su | impostata su] $value",
      "è [ancora | già] [in | su] $value $target",
      "è $target [ancora | già] [in | su | sul | al] $value",
      "$property (di | del | della | dello | in | nel | nella | su) $target è [ancora | già] [in | su] $value",
      "è [ancora | già] $value $property (di | del | della | dello | in | nel | nella | su) $target",
    ],
    sorts: {
      switched: {
        on: {
          states: [
            "(acceso | accesa | accesi | accese | attivo | attiva)",
            "$property (acceso | accesa | attivo | attiva)",
          ],
          commands: [
            `${on} $target`,
            `${on} $property ${di} $target`,
            "(metti | metta | mettere | dai) $property [(in | nel | nella | a | al | alla | di | del) $target]",
            `$target ${may} ${on}`,
          ],
        },
        off: {
          states: [
            "(spento | spenta | spenti | spente | disattivato | disattivata)",
            "$property (spento | spenta | disattivato | disattivata)",
          ],
          commands: [
            `${off} $target`,
            `${off} $property ${di} $target`,
            "(togli | tolga | togliere | ferma | taglia) $property [(in | nel | nella | a | al | alla | di | del | dal | dalla) $target]",
            `$target ${may} ${off}`,
          ],
        },
      },
      level: {
        to: {
          states: [
            `[${a}] $value`,
            `[${a}] $value di $property`,
            `[${a} | con] [un | una] $property [${a} | di] $value`,
          ],
          commands: [
            `(${adjust} | ${raise} | ${lower}) $property (${a}) $value`,
            "$property [a | al] $value",
            "$value (su | sul | sulla | per) $target",
            `(${adjust} | ${raise} | ${lower}) $target (${a} | fino a | fino al) $value`,
            `(${adjust} | ${raise} | ${lower}) $property ${di} $target (${a} | fino a | fino al) $value`,
            `$property ${di} $target [${a}] $value`,
            `$value di $property ${di} $target`,
          ],
        },
        up: {
          states: [
            "[di] $amount (più alto | più alta | in più)",
            "più (alto | alta)",
            "$property [[di | del | dell'] $amount] più (alto | alta)",
            "[$amount] più $property",
            "$amount di $property in più",
          ],
          commands: [
            `(${raise}) [$amount] $property [[di | del] $amount]`,
            `(${raise}) [[di] $amount] $target`,
            `(${raise}) $target [[di | del | dell'] $amount]`,
            `(${raise}) [di] [$amount] $property ${di} $target [[di | del | dell'] $amount]`,
            `[$amount] più $property ${di} $target`,
          ],
        },
        down: {
          states: [
            "[di] $amount (più basso | più bassa | in meno)",
            "più (basso | bassa)",
            "$property [[di | del | dell'] $amount] più (basso | bassa)",
            "[$amount] meno $property",
          ],
          commands: [
            `(${lower}) [$amount] $property [[di | del] $amount]`,
            `(${lower}) [[di] $amount] $target`,
            `(${lower}) $target [[di | del | dell'] $amount]`,
            `(${lower}) [di] [$amount] $property ${di} $target [[di | del | dell'] $amount]`,
            `[$amount] meno $property ${di} $target`,
          ],
        },
      },
      choice: {
        to: {
          states: [
            `[${a}] [modalità | modo] $value`,
            `[${a}] $property $value`,
            `$property [${a}] $value`,
          ],
          commands: [
            `(${adjust}) $property ${di} $target (${a}) $value`,
            `(scegli | scelga | scegliere | seleziona | selezionare | imposta) $property $value ${di} $target`,
            `$property ${di} $target [${a}] $value`,
            `$property $value ${di} $target`,
            `(${adjust}) $property (${a}) $value`,
            `$property [${a}] $value`,
          ],
        },
      },
      colour: {
        to: {
          states: [`[${a} | di] [colore] $value`, `$property [${a}] $value`],
          commands: [
            `(${adjust}) $property ${di} $target (${a}) $value`,
            `$property ${di} $target [${a}] $value`,
            "(colora | colorare | tingi) $target [di] $value",
          ],
        },
      },
      text: {
        to: {
          states: [`$property (${a}) $value`, "$property $value"],
          commands: [`(${adjust}) $property ${di} $target (${a}) $value`],
        },
      },
      action: {
        call: { states: [], commands: ["$verb $target", "$target $verb"] },
      },
    },
  },
  vocabulary: {
    "mode-on": {
      reply: "{$target}: acceso.",
    },
    "mode-off": {
      reply: "{$target}: spento.",
    },
    "position-short": {
      states: [
        "[a | al | alla | per] $level (chiuso | chiusa)",
        "(chiuso | chiusa) [a | al | alla | per] $level",
      ],
      patterns: [
        "(chiudi | chiuda | chiudere | abbassa | abbassare | ritira | riavvolgi) $target [a | al | alla | per | fino a] $level",
      ],
      reply: "{$target} si chiude.",
    },
    "program-start": {
      patterns: [
        "(avvia | avviare | fai partire | inizia) $target (con | in | su) [il] [programma | modalità] $program",
        "(avvia | avviare | fai partire | inizia) il programma $program (su | sul | sulla | di | del | della | nella) $target",
        "(avvia | avviare) [il] [programma] $program (su | sulla | della | nella) $target",
        "(fai | fa | fammi | fare | prepara | prepari | preparare) [mi | ci] [un | uno | una | un altro | un'altra] [tazza di] $program [(con | in | nella) $target]",
        "(un | uno | una | un altro | un'altra) $program [(con | in | nella) $target]",
      ],
      reply: "{$target} parte: {$program}.",
    },
    "power-start": {
      deeds: ["partire | parta | funzionare | funzioni | andare"],
      states: ["in funzione"],
      patterns: [
        "(avvia | avvii | avviare | fai partire | (fai | fare) (andare | funzionare)) $target",
        "(metti | mettere) in (funzione | moto) $target",
      ],
      reply: "{$target}: acceso.",
    },
    "power-stop": {
      patterns: ["(ferma | fermi | fermare | arresta) $target"],
      reply: "{$target}: spento.",
    },
    "ask-how": {
      patterns: [
        "quanto (è | sono | fa) $measure $target",
        "(è | fa) $measure [in | nel | nella] $target",
        "quanto $measure (è | fa | c'è) [in | nel | nella] $target",
        "com'è $measure $target",
        `quanto è $measure (terra | aria) ${in_} $target`,
        `quanta $measure (c'è | fa) [${in_}] $target`,
      ],
      reply: "",
    },
    "ask-setting": {
      patterns: [
        "(a quanto | a quanti gradi | su cosa | come) (è | sono) (impostato | impostata | regolato | messo) $target",
        "(a quanto | a quanti gradi | su cosa) (è | sono | sta | stanno) $target [impostato | impostata]",
      ],
      reply: "",
    },
    "ask-doing": {
      patterns: [
        "(cosa | che cosa) (fa | sta facendo) $target",
        "(come va | a che punto è) $target",
      ],
      reply: "",
    },
    "power-on": {
      patterns: ["(riaccendi | riaccenda | riaccendere) $target", "(metti | mettere) su $target"],
      reply: "{$target}: acceso.",
    },
    "power-off": {
      patterns: [
        "(togli | stacca | staccare) $target",
        "(chiudi | chiudere) la luce [di | del | della | in]  $target",
      ],
      reply: "{$target}: spento.",
    },
    "brightness-to": {
      patterns: ["(attenua | attenui | attenuare) $target (a | al | fino a) $level"],
      reply: "{$target} al {$level} per cento.",
    },
    brighter: {
      states: [
        "[[di | del | dell'] $amount] più (luminoso | luminosa | luminosi | luminose | chiaro | chiara | forte | forti)",
      ],
      patterns: [
        "[$amount] più [di] luce",
        "(schiarisci | illumina | illuminare) [di più] $target [di più] [[di | del | dell'] $amount]",
        "[$amount] più [di] luce [in | nel | nella | su | di | del | della] $target",
        "(alza | aumenta | alzare) [$amount] la luce [in | nel | nella | di | del | della] $target",
        `più luce ${in_} $target`,
        "(schiarisci | schiarisca) $target [di $amount]",
      ],
      reply: "{$target}: più luce.",
    },
    dimmer: {
      states: [
        "[[di | del | dell'] $amount] (più (scuro | scura | scuri | scure | soffuso | soffusa | soffuse | bassa | basse | tenue) | meno (luminoso | luminosa | forte | forti))",
        "[[di | del | dell'] $amount] più (buio | buia)",
      ],
      patterns: [
        "[$amount] meno [di] luce",
        "(attenua | attenui | attenuare | oscura) [$amount] $target [[di | del | dell'] $amount]",
        "[$amount] meno [di] luce [in | nel | nella | su | di | del | della] $target",
        `meno luce ${in_} $target`,
        `(attenua | attenui | smorza) $target [${by}]`,
      ],
      reply: "{$target}: meno luce.",
    },
    "speed-to": {
      patterns: ["(fai | fare) (andare | girare) $target (a | al) $level"],
      reply: "{$target} al {$level} per cento.",
    },
    faster: {
      states: ["[[di | del | dell'] $amount] più (veloce | forte | velocemente)"],
      patterns: [
        "(accelera | acceleri | accelerare | velocizza) [$amount] $target [[di | del | dell'] $amount]",
        "(fai | fare) (andare | girare) $target [$amount] più veloce",
      ],
      reply: "{$target}: più veloce.",
    },
    slower: {
      states: [
        "[[di | del | dell'] $amount] (più (lento | lenta | piano | lentamente) | meno (veloce | forte))",
      ],
      patterns: [
        "(rallenta | rallenti | rallentare) [$amount] $target [[di | del | dell'] $amount]",
        "(fai | fare) (andare | girare) $target [$amount] più (lento | piano)",
      ],
      reply: "{$target}: più lento.",
    },
    "oscillate-on": {
      deeds: ["oscillare | oscilli"],
      states: ["(in oscillazione | che oscilla)"],
      patterns: ["(fai | faccia | fare) oscillare $target", "$target (oscilla | in oscillazione)"],
      reply: "{$target} oscilla.",
    },
    "oscillate-off": {
      patterns: [
        `(${stop} | ${off}) [l'] oscillazione ${of} $target`,
        "$target senza oscillazione",
      ],
      reply: "{$target} non oscilla più.",
    },
    "colour-to": {
      patterns: [
        `${set} $target [in | su | di] $colour`,
        "(colora | dipingi | rendi) $target [di] $colour",
      ],
      reply: "{$target} in {$colour}.",
    },
    "warmer-light": {
      states: ["[$amount] più (caldo | calda | caldi | calde)"],
      reply: "{$target}: più caldo.",
    },
    "cooler-light": {
      states: ["[$amount] più (freddo | fredda | freddi | fredde | bianco | bianca)"],
      reply: "{$target}: più freddo.",
    },
    "warmth-to": {
      patterns: [`${set} $target [in | su | a] $warmth`],
      reply: "{$target} a {$warmth} kelvin.",
    },
    "temperature-to": {
      patterns: [
        "(metti | mettere | imposta | alza | abbassa) la temperatura (a | su) $degrees",
        "temperatura a $degrees",
        "(scalda | scaldi | scaldare | riscalda | riscaldare | raffredda) $target (a | fino a) $degrees",
        "(metti | mettere | imposta | impostare | alza | alzare | abbassa | porta | regola) la temperatura [di | del | della | dell' | in | nel | nella] $target (a | su | fino a) $degrees",
        "temperatura [di | del | della | dell' | in | nel | nella] $target a $degrees",
        "$target temperatura [a] $degrees",
        `${set} [la] temperatura ${of} $target ${to} $degrees`,
        `[${set}] $degrees ${in_} $target`,
      ],
      reply: "{$target} a {$degrees} gradi.",
    },
    warmer: {
      states: [
        "[[di | del | dell'] $amount] più (caldo | calda | alto | alta)",
        "[di] $amount in più",
      ],
      patterns: [
        "(scalda | scaldare | riscalda | riscaldare) [di più] [[di | del | dell'] $amount] $target [[di | del | dell'] $amount] [di più | in più]",
        "(alza | alzare | aumenta | aumentare) [di] [$amount] la temperatura [di | del | della | dell' | in | nel | nella] $target [[di | del | dell'] $amount]",
        `${turnUp} [la temperatura ${of}] $target [${by}]`,
        `[$amount] più caldo ${in_} $target`,
      ],
      reply: "{$target}: più caldo.",
    },
    cooler: {
      states: [
        "[[di | del | dell'] $amount] (più (freddo | fredda | fresco | fresca | basso | bassa) | meno (caldo | calda))",
        "[di] $amount in meno",
      ],
      patterns: [
        "(raffredda | rinfresca | raffreddare) [[di | del | dell'] $amount] $target [[di | del | dell'] $amount]",
        "(abbassa | abbassare | riduci | diminuisci) [di] [$amount] la temperatura [di | del | della | dell' | in | nel | nella] $target [[di | del | dell'] $amount]",
        `${turnDown} [la temperatura ${of}] $target [${by}]`,
        `[$amount] (più fresco | meno caldo) ${in_} $target`,
      ],
      reply: "{$target}: meno caldo.",
    },
    "mode-to": {
      patterns: [`${set} $target (in | su) [modalità] $mode`],
      reply: "{$target}: {$mode}.",
    },
    "preset-to": {
      patterns: [`${set} $target [in | su] [modalità] $preset`],
      reply: "{$target}: {$preset}.",
    },
    open: {
      deeds: ["aprirsi | si apra | si aprano | aprire"],
      states: [
        "[tutto | tutta | completamente | del tutto] (aperto | aperta | aperti | aperte | su | alzato | alzata | srotolato | srotolata | fuori) [del tutto | completamente | al massimo | fino in cima]",
      ],
      patterns: [
        "(apri | apra | aprire | riapri | alza | alzi | alzare | rialza | solleva | tira su) [completamente | del tutto] $target [completamente | del tutto | tutto | tutta | fino in cima]",
        "(tira | tiri | tirare | manda) su $target",
        "(tira | tirare) $target su",
        "(tira | tiri | tirare | manda) fuori $target",
        "(srotola | srotolare | stendi | stendere) $target",
        `${open} $target [del tutto | completamente]`,
      ],
      reply: "{$target}: in apertura.",
    },
    close: {
      deeds: ["chiudersi | si chiuda | si chiudano | chiudere"],
      states: [
        "[tutto | tutta | completamente | del tutto] (chiuso | chiusa | chiusi | chiuse | giù | abbassato | abbassata | ritirato | ritirata | arrotolata) [del tutto | completamente | al massimo | fino in fondo]",
      ],
      patterns: [
        "(chiudi | chiuda | chiudere | richiudi | abbassa | abbassi | abbassare | riabbassa) [completamente | del tutto] $target [completamente | del tutto | tutto | tutta | fino in fondo]",
        "[(tira | tirare | manda | cala)] giù $target",
        "(tira | tirare) $target giù",
        "(tira | tiri | tirare) dentro $target",
        "(ritira | ritiri | ritirare | riavvolgi | arrotola | arrotolare) $target",
        "(tira | tiri | tirare) $target",
      ],
      reply: "{$target}: in chiusura.",
    },
    "position-to": {
      states: [
        "[a | al | alla | per] $level (aperto | aperta)",
        "(aperto | aperta) [a | al | alla | per] $level",
      ],
      patterns: [
        "(apri | apra | aprire | alza | alzare) $target [a | al | alla | per | fino a] $level",
        `(${set} | ${open} | ${close}) $target ${to} $level`,
      ],
      reply: "{$target} al {$level} per cento.",
    },
    "open-more": {
      patterns: [
        "(apri | apra | aprire | alza | alzi | alzare | solleva) [di più] $target (di | del | dell') $amount [di più]",
        `${open} [di] $amount $target`,
        `${open} $target [di] $amount`,
        "(tira | tirare) (su | fuori) $amount $target",
        `${open} (ancora $amount | [$amount] di più) $target`,
        `${open} $target (ancora [$amount] | [$amount] di più)`,
      ],
      states: ["[$amount] più (aperto | aperta | aperti | aperte)"],
      reply: "{$target}: più aperto.",
    },
    "close-more": {
      patterns: [
        "(chiudi | chiuda | chiudere | abbassa | abbassi | abbassare) [di più] $target (di | del | dell') $amount [di più]",
        `${close} [di] $amount $target`,
        `${close} $target [di] $amount`,
        "(tira | tirare) (giù | dentro) $amount $target",
        `${close} (ancora $amount | [$amount] di più) $target`,
        `${close} $target (ancora [$amount] | [$amount] di più)`,
      ],
      states: ["[$amount] più (chiuso | chiusa | chiusi | chiuse)"],
      reply: "{$target}: più chiuso.",
    },
    "tilt-to": {
      states: ["(inclinato | inclinata) [a | al] $level"],
      patterns: [
        `(inclina | inclini) $target ${to} $level`,
        `(inclina | inclini | inclinare | orienta | gira) (lamelle | stecche) ${of} $target ${to} $level`,
      ],
      reply: "{$target} inclinato al {$level} per cento.",
    },
    "stop-moving": {
      patterns: [
        "(ferma | fermi | fermare | blocca | arresta) $target",
        `${stop} $target`,
        "$target (fermo | ferma | stop)",
      ],
      reply: "{$target} fermo.",
    },
    "flow-on": {
      states: ["(aperto | aperta)"],
      patterns: [`(${on} | apri | apra | aprire) $target`],
      reply: "{$target}: aperto.",
    },
    "flow-off": {
      states: ["(chiuso | chiusa)"],
      patterns: [`(${off} | chiudi | chiuda | chiudere) $target`],
      reply: "{$target}: chiuso.",
    },
    water: {
      patterns: [
        "(annaffia | annaffiare | innaffia | innaffiare | irriga | irrigare | bagna | bagnare) $target",
      ],
      reply: "{$target}: aperto.",
    },
    lock: {
      deeds: ["chiudersi a chiave"],
      states: ["(chiuso | chiusa | chiusi | chiuse) a chiave", "(bloccato | bloccata)"],
      patterns: [
        "(chiudi | chiuda | chiudere) [a chiave] $target a chiave",
        "(chiudi | chiuda | chiudere) a chiave $target",
        "(blocca | blocchi | bloccare | serra) $target",
        "$target (a chiave | bloccato | bloccata)",
      ],
      reply: "{$target}: chiuso a chiave.",
    },
    unlock: {
      states: ["(sbloccato | sbloccata)"],
      patterns: [
        "(sblocca | sblocchi | sbloccare | apri | apra | aprire) $target",
        "(apri | aprire) con la chiave $target",
        "(apri | aprire | togli) (la serratura | il chiavistello | il catenaccio) (di | del | della | dello) $target",
      ],
      reply: "{$target}: sbloccato.",
    },
    arm: {
      states: [
        "(inserito | inserita | attivo | attiva | attivato) [in] [modalità] [$mode]",
        "[in | su] [modalità] $mode",
      ],
      patterns: [
        "(inserisci | inserisca | inserire | attiva | attivi | attivare | accendi | accendere | metti) $target [per | in | su] [modalità] [la] [$mode]",
        `${set} $target [in | su] [modalità] $mode`,
      ],
      reply: "{$target}: inserito.",
    },
    disarm: {
      states: ["(disinserito | disinserita | disattivato | disattivata)"],
      patterns: [
        "(disinserisci | disinserire | disattiva | disattivi | disattivare | spegni | spegnere | togli) $target",
        `(disinserisci | disinserisca | ${off}) $target`,
      ],
      reply: "{$target}: disinserito.",
    },
    record: {
      deeds: ["registrare | registri"],
      states: ["(in registrazione | che registra)"],
      patterns: [
        "(registra | registri | registrare) con $target",
        "(inizia | comincia | iniziare) a registrare con $target",
        "(avvia | inizia | avviare | fai partire) la registrazione [con | di | del | della | dalla | dal | su | sul | sulla] $target",
        "(registra | registri | riprendi) con $target",
        `(${start} | ${on}) [la] registrazione (con | ${of} | su) $target`,
        "$target registra",
      ],
      reply: "{$target} registra.",
    },
    "stop-recording": {
      patterns: [
        `(${stop} | ${off}) [la] registrazione (con | ${of} | su) $target`,
        "$target senza registrare",
      ],
      reply: "{$target} non registra più.",
    },
    play: {
      deeds: ["suonare | suoni"],
      states: ["in riproduzione"],
      patterns: [
        "(riprendi | riprendere | continua | continuare) [la (musica | riproduzione)]",
        "(metti | metta | mettere) [un po' di | della] musica [(in | nel | nella | su | sul | sulla) $target]",
        "(riproduci | riprendi | riprendere | continua | suona | fai partire | (fai | fare) (andare | suonare)) $target",
        "(metti | mettere | riproduci | riprendi | fai partire) la musica [in | nel | nella | su | sul | del | della] $target",
        `(${start} | riprendi) [la] (riproduzione | musica) (su | ${of} | sul | sulla | sull') $target`,
        "$target (riproduci | suona)",
      ],
      reply: "{$target} suona.",
    },
    pause: {
      deeds: ["andare in pausa | vada in pausa"],
      states: ["in pausa"],
      patterns: [
        "(metti | mettere) in pausa",
        "pausa",
        "(metti | mettere) in pausa la musica [in | nel | nella | su | del] $target",
        `${set} $target in pausa`,
        `${set} in pausa $target`,
        "$target [in] pausa",
      ],
      reply: "{$target} in pausa.",
    },
    "stop-playing": {
      states: ["(fermo | ferma)"],
      patterns: [
        "(ferma | fermare | togli | interrompi) la musica [in | nel | nella | su | del | della] $target",
        `${stop} $target`,
        `${stop} [la] (riproduzione | musica) (su | ${of} | sul | sulla | sull') $target`,
        "$target (stop | fermo)",
      ],
      reply: "{$target} fermo.",
    },
    next: {
      patterns: [
        "(passa | passi | passare | vai) (alla | al) (prossima | prossimo) (canzone | brano)",
        "avanti",
        "(prossima | prossimo) (canzone | brano)",
        "(canzone | brano) (successiva | successivo)",
        "(prossima | prossimo | successiva | successivo) (canzone | brano | traccia) [su | sul | sulla | di | del | in | nel] $target",
        "(canzone | brano | traccia) (successiva | successivo) [su | sul | sulla | di | del | in | nel] $target",
        "(passa | passi | passare | vai) (alla | al) (prossima | prossimo) (canzone | brano) [su | sul | sulla | di | del | in] $target",
        "(passa | vai) (alla | al) (canzone | brano) (successiva | successivo) [su | sul | sulla | di | del | in] $target",
        "(salta | saltare) questa canzone [su | sul | sulla | di | del | in] $target",
        "(metti | mettere) la prossima canzone [su | sul | sulla | di | del | in] $target",
        "[il] (brano | pezzo) successivo (su | sul | sulla | sull' | di) $target",
        "$target [brano] (successivo | avanti)",
        "prossimo brano (su | sul | sulla | sull') $target",
      ],
      reply: "Brano successivo su {$target}.",
    },
    previous: {
      patterns: [
        "[il] (brano | pezzo) precedente (su | sul | sulla | sull' | di) $target",
        "$target [brano] (precedente | indietro)",
      ],
      reply: "Brano precedente su {$target}.",
    },
    "play-what": {
      patterns: ["(metti | riproduci | suona) $what (su | sul | sullo | sulla | sull') $target"],
      reply: "{$what} su {$target}.",
    },
    "volume-to": {
      patterns: [`${set} $target ${to} [volume] $level [di volume]`],
      reply: "{$target} a volume {$level}.",
    },
    louder: {
      states: ["[[di | del | dell'] $amount] più (forte | alto | alta)"],
      reply: "{$target}: più forte.",
    },
    quieter: {
      states: [
        "[[di | del | dell'] $amount] (più (piano | basso | bassa) | meno (forte | alto | alta))",
      ],
      reply: "{$target}: più piano.",
    },
    mute: {
      states: ["(muto | muta | in silenzio | silenzioso | senza audio)"],
      patterns: [
        "(silenzia | togli l' audio)",
        "(silenzia | silenziare | zittisci | ammutolisci) $target",
        "(togli | togliere) [l' audio | il volume | il suono] (a | al | alla | di | del | della) $target",
        "(silenzia | silenzi | ammutolisci) $target",
        `(togli | tolga) l'audio ${of} $target`,
      ],
      reply: "{$target}: muto.",
    },
    unmute: {
      patterns: [
        `(ripristina | rimetti | riattiva | riaccendi) l'audio ${of} $target`,
        `(togli | leva) il (muto | silenzioso) ${of} $target`,
        "$target con [l'] audio",
      ],
      reply: "{$target}: audio ripristinato.",
    },
    "source-to": {
      patterns: [
        "(metti | mettere | riproduci) $source (su | sul | sulla | in) $target",
        "(metti | metta | mettere | riproduci | suona) [un po' di | del | della] $source",
        `(${set} | passa) $target (su | a | alla | sulla | al) $source`,
      ],
      reply: "{$target} su {$source}.",
    },
    press: {
      patterns: ["(premi | prema | premere | schiaccia | suona | suonare) $target"],
      reply: "{$target} premuto.",
    },
    start: {
      deeds: [
        "partire | iniziare",
        "partire | parta | pulire | pulisca | funzionare | funzioni | andare",
      ],
      states: ["(in funzione | in moto | avviato | avviata)"],
      patterns: [
        "(avvia | avvii | avviare | fai partire | inizia | manda | fai andare | fai funzionare | fai uscire) $target",
        "(metti | mettere) $target a (pulire | spazzare | lavare)",
        "(manda | fai uscire) $target a pulire",
        `${start} $target`,
        `${set} in (moto | funzione) $target`,
        "$target (parti | parta | avvio)",
      ],
      reply: "{$target} avviato.",
    },
    stop: {
      deeds: ["fermarsi | si fermi"],
      states: ["(fermo | ferma | fermato)"],
      patterns: ["(ferma | fermi | fermare | arresta | interrompi | finisci) $target"],
      reply: "{$target} fermo.",
    },
    "pause-work": {
      states: ["in pausa"],
      patterns: [`${set} $target in pausa`, `${set} in pausa $target`, "$target [in] pausa"],
      reply: "{$target} in pausa.",
    },
    "stop-work": {
      deeds: ["fermarsi | si fermi"],
      states: ["(fermo | ferma | fermato)"],
      patterns: [`${stop} $target`, "$target (stop | fermo | ferma)"],
      reply: "{$target} fermo.",
    },
    dock: {
      deeds: ["tornare (alla [sua] base | a casa) | torni (alla [sua] base | a casa)"],
      states: ["alla [sua] base"],
      patterns: [
        "(manda | mandi | mandare | rimanda | riporta | porta) $target (a casa | alla [sua] base | in carica | indietro)",
        "(fai | fare) tornare $target (a casa | alla [sua] base)",
        "$target (alla base | a casa | in carica)",
        "(ricarica | ricarichi) $target",
        "$target (torna | rientra) alla [sua | tua] (base | stazione)",
      ],
      reply: "{$target} torna alla base.",
    },
    "program-to": {
      patterns: [`${set} $target (su | in | con) [programma] $program`],
      reply: "{$target}: programma {$program}.",
    },
    find: {
      patterns: [
        "dove (sono | è | ho messo | ho lasciato) $target",
        "(trova | trovare | cerca | cercare) $target",
        "(fai | fare) (suonare | squillare) $target",
        "non trovo $target",
        "(dov' è | dove è | dove sono | dove ho messo) $target",
        "(trova | cerca | localizza) $target",
        "ho perso $target",
      ],
      reply: "{$target} suona.",
    },
    "run-routine": {
      patterns: [
        "(esegui | avvia | lancia | inizia | fai partire) [la routine] $routine",
        "routine $routine",
      ],
      reply: "",
    },
    "ask-value": {
      patterns: [
        "(qual è | quanto è) $measure",
        "che $measure c'è",
        "(dimmi | di) $measure [di | del | della | dell' | in | nel | nella] $target",
        "(di | a) che $measure è $target",
        "quanta $measure (c'è | ha) [in | nel | nella] $target",
        `(qual è | quanto è | quale è) [il | la | l'] $measure [${of}] $target`,
        `che $measure (c' è | ha | fa) [${in_}] $target`,
        `$measure ${of} $target`,
        "(quanta | che) $measure (c'è | fa)",
        "è (acceso | accesa | spento | spenta) $measure [di | del | della | dell' | in | nel | nella] $target",
        "$measure [di | del | della | dell' | in | nel | nella] $target è (acceso | accesa | spento | spenta)",
        "(su | in | a | con) (che | quale) $measure (è | va | gira | sta | funziona) $target",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        `quanti gradi (ci sono | sono | fa) [${in_}] $target`,
        `(fa | è) (caldo | freddo) [${in_}] $target`,
        `quanto (caldo | freddo) fa [${in_}] $target`,
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "(è | sono) $target [ancora] $state",
        "(è | sono) [ancora] $state $target",
        "$target (è | sono) [ancora] $state",
        "(ho lasciato | abbiamo lasciato) $target $state",
        "(ho lasciato | abbiamo lasciato) $state $target",
        "(guarda | dimmi | controlla) se (è | sono) [ancora] $state $target",
        "ha $state $target",
        "$target ha $state",
        "(controlla | dimmi | guarda) se $target (è | sono) [ancora] $state",
        "(è | sono) $state o (chiuso | chiusa | aperto | aperta | acceso | accesa | spento | spenta) $target",
        `c'è [del] $state ${in_} $target`,
        "(è | sono) ($target $state | $state $target) o (chiuso | chiusa | aperto | aperta | acceso | accesa | spento | spenta)",
        "$target (è | sono) $state o (chiuso | chiusa | aperto | aperta | acceso | accesa | spento | spenta)",
        "(qualcuno ha | hai | hanno) lasciato ($state $target | $target $state)",
        "(è | sono) (rimasto | rimasta | rimasti | rimaste) ($state $target | $target $state)",
        "(ho | abbiamo | qualcuno ha | hai) $state $target",
      ],
      reply: "",
    },
    "ask-whether-does": {
      patterns: ["$state [ancora] $target", "$target $state [ancora]"],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "(quante | quanti) $target (ho | abbiamo) lasciato $state",
        `(cos'è | che cos'è | cosa c'è) [ancora] [di] $state [${in_} $target]`,
        "dimmi (quali | che) $target (sono | è) [ancora] $state",
        "(cosa | che cosa) (è | c'è | c' è | è rimasto) [ancora] [di | d'] $state",
        "(cosa | che cosa) ho lasciato [di | d'] $state",

        "(quali | che) $target (sono | è) [ancora] $state",
        "quali sono $target [ancora] $state",
        "(quante | quanti) $target (sono | ci sono) [ancora] $state",
        "(quante | quanti) $target $state ci sono",
        "(quale | quali) [di] $target (è | sono) [ancora] $state",
        `(cosa | che cosa) è [ancora] $state ${in_} $target`,
      ],
      reply: "",
    },
    "ask-which-do": {
      patterns: ["(quali | che | quante | quanti) $target $state [ancora]"],
      reply: "",
    },
    "ask-motion": {
      patterns: [
        "si muove (qualcuno | qualcosa) (in | nel | nella | nello | nell' | sul | sulla) $target",
        "(c'è | c' è) (qualcuno | qualcosa | movimento) [che si muove] (in | nel | nella | nello | nell' | sul | sulla) $target",
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "(c'è | c' è | è rimasto) [ancora] qualcosa [di | d'] [ancora] $state",
        "è rimasto [ancora] $state qualcosa",
        "ho lasciato (qualcosa [di | d'] $state | $state qualcosa)",

        "(c'è | ci sono) [ancora] (qualche | una | un | delle | dei) $target [ancora] $state",
        "(c'è | è rimasto) [ancora] qualcosa [di | d'] [ancora] $state [in | nel | nella] $target",
        "(c' è | ci sono) (qualche | alcune | alcuni | ancora) [di] $target [ancora] $state",
        `c' è qualcosa [di] $state ${in_} $target`,
      ],
      reply: "",
    },
  },
  wishes: {
    frames: [
      `$complaint [${inThe} $target]`,
      `(è | fa | c'è | sembra | mi sembra) [ancora | proprio | di nuovo] $complaint [${inThe} $target]`,
      `${inThe} $target (è | fa | c'è) [ancora | proprio | di nuovo] $complaint`,
      "$target (è | sono | va | suona | gira) [ancora | proprio | di nuovo] $complaint",
      "trovo $target $complaint",
    ],
    wishes: {
      "too-dark": {
        complaints: [
          "[$amount] troppo (buio | buia | scuro | scura)",
          "[troppo] poca luce",
          "poco (luminoso | luminosa | chiaro)",
        ],
        patterns: [
          `non (si vede | vedo | vediamo | ci vedo) [quasi] (niente | nulla | bene) [${inThe} $target]`,
          `è [${very}] buio [${inThe} $target]`,
        ],
      },
      "too-bright": {
        complaints: [
          "[$amount] troppo (luminoso | luminosa | chiaro | chiara | abbagliante)",
          "troppa luce",
        ],
        patterns: ["$target (mi | ci) (abbaglia | acceca | abbagliano)"],
      },
      "too-cold": {
        complaints: ["[$amount] troppo (freddo | fredda | fresco | fresca)"],
        patterns: [
          `(ho | abbiamo | fa) [${very} | troppo | un po' di] freddo [${inThe} $target]`,
          `(sto | stiamo) (gelando | congelando | morendo di freddo) [${inThe} $target]`,
          `si gela [${inThe} $target]`,
        ],
      },
      "too-warm": {
        complaints: ["[$amount] troppo (caldo | calda)"],
        patterns: [
          `(ho | abbiamo | fa) [${very} | troppo | un po' di] caldo [${inThe} $target]`,
          `(sto | stiamo) (sudando | soffocando | morendo di caldo) [${inThe} $target]`,
          `si (soffoca | muore di caldo) [${inThe} $target]`,
        ],
      },
      "too-loud": {
        complaints: [
          "[$amount] troppo (forte | alto | alta | rumoroso | rumorosa)",
          "troppo (rumore | chiasso)",
        ],
        patterns: ["non (riesco | riusciamo) (a | nemmeno a) (pensare | parlare | sentirmi)"],
      },
      "too-quiet": {
        complaints: ["[$amount] troppo (basso | bassa | piano | debole)"],
        patterns: [
          "non (si sente | sento | sentiamo) [quasi | bene] [niente | nulla] [$target]",
          "(si sente | sento) appena [$target]",
          "$target non si sente [quasi | bene] [niente]",
        ],
      },
      "too-slow": { complaints: ["[$amount] troppo (lento | lenta | lentamente)"] },
      "too-fast": { complaints: ["[$amount] troppo (veloce | velocemente)"] },
    },
  },
  sources: ["(qual è | com è | come è | cosa dice | che dice | dimmi | leggimi) $source"],
  conversation: {
    yes: ["sì [per favore | grazie]", "(certo | va bene | ok | okay | d'accordo | fallo | vai)"],
    no: ["no [grazie]"],
    cancel: ["(lascia perdere | lascia stare | annulla | niente | fa niente)"],
    again: ["ancora [una volta]", "di nuovo", "rifallo"],
    undo: ["annulla (questo | quello)", "disfa", "torna indietro"],
  },
  answers: {
    value: "{$name}: {$property} {$value}.",
    yes: "Sì, {$name}: {$state}.",
    no: "No, {$name}: {$state}.",
    list: "{$list}.",
    none: "Nessuno.",
  },
  refusals: {
    of: "{$property} di {$name}",
    that: "quello",
    between: "{$what} va da {$minimum} a {$maximum}, non {$said}",
    atLeast: "{$what} parte da {$minimum}, non {$said}",
    atMost: "{$what} arriva a {$maximum}, non {$said}",
    oneOf: "{$what} può essere {$choices}, non {$said}",
    unable: "{$name} non può farlo",
    alone: "bisogna nominare {$name}",
    length: "non è una durata",
    nowhere: "non so a che cosa ci si riferisce",
    past: "{$time} è già passato",
    named: "bisogna nominarlo",
    nothing: "non c'è niente del genere",
    place: "«{$words}» non è un luogo per questo",
    day: "non so che giorno è",
    sun: "non so dove sia il sole",
    times: "sono stati detti due orari per un solo comando",
    later: "una risposta non può aspettare",
    stays: "quello che fa {$name} non si può annullare dopo un po'",
    both: "{$what} non può essere insieme {$first} e {$second}",
  },
  replies: {
    unknown: "Mi dispiace, non ho capito.",
    unsure: "Quale: {$choices}?",
    refuse: "Non è possibile: {$reason}.",
    cannot: "Non è possibile.",
    act: "Fatto.",
    confirm: "Sicuro?",
    offer: "Intendi: {$reply}?",
    code: "Qual è il codice?",
    failed: "{$names}: nessuna risposta.",
    partly: "{$reply} {$names}: nessuna risposta.",
    leftOut: "{$reply} Ma non: {$names}.",
    notAll: "Non è stato possibile fare tutto.",
    withheld: "{$names} no: va chiesto a parte.",
    notNow: "Adesso non è possibile.",
    running: "È già in corso.",
    devices: "dispositivi",
    cancelled: "Va bene, niente.",
    undone: "Annullato.",
    nothingToUndo: "Non c'è niente da annullare.",
    nothingToRepeat: "Non c'è niente da ripetere.",
    wrongCode: "Non è il codice giusto.",
    locked: "Troppi codici sbagliati. Aspetta {$duration}.",
    ask: "Quale valore per {$slot}?",
    in: "Tra {$duration}: {$reply}",
    at: "Alle {$time}: {$reply}",
    for: "Per {$duration}: {$reply}",
    until: "Fino alle {$time}: {$reply}",
    atDay: "{$day} alle {$time}: {$reply}",
    untilDay: "Fino a {$day} alle {$time}: {$reply}",
  },
};
