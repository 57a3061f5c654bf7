import type { LogEvent, State, TimeSource, Value } from "calm-phrase";
import type { LogFile } from "./log-file.ts";

/** What a home that does nothing would have done with a phrase, beside what was done. */
export interface Compared {
  text: string;
  /** What it would have set, as `device property` and value. */
  would: Readonly<Record<string, Value>>;
  /** What devices came to meanwhile, whoever did it. */
  done: Readonly<Record<string, Value>>;
  verdict: "same" | "other" | "neither";
}

/** Hears along, and compares. */
export interface Shadow {
  happened: (event: LogEvent) => void;
  /** The home would order this of a device, which came to these values. */
  ordered: (device: string, values: State) => void;
  /** Ends what is being compared, and tells all of it. */
  end: () => readonly Compared[];
}

interface Comparing {
  text: string;
  would: Record<string, Value>;
  done: Record<string, Value>;
}

/** Seconds in which what a phrase brings is done. */
const window = 10;

export function createShadow(time: TimeSource, note: LogFile["note"]): Shadow {
  const all: Compared[] = [];
  /** What is being compared, each with what calls its end off. */
  const open = new Map<Comparing, () => void>();
  const close = ({ text, would, done }: Omit<Compared, "verdict">): void => {
    const [wanted, real] = [Object.entries(would), Object.entries(done)];
    const isSame =
      wanted.length === real.length && wanted.every(([key, value]) => done[key] === value);
    const verdict = wanted.length + real.length === 0 ? "neither" : isSame ? "same" : "other";
    const compared: Compared = { text, would, done, verdict };
    all.push(compared);
    note("compared", { ...compared });
  };
  return {
    happened(event) {
      if (event.event === "heard") {
        const begun: Comparing = { text: event.text, would: {}, done: {} };
        const end = (): void => {
          open.delete(begun);
          close(begun);
        };
        open.set(begun, time.after(window, end));
      } else if (event.event === "changed") {
        for (const each of open.keys()) each.done[`${event.device} ${event.property}`] = event.to;
      }
    },
    ordered(device, values) {
      // What is ordered belongs to what was heard last.
      const last = [...open.keys()].at(-1);
      for (const [property, value] of Object.entries(values)) {
        if (last) last.would[`${device} ${property}`] = value;
      }
    },
    end() {
      for (const [each, cancel] of open) {
        cancel();
        close(each);
      }
      open.clear();
      return all;
    },
  };
}

/** What was compared, for somebody to read. */
export function printCompared(all: readonly Compared[]): string {
  const count = (verdict: Compared["verdict"]): number =>
    all.filter((each) => each.verdict === verdict).length;
  const list = (values: Compared["would"]): string =>
    Object.entries(values)
      .map(([key, value]) => `${key} ${value}`)
      .join(", ") || "nothing";
  const lines = all.flatMap(({ text, would, done, verdict }) =>
    verdict === "other"
      ? [`“${text}”`, `  would do  ${list(would)}`, `  was done  ${list(done)}`]
      : [],
  );
  const heard = `${all.length} phrase${all.length === 1 ? "" : "s"} heard along`;
  return [
    ...lines,
    `${heard}: ${count("same")} the same, ${count("other")} other, ${count("neither")} with nothing to do`,
  ].join("\n");
}
