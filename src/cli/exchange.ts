import { given } from "../source/given.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { mkdir, readdir, stat, writeFile } from "node:fs/promises";
import { extname, join } from "node:path";
import type { Book } from "../book/book.ts";
import {
  type Taken,
  definitionFromGrammar,
  definitionsOf,
  devicesFromCsv,
  devicesFromThings,
  devicesToCsv,
  lexiconOf,
  mergeSections,
  printGrammar,
  printJsgf,
  printPls,
  printSrgsXml,
  printYaml,
  pronunciationsFrom,
  readGrammar,
  readPls,
  recogniserGrammar,
  thingsOf,
  unpronounced,
} from "../exchange/index.ts";
import { packOf } from "../language/packs.ts";
import { phrasesThatAct } from "../mishearing/spoken-phrases.ts";
import { loadDictionary } from "../node/english-dictionary.ts";
import type { Opened } from "../node/open.ts";
import { readText } from "../node/text.ts";
import { readSuites } from "../suites/read.ts";
import { exit } from "./exit.ts";
import { type BookOptions, languageOf, loadFolder, readInput } from "./load.ts";
import { type ExportFormat, type ImportForm, importForms } from "./values.ts";
import { complain, printData, printJson } from "./output.ts";

export interface ImportOptions {
  form?: ImportForm;
  to?: string;
  /** Writes over a file that is there. */
  force?: boolean;
  /** Adds to a file that is there. */
  merge?: boolean;
  json?: boolean;
  language?: string;
}

/** `calm-phrase import`: devices from a table or Thing Descriptions, or a grammar, as YAML. */
export async function importFile(path: string, options: ImportOptions): Promise<number> {
  const form = options.form ?? formOf(path);
  if (form === "srgs" || form === "srgs-xml") return importGrammar(path, options);
  if (form === "pls") return importLexicon(path, options);
  const {
    devices,
    connections = {},
    bindings = {},
    skipped,
  } = await take(path, form, options.language);
  const some = (all: object): object | undefined => (Object.keys(all).length > 0 ? all : undefined);
  const content = given({ devices, connections: some(connections), bindings: some(bindings) });
  if (options.json) {
    printJson({ version: 1, ...content, skipped });
  } else {
    await writeYaml(content, options);
    const count = Object.keys(devices).length;
    const left = skipped.length === 1 ? "1 part" : `${skipped.length} parts`;
    complain(`${count === 1 ? "1 device" : `${count} devices`} taken, ${left} left out`);
    for (const { where, reason } of skipped) complain(`  ${where}  ${reason}`);
  }
  return skipped.length > 0 ? exit.failed : exit.fine;
}

async function importGrammar(path: string, options: ImportOptions): Promise<number> {
  const text = await textOf(path);
  const read = readGrammar(text);
  if (!read.ok) {
    const { message, fix, line } = read.error;
    complain(`${line === undefined ? path : `${path}:${line}`}  ${message}\n  ${fix}`);
    return exit.failed;
  }
  const definition = definitionFromGrammar(read.grammar);
  if (options.json) printJson({ version: 1, ...definition });
  else await writeYaml({ ...definition }, options);
  return exit.fine;
}

async function importLexicon(path: string, options: ImportOptions): Promise<number> {
  const read = readPls(await textOf(path));
  if (!read.ok) {
    const { message, fix, line } = read.error;
    complain(`${line === undefined ? path : `${path}:${line}`}  ${message}\n  ${fix}`);
    return exit.failed;
  }
  const { lexicon, skipped } = read;
  const content = { pronunciations: pronunciationsFrom(lexicon) };
  if (options.json) printJson({ version: 1, ...content, skipped });
  else await writeYaml(content, options);
  for (const { word, reason } of skipped) complain(`  ${word}  ${reason}`);
  return skipped.length > 0 ? exit.failed : exit.fine;
}

/** Writes what was taken; a file that is there is neither lost nor changed unless that is said. */
async function writeYaml(
  content: Readonly<Record<string, unknown>>,
  { to, force = false, merge = false }: ImportOptions,
): Promise<void> {
  if (force && merge) throw new WrongUse("write --force or --merge, not both");
  if (to === undefined || to === "-") {
    printData(printYaml(content).trimEnd());
    return;
  }
  const there = await existing(to);
  if (there === undefined || force) {
    await writeText(printYaml(content), to);
    return;
  }
  if (!merge) {
    const fix = "write --merge to add to it, or --force to write over it";
    throw new WrongUse(`"${to}" is there already: ${fix}`);
  }
  const merged = mergeSections(await textOf(to), content);
  if (!merged.ok) throw new WrongUse(`"${to}" cannot be added to: ${merged.reason}`);
  await writeText(merged.text, to);
  for (const kept of merged.kept) complain(`  ${kept}  is in ${to} already, and stays as it is`);
}

/** What stands at a path: a file, a folder, or nothing. */
async function existing(path: string): Promise<"file" | "folder" | undefined> {
  try {
    return (await stat(path)).isDirectory() ? "folder" : "file";
  } catch {
    return undefined;
  }
}

/** The text of a file that somebody names. */
async function textOf(path: string): Promise<string> {
  if (path === "-") return readInput();
  const read = await readText(path, path);
  if (read.ok) return read.text;
  throw new WrongUse(`${path}: ${read.finding.message}; ${read.finding.fix ?? ""}`);
}

