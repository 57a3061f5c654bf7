import XMLBuilder from "fast-xml-builder";
import { printPosition } from "../source/position.ts";
import type { CaseResult, SuiteResults } from "../suites/results.ts";
import { failureText, titleOf } from "./title.ts";

type Node = Readonly<Record<string, unknown>>;

/**
 * Results in the XML form that build servers read, after the schema that most of them share: suites of
 * cases, each with its failure or the reason why it was left out.
 */
export function junitReport({ suites, passed, failed, skipped, failing }: SuiteResults): string {
  const builder = new XMLBuilder({
    format: true,
    indentBy: "  ",
    ignoreAttributes: false,
    attributeNamePrefix: "@",
    suppressEmptyNode: true,
    suppressBooleanAttributes: false,
  });
  const document = {
    "?xml": { "@version": "1.0", "@encoding": "UTF-8" },
    testsuites: {
      "@name": "calm-phrase",
      "@tests": passed + failed + skipped + failing,
      "@failures": failed,
      "@errors": 0,
      testsuite: suites.map(({ suite, cases }) => ({
        "@name": legal(suite),
        "@tests": cases.length,
        "@failures": cases.filter((each) => !each.passed).length,
        "@errors": 0,
        "@skipped": cases.filter(reasonOf).length,
        testcase: cases.map((each) => caseNode(each, suite)),
      })),
    },
  };
  return builder.build(document);
}

function caseNode(each: CaseResult, suite: string): Node {
  const { position } = each;
  const place = {
    "@name": legal(titleOf(each)),
    "@classname": legal(suite),
  };
  const reason = reasonOf(each);
  if (reason !== undefined) return { ...place, skipped: legal(reason) };
  if (each.passed) return place;
  const [first] = each.failures;
  const text = `${failureText(each)}\nat ${printPosition(position)}`;
  const message = first ? `${first.about}: expected ${first.expected}, but ${first.actual}` : "";
  const failure = {
    "@message": legal(message),
    "@type": first?.about ?? "case",
    "#text": legal(text),
  };
  return { ...place, failure };
}

/** Why a case counts neither as passed nor as failed. */
function reasonOf(each: CaseResult): string | undefined {
  if (!each.passed) return undefined;
  return each.skipped ?? (each.fails === undefined ? undefined : `it fails: ${each.fails}`);
}

/** A text without the characters that XML 1.0 cannot hold (section 2.2). */
function legal(text: string): string {
  return text.replace(/[\p{Cc}\uFFFE\uFFFF\p{Cs}]/gu, (each) =>
    each === "\t" || each === "\n" || each === "\r" ? each : "\uFFFD",
  );
}
