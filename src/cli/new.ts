import { WrongUse } from "../source/wrong-use.ts";
import { copyFile, mkdir, readdir, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { exit } from "./exit.ts";
import { print, printJson } from "./output.ts";

/** Names the schema of a file to editors that read YAML with a language server. */
const schemaLine = (name: string): string =>
  `# yaml-language-server: $schema=${schemaFolder}/${name}.schema.json\n`;
const schemaFolder = ".schemas";
const schemas = ["phrasebook", "suite", "day"] as const;

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

# Devices alone understand ordinary speech. Intents add what is special to this home.
intents:
  supper:
    patterns: ["[it is] supper time", "time for supper"]
    do:
      - set: { counter-light: { power: on, brightness: 60 }, extractor: { power: on, speed: 33 } }
    reply: "Supper time."
`;

const suite = `suite: first words
at: worktop
cases:
  - hear: "(turn | switch) on the (counter light | worktop light)"
    expect: { set: { counter-light: { power: on } }, reply: "*on." }
  - hear: cooker hood to sixty percent
    expect: { set: { extractor: { speed: 60 } } }
  - hear: "(supper time | time for supper)"
    expect:
      set: { counter-light: { power: on, brightness: 60 }, extractor: { power: on, speed: 33 } }
  - hear: open the pantry
    expect: unknown
`;

/** `calm-phrase new`: begins a phrasebook that passes its own suite. */
export async function begin(folder: string, { json }: { json?: boolean }): Promise<number> {
  await mkdir(folder, { recursive: true });
  if ((await readdir(folder)).length > 0) {
    throw new WrongUse(`"${folder}" is not empty: name a new folder`);
  }
  const files = {
    "home.yaml": schemaLine("phrasebook") + home,
    "first-words.suite.yaml": schemaLine("suite") + suite,
  };
  const written = Object.keys(files).map((name) => join(folder, name));
  for (const [name, text] of Object.entries(files)) await writeFile(join(folder, name), text);
  await mkdir(join(folder, schemaFolder));
  for (const name of schemas) {
    const file = `${name}.schema.json`;
    await copyFile(new URL(`schema/${file}`, import.meta.url), join(folder, schemaFolder, file));
  }
  if (json) printJson({ version: 1, written });
  else print(`${written.join("\n")}\n\nTry it:  calm-phrase test --in ${folder}`);
  return exit.fine;
}
