import type { ReadingWhy } from "calm-phrase";
import type { TurnView } from "../engine/views.ts";
import { useBench } from "../work.tsx";

/** All that led to an outcome: the reading that was kept, those that lost, and the rule that dropped each. */
export function Why({ turn }: { turn: TurnView }) {
  const { act } = useBench();
  const { readings, nearest, barred } = turn;
  const kept = readings.filter((reading) => reading.kept);
  const lost = readings.filter((reading) => !reading.kept);
  return (
    <div className="why">
      {kept.map((reading, index) => (
        <Reading key={index} reading={reading} />
      ))}
      {lost.length > 0 && (
        <details>
          <summary>
            {lost.length === 1 ? "1 reading was dropped" : `${lost.length} readings were dropped`}
          </summary>
          {lost.map((reading, index) => (
            <Reading key={index} reading={reading} />
          ))}
        </details>
      )}
      {barred.map(({ device, told, at }) => (
        <p key={device} className="reading lost">
          <span className="verdict">barred</span> <b>{device}</b> {told} <Place at={at} />
        </p>
      ))}
      {nearest.map((near, index) => (
        <div key={index} className="near">
          <p>
            {near.message} <Place at={near.at} />
          </p>
          {near.paste && (
            <>
              <p className="quiet">{near.paste.how}</p>
              <pre>{near.paste.yaml}</pre>
              <button
                type="button"
                className="button small"
                onClick={() => {
                  void navigator.clipboard.writeText(near.paste?.yaml ?? "").then(
                    () => {
                      act({ deed: "tell", news: "Copied." });
                    },
                    () => undefined,
                  );
                }}
              >
                Copy
              </button>
            </>
          )}
        </div>
      ))}
    </div>
  );
}

function Reading({ reading }: { reading: ReadingWhy }) {
  const { intent, pattern, kept, rule, slots, does, at } = reading;
  return (
    <div className={kept ? "reading kept" : "reading lost"}>
      <p>
        <span className="verdict">{kept ? "taken" : "dropped"}</span> <b>{intent}</b>{" "}
        <code className="pattern" title={pattern}>
          {shortened(pattern)}
        </code>{" "}
        <Place at={at} />
      </p>
      <p className="quiet">
        {slots.map(({ name, words, means }) => `$${name} “${words}”: ${means}`).join("; ")}
        {kept ? "" : ` · ${rule}`}
        {!kept && does !== undefined ? ` · would do ${does}` : ""}
      </p>
    </div>
  );
}

/** Letters of a pattern that are shown; those that ship are long. */
const mostLetters = 90;

function shortened(pattern: string): string {
  if (pattern.length <= mostLetters) return pattern;
  return `${pattern.slice(0, pattern.lastIndexOf(" ", mostLetters))} …`;
}

/** A place in the files, to go to. */
export function Place({ at }: { at: ReadingWhy["at"] }) {
  const { act, work } = useBench();
  const isOurs = at.line > 0 && work.files.some(({ path }) => path === at.file);
  if (!isOurs) return <span className="place quiet">ships</span>;
  return (
    <button
      type="button"
      className="place"
      onClick={() => {
        act({ deed: "go", goal: at });
      }}
    >
      {at.file}:{at.line}
    </button>
  );
}
