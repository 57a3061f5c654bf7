import { mkdir, readFile, readdir, stat, writeFile } from "node:fs/promises";
import { extname, join } from "node:path";
import { dump } from "js-yaml";
import { devicesFromCsv, devicesToCsv } from "../exchange/csv.ts";
import { definitionOf } from "../exchange/definition.ts";
import type { Taken } from "../exchange/taken.ts";
import { devicesFromThings, thingFromDevice } from "../exchange/things.ts";
import { WrongUse, exit } from "./exit.ts";
import { loadBook } from "./load.ts";
import { print, printJson } from "./output.ts";

/** `calm-phrase import`: devices from a table or Thing Descriptions, as YAML. */
export async function importDevices(
  path: string,
  { to, json, language }: { to?: string; json?: boolean; language?: string },
): Promise<number> {
  const { devices, skipped } = await take(path, language);
  if (json) {
    printJson({ version: 1, devices, skipped });
  } else {
    const yaml = dump({ devices }, { lineWidth: 100, noRefs: true });
    if (to === undefined) print(yaml.trimEnd());
    else await writeFile(to, yaml);
    const count = `${Object.keys(devices).length} devices taken, ${skipped.length} parts left out`;
    process.stderr.write(`${count}\n`);
    for (const { where, reason } of skipped) process.stderr.write(`  ${where}  ${reason}\n`);
  }
  return skipped.length > 0 ? exit.failed : exit.fine;
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

/** `calm-phrase export`: the devices of a phrasebook as a table or as Thing Descriptions. */
export async function exportDevices(
  folder: string,
  { as, to }: { as: string; to?: string },
): Promise<number> {
  if (as !== "csv" && as !== "td") {
    throw new WrongUse(`"${as}" is no format: write --as csv or --as td`);
  }
  const book = await loadBook(folder);
  const devices = Object.fromEntries(
    [...book.devices].map(([id, device]) => [
      id,
      definitionOf(device, book.kinds.get(device.kind)),
    ]),
  );
  if (as === "csv") {
    const table = devicesToCsv(devices);
    if (to === undefined) print(table.trimEnd());
    else await writeFile(to, table);
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
