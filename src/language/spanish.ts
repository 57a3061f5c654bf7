import { toCardinal, toOrdinal } from "n2words/es-ES";
import type { LanguagePack } from "./pack.ts";

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
      { value: 0.5, said: ["medio", "media", "la mitad", "mitad"] },
      { value: 0.25, said: ["cuarto", "un cuarto"] },
      { value: 0.75, said: ["tres cuartos"] },
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
      2700: ["tres cuartos de hora"],
    },
    joiners: ["y"],
    clock: [
      { said: ["[la | las] $hour [horas | en punto]"] },
      { said: ["[la | las] $hour y $minute", "[la | las] $hour $tens"] },
      { said: ["[la | las] $hour y media"], minutes: 30 },
      { said: ["[la | las] $hour y cuarto"], minutes: 15 },
      { said: ["[la | las] $hour menos cuarto"], minutes: -15 },
      { said: ["[la | las] $hour menos $minute"], before: true },
    ],
    moments: { "00:00": ["medianoche"], "12:00": ["mediodía"] },
    morning: ["$time de la (mañana | madrugada)"],
    afternoon: ["$time de la tarde", "$time esta tarde"],
    night: ["$time de la noche", "$time esta noche"],
    days: { 0: ["hoy"], 1: ["mañana"], 2: ["pasado mañana"] },
    weekday: ["[el | este] [próximo] $weekday [que viene]"],
    date: ["[el] [día] $day de $month [de $year]"],
    when: {
      in: ["(en | dentro de | después de | tras) $duration"],
      at: ["(a | al) $time [$date]", "$date (a | al) $time"],
      for: ["durante [los próximos] $duration", "por $duration"],
      until: ["hasta [el] $time [$date]", "hasta $date a $time"],
    },
    then: ["y", "luego", "y luego", "después", "y después", "y entonces"],
  },
  units: {
    percent: ["por ciento", "porciento", "%"],
    celsius: ["grados", "grado", "grados celsius", "celsius", "°", "°c"],
    kelvin: ["kelvin", "kelvins", "k"],
  },
  elisions: [],
  small: ["el", "la", "los", "las", "un", "una", "mi", "mis", "nuestro", "nuestra"],
  courtesies: {
    opening: [
      "por favor | (puedes | podrías | puede | podría) [por favor] | (quiero | quisiera | me gustaría) [que]",
    ],
    closing: ["por favor | gracias | para mí"],
  },
  targets: {
    all: ["todos", "todas", "cada", "ambos", "ambas"],
    everything: ["todo", "todos los aparatos", "toda la casa"],
    here: ["aquí", "en esta habitación", "acá"],
    it: ["lo", "la", "los", "las", "eso", "ese", "esa"],
    there: ["allí", "allá", "ahí", "esa habitación"],
    inPlace: ["en", "de", "del", "a", "al", "desde"],
    and: ["y", "e", "&", "junto con"],
    except: ["excepto", "salvo", "menos", "pero no", "a excepción de"],
  },
  kinds: {
    light: { one: ["lámpara", "luz"], many: ["lámparas", "luces", "iluminación"] },
    plug: { one: ["enchufe"], many: ["enchufes"] },
    pump: { one: ["bomba"], many: ["bombas"] },
    fan: { one: ["ventilador"], many: ["ventiladores"] },
    heater: { one: ["calefactor", "radiador"], many: ["calefactores", "radiadores"] },
    thermostat: { one: ["termostato", "calefacción"], many: ["termostatos"] },
    blind: {
      one: ["persiana", "cortina", "estor"],
      many: ["persianas", "cortinas", "estores"],
    },
    gate: { one: ["portón", "verja"], many: ["portones", "verjas"] },
    valve: { one: ["válvula"], many: ["válvulas"] },
    lock: { one: ["cerradura"], many: ["cerraduras"] },
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
    tilt: ["inclinación"],
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
    open: ["abierto", "abierta", "abiertos", "abiertas", "subida"],
    closed: ["cerrado", "cerrada", "cerrados", "cerradas", "bajada"],
    locked: ["cerrada con llave", "cerrado con llave", "bloqueada", "bloqueado"],
    unlocked: ["sin llave", "desbloqueada", "desbloqueado"],
    armed: ["armada", "armado"],
    disarmed: ["desarmada", "desarmado"],
    recording: ["grabando"],
    playing: ["sonando", "reproduciendo"],
    paused: ["en pausa"],
    muted: ["en silencio", "silenciado", "silenciada"],
    unmuted: ["con sonido"],
    running: ["en marcha", "funcionando", "aspirando"],
    docked: ["en su base", "cargando"],
    moving: ["en movimiento"],
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
    2700: ["blanco cálido", "cálido", "cálida"],
    3500: ["blanco neutro", "neutro", "neutra"],
    4000: ["blanco frío"],
    5500: ["luz de día", "luz del día"],
    6500: ["blanco helado", "frío", "fría"],
  },
  amounts: {
    small: ["un poco", "un poquito", "ligeramente", "algo", "poco"],
    large: ["mucho", "bastante"],
  },
  levels: {
    least: ["mínimo", "el mínimo"],
    low: ["bajo", "baja", "lento", "velocidad baja"],
    medium: ["medio", "media", "velocidad media"],
    high: ["alto", "alta", "rápido", "velocidad alta"],
    full: ["máximo", "el máximo", "tope", "plena potencia", "máxima potencia"],
  },
  vocabulary: {
    "power-on": {
      patterns: [
        `${on} $target`,
        `${on} $target (en | de | del) $place`,
        `${set} $target en marcha`,
        "$target (encendido | encendida | encendidos | encendidas)",
        "quiero $target (encendido | encendida | encendidas)",
      ],
      reply: "{$target}: encendido.",
    },
    "power-off": {
      patterns: [
        `${off} $target`,
        `${off} $target (en | de | del) $place`,
        "$target (apagado | apagada | apagados | apagadas)",
        "(corta | corte) la corriente de $target",
      ],
      reply: "{$target}: apagado.",
    },
    "brightness-to": {
      patterns: [
        `(${set} | ${turnUp} | ${turnDown} | atenúa) $target ${to} $level [de brillo]`,
        `${set} [el] (brillo | intensidad) ${of} $target ${to} $level`,
        `$target ${to} $level [de brillo]`,
        "$target $level",
        `${set} $target ${of} $place ${to} $level`,
      ],
      reply: "{$target} al {$level} por ciento.",
    },
    brighter: {
      patterns: [
        `${turnUp} [el brillo ${of}] $target [${by}]`,
        `$target [${by}] más (claro | clara | brillante | fuerte)`,
        `${set} $target [${by}] más (claro | clara | brillante | fuerte)`,
        "más luz (en | de | del) $target",
      ],
      reply: "{$target}: más luz.",
    },
    dimmer: {
      patterns: [
        `${turnDown} [el brillo ${of}] $target [${by}]`,
        `(atenúa | atenúe | atenuar) $target [${by}]`,
        `$target [${by}] (más (oscuro | oscura | tenue) | menos brillante)`,
        `${set} $target [${by}] (más (oscuro | oscura | tenue) | menos brillante)`,
        "menos luz (en | de | del) $target",
      ],
      reply: "{$target}: menos luz.",
    },
    "speed-to": {
      patterns: [
        `${set} $target ${to} $level`,
        `${set} [la] velocidad ${of} $target ${to} $level`,
        `$target ${to} $level`,
        "$target [velocidad] $level",
      ],
      reply: "{$target} al {$level} por ciento.",
    },
    faster: {
      patterns: [
        `(acelera | acelere | acelerar) $target [${by}]`,
        `${turnUp} [la velocidad ${of}] $target [${by}]`,
        `$target [${by}] más (rápido | fuerte | deprisa)`,
        `${set} $target [${by}] más (rápido | fuerte)`,
      ],
      reply: "{$target}: más rápido.",
    },
    slower: {
      patterns: [
        `(frena | frene | ralentiza) $target [${by}]`,
        `${turnDown} [la velocidad ${of}] $target [${by}]`,
        `$target [${by}] más (lento | despacio | suave)`,
        `${set} $target [${by}] más (lento | despacio | suave)`,
      ],
      reply: "{$target}: más lento.",
    },
    "oscillate-on": {
      patterns: [
        "haz (oscilar a $target | oscilar $target | que $target oscile)",
        `${on} [la] oscilación (de | del) $target`,
        "$target (oscila | oscilando)",
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
        `${set} [el] color ${of} $target ${to} $colour`,
        "(colorea | pinta | tiñe) $target de $colour",
        "$target [en | de] [color] $colour",
      ],
      reply: "{$target} en {$colour}.",
    },
    "colour-and-brightness": {
      patterns: [
        `[${set}] $target [en] $colour [y] [al] $level [de brillo]`,
        `[${set}] $target [al] $level [de brillo] [y] [en] $colour`,
      ],
      reply: "{$target} en {$colour} al {$level} por ciento.",
    },
    "warmth-to": {
      patterns: [
        `${set} $target [en | a] $warmth`,
        `${set} [la] temperatura de color ${of} $target ${to} $warmth`,
        "$target [en | a] $warmth",
      ],
      reply: "{$target} a {$warmth} kelvin.",
    },
    "warmth-and-brightness": {
      patterns: [
        `[${set}] $target [en] $warmth [y] [al] $level [de brillo]`,
        `[${set}] $target [al] $level [de brillo] [y] [en] $warmth`,
      ],
      reply: "{$target} a {$warmth} kelvin y {$level} por ciento.",
    },
    "temperature-to": {
      patterns: [
        `(${set} | calienta | enfría | ${turnUp} | ${turnDown}) $target ${to} $degrees`,
        `${set} [la] temperatura ${of} $target ${to} $degrees`,
        `$target ${to} $degrees`,
        "$target $degrees",
        "pon $degrees en $target",
      ],
      reply: "{$target} a {$degrees} grados.",
    },
    warmer: {
      patterns: [
        `${turnUp} [la temperatura ${of}] $target [${by}]`,
        `$target [${by}] más (caliente | cálido | cálida | calor)`,
        `${set} $target [${by}] más caliente`,
        "[$amount] más calor en $target",
      ],
      reply: "{$target}: más calor.",
    },
    cooler: {
      patterns: [
        `${turnDown} [la temperatura ${of}] $target [${by}]`,
        `$target [${by}] (más (frío | fría | fresco) | menos calor)`,
        `${set} $target [${by}] más (frío | fría | fresco)`,
        "[$amount] (menos calor | más fresco) en $target",
      ],
      reply: "{$target}: menos calor.",
    },
    "mode-to": {
      patterns: [
        `${set} $target en [modo] $mode`,
        `${set} [el] modo ${of} $target ${to} $mode`,
        "$target [en] [modo] $mode",
      ],
      reply: "{$target}: {$mode}.",
    },
    "preset-to": {
      patterns: [
        `${set} $target [en] [modo] $preset`,
        `${set} [el] preajuste ${of} $target ${to} $preset`,
        "$target [en] [modo] $preset",
      ],
      reply: "{$target}: {$preset}.",
    },
    open: {
      patterns: [
        `${open} $target [del todo | completamente | por completo]`,
        `${open} $target (en | de | del) $place`,
        "$target (abierto | abierta | arriba)",
      ],
      reply: "{$target}: abriendo.",
    },
    close: {
      patterns: [
        `${close} $target [del todo | completamente | por completo]`,
        `${close} $target (en | de | del) $place`,
        "$target (cerrado | cerrada | abajo)",
      ],
      reply: "{$target}: cerrando.",
    },
    "position-to": {
      patterns: [
        `(${set} | ${open} | ${close}) $target ${to} $level`,
        `${open} $target $level`,
        `${set} [la] posición ${of} $target ${to} $level`,
        `$target ${to} $level`,
        "$target $level [abierta | abierto]",
      ],
      reply: "{$target} al {$level} por ciento.",
    },
    "tilt-to": {
      patterns: [
        `(inclina | incline | inclinar) $target ${to} $level`,
        `${set} [la] inclinación ${of} $target ${to} $level`,
        `$target inclinación [${to}] $level`,
      ],
      reply: "{$target} inclinado al {$level} por ciento.",
    },
    "stop-moving": {
      patterns: [`${stop} $target`, "$target (alto | quieto | quieta)"],
      reply: "{$target} detenido.",
    },
    "flow-on": {
      patterns: [`(${on} | abre | abra | abrir) $target`, "$target (abierto | abierta)"],
      reply: "{$target}: abierto.",
    },
    "flow-off": {
      patterns: [`(${off} | cierra | cierre | cerrar) $target`, "$target (cerrado | cerrada)"],
      reply: "{$target}: cerrado.",
    },
    lock: {
      patterns: [
        "(cierra | cierre | cerrar) $target con llave",
        "(bloquea | bloquee | bloquear) $target",
        "$target (con llave | bloqueada | bloqueado)",
      ],
      reply: "{$target}: cerrado con llave.",
    },
    unlock: {
      patterns: [
        "(desbloquea | desbloquee | desbloquear) $target",
        "(quita | quite) la llave (a | de | del | al) $target",
        "$target (sin llave | desbloqueada | desbloqueado)",
      ],
      reply: "{$target}: sin llave.",
    },
    arm: {
      patterns: [
        "(arma | arme | armar | activa | active) $target [en] [modo] [$mode]",
        `${set} $target [en] [modo] $mode`,
        "$target (armada | armado | [en] [modo] $mode)",
      ],
      reply: "{$target}: armada.",
    },
    disarm: {
      patterns: [
        `(desarma | desarme | desarmar | ${off}) $target`,
        "$target (desarmada | desarmado)",
      ],
      reply: "{$target}: desarmada.",
    },
    record: {
      patterns: [
        "(graba | grabe | grabar) con $target",
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
      patterns: [
        "(reproduce | reanuda | continúa) $target",
        `(${start} | reanuda | ${on}) [la] (reproducción | música) (en | de | del) $target`,
        "$target (reproduce | suena)",
      ],
      reply: "{$target} suena.",
    },
    pause: {
      patterns: [
        "(pausa | pause | pausar) $target",
        `${set} $target en pausa`,
        "$target [en] pausa",
      ],
      reply: "{$target} en pausa.",
    },
    "stop-playing": {
      patterns: [
        `${stop} $target`,
        `${stop} [la] (reproducción | música) (en | de | del) $target`,
        "$target (alto | parado)",
      ],
      reply: "{$target} parado.",
    },
    next: {
      patterns: [
        "[la] [pista | canción] siguiente (en | de | del) $target",
        "siguiente (pista | canción) (en | de | del) $target",
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
      patterns: [
        `${set} [el] volumen ${of} $target ${to} $level`,
        `${set} $target ${to} [volumen] $level [de volumen]`,
        `$target [volumen] ${to} $level`,
        "$target [volumen] $level",
      ],
      reply: "{$target} a volumen {$level}.",
    },
    louder: {
      patterns: [
        `${turnUp} [el volumen ${of}] $target [${by}]`,
        `$target [${by}] más (alto | fuerte)`,
        `${set} $target [${by}] más (alto | fuerte)`,
      ],
      reply: "{$target}: más alto.",
    },
    quieter: {
      patterns: [
        `${turnDown} [el volumen ${of}] $target [${by}]`,
        `$target [${by}] más (bajo | suave)`,
        `${set} $target [${by}] más (bajo | suave)`,
      ],
      reply: "{$target}: más bajo.",
    },
    mute: {
      patterns: [
        "(silencia | silencie | silenciar | calla) $target",
        "(quita | quite) el sonido (a | de | del | al) $target",
        "$target en silencio",
      ],
      reply: "{$target} en silencio.",
    },
    unmute: {
      patterns: [
        "(devuelve | devuelva | restaura) el sonido (a | de | del | al) $target",
        "$target con sonido",
      ],
      reply: "{$target} con sonido.",
    },
    "source-to": {
      patterns: [
        `(${set} | cambia) $target (en | a) $source`,
        `(${set} | cambia) [la] (fuente | entrada) ${of} $target (a | en) $source`,
        "$target [en] $source",
      ],
      reply: "{$target} en {$source}.",
    },
    press: {
      patterns: ["(pulsa | pulse | pulsar | aprieta | presiona) $target"],
      reply: "{$target} pulsado.",
    },
    start: {
      patterns: [
        `${start} $target`,
        `${set} $target (en marcha | a funcionar)`,
        "$target (empieza | en marcha)",
      ],
      reply: "{$target} en marcha.",
    },
    stop: {
      patterns: [`${stop} $target`, "$target (alto | para)"],
      reply: "{$target} parado.",
    },
    "pause-work": {
      patterns: ["(pausa | pause | pausar) $target", "$target [en] pausa"],
      reply: "{$target} en pausa.",
    },
    dock: {
      patterns: [
        "(manda | envía | devuelve | lleva) $target a [su | la] (base | casa)",
        "$target a [su | la] (base | casa)",
        "(recarga | carga) $target",
      ],
      reply: "{$target} vuelve a su base.",
    },
    "program-to": {
      patterns: [
        `(${set} | ${start}) $target (en | con) [programa] $program`,
        "(elige | escoge) [el] programa $program (en | de | para) $target",
        "$target [en] [programa] $program",
      ],
      reply: "{$target}: programa {$program}.",
    },
    find: {
      patterns: [
        "dónde (está | están | he dejado) $target",
        "(busca | busque | encuentra | localiza) $target",
        "haz sonar $target",
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
        "(cuál | qué) (es | tiene) [el | la] $measure [de | del | en] $target",
        "(dime | di) [el | la] $measure [de | del | en] $target",
        "qué $measure (hay en | tiene) $target",
        "$measure (de | del | en) $target",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        "(cuántos grados | qué temperatura) (hay | hace) [en] $target",
        "(hace | hay) (calor | frío) [en] $target",
        "cuánto (calor | frío) hace [en] $target",
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "(está | están) $target [todavía | aún] $state",
        "(está | están) $target (en | de) $place [todavía | aún] $state",
        "(mira | comprueba | dime) si $target (está | están) $state",
        "$target (está | están) $state",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "(qué | cuáles) [de] $target (está | están) [todavía | aún] $state",
        "(qué | cuáles) $target (en | de | del) $place (está | están) [todavía | aún] $state",
        "qué está [todavía | aún] $state en $target",
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "(hay | queda | quedan) (alguno | alguna | algún) [de] $target [todavía | aún] $state",
        "hay algo $state en $target",
      ],
      reply: "",
    },
  },
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
    between: "{$what} va de {$minimum} a {$maximum}, no {$said}",
    atLeast: "{$what} empieza en {$minimum}, no {$said}",
    atMost: "{$what} llega hasta {$maximum}, no {$said}",
    oneOf: "{$what} puede ser {$choices}, no {$said}",
    unable: "{$name} no puede hacer eso",
    alone: "hay que nombrar {$name}",
    length: "eso no es una duración",
    nowhere: "no sé a qué se refiere",
    past: "{$time} ya ha pasado",
    other: "",
  },
  replies: {
    unknown: "Lo siento, no lo he entendido.",
    unsure: "¿Cuál: {$choices}?",
    refuse: "Eso no puede ser: {$reason}.",
    cannot: "Eso no puede ser.",
    act: "Hecho.",
    confirm: "¿Seguro?",
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
