import { type Called, type LogEntry, printEvent } from "calm-phrase";
import type { Live } from "./live.ts";

/** The form of the body of `POST /call/:address` (JSON Schema). */
export const callBody = {
  type: "object",
  additionalProperties: false,
  properties: {
    slots: { type: "object", maxProperties: 20 },
    confirm: { type: "boolean" },
    code: { type: "string", maxLength: 20 },
  },
} as const;

export interface CallRequest {
  slots?: Record<string, unknown>;
  confirm?: boolean;
  code?: string;
}

/** What a call came to, as it is answered. */
export type CallAnswer =
  | { called: true; reply: string; failed: readonly string[]; told: readonly string[] }
  | Extract<Called, { called: false }>;

/** What is called, and by whom: the name of a token or key. */
export interface Caller {
  address: string;
  by: string;
}

/** Seconds in which what a call sets off is waited for. */
const patience = 3;

/** Calls an address for somebody, and tells what happened, as far as it did by then. */
export async function callAddress(
  { book, home, reach, metrics, note }: Pick<Live, "book" | "home" | "reach" | "metrics" | "note">,
  { address, by }: Caller,
  request: CallRequest,
): Promise<CallAnswer> {
  const events: LogEntry["event"][] = [];
  const { runs } = book.addresses.get(address) ?? {};
  const isOver = (event: LogEntry["event"]): boolean =>
    (event.event === "ended" && event.routine === runs) ||
    (event.event === "waiting" && event.by === runs);
  let over = (): void => undefined;
  const ended = new Promise<void>((resolve) => (over = resolve));
  const stop = home.on(({ event }) => {
    events.push(event);
    if (isOver(event)) over();
  });
  const called = await home.call(address, request);
  // Steps of an intent tell no end of their own.
  const isRoutine = book.routines.has(runs ?? "");
  if (called.called) await Promise.race([isRoutine ? ended : reach.quiet(), after(patience)]);
  stop();
  if (!called.called) {
    const isKnown = called.why !== "unknown";
    metrics.called(isKnown ? address : "unknown", false);
    if (isKnown) note("called", { address, by, refused: called.why });
    return called;
  }
  metrics.called(address, true);
  const failed = events.flatMap((event) => (event.event === "failed" ? event.device : []));
  note("called", { address, by, failed });
  const said = events.findLast((event) => event.event === "said");
  const reply = said?.event === "said" ? said.text : called.performed.reply;
  return { called: true, reply, failed, told: events.map(printEvent) };
}

function after(seconds: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, seconds * 1000).unref());
}
