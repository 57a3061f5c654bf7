import { WrongUse } from "../source/wrong-use.ts";
import { mkdir, readFile, readdir, stat, writeFile } from "node:fs/promises";
import { extname, join } from "node:path";
import { dump } from "js-yaml";
import type { Book } from "../home/book.ts";
import { grammarOf } from "../exchange/home-grammar.ts";
import { definitionFromGrammar } from "../exchange/grammar-definition.ts";
import { printJsgf } from "../exchange/jsgf.ts";
import { parseSrgsXml, printSrgsXml } from "../exchange/srgs.ts";
import { matchLanguage } from "../language/packs.ts";
import { parseGrammar, printGrammar } from "../pattern/grammar.ts";
import { devicesFromCsv, devicesToCsv } from "../exchange/csv.ts";
import { definitionOf } from "../exchange/definition.ts";
import type { Taken } from "../exchange/taken.ts";
import { devicesFromThings, thingFromDevice } from "../exchange/things.ts";
import { exit } from "./exit.ts";
import { loadBook } from "./load.ts";
import { print, printJson } from "./output.ts";

export interface ImportOptions {
  to?: string;
  json?: boolean;
  language?: string;
}

/** `calm-phrase import`: devices from a table or Thing Descriptions, or a grammar, as YAML. */
export async function importFile(path: string, options: ImportOptions): Promise<number> {
  if (/\.(?:abnf|gram|grxml|xml)$/.test(path)) return importGrammar(path, options);
  const { devices, skipped } = await take(path, options.language);
  if (options.json) {
    printJson({ version: 1, devices, skipped });
  } else {
    await writeYaml({ devices }, options.to);
    const count = `${Object.keys(devices).length} devices taken, ${skipped.length} parts left out`;
    process.stderr.write(`${count}\n`);
    for (const { where, reason } of skipped) process.stderr.write(`  ${where}  ${reason}\n`);
  }
  return skipped.length > 0 ? exit.failed : exit.fine;
}

async function importGrammar(path: string, { to, json }: ImportOptions): Promise<number> {
  let text: string;
  try {
    text = await readFile(path, "utf8");
  } catch {
    throw new WrongUse(`there is no file "${path}"`);
  }
  const parsed = text.trimStart().startsWith("<") ? parseSrgsXml(text) : parseGrammar(text);
  if (!parsed.ok) {
    const { error } = parsed;
    const line = "offset" in error ? text.slice(0, error.offset).split("\n").length : error.line;
    const where = line === undefined ? path : `${path}:${line}`;
    process.stderr.write(`${where}  ${error.message}\n  ${error.fix}\n`);
    return exit.failed;
  }
  const definition = definitionFromGrammar(parsed.grammar);
  if (json) printJson({ version: 1, ...definition });
  else await writeYaml(definition, to);
  return exit.fine;
}

async function writeYaml(content: object, to: string | undefined): Promise<void> {
  const yaml = dump(content, { lineWidth: 100, noRefs: true });
  if (to === undefined) print(yaml.trimEnd());
  else await writeFile(to, yaml);
}

async function take(path: string, language: string | undefined): Promise<Taken> {
  let isFolder: boolean;
  try {
    isFolder = (await stat(path)).isDirectory();
  } catch {
    throw new WrongUse(`there is no file or folder "${path}"`);
  }
  if (!isFolder && extname(path) === ".csv") {
    return devicesFromCsv(await readFile(path, "utf8"), path, language);
  }
  if (!isFolder && !/\.(?:json|jsonld|td)$/.test(path)) {
    throw new WrongUse(`"${path}" is neither a table (.csv) nor a Thing Description (.json)`);
  }
  const files = isFolder
    ? (await readdir(path)).filter((name) => /\.(?:json|jsonld)$/.test(name)).sort()
    : [""];
  const broken: Taken["skipped"][number][] = [];
  const things: { file: string; thing: unknown }[] = [];
  for (const name of files) {
    const file = name === "" ? path : join(path, name);
    try {
      const content = JSON.parse(await readFile(file, "utf8")) as unknown;
      // A file may hold one thing or a list of them.
      for (const thing of [content].flat()) things.push({ file, thing });
    } catch (error) {
      const reason = `this is no JSON: ${error instanceof Error ? error.message : String(error)}`;
      broken.push({ where: file, reason });
    }
  }
  const taken = devicesFromThings(things);
  return { devices: taken.devices, skipped: [...broken, ...taken.skipped] };
}

export interface ExportOptions {
  as: string;
  to?: string;
  language?: string;
}

const formats = ["csv", "td", "srgs", "srgs-xml", "jsgf"];

/** `calm-phrase export`: devices as a table or Thing Descriptions, or a grammar of the home. */
export async function exportHome(folder: string, options: ExportOptions): Promise<number> {
  const { as, to } = options;
  if (!formats.includes(as)) {
    throw new WrongUse(`"${as}" is no format: write --as with one of ${formats.join(", ")}`);
  }
  const book = await loadBook(folder);
  if (as !== "csv" && as !== "td") return exportGrammar(book, options);
  const devices = Object.fromEntries(
    [...book.devices].map(([id, device]) => [
      id,
      definitionOf(device, book.kinds.get(device.kind)),
    ]),
  );
  if (as === "csv") {
    await writeText(devicesToCsv(devices), to);
    return exit.fine;
  }
  const things = Object.entries(devices).map(
    ([id, device]) => [id, thingFromDevice(id, device, book.kinds.get(device.kind))] as const,
  );
  if (to === undefined) {
    printJson(things.map(([, thing]) => thing));
    return exit.fine;
  }
  await mkdir(to, { recursive: true });
  for (const [id, thing] of things) {
    await writeFile(join(to, `${id}.td.json`), `${JSON.stringify(thing, null, 2)}\n`);
  }
  return exit.fine;
}

async function exportGrammar(book: Book, { as, to, language }: ExportOptions): Promise<number> {
  const tag =
    language === undefined ? (book.languages[0] ?? "en") : matchLanguage(book.languages, language);
  if (tag === undefined) {
    const spoken = book.languages.join(", ");
    throw new WrongUse(`this home does not speak "${language ?? ""}": write one of ${spoken}`);
  }
  const grammar = grammarOf(book, tag);
  if (as === "jsgf") {
    const { text, withoutFreeWords } = printJsgf(grammar);
    await writeText(text, to);
    if (withoutFreeWords.length > 0) {
      const rules = withoutFreeWords.map((name) => `<${name}>`).join(", ");
      process.stderr.write(`JSGF has no free words: phrases with them are left out of ${rules}\n`);
    }
    return exit.fine;
  }
  await writeText(as === "srgs" ? printGrammar(grammar) : printSrgsXml(grammar), to);
  return exit.fine;
}

async function writeText(text: string, to: string | undefined): Promise<void> {
  if (to === undefined) print(text.trimEnd());
  else await writeFile(to, text);
}
