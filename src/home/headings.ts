import type { State, Value } from "../model/property.ts";
import type { Orderer } from "./cause.ts";
import type { Clock } from "./ports.ts";

/** What devices are on their way to, and who ordered it: what they report on the way follows from that. */
export interface Headings {
  /** A device is on its way to values, in place of others that it was on its way to. */
  begin: (device: string, values: State, by: Orderer) => void;
  /** Properties of a device go nowhere any more. */
  end: (device: string, properties: readonly string[]) => void;
  /** A device has these values: what was on its way to them has arrived. */
  reached: (device: string, values: State) => void;
  /**
   * A device was ordered something. Whatever it reports soon after may follow from that, before it
   * has answered and of other properties as well, so it counts as ordered.
   */
  ordered: (device: string, by: Orderer) => void;
  /** The values that a device is on its way to. */
  of: (device: string) => State;
  /** Who ordered what a device reports, if anybody did. */
  orderer: (device: string, property: string) => Orderer | undefined;
}

/** Seconds after which a device that never came to where it was sent is no longer on its way. */
const longestWay = 600;

/** Seconds in which what a device reports may follow from what it was last ordered. */
const answering = 60;

interface Heading {
  to: Value;
  by: Orderer;
  until: number;
}

export function createHeadings({ elapsed }: Clock): Headings {
  const underWay = new Map<string, Map<string, Heading>>();
  const last = new Map<string, { by: Orderer; until: number }>();
  const end: Headings["end"] = (device, properties) => {
    const moving = underWay.get(device);
    for (const property of properties) moving?.delete(property);
    if (moving?.size === 0) underWay.delete(device);
  };
  const isUnderWay = ({ until }: Heading): boolean => until >= elapsed();
  return {
    end,
    ordered(device, by) {
      last.set(device, { by, until: elapsed() + answering });
    },
    begin(device, values, by) {
      const properties = Object.entries(values);
      if (properties.length === 0) return;
      const moving = underWay.get(device) ?? new Map<string, Heading>();
      underWay.set(device, moving);
      for (const [property, to] of properties) {
        moving.set(property, { to, by, until: elapsed() + longestWay });
      }
    },
    reached(device, values) {
      const moving = underWay.get(device);
      if (!moving) return;
      end(
        device,
        Object.keys(values).filter((property) => moving.get(property)?.to === values[property]),
      );
    },
    of: (device) =>
      Object.fromEntries(
        [...(underWay.get(device) ?? [])].flatMap(([name, heading]) =>
          isUnderWay(heading) ? [[name, heading.to]] : [],
        ),
      ),
    orderer(device, property) {
      const heading = underWay.get(device)?.get(property);
      if (heading && isUnderWay(heading)) return heading.by;
      const before = last.get(device);
      return before && before.until >= elapsed() ? before.by : undefined;
    },
  };
}
