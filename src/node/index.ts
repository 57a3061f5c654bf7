/** Calm Phrase in Node.js: phrasebooks from files. */
export { openPhrasebook, type Opened, type OpenOptions } from "./open.ts";
export { type JsonSchemaName, jsonSchemas } from "./json-schemas.ts";
export { machineTime } from "./time.ts";
