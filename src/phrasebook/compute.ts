import { Cursor } from "../document/cursor.ts";
import { definitionDocument } from "../document/document.ts";
import { validate } from "../document/validate.ts";
import type { ComputedSteps, Step } from "../model/step.ts";
import type { Finding } from "../source/finding.ts";
import type { ComputeSteps, StepsDefinition } from "./definition/steps.ts";
import { stepsSchema } from "./schema/steps.ts";
import type { SlotScope } from "./scope.ts";
import { readSteps } from "./steps.ts";

/** Reads what an intent or routine does: steps as written, or a function that computes them. */
export function readDo(
  cursor: Cursor<StepsDefinition | ComputeSteps> | undefined,
  scope: SlotScope,
): { steps: readonly Step[]; compute?: ComputedSteps } {
  if (!cursor) return { steps: [] };
  const { value, context } = cursor;
  if (typeof value !== "function") return { steps: readSteps(cursor.as(value), scope) };
  const place = `${cursor.at.file}()`;
  return {
    steps: [],
    compute(input) {
      let computed: unknown;
      try {
        // States are the home's own: a function may look at them, and change a copy.
        computed = value({ ...input, state: (id) => ({ ...input.state(id) }) });
      } catch (error) {
        const what =
          error instanceof Error ? error.message : "it threw something else than an error";
        return { ok: false, problem: `${place} failed: ${what}` };
      }
      // Nothing to do is an empty list; anything else that is no step is a mistake of the function.
      const findings: Finding[] = [];
      const document = definitionDocument(place, computed ?? null, findings);
      const valid = validate(stepsSchema, document, findings);
      if (valid === undefined && findings.length === 0) {
        return { ok: false, problem: `${place} returned no steps` };
      }
      const returned =
        valid === undefined
          ? undefined
          : new Cursor(valid, { document, context: { ...context, findings } });
      const steps = readSteps(returned, scope);
      const [first] = findings.filter(({ severity }) => severity === "error");
      if (!first) return { ok: true, steps };
      const fix = first.fix === undefined ? "" : `; ${first.fix}`;
      return { ok: false, problem: `${first.at.file}: ${first.message}${fix}` };
    },
  };
}
