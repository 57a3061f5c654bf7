import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { createReader, readPhrasebook } from "../src/index.ts";
import { english } from "../src/language/english.ts";

/* What is worked out once for all homes makes no home hear otherwise than it would alone. */

const folders = ["everyday", "at-work", "at-home", "at-guests", "at-terrace", "at-cottage"];
const read = (name: string): string => readFileSync(join(import.meta.dirname, name), "utf8");

test("a home hears the same whatever homes were opened before it", () => {
  // Homes whose devices can do different things, each in turn and some of them again.
  for (const folder of [...folders, ...folders]) {
    const sources = [
      {
        path: "home.yaml",
        text: read(`${folder}/home.yaml`).replace(/^languages:.*$/mu, "languages: [en]"),
      },
    ];
    const shared = readPhrasebook(sources);
    // A pack of its own shares nothing.
    const pack = { ...english, vocabulary: { ...english.vocabulary } };
    const alone = createReader({ languages: [pack] })(sources);
    const rows = read(`${folder}/en.tsv`).trimEnd().split("\n").slice(1, 60);
    for (const row of rows) {
      const [phrase = ""] = row.split("\t");
      const heard = shared.hear(phrase, { language: "en" });
      const own = alone.hear(phrase, { language: "en" });
      expect(heard, phrase).toEqual(own);
      expect(shared.why(heard).readings, phrase).toEqual(alone.why(own).readings);
    }
  }
});
