// Writes the JSON Schemas of phrasebook, suite and day files from the definitions that read them, each
// key with its sentence from the types that editors show.
import { mkdirSync, writeFileSync } from "node:fs";
import { jsonSchemas } from "../dist/node.js";
import { describeKeys } from "./describe-keys.js";

mkdirSync("dist/schema", { recursive: true });
for (const [name, schema] of Object.entries(jsonSchemas())) {
  if (name === "phrasebook") describeKeys(schema);
  writeFileSync(`dist/schema/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
}
