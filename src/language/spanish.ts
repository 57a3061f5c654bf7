import { toCardinal, toOrdinal } from "n2words/es-ES";
import type { LanguagePack } from "./pack.ts";
import { spanishSounds } from "./sounds/spanish.ts";

const on =
  "(enciende | encienda | encender | prende | prenda | activa | active | conecta | conecte)";
const off = "(apaga | apague | apagar | desactiva | desactive | desconecta | desconecte)";
const set = "(pon | ponga | poner | ajusta | ajuste | ajustar | fija | fije | deja | coloca)";
const open = "(abre | abra | abrir | sube | suba | subir | levanta | levante | levantar)";
const close = "(cierra | cierre | cerrar | baja | baje | bajar)";
const turnUp = "(sube | suba | subir | aumenta | aumente | aumentar)";
const turnDown = "(baja | baje | bajar | reduce | reduzca | reducir | disminuye | disminuya)";
const start = "(inicia | inicie | iniciar | arranca | arranque | empieza | comienza | lanza)";
const stop = "(para | pare | parar | detén | detenga | detener)";
const to = "(a | al | en)";
const of = "(de | del | en | a | al)";
const by = "[un] $amount";

const de = "[de | del | en | a | al | para]";
const put =
  "pon | ponga | poner | ponme | deja | deje | dejar | ajusta | ajuste | ajustar | mantén | mantener | haz | coloca | cambia | cambiar | vuelve a poner | tener | tenga";
const adjust =
  "pon | ponga | poner | ajusta | ajuste | ajustar | fija | fije | fijar | deja | dejar | coloca | cambia | cambie | cambiar | regula | regular | lleva";
const raise = "sube | suba | subir | aumenta | aumente | aumentar | incrementa | incrementar";
const lower =
  "baja | baje | bajar | reduce | reduzca | reducir | disminuye | disminuya | disminuir";
/** "La luz ya se puede apagar." */
const may = "[ya] se (puede | pueden | podría | podrían) [ya]";

const should =
  "debe | deben | debería | deberían | puede | pueden | tiene que | tienen que | podría | podrían";

const inThe = "[en]";

