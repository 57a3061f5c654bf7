import { memo } from "react";
import type { State, Value } from "calm-phrase";
import type { DeviceView, RoomView, States } from "../engine/views.ts";

const guards = {
  confirm: { sign: "?", told: "asks before it acts" },
  code: { sign: "#", told: "asks for the code" },
  barred: { sign: "⊘", told: "never by voice" },
} as const;

/** The house by rooms, with what each device is at. */
export const House = memo(function House({
  rooms,
  states,
  changed,
  failed = noDevices,
  speaker,
}: {
  rooms: readonly RoomView[];
  states: States;
  changed: ReadonlySet<string>;
  failed?: ReadonlySet<string>;
  speaker?: string | undefined;
}) {
  return (
    <div className="house">
      {rooms.map(({ id, name, devices }) => (
        <section key={id} className={id === speaker ? "room speaker" : "room"} aria-label={name}>
          <h3>
            {name}
            {id === speaker && <small> speaking here</small>}
          </h3>
          <ul>
            {devices.map((device) => (
              <Device
                key={device.id}
                device={device}
                state={states[device.id] ?? nothing}
                isChanged={changed.has(device.id)}
                isFailed={failed.has(device.id)}
              />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
});

const noDevices: ReadonlySet<string> = new Set();

const nothing: State = {};

/** Drawn anew only when its state is another. */
const Device = memo(function Device({
  device: { id, name, voice },
  state,
  isChanged,
  isFailed,
}: Drawn) {
  const guard = voice === "free" ? undefined : guards[voice];
  const isOn = state["power"] === "on" || state["power"] === true;
  const values = Object.entries(state)
    .filter(([property, value]) => !(property !== "power" && value === ""))
    .slice(0, mostValues)
    .map(([property, value]) => told(property, value));
  const states = [isOn ? "on" : "", isChanged ? "changed" : "", isFailed ? "failed" : ""];
  return (
    <li className={`device ${states.join(" ")}`} id={`device-${id}`}>
      <span className="name">
        {isChanged && (
          <span className="mark" title="changed">
            ◆{" "}
          </span>
        )}
        {isFailed && (
          <span className="mark bad" title="did not answer">
            ✗{" "}
          </span>
        )}
        {name}
        {guard && (
          <abbr className="guard" title={guard.told}>
            {guard.sign}
          </abbr>
        )}
      </span>
      <span className="values">{values.join(" · ")}</span>
    </li>
  );
}, isAlike);

interface Drawn {
  device: DeviceView;
  state: State;
  isChanged: boolean;
  isFailed: boolean;
}

function isAlike(one: Drawn, other: Drawn): boolean {
  const properties = Object.keys(other.state);
  return (
    one.device.id === other.device.id &&
    one.device.name === other.device.name &&
    one.device.voice === other.device.voice &&
    one.isChanged === other.isChanged &&
    one.isFailed === other.isFailed &&
    properties.length === Object.keys(one.state).length &&
    properties.every((name) => one.state[name] === other.state[name])
  );
}

function told(property: string, value: Value): string {
  if (property === "power") return String(value);
  if (typeof value === "boolean") return value ? property : `not ${property}`;
  return `${property} ${value}`;
}

/** Values that are shown of one device. */
const mostValues = 3;
