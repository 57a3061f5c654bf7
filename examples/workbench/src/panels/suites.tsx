import { useState } from "react";
import { Button, Input, Label, SearchField } from "react-aria-components";
import { engine, useAnswer } from "../engine/engine.ts";
import type { RunView, SuggestionView } from "../engine/views.ts";
import { SuiteChoice, useSuite } from "../parts/suite-choice.tsx";
import { Choice } from "../parts/choice.tsx";
import { Place } from "../parts/why.tsx";
import { useBench } from "../work.tsx";

/** All suites, run whenever anything changes. */
export default function Suites() {
  const { work, act } = useBench();
  const [text, setText] = useState("");
  const [verdict, setVerdict] = useState("all");
  const [kept, setKept] = useState(0);
  const run = useAnswer(() => engine().run([...work.files]), [work.files, kept]);
  if (!run) return <p className="quiet waiting">Running the suites …</p>;
  const wanted = text.toLowerCase();
  const keep = async (): Promise<void> => {
    const count = await engine().keepRun([...work.files]);
    setKept((before) => before + 1);
    act({ deed: "tell", news: `Kept what ${count} cases come to.` });
  };
  const suites = run.suites
    .map((suite) => ({
      ...suite,
      cases: suite.cases.filter(
        (each) =>
          (verdict === "all" || each.verdict === verdict) &&
          `${each.phrase} ${suite.suite} ${each.language} ${each.at}`
            .toLowerCase()
            .includes(wanted),
      ),
    }))
    .filter(({ cases }) => cases.length > 0);
  return (
    <div className="suites">
      <section className="cases" aria-label="Cases">
        <Counts run={run} />
        <div className="row">
          <SearchField className="search" value={text} onChange={setText}>
            <Label>Cases with</Label>
            <Input placeholder="a word, a suite, a language" />
          </SearchField>
          <Choice
            label="that"
            value={verdict}
            options={[
              { id: "all", name: "are there" },
              { id: "passed", name: "passed" },
              { id: "failed", name: "failed" },
              { id: "left out", name: "were left out" },
            ]}
            onChoose={setVerdict}
          />
          <Button className="button" onPress={() => void keep()}>
            Keep this run
          </Button>
        </div>
        {run.failures.map((failure) => (
          <article
            key={`${failure.at.file}:${failure.at.line}:${failure.phrase}`}
            className="failure"
          >
            <p>
              <span aria-hidden="true">✗</span> <b className="said">{failure.phrase}</b>{" "}
              <Place at={failure.at} />
            </p>
            <pre tabIndex={0}>{failure.text}</pre>
          </article>
        ))}
        {run.changes && <Changes run={run} />}
        {suites.map((suite) => (
          <details key={suite.file} className="suite" open={wanted !== ""}>
            <summary>
              <span aria-hidden="true">{suite.passed === suite.all ? "✓" : "✗"}</span> {suite.suite}{" "}
              <span className="quiet">
                {suite.passed} of {suite.all}
              </span>
            </summary>
            <ul>
              {suite.cases.slice(0, mostCases).map((each, index) => (
                <li key={index}>
                  <span
                    className={each.verdict === "failed" ? "bad" : "good"}
                    aria-label={each.verdict}
                  >
                    {each.verdict === "failed" ? "✗" : each.verdict === "passed" ? "✓" : "–"}
                  </span>{" "}
                  <span className="said">{each.phrase}</span>{" "}
                  <span className="quiet">
                    {each.language}
                    {each.at === "" ? "" : `, ${each.at}`}
                  </span>{" "}
                  <Place at={each.position} />
                </li>
              ))}
            </ul>
          </details>
        ))}
      </section>
      <section className="coverage" aria-label="Coverage">
        <h2>
          Coverage <small>{run.percent.toFixed(run.percent === 100 ? 0 : 1)} %</small>
        </h2>
        <table>
          <tbody>
            {run.shares.map(({ of, touched, all }) => (
              <tr key={of}>
                <th scope="row">{of}</th>
                <td>
                  <progress value={touched} max={all} aria-label={`${of} touched`} />
                </td>
                <td>
                  {touched} of {all}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <Untouched run={run} />
        <Suggestions />
      </section>
    </div>
  );
}

/** Cases of one suite that are listed at once. */
const mostCases = 200;

function Counts({ run }: { run: RunView }) {
  const all = run.passed + run.failed + run.skipped;
  return (
    <p className="counts" role="status">
      <b className={run.failed === 0 ? "good" : "bad"}>
        <span aria-hidden="true">{run.failed === 0 ? "✓" : "✗"}</span>{" "}
        {run.failed === 0 ? `${run.passed} passed` : `${run.failed} failed`}
      </b>{" "}
      <span className="quiet">
        of {all} cases in {Math.round(run.took)} ms
        {run.skipped > 0 ? `, ${run.skipped} left out` : ""}
      </span>
    </p>
  );
}

function Changes({ run }: { run: RunView }) {
  const changes = run.changes ?? [];
  return (
    <section className="changes" aria-label="Compared with the run that was kept">
      <h2>
        {changes.length === 0
          ? "Nothing is otherwise than in the run that was kept"
          : `${changes.length} otherwise than in the run that was kept`}
      </h2>
      <ul>
        {changes.slice(0, mostCases).map(({ sort, before, after }, index) => (
          <li key={index}>
            <span className="tag">{sort}</span>{" "}
            <span className="said">{(after ?? before)?.phrase}</span>
            <p className="quiet">
              {before ? told(before) : "not there"} → {after ? told(after) : "gone"}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}

type Told = NonNullable<NonNullable<RunView["changes"]>[number]["before"]>;

function told({ verdict, deeds, replies }: Told): string {
  const said = replies.map((reply) => `“${reply}”`);
  return [verdict, ...deeds.map(({ what }) => what), ...said].join(", ");
}

function Untouched({ run }: { run: RunView }) {
  if (run.untouched.length === 0)
    return <p className="quiet">Cases touch every part of the phrasebook.</p>;
  return (
    <ul className="untouched-list">
      {run.untouched.slice(0, mostCases).map((part, index) => (
        <li key={index}>
          <span className="tag">{part.sort}</span> {part.of} {part.what} <Place at={part.at} />
        </li>
      ))}
    </ul>
  );
}

/** Cases for what no case touches, accepted one by one. */
function Suggestions() {
  const bench = useBench();
  const { work, act } = bench;
  const [all, setAll] = useState<readonly SuggestionView[]>();
  const suite = useSuite();
  const target = suite.path;
  const accept = async ({ written, text }: SuggestionView): Promise<void> => {
    const edit = await engine().addWritten([...work.files], target, written);
    if (!edit) {
      act({ deed: "tell", news: `${target} has no list of cases to add to.` });
      return;
    }
    await bench.edit([edit], `Added to ${target}.`);
    setAll((before) => before?.filter((each) => each.text !== text));
  };
  return (
    <section aria-label="Suggestions">
      <div className="row">
        <Button
          className="button"
          onPress={() =>
            void engine()
              .suggestions([...work.files])
              .then(setAll)
          }
        >
          Suggest cases
        </Button>
        {target !== "" && <SuiteChoice label="into" suite={suite} />}
      </div>
      {all?.length === 0 && <p className="quiet">There is nothing left to suggest.</p>}
      <ul className="suggestions">
        {all?.map((each) => (
          <li key={each.text}>
            <code>{each.text}</code>
            <Button className="button small" onPress={() => void accept(each)}>
              Accept
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
