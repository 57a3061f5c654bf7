import { toCardinal, toOrdinal } from "n2words/en-GB";
import type { LanguagePack } from "./pack.ts";
import { englishSounds } from "./sounds/english.ts";
import type { SunWords } from "./times.ts";

const flick = "turn | switch | put | flick | power";
const casual = "pop | stick | flip | whack | throw | bung";
const adjust =
  "set | put | turn | change | adjust | move | bring | take | push | get | knock | bump | crank | ease";
const bringing = `turn | switch | put | set | get | make | have | keep | leave | bring | take | change | pull | give | knock | move | push | nudge | bump | crank | ease | shift | swap | flick | adjust | ${casual}`;
const choose = "set | put | turn | change | switch | adjust | move";
const push = `turn | bring | push | move | nudge | put | take | bump | crank | knock | ease | ${casual}`;
const more = "raise | increase | boost";
const less = "lower | reduce | decrease | drop | cut";
const upward = "turn up | bring up | push up";
const downward = "turn down | bring down | push down";
const of = "of | for | on | in | at";
const should =
  "should | must | has to | have to | needs to | need to | ought to | want to | wants to | can | may";
const whole = "fully | completely | all the way | wide | right";
const track = "track | song";

/** Every verb of a command, as it is said after "would you mind". */
const gerunds: Record<string, string> = {};

/** A command by any of several verbs. */
function say(verbs: string, rest: string): string {
  for (const verb of verbs.split(" | ")) {
    const [first = ""] = verb.split(" ");
    gerunds[gerund(first)] = first;
  }
  return `(${verbs}) ${rest}`;
}

function gerund(verb: string): string {
  const isShort = /^[^aeiou]*[aeiou][^aeiouwxy]$|begin$/.test(verb);
  return `${isShort ? verb + verb.slice(-1) : verb.replace(/e$/, "")}ing`;
}

const asFar =
  "as far as (it (goes | gets | can | will go) | they (go | will go) | possible | you can)";

const itIs = "it is | it's | it seems | it feels | it gets | it is getting | it's getting";

const cannot = "can't | cannot | can hardly | can barely";

const very = "so | very | really | pretty | rather | quite";

/** What the sun does, as a time; some are told by a sentence about it as well. */
function sun(one: string, others: string, does?: string): SunWords {
  const words = `(${one} | ${others})`;
  const sentence = does === undefined ? [] : [`(when | once | as soon as) [the] sun ${does}`];
  return {
    at: [`at ${one}`, `(at | from) ${words}`, ...sentence],
    until: [`until ${one}`, `(until | till) ${words}`],
    before: [`$duration before ${one}`, `$duration before ${words}`],
    after: [`$duration after ${one}`, `$duration after ${words}`],
  };
}

