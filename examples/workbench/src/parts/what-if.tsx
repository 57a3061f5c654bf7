import { type FormEvent, useState } from "react";
import { Button } from "react-aria-components";
import type { DayView, Happens } from "../engine/views.ts";
import { Choice } from "./choice.tsx";
import { clockOf } from "./moments.ts";

const misbehaving = ["offline", "fails once", "behaves"] as const;

/** Sensor values and faults set by hand, and what would come of them. */
export function WhatIf({
  day,
  minute,
  also,
  onAdd,
  onRemove,
}: {
  day: DayView;
  minute: number;
  also: readonly Happens[];
  onAdd: (happens: Happens) => void;
  onRemove: (index: number) => void;
}) {
  const devices = day.rooms.flatMap((room) => room.devices);
  const [chosen, setChosen] = useState("");
  const device = devices.find(({ id }) => id === chosen) ?? devices[0];
  const properties = Object.keys(day.start[device?.id ?? ""] ?? {});
  const [what, setWhat] = useState("");
  const [value, setValue] = useState("");
  const options = [
    ...properties.map((id) => ({ id, name: id })),
    ...misbehaving.map((id) => ({ id, name: id })),
  ];
  const property = options.some(({ id }) => id === what) ? what : (options[0]?.id ?? "");
  const isFault = misbehaving.some((each) => each === property);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (!device) return;
    const time = clockOf(minute);
    if (isFault) {
      onAdd({ time, faults: { [device.id]: property } });
      return;
    }
    const number = Number(value);
    const isNumber = value.trim() !== "" && Number.isFinite(number);
    const held =
      value === "true" || value === "false" ? value === "true" : isNumber ? number : value;
    onAdd({ time, set: { [device.id]: { [property]: held } } });
  };
  return (
    <form className="what-if" onSubmit={submit}>
      <h2>What if, at {clockOf(minute)},</h2>
      <div className="row">
        <Choice
          label="the"
          value={device?.id ?? ""}
          options={devices.map(({ id }) => ({ id, name: id }))}
          onChoose={setChosen}
        />
        <Choice label="has" value={property} options={options} onChoose={setWhat} />
        {!isFault && (
          <label>
            at
            <input
              className="value"
              value={value}
              onChange={(event) => {
                setValue(event.target.value);
              }}
            />
          </label>
        )}
        <Button type="submit" className="button">
          See
        </Button>
      </div>
      {also.length > 0 && (
        <ul className="also">
          {also.map(({ time, set, faults }, index) => (
            <li key={index}>
              <time>{time}</time> <code>{JSON.stringify(set ?? faults)}</code>{" "}
              <Button
                className="button small"
                aria-label={`Without what happens at ${time}`}
                onPress={() => {
                  onRemove(index);
                }}
              >
                Without
              </Button>
            </li>
          ))}
        </ul>
      )}
      {day.problems.map((problem, index) => (
        <p key={index} className="bad" role="alert">
          {problem.message}: {problem.fix}
        </p>
      ))}
    </form>
  );
}
