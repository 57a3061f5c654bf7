import { Button } from "react-aria-components";
import { engine } from "../engine/engine.ts";
import type { DeskView, TurnView } from "../engine/views.ts";
import { useBench } from "../work.tsx";
import { SuiteChoice, useSuite } from "./suite-choice.tsx";
import { Why } from "./why.tsx";
import { Words } from "./words.tsx";

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

/** A turn of the conversation, and the conversation so far. */
export default function Talked(shown: Shown) {
  const { view, shown: place } = shown;
  const turn = view.turns[place];
  return (
    <>
      {turn && <TurnShown turn={turn} said={saidIn(view.turns, place)} />}
      <Turns {...shown} />
    </>
  );
}

/** What was said, and which turn of it is shown. */
interface Shown {
  view: DeskView;
  shown: number;
  onShow: (index: number) => void;
  time: string;
}

/** The conversation so far, what can be taken back, and what can be kept as a case. */
function Turns({ view, shown, onShow, time }: Shown) {
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
