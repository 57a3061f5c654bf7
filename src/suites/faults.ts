import type { Fault } from "../home/simulated/devices.ts";

/** How a fault is written. */
export const faultForm = /^(?:none|offline|fails once|fails|slow \d+s|rounds to \d+(?:\.\d+)?)$/;

/** A fault as it is written: `offline`, `fails once`, `slow 5s`; undefined for `none`. */
export function parseFault(text: string): Fault | undefined {
  const number = Number(/[\d.]+/.exec(text)?.[0] ?? 0);
  if (text === "none") return undefined;
  if (text === "offline") return { fault: "offline" };
  if (text.startsWith("slow")) return { fault: "slow", seconds: number };
  if (text.startsWith("rounds")) return { fault: "rounds", to: number };
  return { fault: "fails", times: text === "fails once" ? "once" : "always" };
}
