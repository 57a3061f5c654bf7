import type { LogEvent } from "calm-phrase";
import { Counter, Histogram, Registry, collectDefaultMetrics } from "prom-client";

/** What a live home counts, in the text form of Prometheus. */
export interface Metrics {
  /** Begins to time a phrase; what comes back is told its outcome. */
  hearing: () => (outcome: string) => void;
  happened: (event: LogEvent) => void;
  called: (address: string, isDone: boolean) => void;
  refused: (why: string) => void;
  unread: () => void;
  text: () => Promise<string>;
}

export function createMetrics(): Metrics {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  const registers = [registry];
  const phrases = new Histogram({
    name: "calm_phrase_heard_seconds",
    help: "Seconds from a phrase to its answer, by outcome",
    labelNames: ["outcome"],
    buckets: [0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.5, 1, 5, 10],
    registers,
  });
  const events = new Counter({
    name: "calm_phrase_events_total",
    help: "What happened in the home, by event",
    labelNames: ["event"],
    registers,
  });
  const calls = new Counter({
    name: "calm_phrase_calls_total",
    help: "Calls of addresses, by address and whether they were done",
    labelNames: ["address", "done"],
    registers,
  });
  const refusals = new Counter({
    name: "calm_phrase_refused_requests_total",
    help: "Requests that were turned away, by why",
    labelNames: ["why"],
    registers,
  });
  const unread = new Counter({
    name: "calm_phrase_unread_reports_total",
    help: "Reports of devices that no property can be",
    registers,
  });
  return {
    hearing() {
      const end = phrases.startTimer();
      return (outcome) => {
        end({ outcome });
      };
    },
    happened: ({ event }) => {
      events.inc({ event });
    },
    called: (address, isDone) => {
      calls.inc({ address, done: String(isDone) });
    },
    refused: (why) => {
      refusals.inc({ why });
    },
    unread: () => {
      unread.inc();
    },
    text: () => registry.metrics(),
  };
}
