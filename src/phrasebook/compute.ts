import type { Finding } from "../source/finding.ts";
import type { Context } from "./context.ts";
import { type Document, type Path, definitionDocument } from "./document.ts";
import type { ComputedSteps, Step } from "./model.ts";
import { type ComputeSteps, type StepsDefinition, stepsSchema } from "./schema.ts";
import { type Home, type KnownIds, type KnownSlots, readSteps } from "./steps.ts";
import { validate } from "./validate.ts";

/** Reads what an intent or routine does: steps as written, or a function that computes them. */
export function readDo(
  context: Context,
  document: Document,
  path: Path,
  written: StepsDefinition | ComputeSteps | undefined,
  home: Home,
  known: KnownSlots,
  ids: KnownIds,
): { steps: readonly Step[]; compute?: ComputedSteps } {
  if (written === undefined) return { steps: [] };
  if (typeof written !== "function") {
    return { steps: readSteps(context, document, path, written, home, known, ids) };
  }
  const place = `${document.at(path).file}()`;
  return {
    steps: [],
    compute(input) {
      let computed: unknown;
      try {
        // States are the home's own: a function may look at them, and change a copy.
        computed = written({ ...input, state: (id) => ({ ...input.state(id) }) });
      } catch (error) {
        const what =
          error instanceof Error ? error.message : "it threw something else than an error";
        return { ok: false, problem: `${place} failed: ${what}` };
      }
      // Nothing to do is an empty list; anything else that is no step is a mistake of the function.
      const findings: Finding[] = [];
      const returned = definitionDocument(place, computed ?? null, findings);
      const valid = validate(stepsSchema, returned, findings);
      if (valid === undefined && findings.length === 0) {
        return { ok: false, problem: `${place} returned no steps` };
      }
      const steps =
        valid === undefined
          ? []
          : readSteps({ ...context, findings }, returned, [], valid, home, known, ids);
      const [first] = findings.filter(({ severity }) => severity === "error");
      if (!first) return { ok: true, steps };
      const fix = first.fix === undefined ? "" : `; ${first.fix}`;
      return { ok: false, problem: `${first.at.file}: ${first.message}${fix}` };
    },
  };
}
