import type { Phrasebook } from "../../phrasebook/model.ts";
import { type State, type Value, landed } from "../../model/property.ts";
import type { Clock } from "../ports.ts";

/** What is on its way to values that it does not have yet. */
export interface Movements {
  /** Begins to move, in place of whatever the device was moving to. */
  begin: (device: string, values: State, takes: number) => void;
  /** Ends the way of some properties, which have another value at once. */
  end: (device: string, properties: readonly string[]) => void;
  /** Stops a device where it is: the values that it has then. */
  stop: (device: string) => State;
  /** Seconds until everything has arrived. */
  left: () => number;
}

interface Movement {
  from: Value | undefined;
  to: Value;
  began: number;
  arrives: number;
  cancel: () => void;
}

/** @param arrived Told what a device has come to. */
export function createMovements(
  book: Phrasebook,
  clock: Clock,
  state: (device: string) => State,
  arrived: (device: string, values: State) => void,
): Movements {
  const { elapsed } = clock;
  const underWay = new Map<string, Map<string, Movement>>();

  const end: Movements["end"] = (device, properties) => {
    const moving = underWay.get(device);
    for (const property of moving ? properties : []) {
      moving?.get(property)?.cancel();
      moving?.delete(property);
    }
    if (moving?.size === 0) underWay.delete(device);
  };

  return {
    end,
    begin(device, values, takes) {
      end(device, Object.keys(values));
      const moving = underWay.get(device) ?? new Map<string, Movement>();
      underWay.set(device, moving);
      const [began, arrives] = [elapsed(), elapsed() + takes];
      // What was ordered together arrives together.
      let left = Object.keys(values);
      const cancel = clock.at(arrives, () => {
        const reached: Record<string, Value> = {};
        for (const property of left) {
          const value = values[property];
          if (value !== undefined) reached[property] = value;
        }
        end(device, left);
        arrived(device, reached);
      });
      for (const [property, to] of Object.entries(values)) {
        const from = state(device)[property];
        moving.set(property, {
          from,
          to,
          began,
          arrives,
          cancel: () => {
            left = left.filter((each) => each !== property);
            if (left.length === 0) cancel();
          },
        });
      }
    },
    stop(device) {
      const moving = underWay.get(device);
      if (!moving) return {};
      const reached: Record<string, Value> = {};
      for (const [property, { from, to, began, arrives }] of moving) {
        const schema = book.devices.get(device)?.properties.get(property);
        if (!schema || typeof from !== "number" || typeof to !== "number") continue;
        const part = (elapsed() - began) / (arrives - began);
        reached[property] = landed(schema, from + (to - from) * part);
      }
      end(device, [...moving.keys()]);
      return reached;
    },
    left() {
      let last = elapsed();
      for (const moving of underWay.values()) {
        for (const { arrives } of moving.values()) last = Math.max(last, arrives);
      }
      return last - elapsed();
    },
  };
}
