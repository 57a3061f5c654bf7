// Packs the package, installs it in an empty folder, and uses it there: command, ESM and types.
import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";

const folder = mkdtempSync(join(tmpdir(), "calm-phrase-package-"));
const run = (command, args, cwd = folder) =>
  execFileSync(command, args, { cwd, encoding: "utf8", stdio: ["ignore", "pipe", "inherit"] });

try {
  const [{ filename }] = JSON.parse(
    run("npm", ["pack", "--json", "--ignore-scripts", "--pack-destination", folder], "."),
  );
  writeFileSync(join(folder, "package.json"), '{ "private": true, "type": "module" }\n');
  run("npm", ["install", "--no-audit", "--no-fund", "--silent", join(folder, filename)]);

  const bin = join(folder, "node_modules/.bin/calm-phrase");
  run(bin, ["new", "home"]);
  const tested = run(bin, ["test", "--in", "home"]);
  if (!/\d+ passed, 0 failed/.test(tested)) throw new Error(`the command failed:\n${tested}`);

  const program = `import { openPhrasebook } from "calm-phrase/node";
const { book } = await openPhrasebook("home");
console.log(book.hear("cooker hood to sixty percent").outcome);
`;
  writeFileSync(join(folder, "program.mjs"), program);
  const said = run(process.execPath, ["program.mjs"]).trim();
  if (said !== "act") throw new Error(`the program printed "${said}"`);

  writeFileSync(
    join(folder, "typed.ts"),
    `import { readPhrasebook, definePhrasebook, type Heard } from "calm-phrase";
${program.replace("console.log(", "export const outcome: Heard['outcome'] = (")}
const defined = readPhrasebook([definePhrasebook({ rooms: { loft: {} } })]);
// @ts-expect-error a device has a kind
definePhrasebook({ devices: { lamp: {} } });
export const rooms: number = defined.rooms.size;
`,
  );
  run(process.execPath, [
    resolve("node_modules/typescript/bin/tsc"),
    ...["--noEmit", "--strict", "--target", "es2022", "--module", "nodenext", "typed.ts"],
  ]);
  console.log(`${filename} installs, runs, imports and type-checks`);
} finally {
  rmSync(folder, { recursive: true });
}
