import { useState } from "react";
import {
  Button,
  Label,
  Slider,
  SliderOutput,
  SliderThumb,
  SliderTrack,
} from "react-aria-components";
import { engine, useAnswer } from "../engine/engine.ts";
import { type DayView, type Happens, plainDay } from "../engine/views.ts";
import { isDay } from "../files/sorts.ts";
import { Axis } from "../parts/axis.tsx";
import { House } from "../parts/house.tsx";
import { WhatIf } from "../parts/what-if.tsx";
import { clockOf, differencesOf, minuteOf, statesAt } from "../parts/moments.ts";
import { Choice } from "../parts/choice.tsx";
import { useBench } from "../work.tsx";

const noon = 12 * 60;

/** A simulated day, to go through from midnight to midnight. */
export default function Day() {
  const { work, act } = useBench();
  const written = work.files.filter(isDay);
  const [chosen, setChosen] = useState("");
  const [date, setDate] = useState("");
  const [minute, setMinute] = useState(noon);
  const [also, setAlso] = useState<readonly Happens[]>([]);
  const path = [...written.map((file) => file.path), plainDay].includes(chosen)
    ? chosen
    : (written[0]?.path ?? plainDay);
  const asWritten = useAnswer(
    () => engine().day([...work.files], { path, date, also: [] }),
    [work.files, path, date],
  );
  const withMore = useAnswer(
    () =>
      also.length === 0
        ? Promise.resolve(undefined)
        : engine().day([...work.files], { path, date, also: [...also] }),
    [work.files, path, date, also],
  );
  const day = withMore ?? asWritten;
  if (!day || !asWritten) return <p className="quiet waiting">Playing the day …</p>;
  const write = async (): Promise<void> => {
    const text = await engine().dayText([...work.files], path, [...also]);
    act({ deed: "write", path, text });
    act({ deed: "tell", news: `Written into ${path}.` });
    setAlso([]);
  };
  const isKept = work.files.some((file) => file.path === path);
  return (
    <div className="day">
      <div className="row">
        <Choice
          label="Day"
          value={path}
          options={[
            ...written.map((file) => ({ id: file.path, name: file.path })),
            { id: plainDay, name: "nobody says anything" },
          ]}
          onChoose={(id) => {
            setChosen(id);
            setAlso([]);
          }}
        />
        <label>
          on
          <input
            type="date"
            value={day.date}
            onChange={(event) => {
              setDate(event.target.value);
            }}
          />
        </label>
        <span className="quiet">
          {day.sunrise === undefined ? "" : `The sun rises at ${day.sunrise}`}
          {day.sunset === undefined ? "" : ` and sets at ${day.sunset}.`}
        </span>
      </div>
      <Axis
        day={day}
        before={withMore ? asWritten : undefined}
        minute={minute}
        onPick={setMinute}
      />
      <Slider
        className="scrub"
        minValue={0}
        maxValue={24 * 60 - 1}
        step={1}
        value={minute}
        onChange={setMinute}
      >
        <Label>Time</Label>
        <SliderTrack className="track">
          <SliderThumb className="thumb" />
        </SliderTrack>
        <SliderOutput>{clockOf(minute)}</SliderOutput>
      </Slider>
      <div className="day-below">
        <section className="happened" aria-label="What happened">
          <WhatIf
            day={day}
            minute={minute}
            also={also}
            onAdd={(happens) => {
              setAlso((all) => [...all, happens]);
            }}
            onRemove={(index) => {
              setAlso((all) => all.toSpliced(index, 1));
            }}
          />
          {also.length > 0 && (
            <div className="row">
              {isKept && (
                <Button className="button" onPress={() => void write()}>
                  Write it into the day
                </Button>
              )}
              {withMore && <Otherwise before={asWritten} after={withMore} />}
            </div>
          )}
          <Log day={day} minute={minute} onPick={setMinute} />
        </section>
        <section className="home" aria-label="The house at that time" tabIndex={0}>
          <House
            rooms={day.rooms}
            states={statesAt(day, minute)}
            changed={changedAt(day, minute)}
          />
        </section>
      </div>
    </div>
  );
}

/** Minutes for which a device counts as just changed. */
const justNow = 15;

function changedAt({ log, date }: DayView, minute: number): ReadonlySet<string> {
  return new Set(
    log.flatMap(({ time, event }) => {
      const at = minuteOf(time, date);
      const isNow = at <= minute && at > minute - justNow;
      return event.event === "changed" && isNow ? event.device : [];
    }),
  );
}

function Log({
  day,
  minute,
  onPick,
}: {
  day: DayView;
  minute: number;
  onPick: (minute: number) => void;
}) {
  const last = day.log.findLastIndex(({ time }) => minuteOf(time, day.date) <= minute);
  return (
    <ol className="log">
      {day.log.map(({ time, text, event }, index) => (
        <li key={index}>
          <button
            type="button"
            className={index > last ? "later" : ""}
            aria-current={index === last}
            onClick={() => {
              onPick(minuteOf(time, day.date));
            }}
          >
            <time>{time.slice(11, 16)}</time> <span className={`event ${event.event}`}>{text}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}

/** What is otherwise than in the day as it is written. */
function Otherwise({ before, after }: { before: DayView; after: DayView }) {
  const { added, gone } = differencesOf(before, after);
  if (added.length + gone.length === 0)
    return <p className="quiet">Nothing else would have happened.</p>;
  return (
    <ul className="otherwise" aria-label="What would have been otherwise">
      {added.map((each) => (
        <li key={`+${each}`}>
          <span className="sign good">＋</span> {each}
        </li>
      ))}
      {gone.map((each) => (
        <li key={`-${each}`}>
          <span className="sign bad">－</span> <del>{each}</del>
        </li>
      ))}
    </ul>
  );
}
