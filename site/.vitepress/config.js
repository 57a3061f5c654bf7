import { defineConfig } from "vitepress";

const guides = [
  ["flat", "A flat"],
  ["shop", "A shop"],
  ["many-rooms", "A house of many rooms"],
  ["two-languages", "Two languages"],
  ["guarded-door", "A guarded door"],
  ["backups", "A routine with backups"],
  ["own-kind", "A device of your own kind"],
  ["spreadsheet", "From a spreadsheet"],
  ["build-server", "A build server"],
];
const page = (link, text) => ({ link, text });

export default defineConfig({
  title: "Calm Phrase",
  description: "Voice control for homes, written as plain files and proved in text.",
  srcDir: "../docs",
  cleanUrls: true,
  // What leads out of the docs leads into the repository.
  ignoreDeadLinks: [/^(?:\.\/)?\.\.\//u],
  themeConfig: {
    search: { provider: "local" },
    nav: [page("/tour", "Tour"), page("/phrasebook", "Phrasebook"), page("/api", "In code")],
    sidebar: [
      { text: "Begin", items: [page("/tour", "A tour"), page("/editors", "Editors")] },
      { text: "Guides", items: guides.map(([name, text]) => page(`/guides/${name}`, text)) },
      {
        text: "How it works",
        items: [
          page("/phrasebook", "The phrasebook"),
          page("/targets", "Targets and guards"),
          page("/ranking", "How one reading is chosen"),
          page("/routines", "Routines"),
          page("/suites", "Suites"),
          page("/coverage", "Coverage"),
          page("/comparison", "What has changed"),
          page("/mishearing", "Mishearing"),
          page("/checks", "What check finds"),
          page("/languages", "Languages"),
          page("/exchange", "Other forms"),
          page("/vitest", "In Vitest"),
          page("/faults", "Planted faults"),
          page("/benchmarks", "Benchmarks"),
        ],
      },
      {
        text: "Reference",
        items: [
          page("/reference/files", "Files"),
          page("/reference/commands", "Commands"),
          page("/json", "JSON"),
          page("/api", "In code"),
          page("/reference/api/", "Every function and type"),
        ],
      },
    ],
    outline: [2, 3],
  },
});