export const english: LanguagePack = {
  language: "en",
  name: "English",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["one hundred", "a hundred"],
      ["one hundred", "hundred"],
      ["zero", "nought"],
      ["two", "couple of"],
    ],
    pairs: true,
    ordinal: toOrdinal,
    ordinalEndings: [],
    ordinalSigns: ["st", "nd", "rd", "th"],
    optional: ["and"],
    thousand: { word: "thousand", one: "thousand", joined: false },
    hundreds: ["hundred"],
    minus: ["minus", "negative"],
    point: ["point"],
    decimalSign: ".",
    fractions: [
      { value: 0.5, said: ["half", "a half", "one half", "halfway", "half way"] },
      { value: 0.25, said: ["quarter", "a quarter", "one quarter"] },
      { value: 0.75, said: ["three quarters"] },
      { value: 1 / 3, said: ["a third", "one third"] },
      { value: 2 / 3, said: ["two thirds"] },
    ],
    fractionJoiners: ["and"],
    fractionEndings: [],
  },
  times: {
    units: {
      second: ["second", "seconds", "sec", "secs", "s"],
      minute: ["minute", "minutes", "min", "mins", "m"],
      hour: ["hour", "hours", "hr", "hrs", "h"],
      day: ["day", "days"],
      week: ["week", "weeks"],
    },
    one: ["a", "an"],
    durations: {
      30: ["half a minute"],
      900: ["quarter of an hour", "a quarter of an hour", "quarter hour"],
      1800: ["half an hour", "half hour", "a half hour"],
      2700: ["three quarters of an hour"],
      5400: ["hour and a half", "an hour and a half"],
    },
    joiners: ["and"],
    clock: [
      { said: ["$face", "$hour o'clock", "$hour hundred hours"] },
      { said: ["$hour $tens", "$hour (oh | o) $minute"] },
      { said: ["half [past] $hour"], minutes: 30 },
      { said: ["[a] quarter past $hour"], minutes: 15 },
      { said: ["[a] quarter to $hour"], minutes: -15 },
      { said: ["$minute [minute | minutes] past $hour"] },
      { said: ["$minute [minute | minutes] to $hour"], before: true },
    ],
    moments: { "00:00": ["midnight"], "12:00": ["noon", "midday"] },
    morning: [
      "[this | in the] morning at $time",
      "$time (am | a m)",
      "$time [o'clock] in the morning",
      "$time this morning",
    ],
    afternoon: [
      "([this | in the] (afternoon | evening) | tonight) at $time",
      "$time (pm | p m)",
      "$time [o'clock] in the (afternoon | evening)",
      "$time (this (afternoon | evening) | tonight)",
    ],
    night: ["[at] night at $time", "$time [o'clock] at night"],
    days: { 0: ["today"], 1: ["tomorrow"], 2: ["the day after tomorrow", "day after tomorrow"] },
    weekday: ["[on] [next | this | this coming] $weekday"],
    date: ["[on] [the] $day [of] $month [$year]", "[on] $month [the] $day [$year]"],
    partOf: {
      morning: ["$date [early] morning"],
      afternoon: ["$date (afternoon | evening)"],
      night: ["$date night"],
    },
    when: {
      in: ["(in | after) $duration", "$duration from now"],
      at: ["(at | from) $time [$date]", "[at] $date at $time"],
      for: [
        "for [the next | another] $duration [more | longer]",
        "[for] another $duration",
        "(for | over) (the | this) (next | coming) $unit",
        "over (the | this) (next | coming) $duration",
      ],
      until: ["(until | till) $time [$date]", "(until | till) $date [at] $time"],
    },
    sun: {
      reply: "{$when}: {$reply}",
      sunrise: sun("sunrise", "sunup", "(rises | comes up | is up)"),
      sunset: sun("sunset", "sundown", "(sets | goes down | is down)"),
      dawn: sun("dawn", "daybreak | first light"),
      dusk: {
        ...sun("dusk", "nightfall | dark"),
        at: [
          "(at | from) dusk",
          "(at | from) nightfall",
          "(when | once | as soon as) (it is | it's) [getting] dark",
          "(when | once | as soon as) it gets dark",
        ],
      },
    },
    then: [
      "and",
      "then",
      "and then",
      "after that",
      "and after that",
      "and also",
      "also",
      "plus",
      "but",
    ],
  },
  units: {
    percent: ["percent", "per cent", "%"],
    degrees: ["degrees", "degree"],
    celsius: ["celsius", "centigrade"],
    fahrenheit: ["fahrenheit"],
    kelvin: ["kelvin", "k"],
  },
  elisions: [],
  endings: ["'s", "'re"],
  alike: [
    ["light", "lamp"],
    ["television", "telly", "tv"],
    ["vacuum", "vacuum cleaner", "hoover"],
    ["fridge", "refrigerator"],
    ["cooker", "stove"],
    ["living room", "lounge", "sitting room"],
    ["hall", "hallway"],
    ["toilet", "loo"],
    ["study", "office"],
    ["washing machine", "washer", "wash"],
    ["tumble dryer", "dryer"],
  ],
  plurals: {
    head: "last",
    endings: [
      ["y", "ies"],
      ["s", "ses"],
      ["x", "xes"],
      ["ch", "ches"],
      ["sh", "shes"],
      ["", "s"],
    ],
  },
  sounds: englishSounds,
  small: ["the", "a", "an", "my", "our"],
  fillers: [
    "about",
    "roughly",
    "approximately",
    "'s",
    "um",
    "uh",
    "er",
    "erm",
    "hmm",
    "oh",
    "well",
    "so",
    "okay",
    "ok",
    "right",
    "alright",
    "just",
    "please",
    "hey",
    "maybe",
    "yet",
    "only",
    "now",
    "then",
    "actually",
    "anyway",
    "nice",
    "lovely",
  ],
  repairs: [
    "no [wait | sorry]",
    "wait [no]",
    "sorry",
    "(I mean | I meant)",
    "or rather",
    "make that",
    "actually",
    "(scratch that | correction)",
  ],
  excuses: [
    "(there is | there's | there are)",
    "(I | we | you | somebody | someone | they) [must have] (left | forgot) (it | them) [on | off | open | running | unlocked]",
    "(I've | we've) (left | forgotten) (it | them) [on | off | open | running | unlocked]",
    "(I | we | you) (can't | cannot | can hardly | can barely | couldn't) (see | hear | sleep | read | think | concentrate | breathe | work | find) [what (I'm | I am | we're | we are)]",
    "(I | we) [have] (forgot | forgotten | nearly forgot | almost forgot)",
    "(I've | we've) forgotten",
    "(that's | it's) not (enough | very (bright | warm | nice))",
  ],
  stays: {
    verbs: ["leave", "keep"],
    after: ["alone", "be", "(as it is | as they are | as is)", "out [of it]"],
  },
  hedges: [
    ..."kidding joking joke sunset sunrise dusk dawn nightfall not no never none nobody nothing neither nor without don't doesn't didn't can't cannot couldn't won't wouldn't shouldn't isn't aren't wasn't weren't haven't hasn't hadn't mustn't stop avoid instead rather".split(
      " ",
    ),
    ..."if unless when whenever while until till before after once whether should would could might may suppose supposing imagine pretend wish hope wonder remember remind forget forgot almost nearly".split(
      " ",
    ),
    ..."say said says saying tell told tells ask asked asks think thought thinks believe heard hear wrote write asking who why what which how did was were been had has have does do used already yesterday ago last will every always each often usually daily".split(
      " ",
    ),
    ..."turned switched opened closed locked unlocked started stopped dimmed made got left ran played armed raised lowered".split(
      " ",
    ),
  ],
  clauses:
    "hello hi hiya good morning evening afternoon i i'm i've i'll i'd my me we we're we've we'll us you you're he he's she she's they they're it it's that's there's is are am 's 're have got".split(
      " ",
    ),
  speakers: { words: "i i'm i've i'll i'd we we're we've we'll we'd".split(" ") },
  orNot: ["or not", "or what"],
  therefore: ["so", "and so", "therefore"],
  reasons: ["because", "since", "as", "cause", "so that", "for"],
  adjectives: {
    co2: ["stuffy"],
    brightness: ["bright"],
    illuminance: ["bright", "light", "dark"],
    speed: ["fast"],
    temperature: ["warm", "hot", "cold", "cool"],
    humidity: ["humid", "damp", "dry"],
    moisture: ["moist", "wet", "damp", "dry"],
    volume: ["loud"],
    position: ["open", "far open", "far up", "far down", "far closed"],
    tilt: ["far tilted"],
    battery: ["full", "charged"],
    level: ["full"],
    pm25: ["dusty"],
  },
  gerunds: {
    after: ["would you mind | do you mind | how about | what about"],
    verbs: gerunds,
  },
  courtesies: {
    opening: [
      "hang on | hold on | listen | look | quick | guys | everyone | somebody | someone",
      "would you mind | do you mind | how about | what about | (is it | would it be) possible to [have | get]",
      "(when | if | as soon as) you (can | get (a chance | a minute | a moment | a second))",
      "(could | can | would | will | might) you [kindly | possibly | quickly | maybe] [go and]",
      "would you be so kind [as to] | be so kind as to | do me a favour and | be a dear and | go ahead and | (I'd | I would | we'd | we would) appreciate it if you could",
      "(I'd | I would | we'd | we would) (like | love) [you to] | (I | we) (want | need) [you to]",
      "(can | could | will | would) (somebody | someone | anybody | anyone | one of you) [kindly | quickly | go and]",
      "(can | could | may | might) (I | we) (have | get) | let's [have | get] | let us [have | get] | time to | you (can | may | could) | (give | get) (me | us) | let (me | us) have | (I | we) could do with",
    ],
    closing: [
      "(after | behind) (me | us | you)",
      "thanks | thank you | for me | (will | would | could | can) you | now | right now | right away | straight away | at once | immediately | when you can | (if | when) you (can | could | would | get a chance) | if you don't mind | as soon as you can | (when | whenever | once | if) (you (have | get | find) | you've got) [a] (chance | minute | min | moment | mo | second | sec | while) | quickly | quick | pronto | asap | pretty please | again | cheers | will you | a sec | a second | a moment",
    ],
  },
  targets: {
    all: ["all", "all of", "every", "each"],
    both: ["both", "both of"],
    everything: [
      "everything",
      "every device",
      "all devices",
      "the lot",
      ...["everything that", "anything that", "whatever"].flatMap((what) =>
        [" is on", " is still on", "'s on", "'s still on"].map((on) => what + on),
      ),
    ],
    here: ["here", "in here", "out here", "over here", "around here", "in this room", "this room"],
    it: ["it", "them", "that", "that one", "those", "these"],
    there: ["there", "in there", "that room", "that place"],
    outside: ["outside", "outdoors", "out there"],
    inside: ["inside", "indoors"],
    everywhere: ["everywhere", "whole house", "house"],
    one: ["one", "that"],
    ones: ["ones", "those"],
    this: ["this", "that", "these", "those"],
    inPlace: [
      "in",
      "on",
      "at",
      "of",
      "from",
      "around",
      "throughout",
      "inside",
      ...["out", "over", "up", "down", "back", "through"].flatMap((way) =>
        ["in", "on", "at"].map((word) => `${way} ${word}`),
      ),
    ],
    and: ["and", "&", "plus", "as well as"],
    except: [
      "except",
      "except for",
      "but",
      "but not",
      "apart from",
      "other than",
      "all except",
      "all but",
      "leaving out",
      "just not",
      "save for",
      "bar",
    ],
  },
  kinds: {
    light: { one: ["light", "lamp"], many: ["lights", "lamps", "lighting"] },
    plug: { one: ["plug", "socket", "outlet"], many: ["plugs", "sockets", "outlets"] },
    pump: { one: ["pump"], many: ["pumps"] },
    fan: { one: ["fan"], many: ["fans"] },
    heater: { one: ["heater", "radiator"], many: ["heaters", "radiators"] },
    thermostat: { one: ["thermostat", "heating", "heat"], many: ["thermostats"] },
    blind: {
      one: ["blind", "curtain", "shutter", "shade", "awning"],
      many: ["blinds", "curtains", "shutters", "shades", "awnings"],
      differ: true,
    },
    gate: { one: ["gate"], many: ["gates"] },
    valve: { one: ["valve"], many: ["valves"] },
    lock: { one: ["lock", "door"], many: ["locks", "doors"] },
    alarm: { one: ["alarm"], many: ["alarms"] },
    camera: { one: ["camera"], many: ["cameras"] },
    sensor: { one: ["sensor"], many: ["sensors"] },
    player: { one: ["player", "speaker", "music"], many: ["players", "speakers"] },
    button: { one: ["button"], many: ["buttons"] },
    vacuum: {
      one: ["vacuum", "vacuum cleaner", "robot", "hoover"],
      many: ["vacuums", "vacuum cleaners", "robots", "hoovers"],
    },
    appliance: { one: ["appliance", "machine"], many: ["appliances", "machines"] },
    locator: { one: ["locator", "tag"], many: ["locators", "tags"] },
  },
  properties: {
    power: ["power"],
    brightness: ["brightness", "light level"],
    colour: ["colour", "color"],
    warmth: ["warmth", "colour temperature", "color temperature"],
    speed: ["speed"],
    oscillate: ["oscillation"],
    target: ["target", "target temperature", "set temperature"],
    temperature: ["temperature"],
    humidity: ["humidity", "humidity level", "relative humidity"],
    mode: ["mode"],
    preset: ["preset"],
    position: ["position"],
    tilt: ["tilt", "slats", "slat angle"],
    flow: ["flow"],
    locked: ["lock"],
    armed: ["alarm mode"],
    recording: ["recording"],
    illuminance: ["illuminance", "light reading"],
    pm25: ["fine dust", "particulates", "dust level"],
    co2: ["carbon dioxide", "co2", "c o two"],
    moisture: ["moisture"],
    contact: ["contact"],
    motion: ["motion"],
    battery: ["battery", "battery level", "charge"],
    level: ["level", "fill level"],
    volume: ["volume"],
    muted: ["mute"],
    source: ["source", "input"],
    playing: ["playback"],
    activity: ["activity", "status"],
    program: ["program", "programme"],
  },
  values: {
    power: { on: ["on"], off: ["off"] },
    mode: {
      off: ["off"],
      heat: ["heat", "heating"],
      cool: ["cool", "cooling"],
      auto: ["auto", "automatic"],
    },
    preset: {
      home: ["home", "at home", "comfort"],
      away: ["away"],
      sleep: ["sleep", "night", "asleep"],
    },
    armed: {
      off: ["off", "disarmed"],
      home: ["home", "stay", "at home"],
      away: ["away"],
      night: ["night", "for the night"],
    },
    contact: { open: ["open"], closed: ["closed"] },
    locked: { true: ["locked"], false: ["unlocked"] },
    motion: { true: ["moving"], false: ["still"] },
    muted: { true: ["muted"], false: ["not muted"] },
    activity: {
      docked: ["docked"],
      cleaning: ["cleaning"],
      paused: ["paused"],
      returning: ["returning"],
      idle: ["idle"],
      running: ["running"],
      done: ["done"],
    },
    playing: { play: ["playing"], pause: ["paused"], stop: ["stopped"] },
    flow: { on: ["on"], off: ["off"] },
    recording: { on: ["on"], off: ["off"] },
    oscillate: { on: ["on"], off: ["off"] },
  },
  states: {
    on: ["on", "lit", "switched on", "turned on"],
    off: ["off", "out", "switched off", "turned off"],
    open: ["open", "opened", "up", "out", "extended"],
    closed: ["closed", "shut", "down", "retracted"],
    locked: ["locked", "bolted"],
    unlocked: ["unlocked"],
    armed: ["armed", "set"],
    disarmed: ["disarmed", "unset"],
    recording: ["recording"],
    playing: ["playing"],
    paused: ["paused"],
    muted: ["muted"],
    unmuted: ["unmuted"],
    running: ["running", "going", "busy", "cleaning"],
    docked: ["docked", "charging", "at its dock"],
    moving: ["moving", "seeing motion", "motion", "movement"],
    finished: ["finished", "done", "through"],
  },
  doing: {
    closed: ["close"],
    locked: ["lock"],
    on: ["burn"],
    docked: ["charge"],
    moving: ["move"],
    running: ["run", "work"],
    playing: ["play"],
  },
  colours: {
    "#ff0000": ["red"],
    "#00ff00": ["green", "bright green"],
    "#0000ff": ["blue"],
    "#ffff00": ["yellow"],
    "#ffa500": ["orange"],
    "#800080": ["purple"],
    "#ee82ee": ["violet"],
    "#ffc0cb": ["pink"],
    "#ff69b4": ["hot pink"],
    "#ff00ff": ["magenta"],
    "#00ffff": ["cyan"],
    "#008080": ["teal"],
    "#40e0d0": ["turquoise"],
    "#add8e6": ["light blue", "pale blue"],
    "#00008b": ["dark blue"],
    "#000080": ["navy", "navy blue"],
    "#87ceeb": ["sky blue"],
    "#006400": ["dark green"],
    "#90ee90": ["light green", "pale green"],
    "#32cd32": ["lime", "lime green"],
    "#808000": ["olive"],
    "#ffd700": ["gold"],
    "#ffbf00": ["amber"],
    "#ff7f50": ["coral"],
    "#fa8072": ["salmon"],
    "#dc143c": ["crimson"],
    "#8b0000": ["dark red"],
    "#e6e6fa": ["lavender"],
    "#4b0082": ["indigo"],
    "#a0522d": ["sienna"],
    "#b4532f": ["terracotta"],
    "#ffdab9": ["peach"],
    "#f5f5dc": ["beige"],
    "#ffffff": ["white", "pure white"],
  },
  warmths: {
    1900: ["candlelight", "candle light"],
    2700: ["warm white", "warm", "soft white"],
    3500: ["neutral white", "neutral"],
    4000: ["cool white", "cool", "cold white"],
    5500: ["daylight", "day light"],
    6500: ["cold", "coldest", "icy white"],
  },
  amounts: {
    more: "more",
    less: "less",
    small: [
      "bit",
      "little [bit]",
      "slightly",
      "touch",
      "tad",
      "notch",
      "crack",
      "smidge",
      "hair",
      "fraction",
      "wee bit",
    ],
    counted: ["(notches | clicks | steps)"],
    large: ["lot", "much", "way", "far", "good bit"],
  },
  levels: {
    least: [
      "minimum",
      "min",
      "lowest",
      "all the way down",
      "right down",
      "down all the way",
      "[down] as (far | low | dim | dark | quiet | slow | soft) as (it (goes | gets | can | will go) | possible | you can)",
    ],
    low: ["[down] low", "slow", "dim", "speed one"],
    medium: ["medium", "middle", "speed two"],
    high: ["high", "fast", "speed three"],
    full: [
      "full",
      "maximum",
      "max",
      "full power",
      "highest",
      "full on",
      "full blast",
      "full brightness",
      "all the way up",
      "up all the way",
      "up (full | fully)",
      "[up] as (far | high | bright | loud | fast | strong) as (it (goes | gets | can | will go) | possible | you can)",
      "right up",
    ],
  },
  frames: {
    besides: ["with", "at", "in", "on", "to"],
    state: [
      "$target [both] $state",
      say(bringing, "$target $state"),
      `$target (${should}) (be | go | come | stay | get) $state`,
      "(can | could | may) $target (be | go | come) $state",
      "(make [sure | certain] | see [to it] | ensure) [that] $target (is | are | stays | stay | gets | get | goes) $state",
      "$target to be $state",
    ],
    of: [
      `$property (${of}) $target (${should}) (be | go | stay | get) $state`,
      `(make [sure | certain] | see [to it] | ensure) [that] $property (${of}) $target (is | stays | goes) $state`,
    ],
    more: ["$state", "$state (on | for | from) $target"],
    deed: [
      `$target (${should}) $verb`,
      "(make | let | have) $target $verb",
      "$target to $verb",
      "get $target to $verb",
      "(tell | ask) $target to $verb",
    ],
    asked: [
      "(is | are) $target [still | currently | now | already] [on | in | at | set | set to | set on | set for] $value [mode | setting]",
      "(is | are) $property (of | on | for | in | at) $target [still | now | already] [on | in | at | set to] $value",
      "(is | are) $target $property [still | now | already] [on | in | at | set to] $value",
      "(did | have) (I | we | you | anyone) (leave | left | set | put) $target (on | in | to | at) $value",
    ],
    sorts: {
      switched: {
        on: {
          states: [
            "[back | right | all] on",
            "(switched | turned | powered) [back] on",
            "$property on",
          ],
          commands: [
            say(`${flick} | ${casual}`, "on $target"),
            say("power", "$target [back] on"),
            say(flick, `on $property (${of}) $target`),
            say(flick, `$property (${of}) $target on`),
            say(flick, `$property on (${of}) $target`),
            say(flick, "on $target $property"),
            "put $property on $target",
            `$property on (${of}) $target`,
            say(flick, "on $property"),
            say(flick, "$property on"),
            "$property on",
          ],
        },
        off: {
          states: [
            "[back | right | all] off",
            "(switched | turned | powered | shut) off",
            "$property off",
          ],
          commands: [
            say(`${flick} | shut | knock`, "off $target"),
            say("shut | power", "$target [back | right] off"),
            say(`${flick} | shut | knock`, "off $target (that | which) (is | are) [still] on"),
            say(`${flick} | shut`, `off $property (${of}) $target`),
            say(`${flick} | shut`, `$property (${of}) $target off`),
            say(`${flick} | shut`, `$property off (${of}) $target`),
            say(`${flick} | shut`, "off $target $property"),
            "(take | get) $property off [of] $target",
            `$property off (${of}) $target`,
            say(flick, "off $property"),
            say(flick, "$property off"),
            "$property off",
          ],
        },
      },
      level: {
        to: {
          states: [
            "[to | at | on] $value",
            "(up | down | back) (to | at) $value",
            "[to | at | on] $value $property",
            "[at | to | with] $property [to | at | on | of] $value",
          ],
          commands: [
            say(adjust, "$target [up | down | back] (to | at | on) $value"),
            say(adjust, "(up | down) $target (to | at) $value"),
            say(
              `${adjust} | ${less} | ${more}`,
              `[up | down] $property (${of}) $target [up | down | back] (to | at) $value`,
            ),
            say(
              `${adjust} | ${less} | ${more}`,
              "[up | down] $target $property [up | down | back] (to | at) $value",
            ),
            say(`${less} | ${more}`, "$target to $value"),
            `$property (${of}) $target [to | at | on] $value`,
            `$value $property (${of}) $target`,
            say(`${adjust} | ${less} | ${more}`, "$property [up | down] (to | at) $value"),
            say(adjust, "$property (to | at) $value (on | in | for | of) $target"),
            "$property (to | at) $value (on | in | for) $target",
            "(give me | give us | let me have) $value (on | in | for) $target",
            "$property [to | at] $value",
          ],
        },
        up: {
          states: [
            "[back] up [[by] $amount]",
            "$amount up",
            "higher [by $amount]",
            "$amount higher",
            "$property up [[by] $amount]",
            "[$amount] more $property",
          ],
          commands: [
            say(push, "up $target [[by] $amount]"),
            say("give", "$target (another | an extra) $amount [more]"),
            say(more, "$target [[by] $amount]"),
            say(`${more} | ${upward}`, `$property (${of}) $target [[by] $amount]`),
            say(push, `$property (${of}) $target up [[by] $amount]`),
            say(`${more} | ${upward}`, "$target $property [[by] $amount]"),
            `[$amount] more $property (${of}) $target`,
            say(`${more} | ${upward}`, "$property [[by] $amount]"),
            say(push, "$property up [[by] $amount]"),
            "$property up [[by] $amount]",
          ],
        },
        down: {
          states: [
            "[back] down [[by] $amount]",
            "$amount down",
            "back [by] $amount",
            "lower [by $amount]",
            "$amount lower",
            "$property down [[by] $amount]",
            "[$amount] less $property",
          ],
          commands: [
            say(push, "down $target [[by] $amount]"),
            say(less, "$target [[by] $amount]"),
            say(`${less} | ${downward}`, `$property (${of}) $target [[by] $amount]`),
            say(push, `$property (${of}) $target down [[by] $amount]`),
            say(`${less} | ${downward}`, "$target $property [[by] $amount]"),
            `[$amount] less $property (${of}) $target`,
            say(`${less} | ${downward}`, "$property [[by] $amount]"),
            say(push, "$property down [[by] $amount]"),
            "$property down [[by] $amount]",
          ],
        },
      },
      choice: {
        to: {
          states: [
            "[back] [to | on | onto | in | into | at] $value [mode | setting]",
            "[to | on | in | into | at] $value $property",
            "$property [to | on | in | at] $value",
          ],
          commands: [
            say(choose, `$property (${of}) $target [over] (to | on | in | into) $value`),
            say(choose, "$target $property [over] (to | on | in | into) $value"),
            say(choose, "$target over to $value"),
            say("select | choose | pick | use | set", `$value $property (${of} | with) $target`),
            `$value $property (${of}) $target`,
            `$property (${of}) $target [to | on | at] $value`,
            say(choose, "$property [over] (to | on | in | into) $value"),
            "$property [to | on | at] $value",
          ],
        },
      },
      colour: {
        to: {
          states: [
            "[back] [to | in] [gentle | deep | rich | cosy] $value",
            "[to | in] $value $property",
            "$property [to] $value",
          ],
          commands: [
            say(`${choose} | make`, `$property (${of}) $target [to] $value`),
            say(`${choose} | make`, "$target $property [to] $value"),
            `$property (${of}) $target [to] $value`,
          ],
        },
      },
      text: {
        to: {
          states: ["$property to $value", "$property $value"],
          commands: [
            say(choose, `$property (${of}) $target to $value`),
            `$property (${of}) $target to $value`,
          ],
        },
      },
      action: {
        call: {
          states: [],
          commands: ["$verb $target", "$target $verb"],
        },
      },
    },
  },
  vocabulary: {
    "power-on": {
      patterns: [
        "(fire | power | light | start) $target up",
        "(get | give | make | let's have | can we have | could we have) [me | us] (some | a bit of | a little) light [[in | at | on] $target]",
        say("light up | fire up | power up | activate | enable", "$target"),
      ],
      states: ["lit"],
      reply: "{$target} on.",
    },
    "power-off": {
      patterns: [
        "(shut | power | close) $target down",
        "(turn | put | switch) $target out",
        say(
          "kill | lose | cut | shut down | power down | deactivate | disable | turn out | put out | extinguish",
          "$target",
        ),
      ],
      states: ["out"],
      reply: "{$target} off.",
    },
    "brightness-to": {
      patterns: [say("dim | brighten | fade", "$target [up | down] [to | at] $level")],
      reply: "{$target} at {$level} percent.",
    },
    brighter: {
      patterns: [
        "[$amount] more light",
        say("brighten", "[up] $target [up] [[by] $amount]"),
        `[$amount] more light (${of} | from) $target`,
      ],
      states: ["[$amount] (brighter | lighter)", "(brighter | lighter) by $amount"],
      reply: "{$target} brighter.",
    },
    dimmer: {
      patterns: [
        "[$amount] less light",
        say("dim | soften", "$target [down] [[by] $amount]"),
        say("dim", "down $target [[by] $amount]"),
        `[$amount] less light (${of} | from) $target`,
      ],
      states: ["[$amount] (dimmer | darker)", "(dimmer | darker) by $amount"],
      reply: "{$target} dimmer.",
    },
    "speed-to": {
      patterns: [
        say("run | spin | slow | speed", "$target [up | down] [to | at | on] $level [speed]"),
        say("slow down | speed up", "$target to $level"),
      ],
      reply: "{$target} at {$level} percent.",
    },
    faster: {
      patterns: [
        say("run | spin", "$target [$amount] (faster | quicker)"),
        say("speed", "up $target [[by] $amount]"),
        say("speed", "$target up [[by] $amount]"),
      ],
      states: ["[$amount] (faster | quicker)", "(faster | quicker) by $amount"],
      reply: "{$target} faster.",
    },
    slower: {
      patterns: [
        say("run | spin", "$target [$amount] slower"),
        say("slow", "[down] $target [[by] $amount]"),
        say("slow", "$target down [[by] $amount]"),
      ],
      states: ["[$amount] slower", "slower by $amount"],
      reply: "{$target} slower.",
    },
    "oscillate-on": {
      deeds: ["oscillate | swing | rotate"],
      patterns: [say("oscillate | swing | rotate", "$target")],
      states: ["oscillating | swinging | rotating"],
      reply: "{$target} oscillating.",
    },
    "oscillate-off": {
      patterns: [
        say("stop", "$target [from] (oscillating | swinging | rotating)"),
        say("stop", "(oscillating | swinging | rotating) $target"),
      ],
      reply: "{$target} not oscillating.",
    },
    "colour-to": {
      patterns: [say("paint | colour | color", "$target $colour")],
      reply: "{$target} in {$colour}.",
    },
    "warmer-light": {
      states: ["[$amount] (warmer | cosier | cozier)"],
      reply: "{$target} warmer.",
    },
    "cooler-light": {
      states: ["[$amount] (cooler | colder | whiter)"],
      reply: "{$target} cooler.",
    },
    "warmth-to": { reply: "{$target} at {$warmth} kelvin." },
    "temperature-to": {
      patterns: [
        say("heat | warm | cool", "$target [up | down] to $degrees"),
        say(
          adjust,
          "temperature (of | for | on | in) $target [up | down | back] (to | at) $degrees",
        ),
        say(adjust, "$target temperature [up | down | back] (to | at) $degrees"),
        "temperature (of | for | on | in) $target [to | at] $degrees",
        "$degrees (in | on | for) $target",
        "make it $degrees in $target",
        say(adjust, "temperature [up | down] to $degrees"),
        "temperature [to | at] $degrees",
      ],
      states: ["temperature [to | at | on] $degrees"],
      reply: "{$target} at {$degrees} degrees.",
    },
    warmer: {
      patterns: [
        say("warm | heat", "[up] $target [up] [[by] $amount]"),
        say(`${more} | ${upward}`, "temperature (of | in | on | for) $target [[by] $amount]"),
        say(push, "temperature (of | in | on | for) $target up [[by] $amount]"),
        "make it [$amount] (warmer | hotter) in $target",
      ],
      states: ["[$amount] (warmer | hotter)", "(warmer | hotter) by $amount"],
      reply: "{$target} warmer.",
    },
    cooler: {
      patterns: [
        say("cool", "[down] $target [down] [[by] $amount]"),
        say(`${less} | ${downward}`, "temperature (of | in | on | for) $target [[by] $amount]"),
        say(push, "temperature (of | in | on | for) $target down [[by] $amount]"),
        "make it [$amount] (cooler | colder) in $target",
      ],
      states: ["[$amount] (cooler | colder)", "(cooler | colder) by $amount"],
      reply: "{$target} cooler.",
    },
    "mode-on": { reply: "{$target} on." },
    "mode-off": { reply: "{$target} off." },
    "mode-to": { reply: "{$target} set to {$mode}." },
    "preset-to": { reply: "{$target} set to {$preset}." },
    open: {
      deeds: ["open [up]"],
      patterns: [
        say(
          "open | raise | lift | roll up | pull up | draw back | extend | roll out | wind out | put out | let out",
          "[up] $target [fully | completely | all the way | right up | wide]",
        ),
        say(
          "raise | lift | roll | wind | pull | put | open | bring | let | take",
          "$target [all the way | right] (up | out)",
        ),
      ],
      states: [
        `[back | ${whole}] (open | opened | up | out | extended)`,
        `(open | up | out) (all the way | fully | completely | ${asFar})`,
      ],
      reply: "{$target} opening.",
    },
    close: {
      deeds: ["close | shut"],
      patterns: [
        say(
          "close | shut | lower | drop | roll down | pull down | let down | draw | retract | roll in | wind in | pull in | bring in | take in",
          "[up] $target [fully | completely | all the way]",
        ),
        say(
          "lower | roll | wind | pull | put | let | bring | take",
          "$target [all the way | right] (down | in)",
        ),
      ],
      states: [
        `[back | ${whole}] (closed | shut | down | in | retracted)`,
        `(closed | shut | down | in) (all the way | right | fully | completely | ${asFar})`,
      ],
      reply: "{$target} closing.",
    },
    "position-to": {
      patterns: [
        say(
          `${adjust} | open | close | raise | lower | lift | roll | pull | shut`,
          "$target [up | down] (to | at) $level [open | closed]",
        ),
        say("open | raise | lift", "$target $level [of the way] [up | open]"),
        say("put | pull | roll | bring | draw", "$target $level [of the way] (up | open)"),
        "$level open $target",
      ],
      states: [
        "[to | at] $level (open | up | out | of the way open | of the way up)",
        "(open | out) [to | at] $level",
        "up $level",
      ],
      reply: "{$target} at {$level} percent.",
    },
    "position-short": {
      patterns: [
        say("close | lower | shut | drop", "$target $level [of the way] [down | closed]"),
        "$level (close | shut | lower) $target",
        say(
          "put | pull | roll | bring | draw",
          "$target $level [of the way] (down | closed | shut)",
        ),
      ],
      states: [
        "$level (closed | down | in | shut | of the way down)",
        "(closed | down | in) $level",
      ],
      reply: "{$target} lowered.",
    },
    "open-more": {
      patterns: [
        say("open | raise | lift", "[up] $target [by] $amount [more]"),
        say(
          `open | raise | lift | let | roll | wind | pull | ${push}`,
          "$target (up | out) [by] $amount [more]",
        ),
        say(`open | ${push} | roll | pull`, "up $target [by] $amount"),
      ],
      states: [
        "[$amount] (more open | further open | further up | higher)",
        "(up | out | open) [by] $amount [more]",
        "$amount (up | out | open)",
      ],
      reply: "{$target} further open.",
    },
    "close-more": {
      patterns: [
        say("close | shut | lower | drop", "$target [by] $amount [more]"),
        say(
          `close | lower | let | roll | wind | pull | ${push}`,
          "$target (down | in) [by] $amount [more]",
        ),
        say(`${push} | roll | pull | let`, "down $target [by] $amount"),
      ],
      states: [
        "[$amount] (more closed | further closed | further down | lower)",
        "(down | in | closed) [by] $amount [more]",
        "$amount (down | in | closed)",
      ],
      reply: "{$target} further closed.",
    },
    "tilt-to": {
      patterns: [
        "(tilt | angle | turn) $target (slats | angle) [to | at] $level",
        say("tilt | angle", "$target [to | at] $level"),
        say("angle | turn | tilt | set", "slats (of | on) $target to $level"),
        say("angle | turn | tilt | set", "slats [to | at] $level"),
      ],
      states: ["tilted [to | at] $level"],
      reply: "{$target} tilted to {$level} percent.",
    },
    "stop-moving": {
      patterns: [say("stop | halt | hold", "[moving] $target [moving]"), "$target (stop | halt)"],
      reply: "{$target} stopped.",
    },
    "flow-on": {
      patterns: [
        say("open", "[up] $target"),
        say("start | let", "(flow | water) (through | in) $target"),
        say("run", "$target"),
      ],
      states: ["open", "running"],
      reply: "{$target} open.",
    },
    "flow-off": {
      patterns: [
        say("close | shut", "[off] $target"),
        say("stop", "(flow | water) (through | in) $target"),
        say("stop", "$target"),
      ],
      states: ["closed | shut"],
      reply: "{$target} closed.",
    },
    water: {
      patterns: [say("water | irrigate | sprinkle", "$target")],
      reply: "{$target} open.",
    },
    lock: {
      deeds: ["lock"],
      patterns: ["lock up", say("lock | bolt | secure", "[up] $target [up]"), "$target lock"],
      states: ["[back] (locked [up] | bolted | secured)"],
      reply: "{$target} locked.",
    },
    unlock: {
      patterns: [say("unlock | unbolt | release", "$target"), "$target unlock"],
      states: ["[back] (unlocked | unbolted)"],
      reply: "{$target} unlocked.",
    },
    arm: {
      patterns: [
        say("arm | set", "$target [[to | for | in | on] $mode [mode]]"),
        say("switch | turn | put | change", "$target (to | in | into | on) $mode [mode]"),
        say(flick, "on $target"),
        "$mode mode (on | for) $target",
      ],
      states: [
        "armed [(for | in | to) $mode [mode]]",
        "set",
        "[back] on",
        "[back] [to | on | in] $mode [mode]",
      ],
      reply: "{$target} armed.",
    },
    disarm: {
      patterns: [
        "disarm",
        say("disarm | unset | deactivate", "$target"),
        say(flick, "off $target"),
      ],
      states: ["off | disarmed | unset"],
      reply: "{$target} disarmed.",
    },
    record: {
      deeds: ["record"],
      patterns: [
        say("start | begin", "recording (with | on | from | using) $target"),
        say("record", "(with | on | from | using) $target"),
        "(make | let | have) $target record",
        say("start | set | get", "$target recording"),
        "$target (record | start recording)",
      ],
      states: ["recording"],
      reply: "{$target} recording.",
    },
    "stop-recording": {
      patterns: [
        say("stop | end", "recording (with | on | from) $target"),
        say("stop", "$target [from] recording"),
        "$target stop recording",
      ],
      reply: "{$target} not recording.",
    },
    play: {
      deeds: ["play | resume"],
      patterns: [
        "(resume | continue | carry on) [(music | playback | playing)]",
        "play [some] music",
        "(play | put on) [some] music (on | in) $target",
        "put [some] music on (on | in) $target",
        say("play | resume | unpause | continue | start", "$target"),
        say(
          "play | resume | continue | start",
          "[the] (music | playback | playing) (on | in | from) $target",
        ),
        "$target (play | resume)",
        say("start | get | set", "$target playing"),
      ],
      states: ["[back] playing"],
      reply: "{$target} playing.",
    },
    pause: {
      deeds: ["pause"],
      patterns: [
        "pause [(music | playback)]",
        say("pause | hold", "$target"),
        say("pause", "[the] (music | playback) (on | in) $target"),
        "$target pause",
      ],
      states: ["paused | on pause | on hold"],
      reply: "{$target} paused.",
    },
    "stop-playing": {
      patterns: [
        "stop (music | playback | playing)",
        say("stop | end", "$target [playing]"),
        say("stop | end", "[the] (music | playback) (on | in) $target"),
        say("stop", "playing (on | in) $target"),
        "$target stop [playing]",
      ],
      states: ["stopped"],
      reply: "{$target} stopped.",
    },
    next: {
      patterns: [
        "next (track | song | one)",
        "skip [this] (track | song | one)",
        "skip to next (track | song | one)",
        say("skip", `[this] [${track} | one] (on | in) $target`),
        say("skip to | go to | play", `next (${track} | one) (on | in) $target`),
        `next [${track} | one] (on | in) $target`,
        `$target (next [${track}] | skip [${track}])`,
      ],
      reply: "Next on {$target}.",
    },
    previous: {
      patterns: [
        "(previous | last) (track | song)",
        "go back (a | one) (track | song)",
        say(
          "go back to | skip back to | play",
          `(previous | last) (${track} | one) (on | in) $target`,
        ),
        `(previous | last) (${track} | one) (on | in) $target`,
        say("go | skip", `back [a | one] [${track}] (on | in) $target`),
        `$target (previous [${track}] | back)`,
      ],
      reply: "Back one on {$target}.",
    },
    "play-what": {
      patterns: ["play $what (on | in | through) $target", "(put | get) $what playing on $target"],
      reply: "Playing {$what} on {$target}.",
    },
    "volume-to": { reply: "{$target} at volume {$level}." },
    louder: {
      states: ["[$amount] louder", "louder by $amount"],
      reply: "{$target} louder.",
    },
    quieter: {
      states: ["[$amount] (quieter | softer)", "(quieter | softer) by $amount"],
      reply: "{$target} quieter.",
    },
    mute: {
      patterns: [
        "mute",
        "mute (sound | music)",
        say("mute | silence | hush", "$target"),
        "$target mute",
      ],
      states: ["muted | silent | quiet"],
      reply: "{$target} muted.",
    },
    unmute: {
      patterns: [
        "unmute",
        say("unmute", "$target"),
        "$target unmute",
        say(flick, `sound (of | on | for) $target back on`),
        say(flick, `sound back on (of | on | for) $target`),
      ],
      states: ["unmuted"],
      reply: "{$target} unmuted.",
    },
    "source-to": {
      patterns: [
        say("put | play | stick | get", "[some] $source (on | through) $target"),
        say("play", "[some] $source"),
        say("put | stick | get", "[some] $source on"),
        say("put on | stick on", "[some] $source"),
      ],
      reply: "{$target} on {$source}.",
    },
    press: {
      patterns: [say("press | push | hit | ring", "$target"), "$target press"],
      reply: "{$target} pressed.",
    },
    start: {
      deeds: ["run | start | clean"],
      patterns: [
        say("start | run | begin", "[up] $target [up]"),
        say("get | set | send", "$target (going | started | running | off | out | round | around)"),
        say("send out | send off", "$target"),
        say(
          "send | get | set",
          "$target [off | out] to (clean | vacuum | hoover | sweep | mop | work)",
        ),
        "$target start",
        say("start | begin", "(cleaning | vacuuming | sweeping) with $target"),
      ],
      states: ["running | going | started | cleaning"],
      reply: "{$target} started.",
    },
    stop: {
      deeds: ["stop"],
      patterns: [say("stop | end | halt | finish", "$target")],
      states: ["stopped"],
      reply: "{$target} stopped.",
    },
    "pause-work": {
      patterns: [say("pause | hold", "$target"), "$target pause"],
      states: ["paused | on pause | on hold"],
      reply: "{$target} paused.",
    },
    "stop-work": {
      deeds: ["stop"],
      patterns: [say("stop | halt", "$target"), "$target (stop | halt)"],
      states: ["stopped"],
      reply: "{$target} stopped.",
    },
    dock: {
      deeds: [
        "dock | (go | come | return) (home | back) | return to [its] (dock | base | station) | [go and] (charge | recharge)",
      ],
      patterns: [
        say("dock | park", "$target"),
        say(
          "send | take | bring",
          "$target (home | back [home] | [back] to [its] (dock | base | station))",
        ),
        "$target (dock | go home | go back | [go] back to [its | your] (dock | base | station))",
        say("recharge | charge", "$target"),
      ],
      states: ["docked | [back] home | back (in | at | on) [its] (dock | base | station)"],
      reply: "{$target} going home.",
    },
    "program-to": {
      patterns: [say("select | choose | pick | set", "$program program (on | of | for) $target")],
      reply: "{$target} on {$program}.",
    },
    "program-start": {
      patterns: [
        say("run | start", "$target (on | with | in) $program [program | programme | cycle]"),
        say("run | start", "[the] $program (program | programme | cycle) (on | of | in) $target"),
        say("run | start | do", "[the] $program (program | programme | cycle | wash)"),
        say("put | get", "[(the | a)] $program (program | programme | cycle | wash) on"),
        "(make | brew | prepare | fix | get | pour) [me | us] [a | an | another | one] [cup of] $program [(with | from | on | in | using) $target]",
        "(a | an | another | one) [cup of] $program [(with | from | on | in | using) $target]",
      ],
      reply: "{$target} started on {$program}.",
    },
    "power-start": {
      deeds: ["run | start"],
      patterns: [
        say("start | run | begin", "[up] $target [up]"),
        say("get | set", "$target (going | running | started)"),
        "$target start",
      ],
      states: ["running | going"],
      reply: "{$target} on.",
    },
    "power-stop": {
      patterns: [say("stop | halt", "$target"), "$target stop"],
      states: ["stopped"],
      reply: "{$target} off.",
    },
    find: {
      patterns: [
        "where (is | are | did I (leave | put) | have I (left | put)) $target",
        "where's $target",
        say("find | locate | look for | ring | chime", "$target"),
        "(help me [to] | I can't) find $target",
        "I [have] lost $target",
        "make $target (ring | chime | beep)",
      ],
      reply: "{$target} is chiming.",
    },
    "run-routine": {
      patterns: [
        say("run | start | begin | launch | do", "[routine] $routine [routine]"),
        "$routine routine",
        "routine $routine",
      ],
      reply: "",
    },
    "ask-value": {
      patterns: [
        "(what is | what's | tell me) $measure",
        "what $measure is it",
        `(what is | what are | what's | tell me | read | check) $measure [${of}] $target`,
        `(what is | what are | what's) $target $measure`,
        "(what | which) $measure (is | are) $target [at | on | in | set to | showing]",
        "what $measure (does | do) $target (have | show | read)",
        `how (much | high) is $measure [${of}] $target`,
        "$target $measure",
        `(what is | what are | what's) $measure like [${of}] $target`,
        "what $measure (is | are) (in | on | at) $target",
        "how much $measure (is | are) [there] [in | on | at | of] $target",
        "(is | are) $measure (of | on | for | in | at) $target [still] (on | off)",
        "(is | are) $target $measure [still] (on | off)",
        "what (is | are) $target $measure set to",
        "(how is | how's) $measure [of | in | on | at] $target",
      ],
      reply: "",
    },
    "ask-how": {
      patterns: [
        "how $measure (is | are) $target (going | turning | spinning | moving)",
        "how $measure (is | are) (soil | air | ground | compost)",
        "how $measure is it",
        `how $measure [is | are] [it] [${of} | inside] $target [running | set | now]`,
        `how $measure (does | do) $target (run | go | get)`,
        "how $measure is (air | soil | compost | room) [in | on | at] $target",
        "is it [very | really | still] $measure [in | on | at] $target",
      ],
      reply: "",
    },
    "ask-setting": {
      patterns: [
        "what (is | are) $target (set to | set at | at | on)",
        "what's $target (set to | set at | at | on)",
        "what did (I | we) set $target to",
      ],
      reply: "",
    },
    "ask-doing": {
      patterns: [
        "what (is | are) $target (doing | up to)",
        "what's $target (doing | up to)",
        "(how (is | are) | how's) $target (doing | going | getting on | coming along)",
      ],
      reply: "",
    },
    "ask-temperature": {
      patterns: [
        "how (warm | hot | cold | cool) is it",
        "what is temperature like",
        "what is temperature like [in] $target",
        "is it (warm | hot | cold | cool) [in | on] $target",
      ],
      reply: "",
    },
    "ask-whether": {
      patterns: [
        "(is | are) $target [still | currently | all] $state [right now | now]",
        "(did | have) (I | we | anyone) (turn | turned | switch | switched | leave | left | shut | put) $target $state",
        "(did | have) (I | we | anyone) $state [up] $target",
        "(tell me | check | see) (if | whether | that) $target (is | are) [still] $state",
        "(did | have) (I | we | anyone | you) (leave | left) $target $state",
        "(has | have) $target $state",
        "(is | are) $target $state or not",
        "$target [is | are] [still] $state (isn't | aren't) (it | they)",
        "(is | was) there [any] $state [in | on | at] $target",
        "(is | are) $target $state or (closed | shut | open | off | on | out | locked | unlocked)",
        "(did | have | has) (you | they | anyone | anybody | someone | somebody) (leave | left | forget | get | got) $target $state",
        "(was | were | has | have) $target [been] (left | still) $state",
        "(did | have | has) (you | they | anyone | anybody | someone | somebody) $state [up] $target",
      ],
      reply: "",
    },
    "ask-whether-does": {
      patterns: [
        "(does | do) $target [still] $state",
        "(did | have) (I | we | you | anyone | anybody | somebody) $state [up] $target",
      ],
      reply: "",
    },
    "ask-which": {
      patterns: [
        "(show | tell) me (which | what) [of] $target (is | are) [still] $state",
        "(show | tell) me (what is | what's) [still] $state [in | on | at] $target",
        "(what is | what's | what are) [still | left | all] $state [right now | now]",
        "what (did | have) (I | we) (leave | left) $state",

        "(what is | what's) [still | left] $state [in | at | on] $target",
        "(which | what) [of] $target (is | are) [still | currently | left] $state [right now | now]",
        "(list | name | tell me | show me) [of] $target (that | which) (is | are) [still] $state",
        "what is [still | left] $state (in | at) $target",
        "how many [of] $target (is | are) [still | currently | left] $state [right now | now]",
        "how many [of] $target (did | have) (I | we) (leave | left) $state",
      ],
      reply: "",
    },
    "ask-which-do": {
      patterns: ["(which | what | how many) [of] $target [still] $state"],
      reply: "",
    },
    "ask-motion": {
      patterns: [
        "(is | are) [there] (anyone | anybody | someone | somebody) [there] (in | on | at) $target",
        "(is there | was there) [any] (movement | motion) (in | on | at) $target",
        "(is | are) [there] (anyone | anybody | someone | somebody | anything | something) moving [about | around] [in | on | at] $target",
        "any (movement | motion) (in | on | at) $target",
        "(anyone | anybody) (in | on | at) $target",
      ],
      reply: "",
    },
    "ask-any": {
      patterns: [
        "(is | are) [there] anything [still | left | else] $state [right now | now]",
        "anything [still | left | else] $state",
        "(did | have) (I | we) (leave | left) anything [still] $state",

        "any [of] $target [still] $state",
        "anything [still | left] $state [in | at | on] $target",
        "(is | are) [there] any [of] $target [still | left] $state [right now | now]",
        "do any [of] $target [still] (seem | look) $state",
        "is anything [still | left] $state (in | at | on) $target",
        "is anything [still | left] $state $target",
        "(did | have) (I | we) (leave | left) any [of] $target $state",
      ],
      reply: "",
    },
  },
  wishes: {
    frames: [
      "$complaint [[in | on | at] $target] [for (me | us)]",
      `(${itIs}) [still | again | just | all] $complaint [[in | on | at] $target] [for (me | us)]`,
      "$target (is | are | feels | looks | sounds | seems) [still | again | just] $complaint [for (me | us)]",
      "(I | we) (find | think) [it | it is | it's] $complaint [[in | on | at] $target]",
      "(I | we) (find | think) $target [is | are] $complaint",
    ],
    wishes: {
      "too-dark": {
        complaints: ["[$amount] too (dark | dim | gloomy)", "not (bright | light) enough"],
        patterns: [
          `(I | we | you) (${cannot}) see [a thing | anything | much | what (I am | I'm | we are) doing] [[in | on | at] $target]`,
          `(${itIs}) [${very}] (dark | gloomy) [[in | on | at] $target]`,
          "(there is | there's) not enough light [[in | on | at] $target]",
        ],
      },
      "too-bright": {
        complaints: ["[$amount] too (bright | glaring | harsh)", "not (dark | dim) enough"],
        patterns: [
          "$target (blinds | is blinding | are blinding | dazzles | is dazzling) (me | us)",
          "(there is | there's) too much light [[in | on | at] $target]",
          "$target (hurts | hurt | is hurting | are hurting) (my | our) eyes",
        ],
      },
      "too-cold": {
        complaints: ["[$amount] too (cold | cool | chilly)", "not warm enough"],
        patterns: [
          `(I am | I'm | we are | we're) [${very} | too] (cold | chilly | freezing | shivering) [[in | on | at] $target]`,
          `(${itIs}) [${very}] (cold | chilly | freezing) [[in | on | at] $target]`,
        ],
      },
      "too-warm": {
        complaints: ["[$amount] too (warm | hot)", "not (cool | cold) enough"],
        patterns: [
          `(I am | I'm | we are | we're) [${very} | too] (hot | warm | boiling | sweating | melting) [[in | on | at] $target]`,
          `(${itIs}) [${very}] (hot | boiling) [[in | on | at] $target]`,
        ],
      },
      "too-loud": {
        complaints: ["[$amount] too (loud | noisy)", "not quiet enough"],
        patterns: [
          `(I | we) (${cannot}) hear (myself | ourselves | each other) [think | speak | talk]`,
          `(I | we) (${cannot}) (think | talk | concentrate) over $target`,
          "$target is deafening [me | us]",
        ],
      },
      "too-quiet": {
        complaints: ["[$amount] too (quiet | soft | faint)", "not loud enough"],
        patterns: [
          `(I | we | you) (${cannot}) hear [a thing | anything | much | a word] [[on | from] $target]`,
        ],
      },
      "too-slow": { complaints: ["[$amount] too slow", "not fast enough"] },
      "too-fast": { complaints: ["[$amount] too fast", "not slow enough"] },
    },
  },
  sources: [
    "(what is | what's | how is | how's | read [me] | tell me [about]) $source",
    "what does $source (say | tell | look like)",
    "(what is | what's) $source (like | going to be [like])",
    "what is (on | in) $source",
  ],
  conversation: {
    yes: ["yes [please]", "(sure | okay | ok | yep | yeah | go ahead | do it | please do)"],
    no: ["no [thanks | thank you]", "(nope | don't)"],
    cancel: ["never mind", "(cancel | forget) [it | that]", "stop"],
    again: ["again", "do (that | it) again", "once more"],
    undo: ["undo [that | it]", "take that back"],
  },
  answers: {
    value: "{$name}: {$property} {$value}.",
    yes: "Yes, {$name}: {$state}.",
    no: "No, {$name}: {$state}.",
    list: "{$list}.",
    none: "None.",
  },
  refusals: {
    of: "the {$property} of {$name}",
    that: "that",
    between: "{$what} goes from {$minimum} to {$maximum}, not {$said}",
    atLeast: "{$what} starts at {$minimum}, not {$said}",
    atMost: "{$what} goes up to {$maximum}, not {$said}",
    oneOf: "{$what} can be {$choices}, not {$said}",
    unable: "{$name} cannot do that",
    alone: "{$name} has to be named itself",
    length: "that is no length of time",
    nowhere: "I do not know what you mean",
    past: "{$time} has passed",
    named: "it has to be named itself",
    nothing: "there is nothing of the kind",
    place: '"{$words}" is no place for it',
    day: "I do not know what day it is",
    sun: "I do not know where the sun stands",
    times: "you said two times for one command",
    later: "an answer cannot wait",
    stays: "what {$name} does cannot be taken back after a while",
    both: "{$what} cannot be both {$first} and {$second}",
  },
  replies: {
    unknown: "Sorry, I did not understand that.",
    unsure: "Which one: {$choices}?",
    refuse: "I can't do that: {$reason}.",
    cannot: "I can't do that.",
    act: "Done.",
    confirm: "Are you sure?",
    offer: "Did you mean: {$reply}?",
    code: "What is the code?",
    failed: "{$names} did not answer.",
    partly: "{$reply} {$names} did not answer.",
    leftOut: "{$reply} But not {$names}.",
    notAll: "Not all of that could be done.",
    withheld: "Not {$names}: that has to be asked for itself.",
    notNow: "Not as things are now.",
    running: "That is under way already.",
    devices: "devices",
    cancelled: "Never mind, then.",
    undone: "Undone.",
    nothingToUndo: "There is nothing to undo.",
    nothingToRepeat: "There is nothing to repeat.",
    wrongCode: "That is not the code.",
    locked: "Too many wrong codes. Wait {$duration}.",
    ask: "What {$slot}?",
    in: "In {$duration}: {$reply}",
    at: "At {$time}: {$reply}",
    for: "For {$duration}: {$reply}",
    until: "Until {$time}: {$reply}",
    atDay: "{$day} at {$time}: {$reply}",
    untilDay: "Until {$day} at {$time}: {$reply}",
  },
};
