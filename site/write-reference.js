// Writes the reference pages that come from the program itself: keys of files from their JSON Schemas,
// commands from their help, functions and types from their docstrings.
import { execFileSync } from "node:child_process";
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";

const folder = "../docs/reference";
mkdirSync(folder, { recursive: true });

const files = [
  ["phrasebook", "A phrasebook", "Any `.yaml` file of a home may have any of these sections."],
  ["suite", "A suite", "Files ending in `.suite.yaml`."],
  ["day", "A day", "Files ending in `.day.yaml`."],
];

/** Levels of keys that are written out; what is deeper is told in the docs. */
const deepest = 4;

function keysOf(root, schema, depth = 0) {
  const forms = unfolded(root, schema);
  const known = new Map();
  for (const { properties = {}, additionalProperties, items } of forms) {
    for (const [key, inner] of Object.entries(properties))
      if (!known.has(key)) known.set(key, inner);
    if (typeof additionalProperties === "object") known.set("‹id›", additionalProperties);
    if (typeof items === "object" && unfolded(root, items).some((each) => each.properties)) {
      known.set("‹each›", items);
    }
  }
  if (depth >= deepest) return [];
  return [...known].flatMap(([key, inner]) => {
    const isOpen = key.startsWith("‹");
    const told = inner.description?.replaceAll("\n", " ");
    const values = unfolded(root, inner).flatMap(({ enum: all = [], const: only }) =>
      only === undefined ? all : [only],
    );
    const listed =
      values.length > 0 ? ` One of ${values.map((value) => `\`${value}\``).join(", ")}.` : "";
    const inside = keysOf(root, inner, depth + 1);
    if (isOpen && inside.length === 0) return [];
    const line = `${"  ".repeat(depth)}- ${isOpen ? key : `\`${key}\``}${told ? `: ${escaped(told)}` : ""}${listed}`;
    return [line, ...inside];
  });
}

function unfolded(root, { $ref, anyOf = [], oneOf = [], ...schema }, depth = 0) {
  if (depth > 20) return [];
  if ($ref) return unfolded(root, root.$defs[$ref.split("/").at(-1)], depth + 1);
  const options = [...anyOf, ...oneOf];
  return options.length === 0
    ? [schema]
    : options.flatMap((each) => unfolded(root, each, depth + 1));
}

/** Text as it stands, for a reader of Markdown with templates in it. */
function escaped(text) {
  return text.replace(/[<>]/gu, (sign) => (sign === "<" ? "&lt;" : "&gt;")).replaceAll("{{", "{​{");
}

const parts = files.map(([name, title, about]) => {
  const schema = JSON.parse(readFileSync(`../dist/schema/${name}.schema.json`, "utf8"));
  return `## ${title}\n\n${about}\n\n${keysOf(schema, schema).join("\n")}\n`;
});
writeFileSync(
  `${folder}/files.md`,
  `# Files\n\nEvery key, from the schemas that editors complete with.\n\n${parts.join("\n")}`,
);

const help = (...args) =>
  execFileSync("node", ["../dist/cli.js", ...args, "--help"], { encoding: "utf8" });
const names = [...help().matchAll(/^ {2}([a-z]+) /gmu)].map(([, name]) => name);
const commands = ["", ...names.filter((name) => name !== "help")].map((name) => {
  const title = name === "" ? "calm-phrase" : `calm-phrase ${name}`;
  return `## ${title}\n\n\`\`\`text\n${help(...(name === "" ? [] : [name])).trimEnd()}\n\`\`\`\n`;
});
writeFileSync(`${folder}/commands.md`, `# Commands\n\n${commands.join("\n")}`);

execFileSync("npx", ["typedoc", "--options", "typedoc.json"], { stdio: "inherit" });
