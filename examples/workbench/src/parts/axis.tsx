import type { DayView } from "../engine/views.ts";
import { type Row, clockOf, differencesOf, rowsOf } from "./moments.ts";

const dayLength = 24 * 60;
const share = (minute: number): string => `${(100 * Math.min(minute, dayLength)) / dayLength}%`;

/** A day on an axis: sun, people, what was said, routines, and devices that changed. */
export function Axis({
  day,
  before,
  minute,
  onPick,
}: {
  day: DayView;
  before: DayView | undefined;
  minute: number;
  onPick: (minute: number) => void;
}) {
  const rows = rowsOf(day);
  const fresh = before
    ? new Set(differencesOf(before, day).added.map((line) => line.slice(6)))
    : none;
  const sun = (clock: string | undefined, otherwise: number): number =>
    clock === undefined ? otherwise : Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));
  const [rise, set] = [sun(day.sunrise, 0), sun(day.sunset, dayLength)];
  return (
    <div className="axis" role="group" aria-label={`The day ${day.name}`}>
      <div className="axis-row hours" aria-hidden="true">
        <span className="label" />
        <span className="line">
          {[0, 3, 6, 9, 12, 15, 18, 21].map((hour) => (
            <span key={hour} className="hour" style={{ left: share(hour * 60) }}>
              {hour}
            </span>
          ))}
        </span>
      </div>
      <div className="axis-row sun">
        <span className="label">sun</span>
        <span
          className="line"
          role="img"
          aria-label={`light from ${clockOf(rise)} to ${clockOf(set)}`}
        >
          <span className="bar" style={{ left: share(rise), width: share(set - rise) }} />
        </span>
      </div>
      {rows.map((row) => (
        <AxisRow key={`${row.sort} ${row.name}`} row={row} fresh={fresh} onPick={onPick} />
      ))}
      <div className="axis-row now" aria-hidden="true">
        <span className="label" />
        <span className="line">
          <span className="needle" style={{ left: share(minute) }} />
        </span>
      </div>
    </div>
  );
}

const none: ReadonlySet<string> = new Set();

function AxisRow({
  row,
  fresh,
  onPick,
}: {
  row: Row;
  fresh: ReadonlySet<string>;
  onPick: (minute: number) => void;
}) {
  return (
    <div className={`axis-row row-${row.sort}`}>
      <span className="label" title={row.name}>
        {row.name}
      </span>
      <span className="line">
        {row.bars.map(({ from, to, told }, index) => (
          <span
            key={index}
            className="bar"
            title={`${clockOf(from)}–${clockOf(to)} ${told}`}
            style={{ left: share(from), width: share(Math.max(to - from, 4)) }}
          />
        ))}
        {row.ticks.map(({ at, told }, index) => (
          <button
            key={index}
            type="button"
            tabIndex={-1}
            className={fresh.has(told) ? "tick fresh" : "tick"}
            title={`${clockOf(at)} ${told}`}
            aria-label={`${clockOf(at)} ${told}`}
            style={{ left: share(at) }}
            onClick={() => {
              onPick(Math.floor(at));
            }}
          />
        ))}
      </span>
    </div>
  );
}
