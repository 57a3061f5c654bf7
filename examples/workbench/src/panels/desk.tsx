import { type FormEvent, Suspense, lazy, useMemo, useState } from "react";
import { Button } from "react-aria-components";
import { desk, talkAtDesk, useAnswer } from "../engine/engine.ts";
import { Choice } from "../parts/choice.tsx";
import { House } from "../parts/house.tsx";
import { Listen } from "../parts/listen.tsx";
import { Sayable } from "../parts/sayable.tsx";
import { useBench } from "../work.tsx";

/** Nothing of it is there before something was said. */
const Talked = lazy(() => import("../parts/talked.tsx"));

/** A Monday evening. */
const usualTime = "2026-03-02T18:05";

const empty = (
  <p className="empty">
    Say something to this home. Every word shows what it was taken for, and the house on the right
    does what was asked.
  </p>
);

/** Where phrases are tried: what each comes to, why, and what the house does. */
export function Desk() {
  const { work, act } = useBench();
  const [phrase, setPhrase] = useState("");
  const [at, setAt] = useState("");
  const [language, setLanguage] = useState("");
  const [time, setTime] = useState(usualTime);
  const [chosen, setChosen] = useState<number>();
  const [back, setBack] = useState(0);
  const house = useAnswer(() => desk.atHome([...work.files]), [work.files]);
  const view = useAnswer(
    () => talkAtDesk(work.files, work.turns, time),
    [work.files, work.turns, time],
    "phrase",
  );
  const place = chosen ?? (view?.turns.length ?? 0) - 1;
  const turn = view?.turns[place];
  // The house is drawn anew only for another turn.
  const changed = useMemo(() => new Set(turn?.changed), [turn]);
  const failed = useMemo(() => new Set(turn?.failed), [turn]);
  const voicepoint = at === "" ? (house?.voicepoints[0]?.id ?? "") : at;
  const spoken = language === "" ? (house?.languages[0] ?? "en") : language;

  const say = (text: string): void => {
    if (text.trim() === "") return;
    act({ deed: "say", said: { text, at: voicepoint, language: spoken } });
    setPhrase(text);
    setChosen(undefined);
    setBack(0);
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    say(phrase);
  };
  /** Goes through what was said before. */
  const recall = (by: number): void => {
    const next = Math.min(Math.max(back + by, 0), work.turns.length);
    setBack(next);
    setPhrase(next === 0 ? "" : (work.turns.at(-next)?.text ?? ""));
  };
  const room = house?.voicepoints.find(({ id }) => id === voicepoint)?.room;
  return (
    <div className="desk">
      <section className="talk" aria-label="Conversation">
        <form className="say" onSubmit={submit}>
          <label htmlFor="phrase">Say</label>
          <input
            id="phrase"
            value={phrase}
            placeholder="extractor to sixty percent"
            autoComplete="off"
            spellCheck={false}
            onChange={(event) => {
              setPhrase(event.target.value);
            }}
            onKeyDown={(event) => {
              if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
              event.preventDefault();
              recall(event.key === "ArrowUp" ? 1 : -1);
            }}
          />
          <Button type="submit" className="button main">
            Say it
          </Button>
          <Sayable language={spoken} onPick={say} />
          <Listen language={spoken} onHeard={say} />
        </form>
        <div className="setting">
          <Choice
            label="at"
            value={voicepoint}
            options={(house?.voicepoints ?? []).map(({ id, room: where }) => {
              return { id, name: `${id} (${where})` };
            })}
            onChoose={setAt}
          />
          <Choice
            label="in"
            value={spoken}
            options={(house?.languages ?? []).map((id) => ({ id, name: id }))}
            onChoose={setLanguage}
          />
          <label>
            from
            <input
              type="datetime-local"
              value={time}
              onChange={(event) => {
                if (event.target.value !== "") setTime(event.target.value);
              }}
            />
          </label>
        </div>
        {view && turn ? (
          <Suspense fallback={empty}>
            <Talked view={view} shown={place} onShow={setChosen} time={time} />
          </Suspense>
        ) : (
          empty
        )}
      </section>
      <section className="home" aria-label="The house" tabIndex={0}>
        {view && house && (
          <House
            rooms={house.rooms}
            states={view.states}
            changed={changed}
            failed={failed}
            speaker={room}
          />
        )}
      </section>
    </div>
  );
}
