// Made-up homes of any size, the same for the same size.

const adjectives = [
  "north",
  "south",
  "tall",
  "low",
  "old",
  "new",
  "blue",
  "round",
  "long",
  "inner",
];
const things = [
  "lamp",
  "lantern",
  "spot",
  "strip",
  "panel",
  "bulb",
  "sconce",
  "globe",
  "tube",
  "beam",
];

/** A name of three words that no other device has. */
function deviceName(index) {
  const words = [adjectives[index % 10], things[Math.floor(index / 10) % 10]];
  return `${words.join(" ")} ${spell(Math.floor(index / 100))}`;
}

/** A number as a word of letters, so that it is no number to anybody. */
function spell(number) {
  return `k${[...String(number)].map((digit) => "abcdefghij"[Number(digit)]).join("")}`;
}

/** A phrasebook with so many devices, and so many intents of one pattern each beside the usual. */
export function makeHome({ devices, patterns }) {
  const rooms = Math.max(1, Math.ceil(devices / 20));
  const lines = ["languages: [en-GB]", "rooms:"];
  for (let room = 0; room < rooms; room++) lines.push(`  room-${room}: {}`);
  lines.push("devices:");
  for (let index = 0; index < devices; index++) {
    const room = `room-${index % rooms}`;
    lines.push(
      `  d-${index}:`,
      `    kind: light`,
      `    room: ${room}`,
      `    name: ${deviceName(index)}`,
      `    aliases: [${deviceName(index)} lamp]`,
    );
  }
  lines.push(
    "intents:",
    "  switch-on:",
    '    patterns: ["(turn | switch) on $target", "(turn | switch) $target on"]',
    "    slots: { target: { type: target } }",
    "    do: { set: { $target: { power: on } } }",
    "  brightness:",
    '    patterns: ["(set | dim) $target to $level"]',
    "    slots: { target: { type: target }, level: { type: percent } }",
    "    do: { set: { $target: { brightness: $level } } }",
  );
  for (let index = 0; index < patterns; index++) {
    lines.push(
      `  i-${index}:`,
      `    patterns: ["(start | begin) [the] ${spell(index)} (show | scene) [now]"]`,
      "    do: { set: { d-0: { power: on } } }",
    );
  }
  // Each takes what its pattern takes: courtesies around it, articles and punctuation within it.
  const gap = String.raw`[\s,.!?]+(?:(?:the|a|an|my|our)[\s,.!?]+)*`;
  const expression = (...parts) =>
    new RegExp(
      `^[\\s,.!?]*(?:(?:please|(?:could|can|would|will) you)${gap})*${parts.join(gap)}(?:${gap}(?:please|thanks|thank you))*[\\s,.!?]*$`,
      "iu",
    );
  const expressions = [
    expression("(?:turn|switch)", "on", "(?<target>.+)"),
    expression("(?:turn|switch)", "(?<target>.+)", "on"),
    expression("(?:set|dim)", "(?<target>.+)", "to", "(?<level>.+)"),
    ...Array.from({ length: patterns }, (_, index) =>
      expression("(?:start|begin)", spell(index), `(?:show|scene)(?:${gap}now)?`),
    ),
  ];
  const names = Array.from({ length: devices }, (_, index) => deviceName(index));
  const phrases = [];
  for (let index = 0; index < Math.min(devices, 500); index++) {
    const device = Math.floor((index * devices) / Math.min(devices, 500));
    phrases.push(`turn on the ${deviceName(device)}`, `dim the ${deviceName(device)} to forty`);
  }
  for (let index = 0; index < Math.min(patterns, 500); index++) {
    phrases.push(`begin the ${spell(Math.floor((index * patterns) / 500))} scene now`);
  }
  return { text: `${lines.join("\n")}\n`, phrases, expressions, names };
}
