import type { Edit } from "../document/mending.ts";
import type { Finding, Severity } from "../source/finding.ts";
import type { Position } from "../source/position.ts";

const levels: Readonly<Record<Severity, string>> = {
  error: "error",
  warning: "warning",
  note: "note",
};

/** A finding, with the edit that mends it where there is one. */
export type Mendable = Finding & { edit?: Edit };

/**
 * Findings as a log of SARIF 2.1.0 (OASIS), which code hosts show beside the lines.
 *
 * @param version The version of Calm Phrase.
 */
export function sarifReport(findings: readonly Mendable[], version: string): string {
  const rules = [...new Set(findings.map(({ rule }) => rule))].sort();
  const log = {
    $schema:
      "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json",
    version: "2.1.0",
    runs: [
      {
        tool: {
          driver: { name: "calm-phrase", version, rules: rules.map((id) => ({ id })) },
        },
        columnKind: "utf16CodeUnits",
        results: findings.map((finding) => resultOf(finding, rules)),
      },
    ],
  };
  return `${JSON.stringify(log, null, 2)}\n`;
}

function resultOf(finding: Mendable, rules: readonly string[]) {
  const { rule, severity, message, fix, at, also = [], edit } = finding;
  return {
    ruleId: rule,
    ruleIndex: rules.indexOf(rule),
    level: levels[severity],
    message: { text: fix === undefined ? message : `${message}: ${fix}` },
    locations: [locationOf(at)],
    ...(also.length > 0 && { relatedLocations: also.map(locationOf) }),
    ...(edit && { fixes: [fixOf(edit, fix ?? message)] }),
  };
}

/** An edit as a fix (section 3.55), which editors can apply. */
function fixOf({ file, start, end, text }: Edit, description: string) {
  const deletedRegion = {
    startLine: start.line,
    startColumn: start.column,
    endLine: end.line,
    endColumn: end.column,
  };
  const replacements = [{ deletedRegion, insertedContent: { text } }];
  return {
    description: { text: description },
    artifactChanges: [{ artifactLocation: { uri: uriOf(file) }, replacements }],
  };
}

function uriOf(file: string): string {
  return file.split("/").map(encodeURIComponent).join("/");
}

/** Columns are counted in UTF-16 code units (section 3.30.6). */
function locationOf({ file, line, column }: Position) {
  const uri = uriOf(file);
  const region = { startLine: Math.max(1, line), startColumn: Math.max(1, column) };
  return { physicalLocation: { artifactLocation: { uri }, region } };
}
