import { toCardinal, toOrdinal } from "n2words/it-IT";
import type { LanguagePack } from "./pack.ts";

const on = "(accendi | accenda | accendere | attiva | attivi | attivare)";
const off = "(spegni | spenga | spegnere | disattiva | disattivi | disattivare)";
const set =
  "(metti | metta | mettere | imposta | imposti | impostare | porta | porti | regola | regoli)";
const open = "(apri | apra | aprire | alza | alzi | alzare | solleva | sollevi)";
const close = "(chiudi | chiuda | chiudere | abbassa | abbassi | abbassare)";
const turnUp = "(alza | alzi | alzare | aumenta | aumenti | aumentare)";
const turnDown = "(abbassa | abbassi | abbassare | riduci | riduca | diminuisci | diminuisca)";
const start = "(avvia | avvii | avviare | fai partire | inizia | inizi | comincia | lancia)";
const stop = "(ferma | fermi | fermare | arresta | arresti | interrompi)";
const to = "(a | al | all' | allo | alla | su | sul)";
const of =
  "(di | del | della | dello | dell' | dei | delle | degli | in | nel | nella | nell' | a | al | alla)";
const in_ = "(in | nel | nella | nello | nell' | a | al | alla)";
const by = "[di] $amount";

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
      { value: 0.5, said: ["mezzo", "mezza", "metà", "la metà"] },
      { value: 0.25, said: ["quarto", "un quarto"] },
      { value: 0.75, said: ["tre quarti"] },
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
    morning: ["$time (di mattina | del mattino | stamattina)"],
    afternoon: ["$time (di sera | della sera | del pomeriggio | stasera)"],
    night: ["$time (di notte | stanotte)"],
    days: { 0: ["oggi"], 1: ["domani"], 2: ["dopodomani"] },
    weekday: ["[il | questo] [prossimo] $weekday [prossimo]"],
    date: ["[il | l'] $day $month [$year]"],
    when: {
      in: ["(tra | fra | dopo) $duration"],
      at: ["(alle | alle ore | all' | a) $time [$date]", "$date (alle | all' | a) $time"],
      for: ["per [i prossimi] $duration", "per la durata di $duration"],
      until: ["fino (alle | all' | a) $time [$date]", "fino a $date (alle | a) $time"],
    },
    then: ["e", "poi", "e poi", "dopo", "e dopo", "quindi"],
  },
  units: {
    percent: ["per cento", "percento", "%"],
    celsius: ["gradi", "grado", "gradi celsius", "celsius", "°", "°c"],
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
  small: ["il", "lo", "la", "i", "gli", "le", "l", "un", "uno", "una", "mio", "mia"],
  courtesies: {
    opening: [
      "per favore | per piacere | (puoi | potresti | può | potrebbe) [per favore] | (vorrei | voglio) [che]",
    ],
    closing: ["per favore | per piacere | grazie | per me"],
  },
  targets: {
    all: ["tutti", "tutte", "ogni", "entrambi", "entrambe"],
    everything: ["tutto", "tutti i dispositivi", "tutta la casa"],
    here: ["qui", "in questa stanza", "qua"],
    it: ["lo", "la", "li", "le", "quello", "quella", "quelli", "quelle"],
    there: ["lì", "là", "lì dentro", "quella stanza"],
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
    light: { one: ["lampada", "luce"], many: ["lampade", "luci", "illuminazione"] },
    plug: { one: ["presa"], many: ["prese"] },
    pump: { one: ["pompa"], many: ["pompe"] },
    fan: { one: ["ventilatore", "ventola"], many: ["ventilatori", "ventole"] },
    heater: { one: ["stufa", "radiatore"], many: ["stufe", "radiatori"] },
    thermostat: { one: ["termostato", "riscaldamento"], many: ["termostati"] },
    blind: {
      one: ["tapparella", "tenda", "persiana"],
      many: ["tapparelle", "tende", "persiane"],
    },
    gate: { one: ["cancello"], many: ["cancelli"] },
    valve: { one: ["valvola"], many: ["valvole"] },
    lock: { one: ["serratura"], many: ["serrature"] },
    alarm: { one: ["allarme"], many: ["allarmi"] },
    camera: { one: ["telecamera"], many: ["telecamere"] },
    sensor: { one: ["sensore"], many: ["sensori"] },
    player: { one: ["altoparlante", "musica"], many: ["altoparlanti"] },
    button: { one: ["pulsante"], many: ["pulsanti"] },
    vacuum: { one: ["aspirapolvere"], many: ["aspirapolveri"] },
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
    tilt: ["inclinazione"],
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
      cool: ["raffrescamento", "freddo"],
      auto: ["auto", "automatico", "automatica"],
    },
    preset: {
      home: ["in casa", "presente", "comfort"],
      away: ["fuori casa", "assente"],
      sleep: ["notte", "sonno"],
    },
    armed: {
      off: ["disinserito", "spento"],
      home: ["in casa", "presente"],
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
    locked: ["chiuso a chiave", "chiusa a chiave", "bloccato", "bloccata"],
    unlocked: ["sbloccato", "sbloccata"],
    armed: ["inserito", "inserita"],
    disarmed: ["disinserito", "disinserita"],
    recording: ["in registrazione"],
    playing: ["in riproduzione"],
    paused: ["in pausa"],
    muted: ["muto", "muta"],
    unmuted: ["con audio"],
    running: ["in funzione", "al lavoro"],
    docked: ["alla base", "in carica"],
    moving: ["in movimento"],
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
    small: ["un po'", "un pochino", "un poco", "leggermente", "poco"],
    large: ["molto", "parecchio", "tanto"],
  },
  levels: {
    least: ["minimo", "il minimo"],
    low: ["basso", "bassa", "lento", "bassa velocità"],
    medium: ["medio", "media", "media velocità"],
    high: ["alto", "alta", "veloce", "alta velocità"],
    full: ["massimo", "il massimo", "piena potenza", "massima potenza"],
  },
  vocabulary: {
    "power-on": {
      patterns: [
        `${on} $target`,
        `${on} $target ${in_} $place`,
        "$target (acceso | accesa | accesi | accese)",
        `${set} in funzione $target`,
        "voglio $target (acceso | accesa | accese)",
      ],
      reply: "{$target}: acceso.",
    },
    "power-off": {
      patterns: [
        `${off} $target`,
        `${off} $target ${in_} $place`,
        "$target (spento | spenta | spenti | spente)",
      ],
      reply: "{$target}: spento.",
    },
    "brightness-to": {
      patterns: [
        `(${set} | ${turnUp} | ${turnDown}) $target ${to} $level [di luminosità]`,
        `${set} [la] luminosità ${of} $target ${to} $level`,
        `$target ${to} $level [di luminosità]`,
        "$target $level",
        `${set} $target ${in_} $place ${to} $level`,
      ],
      reply: "{$target} al {$level} per cento.",
    },
    brighter: {
      patterns: [
        `${turnUp} [la luminosità ${of}] $target [${by}]`,
        `[rendi] $target [${by}] più (chiaro | chiara | luminoso | luminosa | luminose | forte)`,
        `più luce ${in_} $target`,
        "(schiarisci | schiarisca) $target [di $amount]",
      ],
      reply: "{$target}: più luce.",
    },
    dimmer: {
      patterns: [
        `${turnDown} [la luminosità ${of}] $target [${by}]`,
        `[rendi] $target [${by}] (più (scuro | scura | tenue) | meno (luminoso | luminosa | forte))`,
        `meno luce ${in_} $target`,
        `(attenua | attenui | smorza) $target [${by}]`,
      ],
      reply: "{$target}: meno luce.",
    },
    "speed-to": {
      patterns: [
        `${set} $target ${to} $level`,
        `${set} [la] velocità ${of} $target ${to} $level`,
        `$target ${to} $level`,
        "$target [velocità] $level",
      ],
      reply: "{$target} al {$level} per cento.",
    },
    faster: {
      patterns: [
        `(accelera | acceleri) $target [${by}]`,
        `${turnUp} [la velocità ${of}] $target [${by}]`,
        `$target [${by}] più (veloce | forte)`,
        "fai girare $target [$amount] più veloce",
      ],
      reply: "{$target}: più veloce.",
    },
    slower: {
      patterns: [
        `(rallenta | rallenti) $target [${by}]`,
        `${turnDown} [la velocità ${of}] $target [${by}]`,
        `$target [${by}] (più (lento | lenta | piano) | meno forte)`,
        "fai girare $target [$amount] più (piano | lento)",
      ],
      reply: "{$target}: più lento.",
    },
    "oscillate-on": {
      patterns: [
        "fai oscillare $target",
        `${on} [l'] oscillazione ${of} $target`,
        "$target (oscilla | in oscillazione)",
      ],
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
        `${set} [il] colore ${of} $target ${to} $colour`,
        "(colora | dipingi | rendi) $target [di] $colour",
        "$target [in | di] $colour",
      ],
      reply: "{$target} in {$colour}.",
    },
    "colour-and-brightness": {
      patterns: [
        `[${set}] $target [in] $colour [e] [a | al] $level [di luminosità]`,
        `[${set}] $target [a | al] $level [di luminosità] [e] [in] $colour`,
      ],
      reply: "{$target} in {$colour} al {$level} per cento.",
    },
    "warmth-to": {
      patterns: [
        `${set} $target [in | su | a] $warmth`,
        `${set} [la] temperatura di colore ${of} $target ${to} $warmth`,
        "$target [in | su | a] $warmth",
      ],
      reply: "{$target} a {$warmth} kelvin.",
    },
    "warmth-and-brightness": {
      patterns: [
        `[${set}] $target [in] $warmth [e] [a | al] $level [di luminosità]`,
        `[${set}] $target [a | al] $level [di luminosità] [e] [in] $warmth`,
      ],
      reply: "{$target} a {$warmth} kelvin e {$level} per cento.",
    },
    "temperature-to": {
      patterns: [
        `(${set} | scalda | riscalda | raffredda | ${turnUp} | ${turnDown}) $target ${to} $degrees`,
        `${set} [la] temperatura ${of} $target ${to} $degrees`,
        `$target ${to} $degrees`,
        "$target $degrees",
        `${set} $degrees ${in_} $target`,
      ],
      reply: "{$target} a {$degrees} gradi.",
    },
    warmer: {
      patterns: [
        `${turnUp} [la temperatura ${of}] $target [${by}]`,
        `[rendi] $target [${by}] più (caldo | calda)`,
        `[$amount] più caldo ${in_} $target`,
        `(scalda | riscalda) $target [${by}]`,
      ],
      reply: "{$target}: più caldo.",
    },
    cooler: {
      patterns: [
        `${turnDown} [la temperatura ${of}] $target [${by}]`,
        `[rendi] $target [${by}] (più (freddo | fredda | fresco) | meno (caldo | calda))`,
        `[$amount] (più fresco | meno caldo) ${in_} $target`,
        `(raffredda | rinfresca) $target [${by}]`,
      ],
      reply: "{$target}: meno caldo.",
    },
    "mode-to": {
      patterns: [
        `${set} $target (in | su) [modalità] $mode`,
        `${set} [la] modalità ${of} $target (${to} | in) $mode`,
        "$target [in | su] [modalità] $mode",
      ],
      reply: "{$target} in {$mode}.",
    },
    "preset-to": {
      patterns: [
        `${set} $target [in | su] [modalità] $preset`,
        `${set} [la] preimpostazione ${of} $target (${to} | in) $preset`,
        "$target [in | su] [modalità] $preset",
      ],
      reply: "{$target} in {$preset}.",
    },
    open: {
      patterns: [
        `${open} $target [del tutto | completamente]`,
        `${open} $target ${in_} $place`,
        "$target (aperto | aperta | su)",
        "tira su $target",
      ],
      reply: "{$target}: in apertura.",
    },
    close: {
      patterns: [
        `${close} $target [del tutto | completamente]`,
        `${close} $target ${in_} $place`,
        "$target (chiuso | chiusa | giù)",
        "tira giù $target",
      ],
      reply: "{$target}: in chiusura.",
    },
    "position-to": {
      patterns: [
        `(${set} | ${open} | ${close}) $target ${to} $level`,
        `${set} [la] posizione ${of} $target ${to} $level`,
        `$target ${to} $level`,
        "$target [aperto | aperta] $level",
      ],
      reply: "{$target} al {$level} per cento.",
    },
    "tilt-to": {
      patterns: [
        `(inclina | inclini) $target ${to} $level`,
        `${set} [l'] inclinazione ${of} $target ${to} $level`,
        `$target inclinazione [${to}] $level`,
      ],
      reply: "{$target} inclinato al {$level} per cento.",
    },
    "stop-moving": {
      patterns: [`${stop} $target`, "$target (fermo | ferma | stop)"],
      reply: "{$target} fermo.",
    },
    "flow-on": {
      patterns: [`(${on} | apri | apra | aprire) $target`, "$target (aperto | aperta)"],
      reply: "{$target}: aperto.",
    },
    "flow-off": {
      patterns: [`(${off} | chiudi | chiuda | chiudere) $target`, "$target (chiuso | chiusa)"],
      reply: "{$target}: chiuso.",
    },
    lock: {
      patterns: [
        "(chiudi | chiuda | chiudere) $target a chiave",
        "(blocca | blocchi | bloccare) $target",
        "$target (a chiave | bloccato | bloccata)",
      ],
      reply: "{$target}: chiuso a chiave.",
    },
    unlock: {
      patterns: ["(sblocca | sblocchi | sbloccare) $target", "$target (sbloccato | sbloccata)"],
      reply: "{$target}: sbloccato.",
    },
    arm: {
      patterns: [
        "(inserisci | inserisca | attiva | attivi) $target [in] [modalità] [$mode]",
        `${set} $target [in | su] [modalità] $mode`,
        "$target (inserito | inserita | [in] [modalità] $mode)",
      ],
      reply: "{$target}: inserito.",
    },
    disarm: {
      patterns: [
        `(disinserisci | disinserisca | ${off}) $target`,
        "$target (disinserito | disinserita)",
      ],
      reply: "{$target}: disinserito.",
    },
    record: {
      patterns: [
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
      patterns: [
        "(riproduci | riprendi | continua) $target",
        `(${start} | riprendi) [la] (riproduzione | musica) (su | ${of} | sul | sulla | sull') $target`,
        "$target (riproduci | suona)",
      ],
      reply: "{$target} suona.",
    },
    pause: {
      patterns: [`${set} $target in pausa`, `${set} in pausa $target`, "$target [in] pausa"],
      reply: "{$target} in pausa.",
    },
    "stop-playing": {
      patterns: [
        `${stop} $target`,
        `${stop} [la] (riproduzione | musica) (su | ${of} | sul | sulla | sull') $target`,
        "$target (stop | fermo)",
      ],
      reply: "{$target} fermo.",
    },
    next: {
      patterns: [
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
      patterns: ["(metti | riproduci | suona) $what (su | sul | sulla | sull') $target"],
      reply: "{$what} su {$target}.",
    },
    "volume-to": {
      patterns: [
        `${set} [il] volume ${of} $target ${to} $level`,
        `${set} $target ${to} [volume] $level [di volume]`,
        `$target [volume] ${to} $level`,
        "$target [volume] $level",
      ],
      reply: "{$target} a volume {$level}.",
    },
    louder: {
      patterns: [
        `${turnUp} [il volume ${of}] $target [${by}]`,
        `$target [${by}] più (alto | alta | forte)`,
      ],
      reply: "{$target}: più forte.",
    },
    quieter: {
      patterns: [
        `${turnDown} [il volume ${of}] $target [${by}]`,
        `$target [${by}] (più (basso | bassa | piano) | meno forte)`,
      ],
      reply: "{$target}: più piano.",
    },
    mute: {
      patterns: [
        "(silenzia | silenzi | ammutolisci) $target",
        `(togli | tolga) l'audio ${of} $target`,
        "$target (muto | muta)",
      ],
      reply: "{$target}: muto.",
    },
    unmute: {
      patterns: [`(ripristina | rimetti) l'audio ${of} $target`, "$target con [l'] audio"],
      reply: "{$target}: audio ripristinato.",
    },
    "source-to": {
      patterns: [
        `(${set} | passa) $target (su | a | alla | sulla | al) $source`,
        `(${set} | passa) [la] (sorgente | ingresso) ${of} $target (su | a) $source`,
        "$target [su] $source",
      ],
      reply: "{$target} su {$source}.",
    },
    press: {
      patterns: ["(premi | prema | premere | schiaccia) $target"],
      reply: "{$target} premuto.",
    },
    start: {
      patterns: [
        `${start} $target`,
        `${set} in (moto | funzione) $target`,
        "$target (parti | parta | avvio)",
      ],
      reply: "{$target} avviato.",
    },
    stop: {
      patterns: [`${stop} $target`, "$target (stop | ferma | fermo)"],
      reply: "{$target} fermo.",
    },
    "pause-work": {
      patterns: [`${set} $target in pausa`, `${set} in pausa $target`, "$target [in] pausa"],
      reply: "{$target} in pausa.",
    },
    dock: {
      patterns: [
        "(manda | rimanda | riporta) $target (alla base | a casa | in carica)",
        "$target (alla base | a casa | in carica)",
        "(ricarica | ricarichi) $target",
      ],
      reply: "{$target} torna alla base.",
    },
    "program-to": {
      patterns: [
        `(${set} | ${start}) $target (su | in | con) [programma] $program`,
        `(scegli | scelga) [il] programma $program (per | ${of}) $target`,
        "$target [su] [programma] $program",
      ],
      reply: "{$target}: programma {$program}.",
    },
    find: {
      patterns: [
        "(dov' è | dove è | dove sono | dove ho messo) $target",
        "(trova | cerca | localizza) $target",
        "fai (suonare | squillare) $target",
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
        `(qual è | quanto è | quale è) [il | la | l'] $measure [${of}] $target`,
        `(dimmi | leggi) [il | la | l'] $measure [${of}] $target`,
        `che $measure (c' è | ha | fa) [${in_}] $target`,
        `$measure ${of} $target`,
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
        "$target (è | sono) [ancora] $state",
        "(è | sono) [ancora] $state $target",
        "(controlla | dimmi | guarda) se $target (è | sono) [ancora] $state",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "(quale | quali) [di] $target (è | sono) [ancora] $state",
        `(quale | quali) $target ${in_} $place (è | sono) [ancora] $state`,
        `(cosa | che cosa) è [ancora] $state ${in_} $target`,
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "(c' è | ci sono) (qualche | alcune | alcuni | ancora) [di] $target [ancora] $state",
        `c' è qualcosa [di] $state ${in_} $target`,
      ],
      reply: "",
    },
  },
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
    between: "{$what} va da {$minimum} a {$maximum}, non {$said}",
    atLeast: "{$what} parte da {$minimum}, non {$said}",
    atMost: "{$what} arriva a {$maximum}, non {$said}",
    oneOf: "{$what} può essere {$choices}, non {$said}",
    unable: "{$name} non può farlo",
    nowhere: "non so a che cosa ci si riferisce",
    past: "{$time} è già passato",
    other: "",
  },
  replies: {
    unknown: "Mi dispiace, non ho capito.",
    unsure: "Quale: {$choices}?",
    refuse: "Non è possibile: {$reason}.",
    cannot: "Non è possibile.",
    act: "Fatto.",
    confirm: "Sicuro?",
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
  },
};
