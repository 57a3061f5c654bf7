import { type Engine, createEngine } from "../hearing/engine.ts";
import type { HearContext } from "../hearing/context.ts";
import { hearUtterance } from "../hearing/hear.ts";
import type { Heard } from "../hearing/outcome.ts";
import type { Source, SourceText } from "../phrasebook/document.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { Finding } from "../source/finding.ts";
import { readSources } from "../phrasebook/read.ts";
import { type InitialStates, initialStates } from "./states.ts";

/** A phrasebook ready to listen. */
export interface Book extends Phrasebook {
  /** Files ending in `.suite.yaml`, which `runSuites` runs. */
  suiteSources: readonly SourceText[];
  /** Files ending in `.day.yaml`, which `runDay` plays. */
  daySources: readonly SourceText[];
  /** What a device starts with. */
  initialStates: InitialStates;
  /** Understands one utterance. */
  hear: (text: string, context?: HearContext) => Heard;
}

/**
 * Reads a phrasebook from files or definitions. Never throws: look at `problems` for what is
 * wrong; whatever could be read is ready to use.
 *
 * @param sources Files as path and text, and definitions made with `definePhrasebook`.
 * @param found Findings about the files made before, such as folders that do not exist.
 */
export function readPhrasebook(sources: readonly Source[], found: readonly Finding[] = []): Book {
  const isOf =
    (name: RegExp) =>
    (source: Source): source is SourceText =>
      "text" in source && name.test(source.path);
  const [isSuite, isDay] = [isOf(/\.suite\.ya?ml$/iu), isOf(/\.day\.ya?ml$/iu)];
  const book = readSources(
    sources.filter((source) => !isSuite(source) && !isDay(source)),
    found,
  );
  const engines = new Map<string, Engine>();
  const engineFor = (language: string): Engine => {
    let engine = engines.get(language);
    if (!engine) engines.set(language, (engine = createEngine(book, language)));
    return engine;
  };
  const opened: Book = {
    ...book,
    suiteSources: sources.filter(isSuite),
    daySources: sources.filter(isDay),
    initialStates: initialStates(book),
    hear: (text, context = {}) => hearUtterance(opened, engineFor, text, context),
  };
  return opened;
}