/** What a file holds, by the ending of its name. */
function formOf(path: string): ImportForm | undefined {
  const ending = extname(path).toLowerCase();
  if (ending === ".csv") return "csv";
  if ([".json", ".jsonld", ".td"].includes(ending)) return "td";
  if ([".abnf", ".gram"].includes(ending)) return "srgs";
  if (ending === ".pls") return "pls";
  return [".grxml", ".xml"].includes(ending) ? "srgs-xml" : undefined;
}

async function take(
  path: string,
  form: ImportForm | undefined,
  language: string | undefined,
): Promise<Taken> {
  const there = path === "-" ? "file" : await existing(path);
  if (!there) throw new WrongUse(`there is no file or folder "${path}"`);
  const isFolder = there === "folder";
  if (!isFolder && form === "csv") return devicesFromCsv(await textOf(path), path, language);
  if (!isFolder && form !== "td") {
    const forms = importForms.join(", ");
    throw new WrongUse(`it cannot be told what "${path}" is: write --form with one of ${forms}`);
  }
  const files = isFolder
    ? (await readdir(path)).filter((name) => /\.(?:json|jsonld)$/.test(name)).sort()
    : [""];
  const broken: Taken["skipped"][number][] = [];
  const things: { file: string; thing: unknown }[] = [];
  for (const name of files) {
    const file = name === "" ? path : join(path, name);
    try {
      const content: unknown = JSON.parse(await textOf(file));
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

export interface ExportOptions extends BookOptions {
  as: ExportFormat;
  to?: string;
  language?: string;
  only?: string[];
  room?: string[];
  numbers?: { least: number; most: number };
  size?: number;
  favour?: string;
}

/** `calm-phrase export`: devices as a table or Thing Descriptions, or a grammar of the home. */
export async function exportHome(options: ExportOptions): Promise<number> {
  const { as, to } = options;
  const opened = await loadFolder(options);
  const { book } = opened;
  if (as === "pls") return exportLexicon(book, options);
  if (as !== "csv" && as !== "td") return exportGrammar(opened, options);
  if (as === "csv") {
    await writeText(devicesToCsv(definitionsOf(book)), to);
    return exit.fine;
  }
  const things = Object.entries(thingsOf(book));
  if (to === undefined || to === "-") {
    printJson(things.map(([, thing]) => thing));
    return exit.fine;
  }
  await writing(to, async () => {
    if ((await existing(to)) === undefined) await mkdir(to);
    for (const [id, thing] of things) {
      await writeFile(join(to, `${id}.td.json`), `${JSON.stringify(thing, null, 2)}\n`);
    }
  });
  return exit.fine;
}

async function exportGrammar(opened: Opened, options: ExportOptions): Promise<number> {
  const { as, to, only, room: rooms, numbers, size } = options;
  const { book, suiteSources } = opened;
  const language = languageOf(book, options.language);
  const suites = readSuites(book, suiteSources);
  const favour = [
    ...phrasesThatAct(book, suites, language).map((phrase) => ({ phrase })),
    ...(options.favour === undefined ? [] : favoured(await textOf(options.favour))),
  ];
  const whole = only === undefined && rooms === undefined && numbers === undefined;
  const { grammar, alone, otherWords } = recogniserGrammar(book, {
    language,
    ...given({ only, rooms, numbers, size }),
    // Of a part of a home only what is asked for is said.
    favour: whole || options.favour !== undefined ? favour : [],
  });
  const isEnglish = packOf(book, language).language === "en";
  const dictionary = isEnglish ? await loadDictionary() : undefined;
  // A recogniser refuses a grammar with a word that it cannot say.
  const anyWords = otherWords.filter((word) => !dictionary || Object.hasOwn(dictionary, word));
  const text =
    as === "jsgf"
      ? printJsgf(grammar, { anyWords }).text
      : as === "srgs"
        ? printGrammar(grammar)
        : printSrgsXml(grammar);
  await writeText(text, to);
  for (const phrase of whole ? alone : []) {
    complain(`“${phrase}” is in it by itself alone: no command of the home is put together so`);
  }
  if (dictionary) {
    const words = unpronounced(book, grammar, dictionary);
    if (words.length > 0) {
      complain(
        `words that no dictionary knows, which a recogniser has to be told: ${words.join(" ")}`,
      );
      complain("write them under pronunciations:, and --as pls tells how they sound");
    }
  }
  return exit.fine;
}

/** Phrases a line, each with how often it is said after a tab. */
function favoured(text: string): { phrase: string; weight?: number }[] {
  return text.split(/\r?\n/u).flatMap((line) => {
    const [phrase = "", weight = ""] = line.split("\t").map((part) => part.trim());
    if (phrase === "" || phrase.startsWith("#")) return [];
    const often = Number(weight);
    return [weight !== "" && often > 0 ? { phrase, weight: often } : { phrase }];
  });
}

async function exportLexicon(book: Book, { to, language }: ExportOptions): Promise<number> {
  const tag = languageOf(book, language);
  const isEnglish = packOf(book, tag).language === "en";
  const dictionary = isEnglish ? await loadDictionary() : undefined;
  await writeText(printPls(lexiconOf(book, tag, dictionary)), to);
  return exit.fine;
}

async function writeText(text: string, to: string | undefined): Promise<void> {
  if (to === undefined || to === "-") {
    printData(text.trimEnd());
    return;
  }
  await writing(to, () => writeFile(to, text));
}

/** Writes something, or says why that place cannot be written. */
async function writing(to: string, write: () => Promise<unknown>): Promise<void> {
  try {
    await write();
  } catch (error) {
    const code = error instanceof Error && "code" in error ? ` (${String(error.code)})` : "";
    const fix = "see that its folder is there and may be written to";
    throw new WrongUse(`"${to}" cannot be written${code}: ${fix}`);
  }
}
