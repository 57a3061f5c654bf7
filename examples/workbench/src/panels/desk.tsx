import { type FormEvent, useMemo, useState } from "react";
import { Button } from "react-aria-components";
import { desk, engine, talkAtDesk, useAnswer } from "../engine/engine.ts";
import type { DeskView, TurnView } from "../engine/views.ts";
import { Choice } from "../parts/choice.tsx";
import { House } from "../parts/house.tsx";
import { Listen } from "../parts/listen.tsx";
import { Sayable } from "../parts/sayable.tsx";
import { SuiteChoice, useSuite } from "../parts/suite-choice.tsx";
import { Why } from "../parts/why.tsx";
import { Words } from "../parts/words.tsx";
import { useBench } from "../work.tsx";

/** A Monday evening. */
const usualTime = "2026-03-02T18:05";

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
          <TurnShown turn={turn} said={saidIn(view.turns, place)} />
        ) : (
          <p className="empty">
            Say something to this home. Every word shows what it was taken for, and the house on the
            right does what was asked.
          </p>
        )}
        {view && view.turns.length > 0 && (
          <Turns view={view} shown={place} onShow={setChosen} time={time} />
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

const signs: Readonly<Record<string, string>> = {
  act: "✓",
  answer: "✓",
  confirm: "?",
  code: "#",
  offer: "?",
  ask: "?",
  unsure: "≟",
  refuse: "✗",
  unknown: "✗",
  passed: "⋯",
  cancelled: "–",
  locked: "⊘",
};

function TurnShown({ turn, said }: { turn: TurnView; said: string }) {
  const isSaid = turn.understood === turn.said.text;
  return (
    <article className="turn" aria-live="polite">
      {!isSaid && <p className="quiet">“{said}”, to:</p>}
      {isSaid && said !== turn.said.text ? (
        <p className="words">{said}</p>
      ) : (
        turn.words.length > 0 && <Words turn={turn} />
      )}
      <p className={`outcome ${turn.outcome}`}>
        <span aria-hidden="true">{signs[turn.outcome] ?? "·"}</span> <b>{turn.outcome}</b>{" "}
        <span className="told">{turn.told === turn.outcome ? "" : turn.told}</span>
      </p>
      {turn.reply !== "" && <p className="reply">“{turn.reply}”</p>}
      <Why turn={turn} />
    </article>
  );
}

/** Outcomes that ask something, which the next turn answers. */
const asking: ReadonlySet<string> = new Set(["confirm", "code", "offer", "ask", "unsure"]);

/** The turns that a turn answers, where it answers any. */
function leadingTo(turns: readonly TurnView[], index: number): readonly TurnView[] {
  let first = index;
  while (first > 0 && asking.has(turns[first - 1]?.outcome ?? "")) first--;
  return turns.slice(first, index);
}

/** What was said, but for what may be the code. */
function saidIn(turns: readonly TurnView[], index: number): string {
  const isCode = turns[index - 1]?.outcome === "code";
  return isCode ? "…" : (turns[index]?.said.text ?? "");
}

/** The conversation so far, what can be taken back, and what can be kept as a case. */
function Turns({
  view,
  shown,
  onShow,
  time,
}: {
  view: DeskView;
  shown: number;
  onShow: (index: number) => void;
  time: string;
}) {
  const bench = useBench();
  const { work, act } = bench;
  const suite = useSuite();
  const target = suite.path;
  const turn = view.turns[shown];
  const keep = async (): Promise<void> => {
    if (!turn) return;
    const { text: hear, at, language } = turn.said;
    const before = leadingTo(view.turns, shown).map(({ said: { text } }) => text);
    const said = { hear, before, language, ...(at === "" ? {} : { at }), time };
    const edit = await engine().addCase([...work.files], target, said);
    if (edit) await bench.edit([edit], `Added to ${target}: ${hear}`);
    else act({ deed: "tell", news: `${target} has no list of cases to add to.` });
  };
  return (
    <div className="turns">
      <h2>So far</h2>
      <ol>
        {view.turns.map((each, index) => (
          <li key={index}>
            <button
              type="button"
              aria-current={index === shown}
              onClick={() => {
                onShow(index);
              }}
            >
              <span className="said">{saidIn(view.turns, index)}</span>
              <span className={`outcome ${each.outcome}`}>
                <span aria-hidden="true">{signs[each.outcome] ?? "·"}</span> {each.outcome}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <div className="row">
        <Button
          className="button"
          onPress={() => {
            act({ deed: "undo" });
          }}
        >
          Undo
        </Button>
        <Button
          className="button"
          onPress={() => {
            act({ deed: "start over" });
          }}
        >
          Start over
        </Button>
        <Button
          className="button"
          onPress={() => {
            const said = { text: "a minute passes", at: "", language: "", wait: 60 };
            act({ deed: "say", said });
          }}
        >
          A minute passes
        </Button>
        {target !== "" && turn?.said.wait === undefined && (
          <span className="keep">
            <Button className="button" onPress={() => void keep()}>
              Add as a case
            </Button>
            <SuiteChoice label="to" suite={suite} />
          </span>
        )}
      </div>
    </div>
  );
}
