import { toCardinal, toOrdinal } from "n2words/fr-FR";
import type { LanguagePack } from "./pack.ts";
import { frenchSounds } from "./sounds/french.ts";
import type { SunWords } from "./times.ts";

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
const by = "[de | d'] $amount";

const de = "[de | du | des | d' | dans | en | à | au | aux | sur | pour]";
const put =
  "mets | mettez | mettre | règle | réglez | régler | passe | passez | passer | place | fais | faites | faire | laisse | laissez | laisser | garde | gardez | garder | rends | rendez | rendre | remets | remettez | remettre | tourne | tournez | tourner";
const adjust =
  "mets | mettez | mettre | règle | réglez | régler | passe | passez | passer | place | placez | change | changez | changer | ajuste | ajustez | ajuster | monte | montez | monter | baisse | baissez | baisser | descends | descendez | descendre | amène | pousse | remets | fixe";
const raise =
  "monte | montez | monter | augmente | augmentez | augmenter | hausse | haussez | hausser | pousse | poussez | pousser | remonte | remontez | remonter";
const lower =
  "baisse | baissez | baisser | diminue | diminuez | diminuer | réduis | réduisez | réduire | descends | descendez | descendre";
const should = "doit | doivent | devrait | devraient | peut | peuvent | pourrait | pourraient";

const inThe = "[dans | à | au | en | sur | chez]";

const very = "si | très | vraiment | tellement | bien";

