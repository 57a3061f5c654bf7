import { type Coverage, type CoveredPart, percentOf } from "../coverage/coverage.ts";
import { nameOfPart } from "../coverage/parts.ts";
import type { SourceText } from "../document/document.ts";
import { printPercent } from "./coverage.ts";
import { escaped } from "./escaped.ts";

/** What cases have touched of a phrasebook, and its files to paint it on. */
export interface Painted {
  coverage: Coverage;
  sources: readonly SourceText[];
}

/** Coverage as a part of a page: shares, and the files with what was touched and what was not. */
export function paintedSection({ coverage, sources }: Painted): string {
  const { parts, shares } = coverage;
  const rows = shares.map(
    ({ of, touched, all }) =>
      `<tr><th scope="row">${escaped(of)}</th><td class="${touched === all ? "good" : "bad"}">${touched} of ${all}</td></tr>`,
  );
  const files = sources.flatMap(({ path, text }) => {
    const own = parts.filter(({ at }) => at.file === path);
    return own.length === 0 ? [] : paintedFile(path, text, own);
  });
  return `<section>
<h2>Coverage <small>${printPercent(percentOf(coverage))} of ${parts.length} parts of the phrasebook</small></h2>
<table><tbody>${rows.join("")}</tbody></table>
${files.join("\n")}
</section>`;
}

function paintedFile(path: string, text: string, parts: readonly CoveredPart[]): string {
  const byLine = new Map<number, CoveredPart[]>();
  for (const part of parts) {
    byLine.set(part.at.line, [...(byLine.get(part.at.line) ?? []), part]);
  }
  const missed = parts.filter(({ hits }) => hits === 0).length;
  const lines = text.split(/\r?\n/u).map((line, index) => {
    const own = byLine.get(index + 1) ?? [];
    return `${gutter(index + 1, own)} ${paintedLine(line, own)}`;
  });
  const told = missed === 0 ? "all touched" : `${missed} of ${parts.length} not touched`;
  return `<details${missed > 0 ? " open" : ""}><summary><code>${escaped(path)}</code> <span class="quiet">${told}</span></summary>
<pre class="painted" tabindex="0">${lines.join("\n")}</pre></details>`;
}

/** The number of a line, and whether what is on it was touched. */
function gutter(line: number, parts: readonly CoveredPart[]): string {
  const missed = parts.filter(({ hits }) => hits === 0).length;
  const [mark, paint] =
    parts.length === 0 ? [" ", "quiet"] : missed === 0 ? ["✓", "good"] : ["✗", "bad"];
  return `<span class="quiet">${String(line).padStart(4)}</span> <span class="mark ${paint}">${mark}</span>`;
}

/** A line with the words at which parts stand that nothing touched, and which these are. */
function paintedLine(line: string, parts: readonly CoveredPart[]): string {
  const missed = new Map<number, string[]>();
  for (const part of parts) {
    const { at, hits, of } = part;
    if (hits > 0) continue;
    const told = `no case touches ${of}: ${nameOfPart(part)}`;
    missed.set(at.column - 1, [...(missed.get(at.column - 1) ?? []), told]);
  }
  let from = 0;
  let made = "";
  for (const [start, told] of [...missed].sort(([one], [other]) => one - other)) {
    if (start < from) continue;
    const word = /^(?:[^\s,:|()[\]{}"']+|.)/u.exec(line.slice(start))?.[0] ?? "";
    made += escaped(line.slice(from, start));
    made += `<mark title="${escaped(told.join("; "))}">${escaped(word)}</mark>`;
    from = start + word.length;
  }
  return made + escaped(line.slice(from));
}
