import type { Pattern } from "../pattern/tree.ts";
import { escaped } from "./escaped.ts";

/** A part of a drawing: its size, where its track runs, and how it is drawn with its left end at a place. */
interface Part {
  width: number;
  /** Above and below its track. */
  up: number;
  down: number;
  draw: (x: number, y: number) => string;
}

const gap = 14;
const rowGap = 10;
const bend = 8;
const boxHeight = 26;
/** How wide a letter is taken to be, since nobody measures it here. */
const letter = 7.6;

/**
 * A pattern as a railroad diagram, an SVG image that stands alone: words in boxes, what varies in boxes with
 * round ends, what may be left out with a track past it. Colours are those of the text around it.
 *
 * @param title What it is a picture of, for those who do not see it.
 */
export function railroadOf(pattern: Pattern, title: string): string {
  const part = partOf(pattern);
  const margin = 10;
  const stub = 16;
  const width = part.width + 2 * (margin + stub);
  const height = part.up + part.down + 2 * margin;
  const [x, y] = [margin, margin + part.up];
  const end = width - margin;
  const ends = `<circle cx="${x}" cy="${y}" r="4" class="end"/><circle cx="${end}" cy="${y}" r="4" class="end"/>`;
  const tracks = line(x + 4, y, x + stub) + line(x + stub + part.width, y, end - 4);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" class="railroad" role="img" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-size="13">`,
    `<title>${escaped(title)}</title>`,
    `<g fill="none" stroke="currentColor" stroke-width="1.5">${tracks}${ends}${part.draw(x + stub, y)}</g>`,
    "</svg>",
  ].join("");
}

function partOf(pattern: Pattern): Part {
  switch (pattern.type) {
    case "words":
      return box(pattern.said ?? pattern.words.join(" "), "word");
    case "reference":
      return box(`$${pattern.name}`, "slot");
    case "nothing":
      return track(gap);
    case "void":
      return box("never", "never");
    case "garbage":
      return box("any words", "slot");
    case "sequence":
      return inRow(pattern.items.map(partOf));
    case "choice":
      return inRows(pattern.options.map((option) => partOf(option.pattern)));
    case "repeat": {
      const item = partOf(pattern.item);
      const { minimum, maximum } = pattern;
      const again = maximum > 1 ? repeated(item, minimum, maximum) : item;
      return minimum === 0 ? inRows([track(gap), again]) : again;
    }
  }
}

function box(text: string, sort: string): Part {
  const width = Math.round(text.length * letter) + 20;
  const half = boxHeight / 2;
  const round = sort === "word" ? 3 : half;
  return {
    width,
    up: half,
    down: half,
    draw: (x, y) =>
      `<rect x="${x}" y="${y - half}" width="${width}" height="${boxHeight}" rx="${round}" class="${sort}"/>` +
      `<text x="${x + width / 2}" y="${y + 4.5}" text-anchor="middle" fill="currentColor" stroke="none" class="${sort}">${escaped(text)}</text>`,
  };
}

function track(width: number): Part {
  return { width, up: 4, down: 4, draw: (x, y) => line(x, y, x + width) };
}

function inRow(parts: readonly Part[]): Part {
  const [first] = parts;
  if (!first) return track(gap);
  if (parts.length === 1) return first;
  return {
    width: parts.reduce((sum, { width }) => sum + width, 0) + gap * (parts.length - 1),
    up: Math.max(...parts.map(({ up }) => up)),
    down: Math.max(...parts.map(({ down }) => down)),
    draw(x, y) {
      let at = x;
      const drawn = parts.map((part, index) => {
        const before = index > 0 ? line(at, y, at + gap) : "";
        const start = index > 0 ? at + gap : at;
        at = start + part.width;
        return before + part.draw(start, y);
      });
      return drawn.join("");
    },
  };
}

/** Ways one under another, the first of them straight on. */
function inRows(parts: readonly Part[]): Part {
  const [first, ...others] = parts;
  if (!first || others.length === 0) return first ?? track(gap);
  const inner = Math.max(...parts.map(({ width }) => width));
  const side = bend * 2 + 4;
  const down = others.reduce((sum, part) => sum + rowGap + part.up + part.down, first.down);
  return {
    width: inner + 2 * side,
    up: first.up,
    down,
    draw(x, y) {
      const right = x + side + inner;
      const straight = (part: Part, at: number): string => {
        const start = x + side + (inner - part.width) / 2;
        return (
          line(x + side, at, start) + part.draw(start, at) + line(start + part.width, at, right)
        );
      };
      let drawn = line(x, y, x + side) + straight(first, y) + line(right, y, right + side);
      let below = y + first.down;
      for (const part of others) {
        const at = below + rowGap + part.up;
        below = at + part.down;
        drawn +=
          `<path d="M${x} ${y} q${bend} 0 ${bend} ${bend} V${at - bend} q0 ${bend} ${bend} ${bend} H${x + side}"/>` +
          straight(part, at) +
          `<path d="M${right} ${at} H${right + 4} q${bend} 0 ${bend} ${-bend} V${y + bend} q0 ${-bend} ${bend} ${-bend}"/>`;
      }
      return drawn;
    },
  };
}

/** A part that is said again and again, with the track by which it is. */
function repeated(item: Part, minimum: number, maximum: number): Part {
  const times =
    maximum === Infinity
      ? `${Math.max(1, minimum)} times or more`
      : minimum === maximum
        ? `${maximum} times`
        : `${Math.max(1, minimum)} to ${maximum} times`;
  const label = Math.round(times.length * 6.4);
  const width = Math.max(item.width, label) + 2 * bend;
  const back = item.down + rowGap + 8;
  return {
    width,
    up: item.up,
    down: back + 14,
    draw(x, y) {
      const start = x + (width - item.width) / 2;
      const [left, right] = [x + bend, x + width - bend];
      return (
        line(x, y, start) +
        item.draw(start, y) +
        line(start + item.width, y, x + width) +
        `<path d="M${right} ${y} q${bend} 0 ${bend} ${bend} V${y + back - bend} q0 ${bend} ${-bend} ${bend} H${left} q${-bend} 0 ${-bend} ${-bend} V${y + bend} q0 ${-bend} ${bend} ${-bend}"/>` +
        `<text x="${x + width / 2}" y="${y + back + 13}" text-anchor="middle" fill="currentColor" stroke="none" font-size="11">${times}</text>`
      );
    },
  };
}

function line(from: number, y: number, to: number): string {
  return from === to ? "" : `<path d="M${from} ${y} H${to}"/>`;
}
