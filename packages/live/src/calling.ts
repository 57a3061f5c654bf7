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

/** Calls an address for somebody, and tells what happened, as far as it did by then. */
export async function callAddress(
  { home, metrics, note }: Pick<Live, "home" | "metrics" | "note">,
  { address, by }: Caller,
  request: CallRequest,
): Promise<CallAnswer> {
  const events: LogEntry["event"][] = [];
  const stop = home.on(({ event }) => events.push(event));
  const called = await home.call(address, request);
  stop();
  if (!called.called) {
    const isKnown = called.why !== "unknown";
    metrics.called(isKnown ? address : "unknown", false);
    if (isKnown) note("called", { address, by, refused: called.why });
    return called;
  }
  metrics.called(address, true);
  const { failed, reply } = called.performed;
  note("called", { address, by, failed });
  return { called: true, reply, failed, told: events.map(printEvent) };
}