export const spanish: LanguagePack = {
  language: "es",
  name: "Español",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["dieciseis", "dieciséis"],
      ["veintiuno", "veintiún"],
      ["veintidós", "veintidos"],
      ["veintitrés", "veintitres"],
      ["veintiséis", "veintiseis"],
      ["uno", "un"],
      ["uno", "una"],
    ],
    pairs: false,
    ordinal: toOrdinal,
    ordinalEndings: [
      ["o", "a"],
      ["primero", "primer"],
      ["tercero", "tercer"],
      ["décimo primero", "undécimo"],
      ["décimo segundo", "duodécimo"],
    ],
    ordinalSigns: ["º", "ª", "o", "a", "er"],
    optional: ["y"],
    thousand: { word: "mil", one: "mil", joined: false },
    hundreds: [],
    minus: ["menos"],
    point: ["coma", "punto"],
    decimalSign: ",",
    fractions: [
      {
        value: 0.5,
        said: ["medio", "la mitad", "mitad", "a medias", "a media altura"],
      },
      { value: 0.25, said: ["cuarto", "un cuarto"] },
      { value: 0.75, said: ["tres cuartos"] },
      { value: 1 / 3, said: ["tercio", "un tercio"] },
      { value: 2 / 3, said: ["dos tercios", "los dos tercios"] },
    ],
    fractionJoiners: ["y"],
    fractionEndings: [],
  },
  times: {
    units: {
      second: ["segundo", "segundos", "s"],
      minute: ["minuto", "minutos", "min", "m"],
      hour: ["hora", "horas", "h"],
      day: ["día", "días"],
      week: ["semana", "semanas"],
    },
    one: ["un", "una"],
    durations: {
      30: ["medio minuto"],
      900: ["un cuarto de hora", "cuarto de hora"],
      1800: ["media hora"],
      5400: ["hora y media", "una hora y media"],
      2700: ["tres cuartos de hora"],
    },
    joiners: ["y"],
    clock: [
      { said: ["(la | las) $hour [horas | en punto]", "$hour (horas | en punto)", "$face"] },
      { said: ["[la | las] $hour y $minute", "[la | las] $hour $tens"] },
      { said: ["[la | las] $hour y media"], minutes: 30 },
      { said: ["[la | las] $hour y cuarto"], minutes: 15 },
      { said: ["[la | las] $hour menos cuarto"], minutes: -15 },
      { said: ["[la | las] $hour menos $minute"], before: true },
    ],
    moments: { "00:00": ["medianoche"], "12:00": ["mediodía"] },
    morning: ["por la mañana (a las | a la) $time", "$time de la (mañana | madrugada)"],
    afternoon: ["(esta | por la) tarde a $time", "$time de la tarde", "$time esta tarde"],
    night: ["(esta | por la) noche a $time", "$time de la noche", "$time esta noche"],
    days: { 0: ["hoy"], 1: ["mañana"], 2: ["pasado mañana"] },
    weekday: ["[el | este] [próximo] $weekday [que viene]"],
    date: ["[el] [día] $day de $month [de $year]"],
    partOf: {
      morning: ["$date por la mañana"],
      afternoon: ["$date por la tarde"],
      night: ["$date por la noche"],
    },
    when: {
      in: ["(en | dentro de | después de | tras) $duration"],
      at: ["(a | al | desde | a partir de) $time [$date]", "$date (a | al) $time"],
      for: [
        "[otro | otros | otra | otras] $duration",
        "$duration más",
        "durante [los próximos | otros | otras] $duration",
        "por $duration",
      ],
      until: ["hasta [el] $time [$date]", "hasta $date [a | a las | a la] $time"],
    },
    sun: {
      reply: "{$when}: {$reply}",
      sunrise: {
        at: [
          "al amanecer",
          "(desde el | a partir del) amanecer",
          "a la salida del sol",
          "al salir el sol",
          "(cuando | en cuanto) (salga el sol | amanezca)",
        ],
        until: [
          "hasta el amanecer",
          "hasta la salida del sol",
          "hasta que (amanezca | salga el sol)",
        ],
        before: ["$duration antes del amanecer", "$duration antes de la salida del sol"],
        after: ["$duration después del amanecer", "$duration después de la salida del sol"],
      },
      sunset: {
        at: [
          "al atardecer",
          "(desde el | a partir del) atardecer",
          "a la puesta de sol",
          "a la puesta del sol",
          "al ponerse el sol",
          "(cuando | en cuanto) (se ponga el sol | atardezca)",
        ],
        until: ["hasta el atardecer", "hasta la puesta de sol", "hasta que se ponga el sol"],
        before: ["$duration antes del atardecer", "$duration antes de la puesta de sol"],
        after: ["$duration después del atardecer", "$duration después de la puesta de sol"],
      },
      dawn: {
        at: ["al alba"],
        until: ["hasta el alba"],
        before: ["$duration antes del alba"],
        after: ["$duration después del alba"],
      },
      dusk: {
        at: ["al anochecer", "(cuando | en cuanto) (anochezca | oscurezca | se haga de noche)"],
        until: ["hasta el anochecer", "hasta que (anochezca | oscurezca)"],
        before: ["$duration antes del anochecer"],
        after: ["$duration después del anochecer"],
      },
    },
    then: ["y", "e", "luego", "y luego", "después", "y después", "y entonces", "pero", "y también"],
  },
  units: {
    percent: ["por ciento", "porciento", "%"],
    degrees: ["grados", "grado"],
    celsius: ["celsius", "centígrados"],
    fahrenheit: ["fahrenheit"],
    kelvin: ["kelvin", "kelvins", "k"],
  },
  elisions: [],
  plurals: {
    head: "first",
    endings: [
      ["z", "ces"],
      ["a", "as"],
      ["e", "es"],
      ["o", "os"],
      ["s", "s"],
      ["", "es"],
    ],
  },
  sounds: spanishSounds,
  small: ["el", "la", "los", "las", "un", "una", "mi", "mis", "nuestro", "nuestra"],
  courtesies: {
    opening: [
      "(cuando | en cuanto | si) (puedas | puedes | tengas (un momento | un minuto | tiempo))",
      "(puede | podría) alguien | alguien (puede | podría) | (que | a ver si) alguien",
      "por favor | (puedes | podrías | puede | podría | quieres | querrías) [por favor] | (quiero | quisiera | querría | queremos | me gustaría | necesito | desearía) [tener]",
      "(te | le) (importa | importaría) | serías tan amable de | haz el favor de | hazme el favor de | (asegúrate | asegúrese) de | procura | (haz | haga) | a ver si puedes | vamos a | anda [y] | (puedo tener | (podríamos | podemos) [tener]) | que | (dame | danos | ponme | ponnos)",
    ],
    closing: [
      "detrás de (mí | nosotros)",
      "cuando tengas (un momento | un minuto | tiempo) | un momento | un momentito | un segundo",
      "más o menos | por favor | gracias | para mí | (quieres | puedes | podrías) | ya | ahora [mismo] | enseguida | cuando puedas | si puedes | si no te importa | rápido | vale | otra vez | de nuevo | no hay nadie [ahí | allí | aquí] | porfa | porfi | anda | venga | va",
    ],
  },
  targets: {
    all: ["todos", "todas", "cada"],
    both: ["los dos", "las dos", "ambos", "ambas"],
    everything: [
      "lo todo",
      "todo",
      "todos los aparatos",
      ...["esté encendido", "está encendido", "siga encendido", "quede encendido"].flatMap((on) => [
        `todo lo que ${on}`,
        `lo que ${on}`,
      ]),
    ],
    here: ["aquí", "en esta habitación", "acá"],
    it: ["lo", "la", "los", "las", "eso", "ese", "esa"],
    there: ["allí", "allá", "ahí", "esa habitación"],
    outside: ["fuera", "afuera", "en el exterior"],
    inside: ["dentro", "adentro", "en el interior"],
    everywhere: ["en todas partes", "toda la casa", "de la casa", "de casa"],
    one: ["el", "la"],
    ones: ["los", "las"],
    this: ["este", "esta", "estos", "estas", "ese", "esa", "esos", "esas"],
    inPlace: ["en", "de", "del", "a", "al", "desde"],
    and: ["y", "e", "&", "junto con"],
    except: ["excepto", "salvo", "menos", "pero no", "a excepción de"],
  },
  kinds: {
    light: { one: ["lámpara"], many: ["lámparas", "luz", "luces", "iluminación"] },
    plug: { one: ["enchufe"], many: ["enchufes"] },
    pump: { one: ["bomba"], many: ["bombas"] },
    fan: { one: ["ventilador"], many: ["ventiladores"] },
    heater: { one: ["calefactor", "radiador"], many: ["calefactores", "radiadores"] },
    thermostat: { one: ["termostato", "calefacción"], many: ["termostatos"] },
    blind: {
      one: ["persiana", "cortina", "estor", "toldo"],
      many: ["persianas", "cortinas", "estores", "toldos"],
    },
    gate: { one: ["portón", "verja"], many: ["portones", "verjas"] },
    valve: { one: ["válvula"], many: ["válvulas"] },
    lock: {
      one: ["cerradura", "puerta"],
      many: ["cerraduras", "puertas"],
    },
    alarm: { one: ["alarma"], many: ["alarmas"] },
    camera: { one: ["cámara"], many: ["cámaras"] },
    sensor: { one: ["sensor"], many: ["sensores"] },
    player: { one: ["altavoz", "música"], many: ["altavoces"] },
    button: { one: ["botón", "pulsador"], many: ["botones", "pulsadores"] },
    vacuum: { one: ["aspiradora"], many: ["aspiradoras"] },
    appliance: { one: ["máquina", "aparato"], many: ["máquinas", "aparatos"] },
    locator: { one: ["localizador"], many: ["localizadores"] },
  },
  properties: {
    power: ["corriente"],
    brightness: ["brillo", "intensidad"],
    colour: ["color"],
    warmth: ["temperatura de color"],
    speed: ["velocidad"],
    oscillate: ["oscilación"],
    target: ["temperatura deseada", "consigna"],
    temperature: ["temperatura"],
    humidity: ["humedad"],
    mode: ["modo"],
    preset: ["preajuste"],
    position: ["posición"],
    tilt: ["inclinación", "lamas", "láminas"],
    flow: ["caudal"],
    locked: ["cierre"],
    armed: ["modo de alarma"],
    recording: ["grabación"],
    illuminance: ["iluminancia", "nivel de luz"],
    pm25: ["partículas finas", "polvo fino"],
    co2: ["dióxido de carbono", "CO2"],
    moisture: ["humedad del suelo"],
    contact: ["contacto"],
    motion: ["movimiento"],
    battery: ["batería", "carga"],
    level: ["nivel"],
    volume: ["volumen"],
    muted: ["silencio"],
    source: ["fuente", "entrada"],
    playing: ["reproducción"],
    activity: ["actividad", "estado"],
    program: ["programa"],
  },
  values: {
    power: { on: ["encendido"], off: ["apagado"] },
    mode: {
      off: ["apagado"],
      heat: ["calor", "calefacción"],
      cool: ["frío"],
      auto: ["auto", "automático"],
    },
    preset: {
      home: ["en casa", "presente", "confort"],
      away: ["fuera", "ausente"],
      sleep: ["noche", "dormir"],
    },
    armed: {
      off: ["desarmada", "apagada"],
      home: ["en casa", "presente"],
      away: ["fuera", "ausente"],
      night: ["noche"],
    },
    contact: { open: ["abierto"], closed: ["cerrado"] },
    locked: { true: ["cerrado con llave"], false: ["sin llave"] },
    motion: { true: ["en movimiento"], false: ["quieto"] },
    muted: { true: ["en silencio"], false: ["con sonido"] },
    activity: {
      docked: ["en su base"],
      cleaning: ["aspirando"],
      paused: ["en pausa"],
      returning: ["de vuelta"],
      idle: ["en espera"],
      running: ["en marcha"],
      done: ["terminado"],
    },
    playing: { play: ["sonando"], pause: ["en pausa"], stop: ["parado"] },
    flow: { on: ["abierto"], off: ["cerrado"] },
    recording: { on: ["en curso"], off: ["parada"] },
    oscillate: { on: ["activa"], off: ["parada"] },
  },
  states: {
    on: ["encendido", "encendida", "encendidos", "encendidas"],
    off: ["apagado", "apagada", "apagados", "apagadas"],
    open: ["abierto", "abierta", "abiertos", "abiertas", "subido", "subida", "subidos", "subidas"],
    closed: [
      "cerrado",
      "cerrada",
      "cerrados",
      "cerradas",
      "bajado",
      "bajada",
      "bajados",
      "bajadas",
    ],
    locked: [
      "cerrada con llave",
      "cerrado con llave",
      "cerradas con llave",
      "cerrados con llave",
      "bloqueada",
      "bloqueado",
    ],
    unlocked: ["sin llave", "desbloqueada", "desbloqueado"],
    armed: ["armada", "armado", "activada", "activado", "conectada", "puesta", "puesto"],
    disarmed: ["desarmada", "desarmado", "desactivada", "desconectada", "quitada"],
    recording: ["grabando"],
    playing: ["sonando", "reproduciendo"],
    paused: ["en pausa"],
    muted: ["en silencio", "silenciado", "silenciada"],
    unmuted: ["con sonido"],
    running: ["en marcha", "funcionando", "aspirando"],
    docked: ["en su base", "cargando"],
    moving: ["en movimiento", "movimiento"],
    finished: ["terminado", "acabado", "lista", "listo"],
  },
  doing: {
    closed: [],
    locked: [],
    on: ["alumbra", "alumbran"],
    docked: [],
    moving: ["se mueve"],
    running: ["funciona", "funcionan"],
    playing: ["suena", "suenan"],
  },
  colours: {
    "#ff0000": ["rojo", "roja"],
    "#00ff00": ["verde"],
    "#0000ff": ["azul"],
    "#ffff00": ["amarillo", "amarilla"],
    "#ffa500": ["naranja"],
    "#800080": ["morado", "púrpura"],
    "#ee82ee": ["violeta"],
    "#ffc0cb": ["rosa"],
    "#ff69b4": ["rosa fuerte"],
    "#ff00ff": ["magenta"],
    "#00ffff": ["cian"],
    "#008080": ["verde azulado", "azul petróleo"],
    "#40e0d0": ["turquesa"],
    "#add8e6": ["azul claro"],
    "#00008b": ["azul oscuro"],
    "#000080": ["azul marino"],
    "#87ceeb": ["azul cielo", "celeste"],
    "#006400": ["verde oscuro"],
    "#90ee90": ["verde claro"],
    "#32cd32": ["lima", "verde lima"],
    "#808000": ["oliva", "verde oliva"],
    "#ffd700": ["oro", "dorado", "dorada"],
    "#ffbf00": ["ámbar"],
    "#ff7f50": ["coral"],
    "#fa8072": ["salmón"],
    "#dc143c": ["carmesí"],
    "#8b0000": ["rojo oscuro"],
    "#e6e6fa": ["lavanda"],
    "#4b0082": ["índigo", "añil"],
    "#a0522d": ["siena"],
    "#b4532f": ["terracota"],
    "#ffdab9": ["melocotón"],
    "#f5f5dc": ["beige"],
    "#ffffff": ["blanco", "blanca", "blanco puro"],
  },
  warmths: {
    1900: ["luz de vela", "vela"],
    2700: ["blanco cálido", "blanca cálida", "blancas cálidas", "cálido", "cálida"],
    3500: ["blanco neutro", "neutro", "neutra"],
    4000: ["blanco frío"],
    5500: ["luz de día", "luz del día"],
    6500: ["blanco helado", "frío", "fría"],
  },
  amounts: {
    more: "más",
    less: "menos",
    small: [
      "[un] (poco | poquito)",
      "ligeramente",
      "algo",
      "[una] pizca",
      "[un] punto",
      "[un] (pelín | poquitín | pelo | tantito)",
    ],
    counted: ["(puntos | pasos)"],
    large: ["mucho", "bastante"],
  },
  levels: {
    least: [
      "mínimo",
      "el mínimo",
      "lo más (bajo | baja | flojo | tenue | lento | oscuro) [que] (posible | se pueda | pueda)",
    ],
    low: ["bajo", "baja", "lento", "velocidad (baja | uno)"],
    medium: ["medio", "media", "velocidad (media | dos)"],
    high: ["alto", "alta", "rápido", "velocidad (alta | tres)"],
    full: [
      "[el] máximo",
      "[a] tope",
      "plena potencia",
      "máxima potencia",
      "al máximo",
      "todo lo que (dé | pueda)",
      "[al] cien por cien",
      "lo más (alto | alta | fuerte | brillante | claro | rápido) [que] (posible | se pueda | pueda)",
    ],
  },
  enclitics: ["lo", "la", "los", "las", "me", "melo", "mela", "melos", "melas"],
  fillers: [
    "también",
    "aproximadamente",
    "eh",
    "em",
    "pues",
    "bueno",
    "oye",
    "vale",
    "entonces",
    "solo",
    "simplemente",
    "ya",
    "ahora",
    "mismo",
    "venga",
    "mejor",
    "me",
    "nos",
    "a ver",
  ],
  repairs: [
    "(perdón | digo | mejor dicho | quiero decir | quería decir)",
    "no (perdón | espera | digo | mejor)",
  ],
  stays: {
    verbs: ["deja", "deje", "dejad", "dejen", "dejar", "déjame"],
    after: ["(en paz | tranquilo | tranquila)", "como (está | están)", "así"],
  },
  hedges: [
    ..."anochecer atardecer amanecer no nunca nadie nada ni ningún ninguna sin jamás tampoco casi".split(
      " ",
    ),
    ..."si cuando antes después mientras hasta hubiera hubiese fuera fuese estuviera estuviese imagina supón supongamos ojalá espero deseo acuérdate recuerda recuerdo olvidé olvides olvidado piensa".split(
      " ",
    ),
    ..."dijo dice dicho dije decir dile diles ha he has han hemos había pregunta preguntó cree creo oído leído quién quien por qué porqué cuál cómo ayer cada siempre todos suele".split(
      " ",
    ),
    ..."encendí encendió encendimos apagué apagó apagamos abrió abrimos cerró cerramos puso puse".split(
      " ",
    ),
  ],
  clauses:
    "yo mi me tengo tenemos nos está están es son soy estoy hay se él ella hace va sigue siguen queda salgo salimos voy vuelvo volvemos debo".split(
      " ",
    ),
  reasons: ["porque", "ya que", "que", "pues"],
  adjectives: {
    co2: ["(cargado | viciado)"],
    brightness: ["(brillante | brillantes | fuerte)"],
    illuminance: ["(claro | oscuro | luminoso | luz)"],
    speed: ["rápido"],
    temperature: ["(caliente | frío | fría | cálido | calor)"],
    humidity: ["(húmedo | húmeda | seco)"],
    moisture: ["(húmedo | húmeda | seco | mojado)"],
    volume: ["(alto | alta | fuerte)"],
    position: ["(abierto | abierta)"],
    battery: ["(cargado | cargada | llena)"],
    level: ["(lleno | llena)"],
  },
  frames: {
    besides: ["con", "a", "al", "en"],
    state: [
      "$target [otra vez | de nuevo] $state",
      `(${put}) $target $state`,
      `(${put}) $state $target`,
      `$target (${should}) [estar | quedar | quedarse | ponerse] $state`,
      "(puede | pueden | podría | podrían) $target (estar | quedar | ponerse) $state",
      "que $target (esté | estén | quede | queden | está | están | se quede) $state",
    ],
    of: [`$property ${de} $target [(${should}) [estar | ser | quedar | ponerse]] $state`],
    more: ["$state $target", "$state", `(${put}) $state`, "$state (en | para) $target"],
    deed: [
      "(dile | diga | di) (a | al) $target que $verb",
      `$target (${should}) $verb`,
      "que $target $verb",
      "(haz | hacer | pon | poner) [a] $verb $target",
      "(pon | poner) $target a $verb",
    ],
    sorts: {
      switched: {
        on: {
          states: [
            "(encendido | encendida | encendidos | encendidas | prendido | prendida | activado | activada)",
            "$property (encendido | encendida | activado | activada)",
          ],
          commands: [`${on} $target`, `${on} $property ${de} $target`, `$target ${may} ${on}`],
        },
        off: {
          states: [
            "(apagado | apagada | apagados | apagadas | desactivado | desactivada)",
            "$property (apagado | apagada | desactivado | desactivada)",
          ],
          commands: [`${off} $target`, `${off} $property ${de} $target`, `$target ${may} ${off}`],
        },
      },
      level: {
        to: {
          states: [
            "[a | al | en | hasta] $value",
            "[a | al | en] $value de $property",
            "[a | al | en | con] [un | una] $property [a | al | en | de] $value",
          ],
          commands: [
            `(${adjust} | ${raise} | ${lower}) $property (a | al) $value`,
            `(${adjust}) $property en $value`,
            "$property [a | al] $value",
            "$value (en | para) $target",
            `(${adjust}) $target (a | al | en | hasta) $value`,
            `(${raise} | ${lower}) $target (a | al | hasta) $value`,
            `(${adjust}) $property ${de} $target (a | al | en | hasta) $value`,
            `(${raise} | ${lower}) $property ${de} $target (a | al | hasta) $value`,
            `$property ${de} $target [a | al | en] $value`,
            `$value de $property ${de} $target`,
          ],
        },
        up: {
          states: [
            "$amount más (alto | alta | altos | altas)",
            "más (alto | alta)",
            "$amount más",
            "$property $amount más (alto | alta)",
            "[$amount] más [de] $property",
          ],
          commands: [
            `(${raise}) [$amount] $property [en] [$amount]`,
            `(${raise}) [$amount] $target`,
            `(${raise}) $target [en] [$amount] [más]`,
            "(súbele | subirle) [$amount] (a | al) $target [$amount]",
            `(${raise}) [$amount] $property ${de} $target [en] [$amount]`,
            `[$amount] más [de] $property ${de} $target`,
          ],
        },
        down: {
          states: [
            "$amount más (bajo | baja | bajos | bajas)",
            "más (bajo | baja)",
            "$amount menos",
            "$property $amount más (bajo | baja)",
            "[$amount] menos [de] $property",
          ],
          commands: [
            `(${lower}) [$amount] $property [en] [$amount]`,
            `(${lower}) [$amount] $target`,
            `(${lower}) $target [en] [$amount] [más]`,
            "(bájale | bajarle) [$amount] (a | al) $target [$amount]",
            `(${lower}) [$amount] $property ${de} $target [en] [$amount]`,
            `[$amount] menos [de] $property ${de} $target`,
          ],
        },
      },
      choice: {
        to: {
          states: [
            "[en | a] [modo] $value",
            "[en | a] $property $value",
            "$property [en | a] $value",
          ],
          commands: [
            `(${adjust}) $property ${de} $target (en | a) $value`,
            `(elige | elija | elegir | selecciona | seleccionar | pon) $property $value ${de} $target`,
            `$property ${de} $target [en | a] $value`,
            `$property $value ${de} $target`,
            `(${adjust}) $property (en | a) $value`,
            "$property [en | a] $value",
          ],
        },
      },
      colour: {
        to: {
          states: ["[en | a | de] [color] $value", "$property [en | a] $value"],
          commands: [
            `(${adjust}) $property ${de} $target (en | a) $value`,
            `$property ${de} $target [en | a] $value`,
          ],
        },
      },
      text: {
        to: {
          states: ["$property a $value", "$property $value"],
          commands: [`(${adjust}) $property ${de} $target (en | a) $value`],
        },
      },
      action: {
        call: { states: [], commands: ["$verb $target", "$target $verb"] },
      },
    },
  },
  vocabulary: {
    "mode-on": {
      patterns: ["(pon | poner | ponga) [en marcha] $target"],
      reply: "{$target}: en marcha.",
    },
    "mode-off": {
      patterns: ["(quita | quite | quitar) $target"],
      reply: "{$target}: apagado.",
    },
    "position-short": {
      states: ["[a | al] $level (cerrado | cerrada)", "(cerrado | cerrada) [a | al] $level"],
      patterns: ["(cierra | cierre | cerrar | baja | bajar) $target [a | al | hasta] $level"],
      reply: "{$target} se cierra.",
    },
    "program-start": {
      patterns: [
        "(inicia | arranca | empieza | pon en marcha | poner en marcha | iniciar) $target (con | en) [el] [programa | modo] $program",
        "(inicia | arranca | empieza | iniciar) [el] [programa] $program (en | de | del) $target",
      ],
      reply: "{$target} empieza: {$program}.",
    },
    "power-start": {
      deeds: ["arrancar | arranque | funcionar | funcione"],
      states: ["en marcha"],
      patterns: [
        "(pon | poner | ponga) $target en marcha",
        "(arranca | arrancar | inicia | iniciar) $target",
        "haz que (arranque | funcione) $target",
      ],
      reply: "{$target}: encendido.",
    },
    "power-stop": {
      patterns: ["(para | pare | parar | detén | detener) $target"],
      reply: "{$target}: apagado.",
    },
    "ask-how": {
      patterns: [
        "(cómo de | qué tan) $measure (está | es | están) $target",
        "hace $measure [en] $target",
        "cuánto (de $measure | $measure) (hace | está) [en] $target",
        "qué $measure (hace | está) [en] $target",
        "cómo de $measure está (tierra | aire) (de | del | en) $target",
        "cuánta $measure hay [en] $target",
      ],
      reply: "",
    },
    "ask-setting": {
      patterns: [
        "(a cuánto | a qué | en qué | en cuánto | cómo) está (puesto | puesta | ajustado | ajustada)  $target",
        "(a cuánto | en cuánto | a qué | a cuántos grados) está $target",
      ],
      reply: "",
    },
    "ask-doing": {
      patterns: ["qué (hace | está haciendo) $target"],
      reply: "",
    },
    "power-on": {
      patterns: [
        "(vuelve a | volver a) encender $target",
        "(haz | hacer) funcionar $target",
        "(pon | poner | ponga) $target",
        `${set} $target en marcha`,
        "dale (a | al) $target",
      ],
      reply: "{$target}: encendido.",
    },
    "power-off": {
      patterns: [
        "(quita | quite | quitar | corta | cortar) $target",
        "(corta | corte) la corriente de $target",
      ],
      reply: "{$target}: apagado.",
    },
    "brightness-to": {
      patterns: ["(atenúa | atenúe | atenuar | regula) $target (a | al | hasta) $level"],
      reply: "{$target} al {$level} por ciento.",
    },
    brighter: {
      states: [
        "[$amount] más (brillante | brillantes | claro | clara | claros | claras | fuerte | fuertes | luminoso | luminosa)",
      ],
      patterns: [
        "[$amount] más [de] luz",
        "(ilumina | iluminar | aclara) [más] $target [más] [$amount]",
        "(sube | subir | aumenta) [$amount] la luz [de | del | en] $target",
        "[$amount] más [de] luz [en | de | del] $target",
        `${set} $target [${by}] más (claro | clara | brillante | fuerte)`,
      ],
      reply: "{$target}: más luz.",
    },
    dimmer: {
      states: [
        "[$amount] (más (tenue | tenues | oscuro | oscura | oscuros | oscuras | suave | suaves) | menos (brillante | brillantes | fuerte | fuertes))",
      ],
      patterns: [
        "[$amount] menos [de] luz",
        "(atenúa | atenúe | atenuar | oscurece | oscurecer) [$amount] $target [en] [$amount]",
        "[$amount] menos [de] luz [en | de | del] $target",
        `${set} $target [${by}] (más (oscuro | oscura | tenue) | menos brillante)`,
      ],
      reply: "{$target}: menos luz.",
    },
    "speed-to": {
      patterns: ["(haz | hacer) (funcionar | girar) $target (a | al) $level"],
      reply: "{$target} al {$level} por ciento.",
    },
    faster: {
      states: ["[$amount] más (rápido | rápida | fuerte | deprisa)"],
      patterns: [
        "(acelera | acelere | acelerar) [$amount] $target [en] [$amount]",
        "(haz | hacer) que $target (gire | vaya) [$amount] más rápido",
        `${set} $target [${by}] más (rápido | fuerte)`,
      ],
      reply: "{$target}: más rápido.",
    },
    slower: {
      states: [
        "[$amount] (más (lento | lenta | despacio | suave) | menos (rápido | rápida | fuerte))",
      ],
      patterns: [
        "(ralentiza | frena | desacelera | ralentizar) [$amount] $target [en] [$amount]",
        "(haz | hacer) que $target (gire | vaya) [$amount] más (lento | despacio)",
        `(frena | frene | ralentiza) $target [${by}]`,
        `${set} $target [${by}] más (lento | despacio | suave)`,
      ],
      reply: "{$target}: más lento.",
    },
    "oscillate-on": {
      deeds: ["oscilar | girar | oscile | gire"],
      states: ["(oscilando | girando | en oscilación)"],
      patterns: [
        "(activa | enciende | activar | pon) la oscilación [de | del] $target",
        "$target (oscila | oscilando)",
        "haz que (oscile | gire) $target",
      ],
      reply: "{$target} oscila.",
    },
    "oscillate-off": {
      patterns: [`(${stop} | ${off}) [la] oscilación (de | del) $target`, "$target sin oscilar"],
      reply: "{$target} ya no oscila.",
    },
    "colour-to": {
      patterns: [
        `${set} $target [en | de | a] [color] $colour`,
        "(colorea | pinta | tiñe) $target de $colour",
      ],
      reply: "{$target} en {$colour}.",
    },
    "warmer-light": {
      states: ["[$amount] más (cálido | cálida | cálidos | cálidas)"],
      reply: "{$target}: más cálido.",
    },
    "cooler-light": {
      states: ["[$amount] más (frío | fría | fríos | frías | blanco | blanca)"],
      reply: "{$target}: más frío.",
    },
    "warmth-to": {
      patterns: [`${set} $target [en | a] $warmth`],
      reply: "{$target} a {$warmth} kelvin.",
    },
    "temperature-to": {
      patterns: [
        "(pon | poner | sube | baja | ajusta) la temperatura (a | en) $degrees",
        "temperatura a $degrees",
        "(calienta | caliente | calentar | enfría) $target (a | hasta) $degrees",
        "(pon | ponga | poner | sube | subir | baja | bajar | ajusta) la temperatura [de | del | en] $target (a | en | hasta) $degrees",
        "temperatura [de | del | en] $target a $degrees",
        "$target temperatura [a] $degrees",
        `${set} [la] temperatura ${of} $target ${to} $degrees`,
        "pon $degrees en $target",
      ],
      reply: "{$target} a {$degrees} grados.",
    },
    warmer: {
      states: ["[$amount] más (caliente | cálido | cálida | [de] calor | alto | alta)"],
      patterns: [
        "(calienta | calentar) [$amount] [más] $target [$amount] [más]",
        "(sube | subir | aumenta) [$amount] la temperatura [de | del | en] $target [en] [$amount]",
        `${turnUp} [la temperatura ${of}] $target [${by}]`,
        `${set} $target [${by}] más caliente`,
        "[$amount] más [de] calor [en] $target",
      ],
      reply: "{$target}: más calor.",
    },
    cooler: {
      states: [
        "[$amount] (más (frío | fría | fresco | fresca | bajo | baja) | menos (caliente | calor))",
      ],
      patterns: [
        "(enfría | enfriar) [$amount] $target [$amount] [más]",
        "(baja | bajar | reduce) [$amount] la temperatura [de | del | en] $target [en] [$amount]",
        `${turnDown} [la temperatura ${of}] $target [${by}]`,
        `${set} $target [${by}] más (frío | fría | fresco)`,
        "[$amount] (menos calor | más fresco) en $target",
      ],
      reply: "{$target}: menos calor.",
    },
    "mode-to": {
      patterns: [`${set} $target en [modo] $mode`],
      reply: "{$target}: {$mode}.",
    },
    "preset-to": {
      patterns: [`${set} $target [en] [modo] $preset`],
      reply: "{$target}: {$preset}.",
    },
    open: {
      deeds: ["abrirse | abra | abran | subir | suba"],
      states: [
        "[del todo | completamente] (abierto | abierta | abiertos | abiertas | arriba | subido | subida | levantado | extendido | extendida | desplegado)",
      ],
      patterns: [
        "(abre | abra | abrir | sube | suba | subir | levanta | levante | levantar) [del todo | completamente] $target [del todo | completamente | entero | hasta arriba]",
        `${open} $target [del todo | completamente | por completo]`,
        "(saca | saque | sacar | extiende | extienda | extender | despliega | desplegar) $target",
      ],
      reply: "{$target}: abriendo.",
    },
    close: {
      deeds: ["cerrarse | cierre | cierren | bajar | baje"],
      states: [
        "[del todo | completamente] (cerrado | cerrada | cerrados | cerradas | abajo | bajado | bajada | recogido | recogida | plegado)",
      ],
      patterns: [
        "(cierra | cierre | cerrar | baja | baje | bajar) [del todo | completamente] $target [del todo | completamente | entero | hasta abajo]",
        `${close} $target [del todo | completamente | por completo]`,
        "(corre | corra | correr | echa) $target",
        "(recoge | recoja | recoger | mete | meta | meter | pliega | plegar | enrolla | enrollar) $target",
      ],
      reply: "{$target}: cerrando.",
    },
    "position-to": {
      states: ["[a | al] $level (abierto | abierta)", "(abierto | abierta) [a | al] $level"],
      patterns: [
        "(abre | abra | abrir) $target [a | al | hasta] $level",
        "(sube | subir) $target (a | al | hasta) $level",
        `(${set} | ${open} | ${close}) $target ${to} $level`,
      ],
      reply: "{$target} al {$level} por ciento.",
    },
    "open-more": {
      patterns: [
        `${open} $target [en] $amount [más]`,
        "(saca | sacar | extiende) $amount $target",
        "(saca | sacar | extiende) $target [en] $amount",
        `${open} $amount $target`,
        `${open} [todavía | aún] [$amount] más $target`,
        `${open} $target [todavía | aún] [$amount] más`,
      ],
      states: ["[$amount] más (abierto | abierta | abiertos | abiertas)"],
      reply: "{$target}: más abierto.",
    },
    "close-more": {
      patterns: [
        `${close} $target [en] $amount [más]`,
        `${close} $amount $target`,
        "(recoge | recoger) $amount $target",
        `${close} [todavía | aún] [$amount] más $target`,
        `${close} $target [todavía | aún] [$amount] más`,
      ],
      states: ["[$amount] más (cerrado | cerrada | cerrados | cerradas)"],
      reply: "{$target}: más cerrado.",
    },
    "tilt-to": {
      states: ["(inclinado | inclinada) [a | al] $level"],
      patterns: [
        `(inclina | incline | inclinar) $target ${to} $level`,
        `(inclina | incline | inclinar | gira | orienta) (lamas | láminas) ${of} $target ${to} $level`,
      ],
      reply: "{$target} inclinado al {$level} por ciento.",
    },
    "stop-moving": {
      patterns: [`${stop} $target`, "$target (alto | quieto | quieta)"],
      reply: "{$target} detenido.",
    },
    "flow-on": {
      states: ["(abierto | abierta)"],
      patterns: [`(${on} | abre | abra | abrir) $target`],
      reply: "{$target}: abierto.",
    },
    "flow-off": {
      states: ["(cerrado | cerrada)"],
      patterns: ["(cierra | cierre | cerrar | corta) $target"],
      reply: "{$target}: cerrado.",
    },
    lock: {
      deeds: ["cerrarse con llave"],
      states: [
        "(cerrado | cerrada | cerrados | cerradas) con llave",
        "(bloqueado | bloqueada | bloqueadas | con llave)",
      ],
      patterns: [
        "(cierra | cierre | cerrar) [con llave] $target con llave",
        "(cierra | cierre | cerrar) con llave $target",
        "(bloquea | bloquee | bloquear | echa la llave a | echa el cerrojo a) $target",
        "(echa | eche | pon) [la] llave (a | al | en) $target",
      ],
      reply: "{$target}: cerrado con llave.",
    },
    unlock: {
      states: ["(desbloqueado | desbloqueada | sin llave)"],
      patterns: [
        "(desbloquea | desbloquee | desbloquear) $target",
        "(abre | abrir) con llave $target",
        "(quita | quitar) (la llave | el cerrojo) (a | de) $target",
        "(quita | quite) la llave (a | de | del | al) $target",
        "(abre | abrir | quita) (el cerrojo | la llave | el pestillo) (de | del | a) $target",
      ],
      reply: "{$target}: sin llave.",
    },
    arm: {
      states: [
        "(armado | armada | activado | activada | conectada) [en modo] [$mode]",
        "[en] [modo] $mode",
      ],
      patterns: [
        "(arma | arme | armar | activa | active | activar | conecta | conectar | enciende | encender | pon) $target [en | para] [modo] [la] [$mode]",
        `${set} $target [en] [modo] $mode`,
      ],
      reply: "{$target}: armada.",
    },
    disarm: {
      states: ["(desarmado | desarmada | desactivado | desactivada | desconectada)"],
      patterns: [
        "(desarma | desarme | desarmar | desactiva | desactive | desactivar | desconecta | desconectar | apaga | apagar | quita) $target",
        `(desarma | desarme | desarmar | ${off}) $target`,
      ],
      reply: "{$target}: desarmada.",
    },
    record: {
      deeds: ["grabar | grabe"],
      states: ["grabando"],
      patterns: [
        "(graba | grabe | grabar) con $target",
        "(empieza | empezar | comienza | inicia) a grabar con $target",
        "(empieza | inicia | pon en marcha) la grabación [con | de | del | en] $target",
        `(${start} | ${on}) [la] grabación (de | del | con | en) $target`,
        "$target (graba | grabando)",
      ],
      reply: "{$target} graba.",
    },
    "stop-recording": {
      patterns: [
        `(${stop} | ${off}) [la] grabación (de | del | con | en) $target`,
        "$target (sin grabar | deja de grabar)",
      ],
      reply: "{$target} ya no graba.",
    },
    play: {
      deeds: ["sonar | suene"],
      states: ["(sonando | reproduciendo | en marcha)"],
      patterns: [
        "(continúa | continuar | reanuda | reanudar | sigue) [[con] la (música | reproducción)]",
        "(pon | poner | ponme | ponga) [algo de | un poco de] música [en $target]",
        "(reproduce | reproducir | reanuda | reanudar | continúa) $target",
        "(pon | poner | reproduce | reanuda | sigue con) la música [en | de | del] $target",
        `(${start} | reanuda | ${on}) [la] (reproducción | música) (en | de | del) $target`,
        "$target (reproduce | suena)",
      ],
      reply: "{$target} suena.",
    },
    pause: {
      deeds: ["pausarse"],
      states: ["(en pausa | pausado | pausada)"],
      patterns: [
        "(pausa | pausar) [la música]",
        "(pausa | pause | pausar) $target",
        "(pausa | pausar) la música [en | de | del] $target",
        `${set} $target en pausa`,
        "$target [en] pausa",
      ],
      reply: "{$target} en pausa.",
    },
    "stop-playing": {
      states: ["(parado | parada | detenido | detenida)"],
      patterns: [
        "(para | parar | detén | quita) la música [en | de | del] $target",
        `${stop} $target`,
        `${stop} [la] (reproducción | música) (en | de | del) $target`,
        "$target (alto | parado)",
      ],
      reply: "{$target} parado.",
    },
    next: {
      patterns: [
        "(pasa | pase | pasar | salta) a la (siguiente | próxima) (canción | pista)",
        "siguiente",
        "(siguiente | próxima) (canción | pista)",
        "canción siguiente",
        "(siguiente | próxima) (canción | pista | tema) [en | de | del] $target",
        "(pasa | pase | pasar) a la (siguiente | próxima) (canción | pista) [en | de | del] $target",
        "(salta | saltar) esta canción [en | de | del] $target",
        "(pon | poner) la (siguiente | próxima) (canción | pista) [en | de | del] $target",
        "canción siguiente [en | de | del] $target",
        "[la] [pista | canción] siguiente (en | de | del) $target",
        "$target siguiente [pista | canción]",
      ],
      reply: "Siguiente en {$target}.",
    },
    previous: {
      patterns: [
        "[la] [pista | canción] anterior (en | de | del) $target",
        "$target [pista | canción] anterior",
      ],
      reply: "Anterior en {$target}.",
    },
    "play-what": {
      patterns: ["(pon | ponga | reproduce | toca) $what (en | por) $target"],
      reply: "{$what} en {$target}.",
    },
    "volume-to": {
      reply: "{$target} a volumen {$level}.",
    },
    louder: {
      states: ["[$amount] más (alto | alta | fuerte)"],
      patterns: [`${set} $target [${by}] más (alto | fuerte)`],
      reply: "{$target}: más alto.",
    },
    quieter: {
      states: [
        "[$amount] (más (bajo | baja | bajito | flojo | suave) | menos (alto | alta | fuerte))",
      ],
      patterns: [`${set} $target [${by}] más (bajo | suave)`],
      reply: "{$target}: más bajo.",
    },
    mute: {
      states: ["(en silencio | silenciado | silenciada | mudo | muda | sin sonido)"],
      patterns: [
        "(quita | quite | quitar) el sonido",
        "(silencio | silencia)",
        "(silencia | silencie | silenciar | calla | enmudece) $target",
        "(quita | quitar) el (sonido | volumen) (a | de | del | al) $target",
        "(quita | quite) el sonido (a | de | del | al) $target",
      ],
      reply: "{$target} en silencio.",
    },
    unmute: {
      patterns: [
        "(devuelve | devuelva | restaura | pon) el sonido",
        "(devuelve | devuelva | restaura) el sonido (a | de | del | al) $target",
        "$target con sonido",
      ],
      reply: "{$target} con sonido.",
    },
    "source-to": {
      patterns: [
        "(pon | poner | reproduce) $source en $target",
        "(pon | ponga | poner | ponme | reproduce) [algo de | un poco de] $source",
        `(${set} | cambia) $target (en | a) $source`,
      ],
      reply: "{$target} en {$source}.",
    },
    press: {
      patterns: [
        "(pulsa | pulse | pulsar | presiona | aprieta | toca | tocar) $target",
        "(haz | hacer) sonar $target",
      ],
      reply: "{$target} pulsado.",
    },
    start: {
      deeds: [
        "empiece | arranque | limpie",
        "arrancar | arranque | limpiar | limpie | funcionar | funcione | empezar | empiece",
      ],
      states: ["(en marcha | funcionando | limpiando)"],
      patterns: [
        "(inicia | inicie | iniciar | arranca | arrancar | empieza | lanza | pon en marcha | poner en marcha) $target",
        "(pon | poner) $target a (limpiar | funcionar | barrer)",
        "(manda | envía) $target a limpiar",
        `${start} $target`,
        `${set} $target (en marcha | a funcionar)`,
        "$target (empieza | en marcha)",
      ],
      reply: "{$target} en marcha.",
    },
    stop: {
      deeds: ["parar | pare | detenerse | se detenga"],
      states: ["(parado | parada | detenido | detenida)"],
      patterns: [
        "(para | pare | parar | detén | detener | termina) $target",
        "$target (alto | para)",
      ],
      reply: "{$target} parado.",
    },
    "pause-work": {
      states: ["en pausa"],
      patterns: ["(pausa | pause | pausar) $target", "$target [en] pausa"],
      reply: "{$target} en pausa.",
    },
    "stop-work": {
      deeds: ["parar | pare | pararse | detenerse | se detenga"],
      states: ["(parado | parada | detenido | detenida)"],
      patterns: [`${stop} $target`, "$target (alto | para)"],
      reply: "{$target} parado.",
    },
    dock: {
      deeds: ["volver a [su | la] (base | casa) | vuelva a [su | la] (base | casa)"],
      states: ["en [su | la] base"],
      patterns: [
        "(manda | mande | mandar | envía | envíe | enviar | lleva | devuelve) $target (a casa | a [su | la] base | a cargar | de vuelta)",
        "(manda | envía | devuelve | lleva) $target a [su | la] (base | casa)",
        "$target a [su | la] (base | casa)",
        "(recarga | carga) $target",
        "$target (vuelve | regresa) a (su | tu | la) (base | estación)",
      ],
      reply: "{$target} vuelve a su base.",
    },
    "program-to": {
      patterns: [
        `${set} $target (en | con) [programa] $program`,
        "(elige | escoge) [el] programa $program (en | de | para) $target",
      ],
      reply: "{$target}: programa {$program}.",
    },
    find: {
      patterns: [
        "dónde (están | está | he dejado | dejé | puse) $target",
        "(encuentra | encontrar | busca | buscar) $target",
        "(haz | hacer) (sonar | pitar) $target",
        "no encuentro $target",
        "(busca | busque | encuentra | localiza) $target",
        "he perdido $target",
      ],
      reply: "{$target} suena.",
    },
    "run-routine": {
      patterns: [
        "(ejecuta | ejecute | inicia | inicie | lanza | lance | empieza) [la rutina] $routine",
        "rutina $routine",
      ],
      reply: "",
    },
    "ask-value": {
      patterns: [
        "(cuál | qué) es $measure",
        "qué $measure (hace | hay)",
        "de qué $measure (es | está) $target",
        "a qué $measure está $target",
        "cuánta $measure (hay | hace | tiene) [en] $target",
        "qué $measure (hay | hace) [en] $target",
        "(cuál | qué) (es | tiene) [el | la] $measure [de | del | en] $target",
        "(dime | di) [el | la] $measure [de | del | en] $target",
        "qué $measure (hay en | tiene) $target",
        "$measure (de | del | en) $target",
        "cuánta $measure hay",
        "está $measure (de | del | en) $target (encendido | encendida | apagado | apagada)",
        "$measure (de | del | en) $target está (encendido | encendida | apagado | apagada)",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        "(cuántos grados | qué temperatura) (hay | hace) [en] $target",
        "(hace | hay) (calor | frío) [en] $target",
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "(está | están) $target [todavía | aún | aun] $state",
        "(está | están) [todavía | aún] $state $target",
        "(he dejado | dejé | me he dejado) $target $state",
        "(he dejado | dejé | me he dejado) $state $target",
        "(sigue | siguen) $state $target",
        "(sigue | siguen) $target $state",
        "(mira | dime | comprueba) si $target (está | están | sigue | siguen) $state",
        "(mira | dime | comprueba) si (está | están) $state $target",
        "ha $state $target",
        "$target ha $state",
        "$target (está | están) $state",
        "(está | están) $state o (cerrado | cerrada | abierto | abierta | encendido | encendida | apagado | apagada) $target",
        "hay [algún] $state en $target",
        "(está | están) ($target $state | $state $target) o (cerrado | cerrada | abierto | abierta | encendido | encendida | apagado | apagada)",
        "$target (está | están) $state o (cerrado | cerrada | abierto | abierta | encendido | encendida | apagado | apagada)",
        "(alguien ha | has | hemos | han) dejado $state $target",
        "(alguien ha | has | hemos | han) dejado $target $state",
        "(se ha | se han | se me ha) (quedado | dejado) ($state $target | $target $state)",
        "(he | hemos | alguien ha | has) $state $target",
      ],
      reply: "",
    },
    "ask-whether-does": {
      patterns: [
        "$state [todavía | aún] $target",
        "$target [todavía | aún] $state [todavía | aún]",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "qué (hay | queda | está) [todavía | aún] $state",
        "qué [me] he dejado $state",

        "(qué | cuáles) $target (está | están | siguen) [todavía | aún] $state",
        "(cuántas | cuántos) $target (están | siguen | hay) [todavía | aún] $state",
        "qué $target hay $state",
        "(qué | cuáles) [de] $target (está | están) [todavía | aún] $state",
        "qué está [todavía | aún] $state en $target",
      ],
      reply: "",
    },
    "ask-which-do": {
      patterns: ["(qué | cuáles | cuántas | cuántos) $target $state [todavía | aún]"],
      reply: "",
    },
    "ask-motion": {
      patterns: ["hay (alguien | movimiento) en $target"],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "(hay | queda | está) algo [todavía | aún] $state",
        "[me] he dejado algo $state",

        "(hay | queda | sigue) [todavía | aún] (algún | alguna | algo de) $target [todavía | aún] $state",
        "(hay | queda) [todavía | aún] algo $state [en] $target",
        "(está | sigue) algo $state [en] $target",
        "(hay | queda | quedan) (alguno | alguna | algún) [de] $target [todavía | aún] $state",
      ],
      reply: "",
    },
  },
  wishes: {
    frames: [
      `$complaint [${inThe} $target]`,
      `(está | es | hay | hace | me parece) [todavía | aún | otra vez] $complaint [${inThe} $target]`,
      `${inThe} $target (está | es | hay | hace) [todavía | aún | otra vez] $complaint`,
      "$target (está | están | es | suena | va | gira) [todavía | aún | otra vez] $complaint",
    ],
    wishes: {
      "too-dark": {
        complaints: [
          "[$amount] demasiado (oscuro | oscura)",
          "muy (oscuro | oscura)",
          "[muy | demasiada] poca luz",
          "no lo bastante (claro | clara)",
        ],
        patterns: [`no (se ve | veo | vemos) [casi] (nada | bien) [${inThe} $target]`],
      },
      "too-bright": {
        complaints: [
          "[$amount] demasiado (claro | clara | brillante | luminoso | luminosa)",
          "muy (brillante | luminoso | luminosa)",
          "demasiada luz",
        ],
        patterns: ["$target me (deslumbra | ciega | deslumbran)"],
      },
      "too-cold": {
        complaints: [
          "[$amount] demasiado (frío | fría | fresco | fresca)",
          "muy (frío | fría)",
          "(mucho | bastante) frío",
        ],
        patterns: [
          `(tengo | tenemos) [mucho | demasiado | bastante | un poco de] frío [${inThe} $target]`,
          `(hace | qué) frío [${inThe} $target]`,
          `(me | nos) (estoy | estamos) (helando | congelando) [${inThe} $target]`,
          `(estoy | estamos) (helado | helada | helados | congelado | congelada) [${inThe} $target]`,
        ],
      },
      "too-warm": {
        complaints: [
          "[$amount] demasiado (caliente | caluroso | cálido)",
          "(demasiado | mucho | bastante) calor",
          "muy (caliente | caluroso)",
        ],
        patterns: [
          `(tengo | tenemos) [mucho | demasiado | bastante | un poco de] calor [${inThe} $target]`,
          `(hace | qué) calor [${inThe} $target]`,
          `(me | nos) (estoy | estamos) (asando | cociendo | sudando) [${inThe} $target]`,
        ],
      },
      "too-loud": {
        complaints: [
          "[$amount] demasiado (alto | alta | fuerte | ruidoso | ruidosa)",
          "muy (alto | alta | fuerte)",
          "demasiado ruido",
        ],
        patterns: ["no (oigo | oímos) ni mis (pensamientos | ideas)"],
      },
      "too-quiet": {
        complaints: [
          "[$amount] demasiado (bajo | baja | bajito | bajita | flojo | floja)",
          "muy (bajo | baja | bajito | bajita | flojo)",
        ],
        patterns: [
          "no (se oye | oigo | oímos | escucho) [casi | bien] [nada] [de] [$target]",
          "apenas (se oye | oigo | oímos | escucho) [$target]",
          "$target no se oye [casi | bien] [nada]",
        ],
      },
      "too-slow": {
        complaints: [
          "[$amount] demasiado (lento | lenta | despacio)",
          "muy (lento | lenta | despacio)",
        ],
      },
      "too-fast": {
        complaints: [
          "[$amount] demasiado (rápido | rápida | deprisa)",
          "muy (rápido | rápida | deprisa)",
        ],
      },
    },
  },
  sources: [
    "(cuál es | cómo es | cómo está | qué tal | qué dice | qué hay en | dime | léeme) $source",
  ],
  conversation: {
    yes: ["sí [por favor]", "(vale | claro | de acuerdo | ok | okay | adelante | hazlo)"],
    no: ["no [gracias]"],
    cancel: ["(da igual | cancela | cancelar | olvídalo | déjalo)"],
    again: ["otra vez", "de nuevo", "repítelo"],
    undo: ["deshaz eso", "deshacer", "deshazlo"],
  },
  answers: {
    value: "{$name}: {$property} {$value}.",
    yes: "Sí, {$name}: {$state}.",
    no: "No, {$name}: {$state}.",
    list: "{$list}.",
    none: "Ninguno.",
  },
  refusals: {
    of: "{$property} de {$name}",
    that: "eso",
    between: "{$what} va de {$minimum} a {$maximum}, no {$said}",
    atLeast: "{$what} empieza en {$minimum}, no {$said}",
    atMost: "{$what} llega hasta {$maximum}, no {$said}",
    oneOf: "{$what} puede ser {$choices}, no {$said}",
    unable: "{$name} no puede hacer eso",
    alone: "hay que nombrar {$name}",
    length: "eso no es una duración",
    nowhere: "no sé a qué se refiere",
    past: "{$time} ya ha pasado",
    named: "hay que nombrarlo",
    nothing: "no hay nada así",
    place: "«{$words}» no es un lugar para eso",
    day: "no sé qué día es",
    sun: "no sé dónde está el sol",
    times: "se han dicho dos horas para una sola orden",
    later: "una respuesta no puede esperar",
    stays: "lo que hace {$name} no se puede deshacer al cabo de un rato",
    both: "{$what} no puede ser a la vez {$first} y {$second}",
  },
  replies: {
    unknown: "Lo siento, no lo he entendido.",
    unsure: "¿Cuál: {$choices}?",
    refuse: "Eso no puede ser: {$reason}.",
    cannot: "Eso no puede ser.",
    act: "Hecho.",
    confirm: "¿Seguro?",
    offer: "¿Quieres decir: {$reply}?",
    code: "¿Cuál es el código?",
    failed: "{$names}: sin respuesta.",
    partly: "{$reply} {$names}: sin respuesta.",
    leftOut: "{$reply} Pero no: {$names}.",
    notAll: "No se ha podido hacer todo.",
    withheld: "{$names} no: eso hay que pedirlo aparte.",
    notNow: "Ahora mismo no se puede.",
    running: "Ya está en marcha.",
    devices: "aparatos",
    cancelled: "De acuerdo, nada.",
    undone: "Deshecho.",
    nothingToUndo: "No hay nada que deshacer.",
    nothingToRepeat: "No hay nada que repetir.",
    wrongCode: "Ese no es el código.",
    locked: "Demasiados códigos falsos. Espera {$duration}.",
    ask: "¿Qué valor para {$slot}?",
    in: "En {$duration}: {$reply}",
    at: "A las {$time}: {$reply}",
    for: "Durante {$duration}: {$reply}",
    until: "Hasta las {$time}: {$reply}",
    atDay: "{$day} a las {$time}: {$reply}",
    untilDay: "Hasta {$day} a las {$time}: {$reply}",
  },
};
