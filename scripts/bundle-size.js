// Measures the core as a browser gets it: one minified file, gzipped, language packs apart.
import { gzipSync } from "node:zlib";
import { build } from "vite";

const packs = /\/language\/(?:dutch|english|french|german|italian|spanish)\.ts$|^n2words/;
const yaml = /^js-yaml$/;
/** The most that all of the core may weigh, and what only reads and hears, in kB gzipped. */
const budget = 242;
const hearingBudget = 136;

async function size(external, input = "src/index.ts") {
  const { output } = await build({
    configFile: false,
    logLevel: "silent",
    build: {
      write: false,
      minify: true,
      rolldownOptions: {
        input,
        external,
        preserveEntrySignatures: "strict",
        output: { format: "es" },
      },
    },
  });
  return gzipSync(output[0].code, { level: 9 }).length / 1000;
}

const all = await size([]);
const core = await size((id) => packs.test(id));
const hearing = await size((id) => packs.test(id), "src/book/book.ts");
const withoutYaml = await size((id) => packs.test(id) || yaml.test(id));
console.log(`core            ${core.toFixed(1)} kB gzip (at most ${budget})`);
console.log(`  to read and hear  ${hearing.toFixed(1)} kB (at most ${hearingBudget})`);
console.log(`  of it YAML    ${(core - withoutYaml).toFixed(1)} kB`);
console.log(`language packs  ${(all - core).toFixed(1)} kB gzip`);
if (core > budget || hearing > hearingBudget) process.exitCode = 1;
