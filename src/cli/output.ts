import picocolors from "picocolors";
import type { Paint } from "../reports/paint.ts";

/** Colours for a terminal; none where output goes elsewhere or NO_COLOR is set. */
export function paintFor(stream: NodeJS.WriteStream): Paint {
  // A stream that is no terminal has no isTTY at all, whatever its type says.
  const isColoured = stream.isTTY ? process.env["NO_COLOR"] === undefined : false;
  const colours = picocolors.createColors(isColoured);
  return {
    strong: colours.bold,
    quiet: colours.dim,
    good: colours.green,
    bad: colours.red,
    warn: colours.yellow,
    name: colours.cyan,
  };
}

/** A reader such as `head` may close the pipe before all is written; that is no error. */
process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code !== "EPIPE") throw error;
});

export function print(text: string): void {
  process.stdout.write(`${text}\n`);
}

export function printJson(value: unknown): void {
  print(JSON.stringify(value, null, 2));
}
