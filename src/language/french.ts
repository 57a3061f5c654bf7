import { toCardinal, toOrdinal } from "n2words/fr-FR";
import type { LanguagePack } from "./pack.ts";

const on = "(allume | allumez | allumer | active | activez | activer)";
const off = "(éteins | éteignez | éteindre | coupe | coupez | couper | désactive | désactivez)";
const set =
  "(mets | mettez | mettre | règle | réglez | régler | passe | passez | passer | place | placez)";
const open = "(ouvre | ouvrez | ouvrir | lève | levez | lever | remonte | remontez | remonter)";
const close = "(ferme | fermez | fermer | baisse | baissez | baisser | descends | descendez)";
const turnUp =
  "(monte | montez | monter | augmente | augmentez | augmenter | hausse | haussez | pousse)";
const turnDown = "(baisse | baissez | baisser | diminue | diminuez | diminuer | réduis | réduisez)";
const start =
  "(démarre | démarrez | démarrer | lance | lancez | lancer | commence | fais démarrer)";
const stop = "(arrête | arrêtez | arrêter | stoppe | stoppez | stopper)";
const to = "(à | au | sur)";
const of = "(de | du | des | d' | dans | à | au | aux | sur)";
const by = "[de] $amount";

export const french: LanguagePack = {
  language: "fr",
  name: "Français",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["quatre-vingts", "quatre-vingt"],
      ["cents", "cent"],
      ["et un", "et une"],
      ["un", "une"],
    ],
    ordinal: toOrdinal,
    ordinalEndings: [
      ["premier", "première"],
      ["deuxième", "second"],
      ["deuxième", "seconde"],
    ],
    ordinalSigns: ["er", "ère", "re", "e", "ème", "eme", "nd", "nde"],
    optional: ["et"],
    thousand: { word: "mille", one: "mille", joined: false },
    hundreds: [],
    minus: ["moins"],
    point: ["virgule"],
    decimalSign: ",",
    fractions: [
      { value: 0.5, said: ["demi", "demie", "un demi", "la moitié", "moitié"] },
      { value: 0.25, said: ["quart", "un quart", "le quart"] },
      { value: 0.75, said: ["trois quarts", "les trois quarts"] },
    ],
    fractionJoiners: ["et"],
    fractionEndings: [],
  },
  times: {
    units: {
      second: ["seconde", "secondes", "s"],
      minute: ["minute", "minutes", "min", "m"],
      hour: ["heure", "heures", "h"],
      day: ["jour", "jours"],
      week: ["semaine", "semaines"],
    },
    one: ["un", "une"],
    durations: {
      30: ["une demi minute"],
      900: ["un quart d'heure", "quart d'heure"],
      1800: ["une demi heure", "demi heure"],
      2700: ["trois quarts d'heure"],
    },
    joiners: ["et"],
    clock: [
      { said: ["$hour (heure | heures | h)", "$hour"] },
      { said: ["$hour (heure | heures | h) $minute"] },
      {
        said: ["$hour (heure | heures) et (demi | demie)"],
        minutes: 30,
      },
      { said: ["$hour (heure | heures) et quart"], minutes: 15 },
      { said: ["$hour (heure | heures) moins [le] quart"], minutes: -15 },
      { said: ["$hour (heure | heures) moins $minute"], before: true },
    ],
    moments: {
      "00:00": ["minuit"],
      "00:30": ["minuit et demi"],
      "12:00": ["midi"],
      "12:30": ["midi et demi"],
    },
    morning: ["$time du matin", "$time ce matin"],
    afternoon: ["$time (de l'après midi | du soir)", "$time (cet après midi | ce soir)"],
    night: ["$time de la nuit"],
    days: { 0: ["aujourd'hui"], 1: ["demain"], 2: ["après demain"] },
    weekday: ["[le | ce] $weekday [prochain | qui vient]"],
    date: ["[le] $day $month [$year]"],
    when: {
      in: ["dans $duration", "après $duration", "d'ici $duration"],
      at: ["à $time [$date]", "$date à $time"],
      for: ["pendant [les prochaines] $duration", "pour $duration", "durant $duration"],
      until: ["(jusqu'à | jusque) $time [$date]", "jusqu'à $date à $time"],
    },
    then: ["et", "puis", "et puis", "ensuite", "et ensuite", "après quoi"],
  },
  units: {
    percent: ["pour cent", "pourcent", "%"],
    celsius: ["degrés", "degré", "degrés celsius", "celsius", "°", "°c"],
    kelvin: ["kelvin", "kelvins", "k"],
  },
  elisions: ["l", "d", "qu", "s", "c", "j", "m", "n", "t", "jusqu"],
  small: ["le", "la", "les", "l", "un", "une", "mon", "ma", "mes", "notre", "nos"],
  courtesies: {
    opening: [
      "s'il te plaît | s'il vous plaît | (peux | pourrais) tu [s'il te plaît] | (pouvez | pourriez) vous [s'il vous plaît] | je (veux | voudrais) [que tu]",
    ],
    closing: ["s'il te plaît | s'il vous plaît | merci | pour moi"],
  },
  targets: {
    all: ["tous", "toutes", "chaque", "les deux"],
    everything: ["tout", "tous les appareils", "toute la maison"],
    here: ["ici", "dans cette pièce"],
    it: ["le", "la", "les", "l", "ça", "cela", "celui-là", "celle-là"],
    there: ["là", "là-bas", "là-dedans", "cette pièce-là"],
    inPlace: ["dans", "de", "du", "des", "d'", "à", "au", "aux", "sur", "en"],
    and: ["et", "&", "ainsi que"],
    except: ["sauf", "à part", "excepté", "à l'exception de", "mais pas"],
  },
  kinds: {
    light: {
      one: ["lampe", "lumière"],
      many: ["lampes", "lumières", "éclairage", "éclairages"],
    },
    plug: { one: ["prise"], many: ["prises"] },
    pump: { one: ["pompe"], many: ["pompes"] },
    fan: { one: ["ventilateur"], many: ["ventilateurs"] },
    heater: { one: ["radiateur"], many: ["radiateurs"] },
    thermostat: { one: ["thermostat", "chauffage"], many: ["thermostats", "chauffages"] },
    blind: {
      one: ["store", "rideau", "volet"],
      many: ["stores", "rideaux", "volets"],
    },
    gate: { one: ["portail"], many: ["portails"] },
    valve: { one: ["vanne"], many: ["vannes"] },
    lock: { one: ["serrure"], many: ["serrures"] },
    alarm: { one: ["alarme"], many: ["alarmes"] },
    camera: { one: ["caméra"], many: ["caméras"] },
    sensor: { one: ["capteur"], many: ["capteurs"] },
    player: { one: ["enceinte", "musique"], many: ["enceintes"] },
    button: { one: ["bouton"], many: ["boutons"] },
    vacuum: { one: ["aspirateur"], many: ["aspirateurs"] },
    appliance: { one: ["machine", "appareil"], many: ["machines", "appareils"] },
    locator: { one: ["balise"], many: ["balises"] },
  },
  properties: {
    power: ["courant"],
    brightness: ["luminosité"],
    colour: ["couleur"],
    warmth: ["température de couleur"],
    speed: ["vitesse"],
    oscillate: ["oscillation"],
    target: ["consigne", "température de consigne"],
    temperature: ["température"],
    humidity: ["humidité"],
    mode: ["mode"],
    preset: ["préréglage"],
    position: ["position"],
    tilt: ["inclinaison"],
    flow: ["débit"],
    locked: ["serrure"],
    armed: ["mode d'alarme"],
    recording: ["enregistrement"],
    illuminance: ["éclairement"],
    pm25: ["particules fines", "poussière"],
    co2: ["dioxyde de carbone", "CO2"],
    moisture: ["humidité du sol", "moiteur"],
    contact: ["contact"],
    motion: ["mouvement"],
    battery: ["batterie", "charge"],
    level: ["niveau"],
    volume: ["volume"],
    muted: ["sourdine"],
    source: ["source", "entrée"],
    playing: ["lecture"],
    activity: ["activité", "état"],
    program: ["programme"],
  },
  values: {
    power: { on: ["allumé"], off: ["éteint"] },
    mode: {
      off: ["arrêt", "éteint"],
      heat: ["chauffage", "chaud"],
      cool: ["refroidissement", "froid"],
      auto: ["auto", "automatique"],
    },
    preset: {
      home: ["présent", "à la maison", "confort"],
      away: ["absent", "absence"],
      sleep: ["nuit", "sommeil"],
    },
    armed: {
      off: ["désarmée", "arrêt"],
      home: ["présent", "à la maison"],
      away: ["absent", "absence"],
      night: ["nuit"],
    },
    contact: { open: ["ouvert"], closed: ["fermé"] },
    locked: { true: ["verrouillé"], false: ["déverrouillé"] },
    motion: { true: ["en mouvement"], false: ["immobile"] },
    muted: { true: ["en sourdine"], false: ["pas en sourdine"] },
    activity: {
      docked: ["sur sa base"],
      cleaning: ["en train d'aspirer"],
      paused: ["en pause"],
      returning: ["sur le retour"],
      idle: ["au repos"],
      running: ["en marche"],
      done: ["terminé"],
    },
    playing: { play: ["en lecture"], pause: ["en pause"], stop: ["arrêté"] },
    flow: { on: ["ouvert"], off: ["fermé"] },
    recording: { on: ["en cours"], off: ["arrêté"] },
    oscillate: { on: ["active"], off: ["arrêtée"] },
  },
  states: {
    on: ["allumé", "allumée", "allumés", "allumées", "en marche"],
    off: ["éteint", "éteinte", "éteints", "éteintes"],
    open: ["ouvert", "ouverte", "ouverts", "ouvertes", "levé", "levés"],
    closed: ["fermé", "fermée", "fermés", "fermées", "baissé", "baissés"],
    locked: ["verrouillé", "verrouillée", "verrouillés", "verrouillées"],
    unlocked: ["déverrouillé", "déverrouillée", "déverrouillés", "déverrouillées"],
    armed: ["armé", "armée", "armées"],
    disarmed: ["désarmé", "désarmée", "désarmées"],
    recording: ["en train d'enregistrer"],
    playing: ["en train de jouer", "en lecture"],
    paused: ["en pause"],
    muted: ["muet", "muette", "en sourdine"],
    unmuted: ["audible"],
    running: ["en route", "en fonctionnement"],
    docked: ["à la base", "sur sa base", "en charge"],
    moving: ["en mouvement"],
  },
  colours: {
    "#ff0000": ["rouge"],
    "#00ff00": ["vert", "verte"],
    "#0000ff": ["bleu", "bleue"],
    "#ffff00": ["jaune"],
    "#ffa500": ["orange"],
    "#800080": ["pourpre"],
    "#ee82ee": ["violet", "violette"],
    "#ffc0cb": ["rose"],
    "#ff69b4": ["rose vif"],
    "#ff00ff": ["magenta"],
    "#00ffff": ["cyan"],
    "#008080": ["bleu canard", "sarcelle"],
    "#40e0d0": ["turquoise"],
    "#add8e6": ["bleu clair", "bleu pâle"],
    "#00008b": ["bleu foncé"],
    "#000080": ["bleu marine"],
    "#87ceeb": ["bleu ciel"],
    "#006400": ["vert foncé"],
    "#90ee90": ["vert clair"],
    "#32cd32": ["vert citron", "citron vert"],
    "#808000": ["olive", "vert olive"],
    "#ffd700": ["or", "doré", "dorée"],
    "#ffbf00": ["ambre"],
    "#ff7f50": ["corail"],
    "#fa8072": ["saumon"],
    "#dc143c": ["cramoisi"],
    "#8b0000": ["rouge foncé"],
    "#e6e6fa": ["lavande"],
    "#4b0082": ["indigo"],
    "#a0522d": ["terre de sienne", "sienne"],
    "#b4532f": ["terre cuite"],
    "#ffdab9": ["pêche"],
    "#f5f5dc": ["beige"],
    "#ffffff": ["blanc", "blanche", "blanc pur"],
  },
  warmths: {
    1900: ["lueur de bougie", "bougie"],
    2700: ["blanc chaud", "chaud", "chaude"],
    3500: ["blanc neutre", "neutre"],
    4000: ["blanc froid"],
    5500: ["lumière du jour", "blanc du jour"],
    6500: ["blanc glacé", "froid", "froide"],
  },
  amounts: {
    small: ["un peu", "légèrement", "un petit peu", "un brin"],
    large: ["beaucoup", "nettement", "bien"],
  },
  levels: {
    least: ["minimum", "au minimum", "le minimum"],
    low: ["faible", "lent", "petite vitesse"],
    medium: ["moyen", "moyenne", "vitesse moyenne"],
    high: ["fort", "rapide", "grande vitesse"],
    full: ["maximum", "au maximum", "plein", "pleine puissance", "fond", "à fond"],
  },
  vocabulary: {
    "power-on": {
      patterns: [
        `${on} $target`,
        `${on} $target (dans | à | au | de | du) $place`,
        "(remets | remettez) $target en marche",
        `${set} $target en (marche | route)`,
        "je (veux | voudrais) $target (allumé | allumée | allumés | allumées)",
        "$target (allumé | allumée | allumés | allumées)",
      ],
      reply: "{$target} : allumé.",
    },
    "power-off": {
      patterns: [
        `${off} $target`,
        `${off} $target (dans | à | au | de | du) $place`,
        `${set} $target (à l'arrêt | hors tension)`,
        "$target (éteint | éteinte | éteints | éteintes)",
      ],
      reply: "{$target} : éteint.",
    },
    "brightness-to": {
      patterns: [
        `(${set} | ${turnUp} | ${turnDown} | tamise | tamisez) $target ${to} $level [de luminosité]`,
        `${set} [la] luminosité ${of} $target ${to} $level`,
        `$target ${to} $level [de luminosité]`,
        "$target $level",
        `${set} $target ${to} $level ${of} $place`,
        "luminosité $level pour $target",
      ],
      reply: "{$target} à {$level} pour cent.",
    },
    brighter: {
      patterns: [
        `${turnUp} [la luminosité (de | du | des | d')] $target [${by}]`,
        `[rends | rendez] $target [${by}] plus (clair | claire | clairs | claires | lumineux | fort | forte)`,
        "plus de lumière (dans | à | au | de | du) $target",
        "(éclaircis | éclaircissez) $target [de $amount]",
      ],
      reply: "{$target} : plus clair.",
    },
    dimmer: {
      patterns: [
        `${turnDown} [la luminosité (de | du | des | d')] $target [${by}]`,
        `(tamise | tamisez | tamiser | assombris | assombrissez) $target [${by}]`,
        `[rends | rendez] $target [${by}] (plus (sombre | sombres | tamisé | tamisée) | moins (clair | claire | fort | forte))`,
        "moins de lumière (dans | à | au | de | du) $target",
      ],
      reply: "{$target} : plus sombre.",
    },
    "speed-to": {
      patterns: [
        `${set} $target ${to} $level`,
        `${set} [la] vitesse ${of} $target ${to} $level`,
        `$target ${to} $level [de vitesse]`,
        "$target [en | vitesse] $level",
        `(fais tourner | faites tourner) $target ${to} $level`,
      ],
      reply: "{$target} à {$level} pour cent.",
    },
    faster: {
      patterns: [
        `(accélère | accélérez | accélérer) $target [${by}]`,
        `${turnUp} [la vitesse (de | du | des | d')] $target [${by}]`,
        `$target [${by}] plus (vite | rapide | fort)`,
        "(fais tourner | faites tourner) $target [$amount] plus vite",
      ],
      reply: "{$target} : plus vite.",
    },
    slower: {
      patterns: [
        `(ralentis | ralentissez | ralentir) $target [${by}]`,
        `${turnDown} [la vitesse (de | du | des | d')] $target [${by}]`,
        `$target [${by}] (plus (lentement | lent) | moins (vite | fort))`,
        "(fais tourner | faites tourner) $target [$amount] (moins vite | plus lentement)",
      ],
      reply: "{$target} : moins vite.",
    },
    "oscillate-on": {
      patterns: [
        "(fais osciller | faites osciller) $target",
        `${on} [l'] oscillation (de | du | des | d') $target`,
        "$target (oscille | en oscillation)",
      ],
      reply: "{$target} oscille.",
    },
    "oscillate-off": {
      patterns: [
        `(${stop} | ${off}) [l'] oscillation (de | du | des | d') $target`,
        "$target sans oscillation",
      ],
      reply: "{$target} n'oscille plus.",
    },
    "colour-to": {
      patterns: [
        `${set} $target (en | au | à) $colour`,
        `${set} [la] couleur ${of} $target ${to} $colour`,
        "(colore | colorez | peins) $target en $colour",
        "$target [en] $colour",
        `${set} $target en $colour (dans | à | au) $place`,
      ],
      reply: "{$target} en {$colour}.",
    },
    "colour-and-brightness": {
      patterns: [
        `[${set}] $target [en] $colour [et] [à] $level [de luminosité]`,
        `[${set}] $target [à] $level [de luminosité] [et] [en] $colour`,
      ],
      reply: "{$target} en {$colour} à {$level} pour cent.",
    },
    "warmth-to": {
      patterns: [
        `${set} $target [en | à | au] $warmth`,
        `${set} [la] température de couleur ${of} $target ${to} $warmth`,
        "$target [en | à] $warmth",
      ],
      reply: "{$target} à {$warmth} kelvins.",
    },
    "warmth-and-brightness": {
      patterns: [
        `[${set}] $target [en] $warmth [et] [à] $level [de luminosité]`,
        `[${set}] $target [à] $level [de luminosité] [et] [en] $warmth`,
      ],
      reply: "{$target} à {$warmth} kelvins et {$level} pour cent.",
    },
    "temperature-to": {
      patterns: [
        `(${set} | chauffe | chauffez | refroidis) $target ${to} $degrees`,
        `${set} [la] (température | consigne) ${of} $target ${to} $degrees`,
        `$target ${to} $degrees`,
        "$target $degrees",
        `${set} $degrees (dans | à | au) $target`,
      ],
      reply: "{$target} à {$degrees} degrés.",
    },
    warmer: {
      patterns: [
        `${turnUp} [la température ${of}] $target [${by}]`,
        `[rends | rendez | chauffe] $target [${by}] plus (chaud | chaude)`,
        "[$amount] plus chaud (dans | à | au) $target",
        `(réchauffe | réchauffez) $target [${by}]`,
      ],
      reply: "{$target} : plus chaud.",
    },
    cooler: {
      patterns: [
        `${turnDown} [la température ${of}] $target [${by}]`,
        `[rends | rendez] $target [${by}] (plus (froid | froide | frais | fraîche) | moins (chaud | chaude))`,
        "[$amount] (plus frais | moins chaud) (dans | à | au) $target",
        `(rafraîchis | rafraîchissez | refroidis | refroidissez) $target [${by}]`,
      ],
      reply: "{$target} : moins chaud.",
    },
    "mode-to": {
      patterns: [
        `${set} $target (en | sur | au | à) [mode] $mode`,
        `${set} [le] mode ${of} $target ${to} $mode`,
        "$target [en | sur] [mode] $mode",
      ],
      reply: "{$target} : {$mode}.",
    },
    "preset-to": {
      patterns: [
        `${set} $target (en | sur | au | à) [mode] $preset`,
        `${set} [le] préréglage ${of} $target ${to} $preset`,
        "$target [en | sur] [mode] $preset",
      ],
      reply: "{$target} : {$preset}.",
    },
    open: {
      patterns: [
        `${open} $target [complètement | entièrement | en grand]`,
        `${open} $target (dans | à | au | de | du) $place`,
        "$target (ouvert | ouverte | ouverts | levé | levés)",
      ],
      reply: "{$target} s'ouvre.",
    },
    close: {
      patterns: [
        `${close} $target [complètement | entièrement]`,
        `${close} $target (dans | à | au | de | du) $place`,
        "$target (fermé | fermée | fermés | baissé | baissés)",
      ],
      reply: "{$target} se ferme.",
    },
    "position-to": {
      patterns: [
        `(${set} | ${open} | ${close}) $target ${to} $level`,
        `${set} [la] position ${of} $target ${to} $level`,
        `$target ${to} $level`,
        "$target [ouvert | ouverte] $level",
      ],
      reply: "{$target} à {$level} pour cent.",
    },
    "tilt-to": {
      patterns: [
        `(incline | inclinez | incliner) $target ${to} $level`,
        `${set} [l'] inclinaison ${of} $target ${to} $level`,
        `$target inclinaison [${to}] $level`,
      ],
      reply: "{$target} incliné à {$level} pour cent.",
    },
    "stop-moving": {
      patterns: [`${stop} $target`, "$target (stop | arrêt)"],
      reply: "{$target} arrêté.",
    },
    "flow-on": {
      patterns: [`(${on} | ouvre | ouvrez | ouvrir) $target`, "$target (ouvert | ouverte)"],
      reply: "{$target} : ouvert.",
    },
    "flow-off": {
      patterns: [`(${off} | ferme | fermez | fermer) $target`, "$target (fermé | fermée)"],
      reply: "{$target} : fermé.",
    },
    lock: {
      patterns: [
        "(verrouille | verrouillez | verrouiller) $target",
        "(ferme | fermez | fermer) $target à clé",
        "$target (verrouillé | verrouillée)",
      ],
      reply: "{$target} : verrouillé.",
    },
    unlock: {
      patterns: [
        "(déverrouille | déverrouillez | déverrouiller) $target",
        "$target (déverrouillé | déverrouillée)",
      ],
      reply: "{$target} : déverrouillé.",
    },
    arm: {
      patterns: [
        "(arme | armez | armer | active | activez) $target [en [mode]] [$mode]",
        `${set} $target (en | sur) [mode] $mode`,
        "$target (armée | armé | [en] [mode] $mode)",
      ],
      reply: "{$target} : armée.",
    },
    disarm: {
      patterns: [
        `(désarme | désarmez | désarmer | ${off}) $target`,
        "$target (désarmée | désarmé)",
      ],
      reply: "{$target} : désarmée.",
    },
    record: {
      patterns: [
        "(enregistre | enregistrez | filme | filmez) avec $target",
        `(${start} | ${on}) [l'] enregistrement (de | du | des | d' | sur) $target`,
        "(fais enregistrer | faites enregistrer) $target",
      ],
      reply: "{$target} enregistre.",
    },
    "stop-recording": {
      patterns: [
        `(${stop} | ${off}) [l'] enregistrement (de | du | des | d' | sur) $target`,
        "$target (sans enregistrement | arrêt de l'enregistrement)",
      ],
      reply: "{$target} n'enregistre plus.",
    },
    play: {
      patterns: [
        `(${start} | reprends | reprenez) [la] (lecture | musique) (sur | de | du | des | d' | dans) $target`,
        "(joue | jouez | reprends | reprenez) $target",
        "$target lecture",
      ],
      reply: "{$target} : lecture.",
    },
    pause: {
      patterns: [
        `${set} $target en pause`,
        "pause (sur | de | du | des | d') $target",
        "$target [en] pause",
      ],
      reply: "{$target} en pause.",
    },
    "stop-playing": {
      patterns: [
        `${stop} $target`,
        `${stop} [la] (lecture | musique) (sur | de | du | des | d' | dans) $target`,
        "$target (stop | arrêt)",
      ],
      reply: "{$target} arrêté.",
    },
    next: {
      patterns: [
        "[le] (titre | morceau | piste) suivant (sur | de | du | dans) $target",
        "$target [titre | morceau] suivant",
        "suivant (sur | dans) $target",
      ],
      reply: "Titre suivant sur {$target}.",
    },
    previous: {
      patterns: [
        "[le] (titre | morceau) précédent (sur | de | du | dans) $target",
        "$target [titre | morceau] précédent",
      ],
      reply: "Titre précédent sur {$target}.",
    },
    "play-what": {
      patterns: ["(joue | jouez | mets | mettez | lance) $what (sur | dans) $target"],
      reply: "{$what} sur {$target}.",
    },
    "volume-to": {
      patterns: [
        `${set} [le] (volume | son) ${of} $target ${to} $level`,
        `${set} $target ${to} $level [de volume]`,
        `$target [volume] ${to} $level`,
        "$target [volume] $level",
      ],
      reply: "{$target} au volume {$level}.",
    },
    louder: {
      patterns: [
        `${turnUp} [le (volume | son) ${of}] $target [${by}]`,
        `$target [${by}] plus fort`,
      ],
      reply: "{$target} : plus fort.",
    },
    quieter: {
      patterns: [
        `${turnDown} [le (volume | son) ${of}] $target [${by}]`,
        `$target [${by}] (moins fort | plus bas)`,
      ],
      reply: "{$target} : moins fort.",
    },
    mute: {
      patterns: [
        `(${off} | coupe | coupez) [le] son (de | du | des | d') $target`,
        `${set} $target en (sourdine | muet)`,
        "$target (muet | muette | en sourdine)",
      ],
      reply: "{$target} : muet.",
    },
    unmute: {
      patterns: [
        "(remets | remettez | rétablis | rétablissez) [le] son (de | du | des | d' | sur) $target",
        "$target avec [le] son",
      ],
      reply: "{$target} : son rétabli.",
    },
    "source-to": {
      patterns: [
        `${set} $target sur $source`,
        `${set} [la] (source | entrée) ${of} $target sur $source`,
        "$target [sur] $source",
      ],
      reply: "{$target} sur {$source}.",
    },
    press: {
      patterns: ["(appuie | appuyez | appuyer) sur $target", "(presse | pressez) $target"],
      reply: "{$target} pressé.",
    },
    start: {
      patterns: [
        `${start} $target`,
        "$target (démarre | marche)",
        "(fais | faites) tourner $target",
      ],
      reply: "{$target} démarre.",
    },
    stop: {
      patterns: [`${stop} $target`, "$target (stop | arrêt)"],
      reply: "{$target} arrêté.",
    },
    "pause-work": {
      patterns: [`${set} $target en pause`, "$target [en] pause"],
      reply: "{$target} en pause.",
    },
    dock: {
      patterns: [
        "(renvoie | renvoyez | ramène) $target (à | sur) [sa] base",
        "$target [retourne | rentre] à [la | sa] base",
        "(recharge | rechargez) $target",
      ],
      reply: "{$target} rentre à sa base.",
    },
    "program-to": {
      patterns: [
        `${set} $target (sur | en) [programme] $program`,
        `${start} $target (en | avec | sur) [programme] $program`,
        "$target [programme | sur | en] $program",
      ],
      reply: "{$target} : programme {$program}.",
    },
    find: {
      patterns: [
        "où (est | sont | ai je mis) $target",
        "(trouve | trouvez | cherche | cherchez) $target",
        "(fais sonner | faites sonner) $target",
        "j'ai perdu $target",
      ],
      reply: "{$target} sonne.",
    },
    "run-routine": {
      patterns: [
        "(lance | lancez | lancer | démarre | démarrez | exécute | exécutez) [la routine] $routine",
        "routine $routine",
      ],
      reply: "",
    },
    "ask-value": {
      patterns: [
        "quel est [le | la] $measure [de | du | des | d' | dans | à | au | sur] $target",
        "quelle est [le | la] $measure [de | du | des | d' | dans | à | au | sur] $target",
        "(donne | dis) moi [le | la] $measure [de | du | des | d' | dans | à | au] $target",
        "$measure (de | du | des | d' | dans | à | au) $target",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        "combien fait il [dans | à | au | en] $target",
        "(est ce qu'il fait | fait il) (chaud | froid) [dans | à | au | en] $target",
        "quelle température fait il [dans | à | au | en] $target",
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "est ce que $target (est | sont) [encore] $state",
        "$target (est | sont) (il | elle | ils | elles) [encore] $state",
        "(est | sont) ce que $target $state",
        "(vérifie | dis moi) si $target (est | sont) [encore] $state",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "(quel | quels | quelle | quelles) $target (est | sont) [encore] $state",
        "(quel | quels | quelle | quelles) $target (est | sont) [encore] $state (dans | à | au) $place",
        "qu'est ce qui est [encore] $state (dans | à | au) $target",
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "y a t il (encore | un | une | des) $target [encore] $state",
        "est ce qu'il y a (un | une | des) $target [encore] $state",
        "est ce qu'il y a quelque chose $state (dans | à | au) $target",
      ],
      reply: "",
    },
  },
  conversation: {
    yes: [
      "oui [s'il te plaît | s'il vous plaît]",
      "(d'accord | ok | okay | bien sûr | vas y | allez y)",
    ],
    no: ["non [merci]"],
    cancel: ["(laisse tomber | annule | annulez | oublie | stop)"],
    again: ["encore [une fois]", "recommence", "refais le"],
    undo: ["(annule | annulez | défais) ça", "reviens en arrière"],
  },
  answers: {
    value: "{$name} : {$property} {$value}.",
    yes: "Oui, {$name} : {$state}.",
    no: "Non, {$name} : {$state}.",
    list: "{$list}.",
    none: "Aucun.",
  },
  refusals: {
    of: "{$property} de {$name}",
    that: "cela",
    between: "{$what} va de {$minimum} à {$maximum}, pas {$said}",
    atLeast: "{$what} commence à {$minimum}, pas {$said}",
    atMost: "{$what} va jusqu'à {$maximum}, pas {$said}",
    oneOf: "{$what} peut être {$choices}, pas {$said}",
    unable: "{$name} ne sait pas faire cela",
    alone: "il faut nommer {$name}",
    length: "ce n'est pas une durée",
    nowhere: "je ne sais pas de quoi vous parlez",
    past: "{$time} est passé",
    named: "il faut le nommer",
    nothing: "il n'y a rien de tel",
    place: "« {$words} » ne peut pas être son lieu",
    day: "je ne sais pas quel jour nous sommes",
    times: "deux heures sont dites pour une seule commande",
    later: "une réponse ne peut pas attendre",
    stays: "ce que fait {$name} ne s'annule pas après un moment",
    both: "{$what} ne peut pas être à la fois {$first} et {$second}",
  },
  replies: {
    unknown: "Désolé, je n'ai pas compris.",
    unsure: "Lequel : {$choices} ?",
    refuse: "Ce n'est pas possible : {$reason}.",
    cannot: "Ce n'est pas possible.",
    act: "C'est fait.",
    confirm: "Vraiment ?",
    code: "Quel est le code ?",
    failed: "{$names} : pas de réponse.",
    partly: "{$reply} {$names} : pas de réponse.",
    leftOut: "{$reply} Mais pas : {$names}.",
    notAll: "Tout n'a pas pu être fait.",
    withheld: "Pas {$names} : cela doit être demandé à part.",
    notNow: "Ce n'est pas possible en ce moment.",
    running: "C'est déjà en cours.",
    devices: "appareils",
    cancelled: "Comme vous voulez.",
    undone: "C'est annulé.",
    nothingToUndo: "Il n'y a rien à annuler.",
    nothingToRepeat: "Il n'y a rien à répéter.",
    wrongCode: "Ce n'est pas le code.",
    locked: "Trop de codes faux. Attendez {$duration}.",
    ask: "Quelle valeur pour {$slot} ?",
    in: "Dans {$duration} : {$reply}",
    at: "À {$time} : {$reply}",
    for: "Pendant {$duration} : {$reply}",
    until: "Jusqu'à {$time} : {$reply}",
    atDay: "{$day} à {$time} : {$reply}",
    untilDay: "Jusqu'à {$day} à {$time} : {$reply}",
  },
};
