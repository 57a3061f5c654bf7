import { mkdir, readdir, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { WrongUse, exit } from "./exit.ts";
import { print, printJson } from "./output.ts";

const home = `phrasebook: My home
languages: [en-GB]

rooms:
  kitchen: {}
  bedroom: {}

voicepoints:
  worktop: { room: kitchen }

devices:
  counter-light: { kind: light, room: kitchen, aliases: [worktop light] }
  bedside-lamp: { kind: light, room: bedroom }
  extractor: { kind: fan, room: kitchen, aliases: [cooker hood] }

intents:
  switch-on:
    patterns: ["(turn | switch) on $target", "(turn | switch) $target on"]
    slots: { target: { type: target } }
    do:
      - set: { $target: { power: on } }
    reply: "{$target} on."

  fan-speed:
    patterns: ["[set] $target to $speed"]
    slots:
      target: { type: target, kind: fan }
      speed: { type: percent }
    do:
      - set: { $target: { speed: $speed } }
    reply: "{$target} at {$speed} percent."
`;

const suite = `suite: first words
at: worktop
cases:
  - hear: "(turn | switch) on the (counter light | worktop light)"
    expect: { set: { counter-light: { power: on } }, reply: "*on." }
  - hear: cooker hood to sixty percent
    expect: { set: { extractor: { speed: 60 } } }
  - hear: open the pantry
    expect: unknown
`;

/** `calm-phrase new`: begins a phrasebook that passes its own suite. */
export async function begin(folder: string, { json }: { json?: boolean }): Promise<number> {
  await mkdir(folder, { recursive: true });
  if ((await readdir(folder)).length > 0) {
    throw new WrongUse(`"${folder}" is not empty: name a new folder`);
  }
  const files = { "home.yaml": home, "first-words.suite.yaml": suite };
  const written = Object.keys(files).map((name) => join(folder, name));
  for (const [name, text] of Object.entries(files)) await writeFile(join(folder, name), text);
  if (json) printJson({ version: 1, written });
  else print(`${written.join("\n")}\n\nTry it:  calm-phrase test ${folder}`);
  return exit.fine;
}
