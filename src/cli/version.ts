import { readFileSync } from "node:fs";
import { membersOf, textOf } from "../source/border.ts";

/** The version that stands in the package, which lies beside the command. */
export function packageVersion(): string {
  const text = readFileSync(new URL("../package.json", import.meta.url), "utf8");
  const { version } = membersOf(JSON.parse(text));
  return textOf(version) ?? "unknown";
}
