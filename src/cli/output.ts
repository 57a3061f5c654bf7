import { randomUUID } from "node:crypto";
import picocolors from "picocolors";
import type { Paint } from "../reports/paint.ts";

/**
 * Marks around what is painted. Nobody else can know them, so that nothing that a file holds is
 * taken for paint: whatever else could move a cursor or colour a line is shown, not sent.
 */
const [opens, closes] = [`\u{E000}${randomUUID()}`, `\u{E001}${randomUUID()}`];
const styles = ["bold", "dim", "green", "red", "yellow", "cyan"] as const;
const marked = new RegExp(`(${opens}[0-5]|${closes}[0-5])`, "u");

/** Paint for a terminal, which turns to colour when it is printed. */
export function paintFor(stream: NodeJS.WriteStream): Paint {
  const isColoured = wantsColour(stream);
  const mark =
    (style: (typeof styles)[number]) =>
    (text: string): string => {
      const index = styles.indexOf(style);
      return isColoured ? `${opens}${index}${text}${closes}${index}` : text;
    };
  return {
    strong: mark("bold"),
    quiet: mark("dim"),
    good: mark("green"),
    bad: mark("red"),
    warn: mark("yellow"),
    name: mark("cyan"),
  };
}

/**
 * Colour is for terminals that have it: `NO_COLOR` takes it away, `FORCE_COLOR` gives it to pipes as
 * well, and both as texts that are not empty.
 */
function wantsColour(stream: NodeJS.WriteStream): boolean {
  const { NO_COLOR: none = "", FORCE_COLOR: forced = "", TERM: terminal } = process.env;
  if (none !== "") return false;
  if (forced !== "" && forced !== "0") return true;
  // A stream that is no terminal has no isTTY at all, whatever its type says.
  return stream.isTTY ? terminal !== "dumb" && forced !== "0" : false;
}

const colours = picocolors.createColors(true);

/** The sequences that begin and end a style. */
function sequencesOf(style: (typeof styles)[number]): readonly [string, string] {
  const [begin = "", end = ""] = colours[style]("\0").split("\0");
  return [begin, end];
}

/** A text as it may go to a terminal: control characters shown, and nothing but paint in colour. */
function forTerminal(text: string): string {
  return text
    .split(marked)
    .map((part) => {
      const isOpening = part.startsWith(opens);
      if (!isOpening && !part.startsWith(closes)) return shown(part);
      const style = styles[Number(part.at(-1))];
      return style ? sequencesOf(style)[isOpening ? 0 : 1] : "";
    })
    .join("");
}

/** Control characters, and those that turn the direction of a line (Unicode, section 23). */
const control = /[\p{Cc}\u061C\u200E\u200F\u2028\u2029\u202A-\u202E\u2066-\u2069]/gu;

/** Control characters by their pictures or code points; line ends and tabs are left. */
function shown(text: string): string {
  return text.replace(control, (character) => {
    const code = character.codePointAt(0) ?? 0;
    if (character === "\n" || character === "\t") return character;
    if (code < 0x20) return String.fromCodePoint(0x2400 + code);
    return code === 0x7f ? "␡" : `<U+${code.toString(16).toUpperCase().padStart(4, "0")}>`;
  });
}

/** A reader such as `head` may close the pipe before all is written; that is no error. */
for (const stream of [process.stdout, process.stderr]) {
  stream.on("error", (error: NodeJS.ErrnoException) => {
    if (error.code !== "EPIPE") throw error;
  });
}

export function print(text: string): void {
  process.stdout.write(`${forTerminal(text)}\n`);
}

/** Tells something beside the output. */
export function complain(text: string): void {
  process.stderr.write(`${forTerminal(text)}\n`);
}

/** Writes data as it is, for a file or another program; to a terminal as a terminal may have it. */
export function printData(text: string): void {
  process.stdout.write(`${process.stdout.isTTY ? shown(text) : text}\n`);
}

export function printJson(value: unknown): void {
  printData(escapeControls(JSON.stringify(value, null, 2)));
}

/** JSON on one line, of which several make a stream. */
export function printJsonLine(value: unknown): void {
  printData(escapeControls(JSON.stringify(value)));
}

/** Control characters that JSON lets stand, as escapes that mean the same. */
function escapeControls(json: string): string {
  return json.replace(control, (character) =>
    character === "\n" ? character : `\\u${character.charCodeAt(0).toString(16).padStart(4, "0")}`,
  );
}
