// Writes the JSON Schemas of phrasebook and suite files from the definitions that read them.
import { mkdirSync, writeFileSync } from "node:fs";
import { jsonSchemas } from "../dist/node.js";

mkdirSync("dist/schema", { recursive: true });
for (const [name, schema] of Object.entries(jsonSchemas())) {
  writeFileSync(`dist/schema/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
}
