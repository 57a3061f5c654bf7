import type { Finding, Severity } from "../source/finding.ts";
import type { Position } from "../source/position.ts";

const levels: Readonly<Record<Severity, string>> = {
  error: "error",
  warning: "warning",
  note: "note",
};

/**
 * Findings as a log of SARIF 2.1.0 (OASIS), which code hosts show beside the lines.
 *
 * @param version The version of Calm Phrase.
 */
export function sarifReport(findings: readonly Finding[], version: string): string {
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

function resultOf({ rule, severity, message, fix, at, also = [] }: Finding, rules: string[]) {
  return {
    ruleId: rule,
    ruleIndex: rules.indexOf(rule),
    level: levels[severity],
    message: { text: fix === undefined ? message : `${message}: ${fix}` },
    locations: [locationOf(at)],
    ...(also.length > 0 && { relatedLocations: also.map(locationOf) }),
  };
}

/** Columns are counted in UTF-16 code units (section 3.30.6). */
function locationOf({ file, line, column }: Position) {
  const uri = file.split("/").map(encodeURIComponent).join("/");
  const region = { startLine: Math.max(1, line), startColumn: Math.max(1, column) };
  return { physicalLocation: { artifactLocation: { uri }, region } };
}
