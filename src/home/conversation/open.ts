import type { Heard } from "../../commands/outcome.ts";
import type { Eventually } from "../eventually.ts";
import type { Sort } from "./answers.ts";
import { chooseFrom } from "./choices.ts";
import type { Open } from "./memory.ts";
import { type Held, type Turn, ask, listen, locked, replyTo, speak, take, told } from "./turns.ts";

/** What was said while a question was open, and what it comes to on its own. */
export interface Said {
  text: string;
  sort: Sort | undefined;
  heard: Heard;
}

/** What an answer to the open question comes to; undefined for what is no answer to it. */
export function answer(held: Held, waiting: Open, said: Said): Eventually<Turn> | undefined {
  const { memory, pack } = held;
  const { text, sort, heard } = said;
  if (sort === "no" || sort === "cancel") {
    memory.open = undefined;
    return told(held, heard, "cancelled", speak(held, pack.replies.cancelled));
  }
  switch (waiting.open) {
    case "confirm":
      return sort === "yes" ? waiting.go() : undefined;
    case "choice": {
      const chosen = chooseFrom(waiting.heard, text, pack);
      if (chosen === undefined) return undefined;
      return take(held, listen(held, waiting.heard.text, { chosen }), { chosen });
    }
    case "slot":
      return fill(held, waiting, said);
    case "code":
      return tryCode(held, waiting, said);
  }
}

function tryCode(held: Held, waiting: Open & { open: "code" | "confirm" }, { text, heard }: Said) {
  const { home, language, pack } = held;
  const digits = home.code.read(text, language);
  if (digits.length === 0) return undefined;
  switch (home.code.try(digits)) {
    case "right":
      return waiting.go();
    case "wrong":
      ask(held, waiting);
      return told(held, heard, "code", speak(held, pack.replies.wrongCode));
    case "locked":
      return locked(held, heard);
  }
}

/** Takes words for the slot that was asked for, unless they are a command of their own. */
function fill(
  held: Held,
  { heard: asked, said: before }: Open & { open: "slot" },
  { text, heard: alone }: Said,
): Eventually<Turn> | undefined {
  const said = { ...before, [asked.slot]: text };
  const filled = listen(held, asked.text, { said });
  if (filled.outcome === "ask" && filled.slot === asked.slot) return undefined;
  if (filled.outcome !== "refuse") return take(held, filled, { said });
  if (alone.outcome !== "unknown") return undefined;
  // What cannot be is told, and may be said again.
  ask(held, { open: "slot", heard: asked, said: before });
  return told(held, filled, "refuse", replyTo(held, filled));
}