/** What the sun does, as a time. */
function sun(what: string, sentence: string): SunWords {
  return {
    at: [`au ${what}`, `(à partir du | dès le) ${what}`, sentence],
    until: [`jusqu'au ${what}`],
    before: [`$duration avant le ${what}`],
    after: [`$duration après le ${what}`],
  };
}

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
    pairs: false,
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
      {
        value: 0.5,
        said: ["demi", "demie", "un demi", "la moitié", "moitié", "à mi hauteur"],
      },
      { value: 0.25, said: ["quart", "un quart", "le quart"] },
      { value: 0.75, said: ["trois quarts", "les trois quarts", "aux trois quarts"] },
      { value: 1 / 3, said: ["tiers", "un tiers"] },
      { value: 2 / 3, said: ["deux tiers", "les deux tiers", "aux deux tiers"] },
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
      5400: ["heure et demie", "une heure et demie"],
    },
    joiners: ["et"],
    clock: [
      { said: ["$hour (heure | heures | h)", "$face"] },
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
    morning: ["[ce | au] matin à $time", "$time du matin", "$time ce matin"],
    afternoon: [
      "[ce | au] (soir | après midi) à $time",
      "$time (de l'après midi | du soir)",
      "$time (cet après midi | ce soir)",
    ],
    night: ["$time de la nuit"],
    days: { 0: ["aujourd'hui"], 1: ["demain"], 2: ["après demain"] },
    weekday: ["[le | ce] $weekday [prochain | qui vient]"],
    date: ["[le] $day $month [$year]"],
    partOf: {
      morning: ["$date [au] matin"],
      afternoon: ["$date (après midi | soir)"],
      night: ["$date [dans la] nuit"],
    },
    when: {
      in: ["dans $duration", "après $duration", "d'ici $duration"],
      at: ["(à | dès | à partir de) $time [$date]", "$date à $time"],
      for: [
        "[encore] $duration",
        "pendant [encore | les prochaines | la prochaine] $duration",
        "(pendant | pour | durant) (la prochaine | la première) $unit",
        "[pour] $duration de plus",
        "pour [encore] $duration",
        "durant $duration",
      ],
      until: ["(jusqu'à | jusque) $time [$date]", "jusqu'à $date [à] $time"],
      span: [
        "[$date] de ($time | $hour) (à | jusqu'à) $end [$date]",
        "[$date] entre ($time | $hour) et $end [$date]",
      ],
    },
    sun: {
      reply: "{$when} : {$reply}",
      sunrise: sun("lever du soleil", "(quand | dès que) le soleil se lève"),
      sunset: sun("coucher du soleil", "(quand | dès que) le soleil se couche"),
      dawn: {
        at: ["à l'aube", "à l'aurore", "au point du jour"],
        until: ["jusqu'à l'aube"],
        before: ["$duration avant l'aube"],
        after: ["$duration après l'aube"],
      },
      dusk: {
        at: [
          "au crépuscule",
          "à la (tombée de la nuit | nuit tombée)",
          "(quand | dès que) il fait (nuit | sombre)",
          "(quand | dès que) la nuit tombe",
        ],
        until: ["jusqu'au crépuscule", "jusqu'à la tombée de la nuit"],
        before: ["$duration avant le crépuscule", "$duration avant la tombée de la nuit"],
        after: ["$duration après le crépuscule", "$duration après la tombée de la nuit"],
      },
    },
    then: ["et", "puis", "et puis", "ensuite", "et ensuite", "après quoi", "mais", "et aussi"],
  },
  units: {
    percent: ["pour cent", "pourcent", "%"],
    degrees: ["degrés", "degré"],
    celsius: ["celsius"],
    fahrenheit: ["fahrenheit"],
    kelvin: ["kelvin", "kelvins", "k"],
  },
  elisions: ["l", "d", "qu", "s", "c", "j", "m", "n", "t", "jusqu"],
  alike: [
    ["clim", "climatisation", "climatiseur"],
    ["lampe", "lumière"],
    ["télé", "télévision", "téléviseur"],
    ["salon", "séjour"],
    ["toilettes", "wc"],
    ["frigo", "réfrigérateur", "frigidaire"],
  ],
  plurals: {
    head: "first",
    endings: [
      ["eau", "eaux"],
      ["al", "aux"],
      ["eu", "eux"],
      ["s", "s"],
      ["x", "x"],
      ["", "s"],
    ],
  },
  sounds: frenchSounds,
  small: ["le", "la", "les", "l", "un", "une", "mon", "ma", "mes", "notre", "nos"],
  imperatives: {
    endings: [
      ["er", "e", "ez"],
      ["ir", "is", "issez"],
      ["re", "s", "ez"],
    ],
  },
  agreement: ["es", "s", "e", ""],
  requests: { endings: ["s", ""], before: ["tu", "me", "m", "nous"] },
  courtesies: {
    opening: [
      "(tu serais | vous seriez) (gentil | gentille | aimable | sympa | un ange) de",
      "[ah | oh | ah oui | tiens] et",
      "(quand | dès que | si) tu (peux | as (le temps | un moment | une minute)) | à l'occasion",
      "s'il te plaît | s'il vous plaît | (peux | pourrais | veux | voudrais) tu [me] [peut être] | (pouvez | pourriez | voulez | voudriez) vous [me] | est ce que (tu (peux | pourrais) | vous (pouvez | pourriez)) [me] | (tu | vous) (peux | pourrais | pouvez | pourriez) [peut être] [me]",
      "(quelqu'un | l'un de vous) (peut | pourrait) [il] [m' | nous] | (est ce que | est ce qu') quelqu'un (peut | pourrait)",
      "je (veux | voudrais | voulais) [bien] [que tu] | j'aimerais [bien] | je souhaite | on (veut | voudrait | peut | pourrait) [avoir] | il (faudrait | faut) | j'ai besoin [de | d'] | (est ce que je | je) (peux | pourrais) avoir | puis je avoir | avoir",
      "(sois gentil | sois gentille | soyez gentil) [de | et] | aurais tu la gentillesse de | ça (te | vous) (dérange | dérangerait | ennuie) [si | de | d'] | (fais | faites) en sorte | (assure toi | assurez vous) | veille à ce | vas y et | il est temps de | (donne | donnez) (moi | nous)",
    ],
    closing: [
      "avant que j'oublie | avant d'oublier | en ce moment | actuellement",
      "tout le monde | les amis | mon grand | ma grande | mon petit | ma petite | chéri | chérie | mon chéri | ma chérie | mon amour | mon cœur | ma puce",
      "derrière (moi | nous)",
      "quand tu as (le temps | un moment | une minute) | à l'occasion | un instant | un moment | une seconde | une minute",
      "s'il te plaît | s'il vous plaît | stp | svp | merci | pour moi | tout de suite | immédiatement | dès que possible | si (tu | vous) (peux | pouvez | veux | voulez) [bien] | si possible | quand (tu | vous) (peux | pouvez) | d'accord | veux tu | tu veux bien | vite | vite fait | allez | (il n'y a | y a) personne [ici | dedans]",
    ],
  },
  targets: {
    all: ["tous", "toutes", "chaque"],
    both: ["les deux", "tous les deux", "toutes les deux"],
    everything: [
      "tout",
      "tous les appareils",
      ...["est allumé", "est encore allumé", "est resté allumé", "reste allumé"].flatMap((on) => [
        `tout ce qui ${on}`,
        `ce qui ${on}`,
      ]),
    ],
    here: ["ici", "dans cette pièce"],
    it: ["le", "la", "les", "l", "ça", "cela", "celui-là", "celle-là"],
    there: ["là", "là-bas", "là-dedans", "cette pièce-là"],
    outside: ["dehors", "à l'extérieur"],
    inside: ["à l'intérieur", "dedans"],
    everywhere: ["partout", "toute la maison", "de la maison", "tout le bâtiment", "du bâtiment"],
    one: ["celui", "celle"],
    ones: ["ceux", "celles"],
    this: ["ce", "cet", "cette", "ces"],
    inPlace: ["dans", "de", "du", "des", "d'", "à", "au", "aux", "sur", "en"],
    and: ["et", "&", "ainsi que"],
    except: ["sauf", "à part", "excepté", "à l'exception de", "mais pas"],
  },
  kinds: {
    light: {
      one: ["lampe"],
      many: ["lampes", "lumière", "lumières", "éclairage", "éclairages"],
    },
    plug: { one: ["prise"], many: ["prises"] },
    pump: { one: ["pompe"], many: ["pompes"] },
    fan: { one: ["ventilateur"], many: ["ventilateurs"] },
    heater: { one: ["radiateur"], many: ["radiateurs"] },
    thermostat: { one: ["thermostat", "chauffage"], many: ["thermostats", "chauffages"] },
    blind: {
      one: ["store", "rideau", "volet", "auvent"],
      many: ["stores", "rideaux", "volets", "auvents"],
      differ: true,
    },
    gate: { one: ["portail"], many: ["portails"] },
    valve: { one: ["vanne"], many: ["vannes"] },
    lock: { one: ["serrure", "porte"], many: ["serrures", "portes"] },
    alarm: { one: ["alarme"], many: ["alarmes"] },
    camera: { one: ["caméra"], many: ["caméras"] },
    sensor: { one: ["capteur"], many: ["capteurs"] },
    player: { one: ["enceinte", "musique"], many: ["enceintes"] },
    button: { one: ["bouton"], many: ["boutons"] },
    vacuum: { one: ["aspirateur", "robot"], many: ["aspirateurs", "robots"] },
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
    tilt: ["inclinaison", "lames", "lamelles"],
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
    volume: ["volume", "son"],
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
    open: ["ouvert", "ouverte", "ouverts", "ouvertes", "levé", "levée", "levés", "levées"],
    closed: ["fermé", "fermée", "fermés", "fermées", "baissé", "baissée", "baissés", "baissées"],
    locked: [
      "verrouillé",
      "verrouillée",
      "fermé à clé",
      "fermés à clé",
      "fermées à clé",
      "fermée à clé",
      "verrouillés",
      "verrouillées",
    ],
    unlocked: ["déverrouillé", "déverrouillée", "déverrouillés", "déverrouillées"],
    armed: ["armé", "armée", "armées", "activée", "mise", "enclenchée"],
    disarmed: ["désarmé", "désarmée", "désarmées", "désactivée"],
    recording: ["en train d'enregistrer"],
    playing: ["en train de jouer", "en lecture"],
    paused: ["en pause"],
    muted: ["muet", "muette", "en sourdine"],
    unmuted: ["audible"],
    running: ["en route", "en fonctionnement"],
    docked: ["à la base", "sur sa base", "en charge"],
    moving: ["en mouvement", "mouvement"],
    finished: ["fini", "terminé", "terminée"],
  },
  doing: {
    closed: [],
    locked: [],
    on: ["éclaire", "éclairent"],
    docked: ["charge"],
    moving: ["bouge"],
    running: ["marche", "marchent", "fonctionne", "fonctionnent", "tourne", "tournent"],
    playing: ["joue", "jouent"],
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
    more: "plus de",
    less: "moins de",
    small: [
      "[un] [tout] [petit] peu",
      "légèrement",
      "[un] brin",
      "[un] cran",
      "[un] poil",
      "[un] (chouïa | tantinet | tout petit peu)",
    ],
    counted: ["crans"],
    large: ["beaucoup", "nettement", "bien"],
  },
  levels: {
    least: [
      "minimum",
      "au minimum",
      "le minimum",
      "(aussi | le plus | la plus) (bas | basse | doux | faible | lent | lente | sombre) [que] possible",
    ],
    low: ["faible", "lent", "petite vitesse", "vitesse (un | une)"],
    medium: ["moyen", "moyenne", "vitesse (moyenne | deux)"],
    high: ["fort", "rapide", "grande vitesse", "vitesse trois"],
    full: [
      "[au] (maximum | max)",
      "plein",
      "pleine puissance",
      "[à] fond",
      "pleine luminosité",
      "[au] plus fort",
      "(aussi | le plus | la plus) (fort | forte | haut | haute | clair | claire | vite) [que] possible",
    ],
  },
  fillers: [
    "enfin",
    "aussi",
    "environ",
    "voir",
    "euh",
    "heu",
    "hum",
    "ben",
    "eh",
    "alors",
    "donc",
    "bon",
    "juste",
    "ok",
    "okay",
    "maintenant",
    "stp",
    "hé",
    "voilà",
    "seulement",
    "finalement",
    "moi",
    "nous",
  ],
  repairs: [
    "(non | pardon | enfin) [non | pardon | plutôt]",
    "[ou] plutôt",
    "finalement | en fait",
    "(je veux dire | je voulais dire)",
  ],
  excuses: [
    "[il] [n'] y a (plus | pas) personne",
    "(plus | pas) personne [ici | dedans]",
    "(quelqu'un | on | elle | il) (l'a | les a) (laissé | laissée | laissés | laissées | oublié | oubliée) [allumé | allumée | ouvert | ouverte | en marche]",
    "(est | sont | arrive | arrivent) là",
    "je veux (voir | dormir | lire | regarder)",
    "(je | j' | on) [ne | n' | t' | vous | le | la | les] [t' | vous | le | la | les] (entends | entend | comprends | comprend | vois | voit) (pas | plus | rien | mal)",
    "(je | on) (l'ai | l'a | les ai | les a) (laissé | laissée | laissés | oublié | oubliée) [allumé | allumée | ouvert | ouverte | en marche]",
    "(on | il | elle | ils | elles | ça) s'",
    "(n'y | n' | ne | y) [s' | m' | t' | nous | vous] (vois | voit | voient | voyons | entends | entend | entendent | comprends | comprend) (rien | plus rien | plus | pas | presque rien)",
    "(n'arrive | n'arrivons) (pas | plus) à",
    "(j'ai | on a | nous avons) oublié",
  ],
  stays: {
    verbs: ["laisse", "laissez", "laisser", "garde", "gardez", "garder"],
    after: [
      "tranquille",
      "tranquilles",
      "comme (ça | il est | elle est)",
      "comme (ils | elles) sont",
    ],
  },
  auxiliaries: "as ont avez avait était étaient déjà presque que quoi".split(" "),
  waterers: ["arrosage", "arroseur", "irrigation", "vanne"],
  measured: ["taux de $property", "niveau de $property", "taux d'$property", "niveau d'$property"],
  hedges: [
    ..."plaisante rigole blague coucher lever crépuscule aube ne n s pas jamais rien personne aucun aucune sans ni non plutôt presque".split(
      " ",
    ),
    ..."si quand lorsque dès avant après pendant tant jusque comme imagine suppose supposons serait étaient était aurait souhaite espère rappelle souviens souvenir oublie oublié pense pensez demande".split(
      " ",
    ),
    ..."dit disait dis dire as ont avez avait raconte demandé croit crois entendu lu qui pourquoi que quoi quel quelle comment déjà hier fallait devait tous chaque toujours souvent".split(
      " ",
    ),
    ..."allumé éteint ouvert fermé mis laissé éteinte allumée".split(" "),
  ],
  clauses:
    "bonjour bonsoir salut coucou dort dorment commence commencent arrive arrivent part je j me mon ma mes on nous il elle c est sont suis ai reste restent".split(
      " ",
    ),
  speakers: { words: ["je", "j", "on", "nous"] },
  orNot: ["ou pas", "ou non"],
  therefore: ["donc", "alors", "du coup"],
  reasons: [
    "parce que",
    "parce qu'",
    "car",
    "puisque",
    "vu que",
    "pour",
    "pendant que",
    "pendant qu'",
    "avant de",
    "avant d'",
    "avant que",
    "avant qu'",
  ],
  adjectives: {
    co2: ["(étouffant | confiné)"],
    brightness: ["(clair | claire | lumineux | lumineuse | forte)"],
    illuminance: ["(clair | sombre | lumière)"],
    speed: ["vite", "rapide"],
    temperature: ["(chaud | chaude | froid | froide | frais)"],
    humidity: ["(humide | humides | sec | sèche)"],
    moisture: ["(humide | humides | sec | sèche | sèches | mouillé | mouillée)"],
    volume: ["fort"],
    position: ["(ouvert | ouverte)"],
    battery: ["(chargé | chargée | pleine)"],
    level: ["(plein | pleine)"],
  },
  frames: {
    besides: ["avec", "à", "en", "sur"],
    state: [
      "$target [de nouveau | à nouveau] $state",
      `(${put}) $target $state`,
      `$target (${should}) [être | rester | passer | aller] $state`,
      "que $target (soit | soient | reste | restent | est | sont) $state",
    ],
    of: [`$property ${de} $target [(${should}) [être | rester | passer]] $state`],
    more: ["$state $target", "$state", `(${put}) $state`, "$state (pour | à | sur) $target"],
    deed: [
      "(dis | dites) (à | au | aux) $target (de | d') $verb",
      `$target (${should}) $verb`,
      "(fais | faites | faire | laisse | laissez | laisser) $verb $target",
      "(laisse | laissez | laisser) $target $verb",
    ],
    asked: [
      "[est ce que | est ce qu'] $target (est | sont) [encore | toujours | déjà | bien] [en | sur | à | réglé sur | en mode | sur le mode] $value",
      "[est ce que | est ce qu'] $property (de | du | des | d' | dans | pour | à | sur) $target (est | sont) [encore | toujours | déjà | bien] [en | sur | à | réglé sur] $value",
    ],
    sorts: {
      switched: {
        on: {
          states: [
            "(allumé | allumée | allumés | allumées)",
            "$property (allumé | allumée | en marche)",
          ],
          commands: [
            `${on} $target`,
            `${on} $property ${de} $target`,
            "(mets | mettez | mettre | envoie | envoyez) $property [(dans | à | au | sur | de) $target]",
            `$target (${should}) s'allumer`,
          ],
        },
        off: {
          states: [
            "(éteint | éteinte | éteints | éteintes | à l'arrêt | coupé | coupée)",
            "$property (éteint | éteinte | coupé | coupée)",
          ],
          commands: [
            `${off} $target`,
            `${off} $property ${de} $target`,
            "(enlève | enlevez | enlever | retire | arrête | arrêtez | arrêter) $property [(dans | à | au | sur | de) $target]",
            `$target (${should}) s'éteindre`,
          ],
        },
      },
      level: {
        to: {
          states: [
            "[à | sur | en | jusqu'à] $value",
            "[à | sur] $value [de] $property",
            "[à | au | sur | avec] [une] $property [à | sur | de] $value",
          ],
          commands: [
            `(${adjust} | ${raise} | ${lower}) $property (à | sur) $value`,
            "$property [à] $value",
            "$value (sur | pour) $target",
            `(${adjust} | ${raise} | ${lower}) $target (à | sur | jusqu'à) $value`,
            `(${adjust} | ${raise} | ${lower}) $property ${de} $target (à | sur | jusqu'à) $value`,
            `$property ${de} $target [à | sur] $value`,
            `$value [de] $property ${de} $target`,
          ],
        },
        up: {
          states: [
            "[de | d'] $amount (plus haut | plus)",
            "plus haut [(de | d') $amount]",
            "[$amount] plus de $property",
            "$property [[de | d'] $amount] plus (haut | haute | fort | forte)",
          ],
          commands: [
            `(${raise}) [$amount] $property [[de | d'] $amount]`,
            `(${raise}) $target [[de | d'] $amount]`,
            `(${raise}) [$amount] $target`,
            `(${raise}) [[de | d'] $amount] $property ${de} $target [[de | d'] $amount]`,
            `[$amount] plus de $property ${de} $target`,
          ],
        },
        down: {
          states: [
            "[de | d'] $amount (plus bas | moins)",
            "plus bas [(de | d') $amount]",
            "[$amount] moins de $property",
            "$property [[de | d'] $amount] plus (bas | basse)",
          ],
          commands: [
            `(${lower}) [$amount] $property [[de | d'] $amount]`,
            `(${lower}) $target [[de | d'] $amount]`,
            `(${lower}) [$amount] $target`,
            `(${lower}) [[de | d'] $amount] $property ${de} $target [[de | d'] $amount]`,
            `[$amount] moins de $property ${de} $target`,
          ],
        },
      },
      choice: {
        to: {
          states: [
            "[en | sur | à | au | avec] [mode] $value",
            "[en | sur | à | au] $property $value",
            "[en | sur | à] $value $property",
            "$property [en | sur | à] $value",
          ],
          commands: [
            `(${adjust}) $property ${de} $target (en | sur | à) $value`,
            `(choisis | choisissez | choisir | sélectionne | prends) $property $value ${de} $target`,
            `$property ${de} $target [en | sur | à] $value`,
            `$property $value ${de} $target`,
            `(${adjust}) $property (en | sur | à) $value`,
            "$property [en | sur | à] $value",
          ],
        },
      },
      colour: {
        to: {
          states: ["[en | au | à] $value", "$property [en | à] $value"],
          commands: [
            `(${adjust}) $property ${de} $target (en | sur | à | au) $value`,
            `$property ${de} $target [en | à] $value`,
          ],
        },
      },
      text: {
        to: {
          states: ["$property à $value", "$property $value"],
          commands: [
            `(${adjust}) $property ${de} $target (à | sur) $value`,
            "(écris | écrivez | écrire | affiche | affichez | afficher | note | notez) $value (sur | à | dans) $target",
          ],
        },
      },
      action: {
        call: { states: [], commands: ["$verb $target", "$target $verb"] },
      },
    },
  },
  vocabulary: {
    "mode-on": {
      patterns: [
        "(mets | mettez | mettre | remets | remettre) $target en (marche | route)",
        "(mets | mettez | mettre | remets) $target",
      ],
      reply: "{$target} : en marche.",
    },
    "mode-off": {
      reply: "{$target} : éteint.",
    },
    "position-short": {
      states: ["[à] $level (fermé | fermée | fermés)", "fermé [à] $level"],
      patterns: [
        "(ferme | fermez | fermer | baisse | baisser | descends | rentre | rentrez) $target [à] $level",
        "(ferme | fermer) à $level $target",
      ],
      reply: "{$target} se ferme.",
    },
    "program-start": {
      patterns: [
        "(démarre | lance | lancer | démarrer | fais tourner) $target (en | avec | sur) [le] [programme | mode] $program",
        "(démarre | lance | lancer | démarrer) [le] [programme] $program (sur | de | du | pour | au) $target",
        "(fais | faites | faire | prépare | préparez | préparer | sers) [moi | nous] [un | une | encore un | encore une] [tasse de] $program [(avec | dans | à) $target]",
        "[encore] (un | une) $program [(avec | dans | à) $target]",
      ],
      reply: "{$target} démarre : {$program}.",
    },
    "power-start": {
      deeds: ["tourner | marcher | démarrer"],
      states: ["en (marche | route)"],
      patterns: [
        "(mets | mettez | mettre | remets | remettre) [en (marche | route)] $target en (marche | route)",
        "(démarre | démarrez | démarrer | lance | lancer) $target",
        "(mets | mettez | mettre | remets | remettre) en (marche | route) $target",
      ],
      reply: "{$target} : allumé.",
    },
    "power-stop": {
      patterns: ["(arrête | arrêtez | arrêter | stoppe | stopper) $target"],
      reply: "{$target} : éteint.",
    },
    "ask-how": {
      patterns: [
        "(à quel point | combien) [est ce que] $target (est | sont) $measure",
        "(il fait | fait il) $measure [comment] [dans | à | au | sur | en] $target",
        "$target (est | sont) $measure à combien",
        "(est ce qu' | est ce que) [il] fait [très | encore | déjà] $measure [dans | à | au | sur | en] $target",
        "combien de $measure (y a t il | il y a) [dans | à | au | sur | en] $target",
      ],
      reply: "",
    },
    "ask-setting": {
      patterns: [
        "(à combien | sur combien | à quoi | sur quoi) (est | sont) [réglé | réglée] $target [réglé | réglée]",
        "$target est (réglé sur combien | réglée sur combien | à combien | réglé à combien | sur quoi)",
      ],
      reply: "",
    },
    "ask-doing": {
      patterns: [
        "que fait $target",
        "qu'est ce que fait $target",
        "$target fait quoi",
        "(où en est | comment va) $target",
      ],
      reply: "",
    },
    "power-on": {
      patterns: [
        "(rallume | rallumez | rallumer) $target",
        "(mets | fais | donne) [moi | nous] (un peu de | de la) lumière [[dans | à | au | sur] $target]",
        "(fais | faites | faire) (marcher | fonctionner) $target",
        "$target allumer",
        "(mets | mettez | mettre | remets) $target",
      ],
      reply: "{$target} : allumé.",
    },
    "power-off": {
      patterns: [`${set} $target (à l'arrêt | hors tension)`, "$target éteindre"],
      reply: "{$target} : éteint.",
    },
    "brightness-to": {
      patterns: [
        "(tamise | tamisez | tamiser) $target à $level",
        `(${set} | ${turnUp} | ${turnDown} | tamise | tamisez) $target ${to} $level [de luminosité]`,
        `${set} [la] luminosité ${of} $target ${to} $level`,
        `$target ${to} $level [de luminosité]`,
        "luminosité $level pour $target",
      ],
      reply: "{$target} à {$level} pour cent.",
    },
    brighter: {
      states: [
        "[[de | d'] $amount] plus (clair | claire | clairs | claires | lumineux | lumineuse | lumineuses | fort | forte | fortes)",
      ],
      patterns: [
        "[$amount] plus de lumière",
        "(mets | mettre | mettez | donne | donner | fais | faire) [$amount] plus de lumière [[dans | à | au | de | du | sur | en] $target]",
        "(éclaircis | éclaircir | éclaire | éclairer) [plus] $target [plus] [(de | d') $amount]",
        "[$amount] plus de lumière [dans | à | au | de | du | sur | en] $target",
        "(monte | augmente | monter | augmenter) [$amount] la lumière [dans | de | du | au] $target",
        "(éclaircis | éclaircissez) $target [(de | d') $amount]",
      ],
      reply: "{$target} : plus clair.",
    },
    dimmer: {
      states: [
        "[[de | d'] $amount] (plus (sombre | sombres | tamisé | tamisée | tamisées) | moins (clair | claire | claires | fort | forte | fortes | lumineux | lumineuse | lumineuses))",
      ],
      patterns: [
        "[$amount] moins de lumière",
        "(tamise | tamisez | tamiser | assombris | assombrir) [$amount] $target [[de | d'] $amount]",
        "[$amount] moins de lumière [dans | à | au | de | du | sur | en] $target",
        `(tamise | tamisez | tamiser | assombris | assombrissez) $target [${by}]`,
      ],
      reply: "{$target} : plus sombre.",
    },
    "speed-to": {
      patterns: [
        "(fais | faites | faire) tourner $target (à | sur) $level",
        `${set} $target ${to} $level`,
        `${set} [la] vitesse ${of} $target ${to} $level`,
        `$target ${to} $level [de vitesse]`,
        `(fais tourner | faites tourner) $target ${to} $level`,
      ],
      reply: "{$target} à {$level} pour cent.",
    },
    faster: {
      states: ["[[de | d'] $amount] plus (vite | rapide | fort)"],
      patterns: [
        "(accélère | accélérez | accélérer) [$amount] $target [[de | d'] $amount]",
        "(fais | faire) tourner $target [$amount] plus vite",
        "(fais tourner | faites tourner) $target [$amount] plus vite",
      ],
      reply: "{$target} : plus vite.",
    },
    slower: {
      states: [
        "[[de | d'] $amount] (plus (lent | lente | lentement) | moins (vite | rapide | fort))",
      ],
      patterns: [
        "(ralentis | ralentissez | ralentir) [$amount] $target [[de | d'] $amount]",
        "(fais | faire) tourner $target [$amount] moins vite",
        "(fais tourner | faites tourner) $target [$amount] (moins vite | plus lentement)",
      ],
      reply: "{$target} : moins vite.",
    },
    "oscillate-on": {
      deeds: ["osciller | pivoter"],
      states: ["en (oscillation | train d'osciller)"],
      patterns: ["$target (oscille | en oscillation)"],
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
        "(colore | colorez | peins) $target en $colour",
      ],
      reply: "{$target} en {$colour}.",
    },
    "warmer-light": {
      states: ["[[un] $amount] plus (chaud | chaude | chauds | chaudes)"],
      reply: "{$target} : plus chaud.",
    },
    "cooler-light": {
      states: ["[[un] $amount] plus (froid | froide | froids | froides | blanc | blanche)"],
      reply: "{$target} : plus froid.",
    },
    "warmth-to": {
      patterns: [`${set} $target [en | à | au] $warmth`],
      reply: "{$target} à {$warmth} kelvins.",
    },
    "temperature-to": {
      patterns: [
        "(mets | mettez | mettre | règle | régler | monte | baisse) [la] température à $degrees",
        "température [à] $degrees",
        "(chauffe | chauffez | chauffer | refroidis) $target (à | jusqu'à) $degrees",
        "(mets | mettez | mettre | règle | régler | monte | baisse) [la] température [de | du | des | d' | dans | à | au] $target à $degrees",
        "température [de | du | des | d' | dans | à | au] $target à $degrees",
        "$target température [à] $degrees",
        `(${set} | chauffe | chauffez | refroidis) $target ${to} $degrees`,
        `${set} [la] (température | consigne) ${of} $target ${to} $degrees`,
        `$target ${to} $degrees`,
        `[${set}] $degrees (dans | à | au) $target`,
        `${set} $degrees $target`,
      ],
      reply: "{$target} à {$degrees} degrés.",
    },
    warmer: {
      states: ["[[de | d'] $amount] plus (chaud | chaude)", "[de | d'] $amount de plus"],
      patterns: [
        "(fais | faites | faire) chauffer $target [[de | d'] $amount]",
        "(mets | mettez | mettre) [de | d'] $amount de plus",
        "(chauffe | réchauffe | chauffer | réchauffer) [$amount] $target [[de | d'] $amount] [de] [plus]",
        "(monte | augmente | monter | augmenter) [$amount] [la] température [[de | du | des | d' | dans | à | au] $target] [[de | d'] $amount]",
        `${turnUp} [la température ${of}] $target [${by}]`,
        `[rends | rendez | chauffe] $target [${by}] plus (chaud | chaude)`,
        "[$amount] plus chaud (dans | à | au) $target",
        `(réchauffe | réchauffez) $target [${by}]`,
      ],
      reply: "{$target} : plus chaud.",
    },
    cooler: {
      states: [
        "[[de | d'] $amount] (plus (froid | froide | frais | fraîche) | moins (chaud | chaude))",
        "[de | d'] $amount de moins",
      ],
      patterns: [
        "[$amount] (moins chaud | plus frais)",
        "(mets | mettez | mettre) [de | d'] $amount de moins",
        "(baisse | diminue | baisser | diminuer) [$amount] [la] température [[de | du | des | d' | dans | à | au] $target] [[de | d'] $amount]",
        `${turnDown} [la température ${of}] $target [${by}]`,
        "[$amount] (plus frais | moins chaud) (dans | à | au) $target",
        `(rafraîchis | rafraîchissez | refroidis | refroidissez) $target [${by}]`,
      ],
      reply: "{$target} : moins chaud.",
    },
    "mode-to": {
      patterns: [
        `${set} $target (en | sur | au | à) [mode] $mode`,
        `${set} [le] mode ${of} $target ${to} $mode`,
      ],
      reply: "{$target} : {$mode}.",
    },
    "preset-to": {
      patterns: [
        `${set} $target (en | sur | au | à) [mode] $preset`,
        `${set} [le] préréglage ${of} $target ${to} $preset`,
      ],
      reply: "{$target} : {$preset}.",
    },
    open: {
      deeds: ["s'ouvrir | monter"],
      states: [
        "[complètement | tout | grand] (ouvert | ouverte | ouverts | ouvertes | levé | levés | relevé | en haut | sorti | sortie | déployé | déployée) [complètement | entièrement | au maximum | à fond | jusqu'en haut | en grand | jusqu'au bout]",
      ],
      patterns: [
        "(ouvre | ouvrez | ouvrir | lève | levez | lever | relève | remonte | remonter | monte) [complètement | entièrement | en grand] $target [complètement | entièrement | en grand | jusqu'en haut | à fond]",
        `${open} $target [complètement | entièrement | en grand]`,
        "(sors | sortez | sortir | déploie | déployez | déployer | déroule | déroulez | dérouler) $target",
      ],
      reply: "{$target} s'ouvre.",
    },
    close: {
      deeds: ["se fermer | descendre"],
      states: [
        "[complètement | tout] (fermé | fermée | fermés | fermées | baissé | baissés | en bas | rentré | rentrée | replié | repliée) [complètement | entièrement | au maximum | à fond | jusqu'en bas | jusqu'au bout]",
      ],
      patterns: [
        "(ferme | fermez | fermer | baisse | baissez | baisser | descends | descendre | referme) [complètement | entièrement] $target [complètement | entièrement | jusqu'en bas | à fond]",
        `${close} $target [complètement | entièrement]`,
        "(tire | tirez | tirer) $target",
        "(rentre | rentrez | rentrer | replie | repliez | replier | enroule | enroulez | enrouler | remballe) $target",
      ],
      reply: "{$target} se ferme.",
    },
    "position-to": {
      states: ["[à] $level (ouvert | ouverte | ouverts)", "ouvert [à] $level"],
      patterns: [
        "(ouvre | ouvrez | ouvrir | lève | lever | remonte) $target [à] $level",
        `(${set} | ${open} | ${close}) $target ${to} $level`,
        `${set} [la] position ${of} $target ${to} $level`,
        `$target ${to} $level`,
        "$target [ouvert | ouverte] $level",
      ],
      reply: "{$target} à {$level} pour cent.",
    },
    "open-more": {
      patterns: [
        `${open} $target [de | d'] $amount [de plus]`,
        `${open} $amount $target`,
        "(sors | sortir | déroule) [encore] $amount $target",
        "(sors | sortir | déroule) $target [encore] [de | d'] $amount",
        "(monte | monter) $target (de | d') $amount [de plus]",
        "(entrouvre | entrouvrir) $target",
        `${open} encore $amount $target`,
        `${open} $target encore [$amount]`,
        `${open} [$amount] (plus | davantage) $target`,
        `${open} $target [$amount] (plus | davantage)`,
      ],
      states: ["[$amount] plus (ouvert | ouverte | ouverts | haut)"],
      reply: "{$target} : plus ouvert.",
    },
    "close-more": {
      patterns: [
        `${close} $target [de | d'] $amount [de plus]`,
        `${close} $amount $target`,
        "(rentre | rentrer | enroule) [encore] $amount $target",
        "(rentre | rentrer | enroule) $target [encore] [de | d'] $amount",
        `${close} encore $amount $target`,
        `${close} $target encore [$amount]`,
        `${close} [$amount] (plus | davantage) $target`,
        `${close} $target [$amount] (plus | davantage)`,
      ],
      states: ["[$amount] plus (fermé | fermée | fermés | bas)"],
      reply: "{$target} : plus fermé.",
    },
    "tilt-to": {
      states: ["(incliné | inclinée) [à] $level"],
      patterns: [
        `(incline | inclinez | incliner) $target ${to} $level`,
        `${set} [l'] inclinaison ${of} $target ${to} $level`,
        `$target inclinaison [${to}] $level`,
        `(incline | inclinez | incliner | oriente | orienter | tourne) (lames | lamelles) ${of} $target ${to} $level`,
      ],
      reply: "{$target} incliné à {$level} pour cent.",
    },
    "stop-moving": {
      patterns: [
        "(arrête | arrêtez | arrêter | stoppe | stopper | bloque) $target",
        `${stop} $target`,
        "$target (stop | arrêt)",
      ],
      reply: "{$target} arrêté.",
    },
    "flow-on": {
      states: ["(ouvert | ouverte)"],
      patterns: [`(${on} | ouvre | ouvrez | ouvrir) $target`],
      reply: "{$target} : ouvert.",
    },
    "flow-off": {
      states: ["(fermé | fermée)"],
      patterns: [`(${off} | ferme | fermez | fermer) $target`],
      reply: "{$target} : fermé.",
    },
    water: {
      patterns: ["(arrose | arrosez | arroser) $target"],
      reply: "{$target} : ouvert.",
    },
    lock: {
      deeds: ["se verrouiller"],
      states: [
        "(verrouillé | verrouillée | verrouillés | verrouillées | fermé à clé | fermée à clé | fermées à clé)",
      ],
      patterns: [
        "(verrouille | verrouillez | verrouiller) $target",
        "(ferme | fermez | fermer) à (clé | clef) $target",
        "(ferme | fermez | fermer) $target à (clé | clef)",
      ],
      reply: "{$target} : verrouillé.",
    },
    unlock: {
      states: ["(déverrouillé | déverrouillée | déverrouillées)"],
      patterns: [
        "(déverrouille | déverrouillez | déverrouiller | ouvre | ouvrez | ouvrir) $target",
        "(ouvre | ouvrir) [le verrou de] $target avec la clé",
      ],
      reply: "{$target} : déverrouillé.",
    },
    arm: {
      states: ["(armé | armée | activé | activée) [en mode] [$mode]", "[en | sur] [mode] $mode"],
      patterns: [
        "(mets | mettez | mettre) $target en (marche | route)",
        "(arme | armez | armer | active | activez | activer | mets | allume) $target [en | pour] [mode] [la] [$mode]",
        `${set} $target (en | sur) [mode] $mode`,
      ],
      reply: "{$target} : armée.",
    },
    disarm: {
      states: ["(désarmé | désarmée | désactivé | désactivée)"],
      patterns: [
        "(désarme | désarmez | désarmer | désactive | désactivez | désactiver | coupe | couper | éteins | éteindre | arrête) $target",
        `(désarme | désarmez | désarmer | ${off}) $target`,
      ],
      reply: "{$target} : désarmée.",
    },
    record: {
      deeds: ["enregistrer | filmer"],
      states: ["en train d'enregistrer"],
      patterns: [
        "(enregistre | enregistrez | enregistrer | filme | filmer) avec $target",
        "(démarre | lance | commence | démarrer | lancer) l' enregistrement [avec | de | du | des | d' | sur] $target",
        "(enregistre | enregistrez | filme | filmez) avec $target",
        `(${start} | ${on}) [l'] enregistrement (de | du | des | d' | sur) $target`,
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
      deeds: ["jouer"],
      states: ["en lecture"],
      patterns: [
        "(mets | mettre | mettez | lance | joue) [[un] peu] [de] musique [[dans | à | au | en | sur] $target]",
        "(reprends | reprendre | continue) [[la] (lecture | musique)]",
        "(mets | mettez | mettre) $target en (marche | route)",
        "(joue | jouer | reprends | reprendre | relance | relancer | lance | lancer | démarre) $target",
        "(mets | mettre | lance | relance | reprends) la (musique | lecture) [sur | de | du | des | d' | dans | à] $target",
        `(${start} | reprends | reprenez) [la] (lecture | musique) (sur | de | du | des | d' | dans) $target`,
        "(joue | jouez | reprends | reprenez) $target",
        "$target lecture",
      ],
      reply: "{$target} : lecture.",
    },
    pause: {
      deeds: ["se mettre en pause"],
      states: ["en pause"],
      patterns: [
        "(mets | mettre | mettez) (sur | en) pause",
        "pause $target",
        "pause",
        "(mets | mettre) [la musique] en pause",
        "(mets | mettez | mettre) en pause $target",
        "(mets | mettre) la (musique | lecture) [sur | de | du | dans] $target en pause",
        `${set} $target en pause`,
        "pause (sur | de | du | des | d') $target",
        "$target [en] pause",
      ],
      reply: "{$target} en pause.",
    },
    "stop-playing": {
      states: ["(arrêté | arrêtée)"],
      patterns: [
        "(arrête | arrêter | coupe | stoppe) la (musique | lecture) [sur | de | du | des | d' | dans | à] $target",
        `${stop} $target`,
        `${stop} [la] (lecture | musique) (sur | de | du | des | d' | dans) $target`,
        "$target (stop | arrêt)",
      ],
      reply: "{$target} arrêté.",
    },
    next: {
      patterns: [
        "(chanson | morceau | titre) (suivant | suivante)",
        "(passe | passer) [à] [la] (chanson | morceau) (suivant | suivante)",
        "(passe | passez | passer) [à] [la | au] (chanson | morceau | titre | piste) (suivant | suivante) [sur | de | du | dans | à] $target",
        "(chanson | morceau | titre | piste) (suivant | suivante) [sur | de | du | dans | à] $target",
        "(passe | saute) cette chanson [sur | de | du | dans | à] $target",
        "(joue | mets | lance) la chanson suivante [sur | de | du | dans | à] $target",
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
      patterns: ["(joue | jouez | lance | mets | passe) $what (sur | dans) $target"],
      reply: "{$what} sur {$target}.",
    },
    "volume-to": {
      patterns: [
        `${set} [le] (volume | son) ${of} $target ${to} $level`,
        `${set} $target ${to} $level [de volume]`,
        `$target [volume] ${to} $level`,
      ],
      reply: "{$target} au volume {$level}.",
    },
    louder: {
      states: ["[[de | d'] $amount] plus fort"],
      reply: "{$target} : plus fort.",
    },
    quieter: {
      states: ["[[de | d'] $amount] (moins fort | plus bas | plus doucement)"],
      reply: "{$target} : moins fort.",
    },
    mute: {
      states: ["(muet | muette | en sourdine | en silence | sans son)"],
      patterns: [
        "(coupe | couper) le son",
        "(coupe | coupez | couper) le son [de | du | des | d' | sur] $target",
        "(mets | mettre) en sourdine $target",
        "(fais | faire) taire $target",
        `(${off} | coupe | coupez) [le] son (de | du | des | d') $target`,
        `${set} $target en (sourdine | muet)`,
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
        "(joue | mets | lance) $source sur $target",
        `${set} $target sur $source`,
        "(joue | jouez | jouer | mets | mettez | mettre | lance | passe) [du | de la | un peu de] $source",
      ],
      reply: "{$target} sur {$source}.",
    },
    press: {
      patterns: [
        "(appuie | appuyez | appuyer) sur $target",
        "(fais | faire) (sonner | retentir) $target",
        "(sonne | sonner) [à] $target",
        "(presse | pressez) $target",
      ],
      reply: "{$target} pressé.",
    },
    start: {
      deeds: ["démarrer | tourner | marcher | partir"],
      states: ["(en marche | démarré | lancé)"],
      patterns: [
        "(mets | mettez | mettre | remets | remettre) $target en (marche | route)",
        "(passe | passez | passer) [(un | le) coup (de | d')] $target",
        "(démarre | démarrez | démarrer | lance | lancez | lancer | envoie | fais partir | fais sortir | sors) $target",
        `${start} $target`,
        "(envoie | envoyez | envoyer | mets | lance) $target (nettoyer | aspirer | faire le ménage | au travail)",
        "$target (démarre | marche)",
        "(mets | mettez | mettre | remets | remettre) en (marche | route) $target",
      ],
      reply: "{$target} démarre.",
    },
    stop: {
      deeds: ["s'arrêter"],
      states: ["(arrêté | arrêtée)"],
      patterns: ["(arrête | arrêtez | arrêter | stoppe | stopper | termine) $target"],
      reply: "{$target} arrêté.",
    },
    "pause-work": {
      states: ["en pause"],
      patterns: [`${set} $target en pause`, "$target [en] pause"],
      reply: "{$target} en pause.",
    },
    "stop-work": {
      deeds: ["s'arrêter"],
      states: ["(arrêté | arrêtée)"],
      patterns: [`${stop} $target`, "$target stop"],
      reply: "{$target} arrêté.",
    },
    dock: {
      deeds: ["rentrer [à la base | à sa base]"],
      states: ["(à | sur) [sa] base"],
      patterns: [
        "(renvoie | renvoyez | renvoyer | ramène | ramener | rentre) $target (à | sur) [sa | la] (base | station | maison)",
        "(renvoie | rentre | range | renvoyer) $target",
        "$target [retourne | rentre] à [la | sa | ta] (base | station | maison)",
        "(recharge | rechargez) $target",
      ],
      reply: "{$target} rentre à sa base.",
    },
    "program-to": {
      patterns: [
        "(choisis | choisir | sélectionne | prends | mets) [le] programme $program (sur | de | du | pour | au) $target",
        `${set} $target (sur | en) [programme] $program`,
      ],
      reply: "{$target} : programme {$program}.",
    },
    find: {
      patterns: [
        "(retrouve | retrouver | trouver | chercher) $target",
        "où (j'ai mis | ai je laissé | se trouve | se trouvent) $target",
        "où (est | sont | ai je mis) $target",
        "(trouve | trouvez | cherche | cherchez) $target",
        "(fais sonner | faites sonner) $target",
        "(j'ai | on a) (perdu | égaré) $target",
        "(je | on) [ne | n'] (trouve | retrouve) (pas | plus) $target",
        "je [ne] sais (pas | plus) où (est | sont) $target",
        "où est (passé | passée) $target",
        "(quelqu'un a | vous avez | tu as) vu $target",
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
        "(quel | quelle) est $measure",
        "(quel | quelle) $measure (dans | à | au | sur) $target",
        "$target (est | tourne | marche) (en | à | sur | dans) (quel | quelle) $measure",
        "(quel | quelle) $measure fait il",
        "c'est quoi $measure [de | du | des | d' | dans | à | au | sur] $target",
        "(quel | quelle) $measure (a | est | fait il) [de | du | des | d' | dans | à | au | sur] $target",
        "de (quel | quelle) $measure est $target",
        "(à | sur) (quel | quelle) $measure est [réglé | réglée] $target",
        "quel est [le | la] $measure [de | du | des | d' | dans | à | au | sur] $target",
        "quelle est [le | la] $measure [de | du | des | d' | dans | à | au | sur] $target",
        "(donne | dis) moi [le | la] $measure [de | du | des | d' | dans | à | au] $target",
        "$measure (de | du | des | d' | dans | à | au) $target",
        "(quel | quelle) $measure (il y a | y a t il) (dans | à | au | sur) $target",
        "combien de $measure (reste t il | il reste | a | ont) [encore] [à | au | dans] $target",
        "combien de $measure [il y a | y a t il] (dans | à | au | sur) $target",
        "[est ce que] $measure [de | du | des | d' | dans | à | au | sur] $target est [encore] (allumé | allumée | éteint | éteinte)",
        "(à | dans | sur | en) (quel | quelle) $measure (est | tourne | va | fonctionne | marche | se trouve) $target",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        "combien fait il [dans | à | au | en] $target",
        "il fait combien [de degrés] [[dans | à | au | en] $target]",
        "combien de degrés [fait il | il fait] [[dans | à | au | en] $target]",
        "(est ce qu'il fait | fait il) (chaud | froid) [dans | à | au | en] $target",
        "quelle température (fait il | il fait | il y a) [dans | à | au | en] $target",
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "est ce que $target (est | sont) [encore | toujours | bien] $state",
        "est ce que j'ai laissé $target $state",
        "ai je laissé $target $state",
        "j'ai laissé $target $state",
        "$target (est | sont) [t] (il | elle | ils | elles) [encore | toujours | bien] $state",
        "est ce que $target (a | ont) $state",
        "$target (est | sont) [encore | toujours | bien | déjà] $state",
        "$target (a | ont) $state",
        "(regarde | vérifie | dis moi) si $target (est | sont) [encore | toujours | bien] $state",
        "(est | sont) ce que $target $state",
        "(y a t il | il y a | est ce qu'il y a) du $state [dans | à | au | sur | en] $target",
        "$target (est | sont) [t] [il | elle] $state ou (fermé | fermée | ouvert | ouverte | allumé | allumée | éteint | éteinte)",
        "[est ce que | est ce qu'] (quelqu'un a | on a | j'ai | tu as | nous avons) (laissé | oublié) $target $state",
        "[est ce que | est ce qu'] (quelqu'un a | on a | j'ai | tu as | nous avons) [bien] $state $target à clé",
        "[est ce que | est ce qu'] (quelqu'un a | on a | j'ai | tu as | nous avons) [bien] $state $target",
      ],
      reply: "",
    },
    "ask-whether-does": {
      patterns: [
        "est ce que $target $state [encore | toujours]",
        "$target $state [t] [il | elle | ils | elles] [encore | toujours]",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "combien de $target (j'ai | on a | ai je | avons nous) (laissé | laissée | laissés | laissées) $state",
        "(montre | dis) moi (quel | quels | quelle | quelles) $target (est | sont) [encore] $state",
        "qu'est ce qui est [encore | resté] $state",
        "qu'est ce qu'il (y a | reste) [encore] [de | d'] $state",
        "qu'est ce que j'ai laissé $state",

        "(quel | quels | quelle | quelles) (est | sont) $target [encore | toujours] $state",
        "(quel | quels | quelle | quelles) $target (est | sont) [encore | toujours | restés | restées] $state",
        "combien de $target (est | sont) [encore | toujours] $state",
        "combien [y a] [t] [il] de $target $state",
        "qu'est ce qui est [encore] $state (dans | à | au) $target",
      ],
      reply: "",
    },
    "ask-which-do": {
      patterns: [
        "(quel | quels | quelle | quelles | combien de) $target $state [encore | toujours]",
      ],
      reply: "",
    },
    "ask-motion": {
      patterns: [
        "(il y a | y a t il | est ce qu'il y a) (quelqu'un | du mouvement) [qui bouge] (dans | à | au | sur) $target",
        "(ça | quelque chose | quelqu'un) bouge (dans | à | au | sur) $target",
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "(est ce qu'il y a | y a t il | il y a | il reste | reste t il | est ce qu'il reste) [encore] quelque chose [de | d'] $state",
        "[est ce que] quelque chose est [encore | resté] $state",
        "[est ce que] j'ai laissé quelque chose [de | d'] $state",

        "(est ce qu'il y a | y a t il | il y a) [encore] (un | une | des) $target [encore] $state",
        "est ce qu'il reste (un | une | des | quelque chose) [de | d'] $target $state",
        "(est ce qu'il y a | y a t il | il y a | il reste | reste t il) [encore] quelque chose (de | d') $state (dans | à | au | en) $target",
        "(est ce que | est ce qu'il y a) quelque chose [est] [encore] [d'] $state [dans | à | au | en] $target",
        "(est ce qu'il y a | y a t il | reste t il) [encore] quelque chose (de | d') $state [dans | à | au | en] $target",
        "y a t il (encore | un | une | des) $target [encore] $state",
      ],
      reply: "",
    },
  },
  wishes: {
    frames: [
      `$complaint [${inThe} $target]`,
      `(il fait | c'est | il y fait | je trouve qu'il fait | je trouve que c'est) [encore | toujours | vraiment] $complaint [${inThe} $target]`,
      `${inThe} $target (il fait | c'est) [encore | toujours | vraiment] $complaint`,
      "$target (est | sont | va | tourne) [encore | toujours | vraiment] $complaint",
      "je trouve $target $complaint",
    ],
    wishes: {
      "too-dark": {
        complaints: [
          "[$amount] trop (sombre | sombres | noir | obscur)",
          "pas assez (clair | claire | lumineux | lumineuse)",
        ],
        patterns: [
          `(je | j | on | nous) [n | ne] [y] (vois | voit | voyons) [presque | plus] (rien | pas grand-chose) [${inThe} $target]`,
          `il fait [${very}] (sombre | noir) [${inThe} $target]`,
          `[il n'y a | y a] pas assez de lumière [${inThe} $target]`,
        ],
      },
      "too-bright": {
        complaints: [
          "[$amount] trop (clair | claire | lumineux | lumineuse | vif | vive)",
          "pas assez (sombre | tamisé | tamisée)",
        ],
        patterns: [
          "$target (m | me | nous) (éblouit | éblouissent | aveugle | aveuglent)",
          `[il y a | y a] trop de lumière [${inThe} $target]`,
        ],
      },
      "too-cold": {
        complaints: [
          "[$amount] trop (froid | froide | frais | fraîche)",
          "pas assez (chaud | chaude)",
        ],
        patterns: [
          `(j'ai | on a | nous avons) [${very} | trop] froid [${inThe} $target]`,
          `(je gèle | on gèle | je me gèle | je suis gelé | je suis gelée) [${inThe} $target]`,
          `il fait [${very}] froid [${inThe} $target]`,
        ],
      },
      "too-warm": {
        complaints: ["[$amount] trop (chaud | chaude)", "pas assez (frais | fraîche)"],
        patterns: [
          `(j'ai | on a | nous avons) [${very} | trop] chaud [${inThe} $target]`,
          `(je | j | on) (crève | étouffe | meurs | meurt | cuit | cuis) [de chaud] [${inThe} $target]`,
          `il fait [${very}] chaud [${inThe} $target]`,
        ],
      },
      "too-loud": {
        complaints: [
          "[$amount] trop (fort | forte | bruyant | bruyante)",
          "pas assez (bas | basse | doucement)",
        ],
        patterns: ["on [ne] s'entend (plus | pas) [parler | penser]"],
      },
      "too-quiet": {
        complaints: [
          "[$amount] trop (bas | basse | doucement | faible)",
          "pas assez (fort | forte)",
        ],
        patterns: [
          "(je | j | on | nous) [n | ne] (entends | entend | entendons) [presque] (rien | pas | plus | à peine) [$target]",
        ],
      },
      "too-slow": {
        complaints: ["[$amount] trop (lent | lente | lentement)", "pas assez (vite | rapide)"],
      },
      "too-fast": { complaints: ["[$amount] trop (vite | rapide)", "pas assez (lent | lente)"] },
    },
  },
  sources: [
    "(quel est | quelle est | comment est | dis moi | donne moi | lis [moi]) $source",
    "que (dit | donne) $source",
  ],
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
    sun: "je ne sais pas où en est le soleil",
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
    offer: "Vous voulez dire : {$reply} ?",
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
