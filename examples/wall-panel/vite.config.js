import { defineConfig } from "vite";

// The phrasebook lives beside the examples, outside this folder.
export default defineConfig({ base: "./", server: { fs: { allow: ["../.."] } } });
