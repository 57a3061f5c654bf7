import { useState } from "react";
import { Button } from "react-aria-components";
import type { SoundAlike, SoundName } from "calm-phrase/mishearing";
import { listener, useAnswer } from "../engine/engine.ts";
import { type Listening, listenTo, useListening } from "../engine/listening.ts";
import type { ConfusionView, HomeFile } from "../engine/views.ts";
import { Choice } from "../parts/choice.tsx";
import { SoundTable, keyOf } from "../parts/sound-map.tsx";
import { Place } from "../parts/why.tsx";
import { useBench } from "../work.tsx";

/** Names by sound, and what phrases may be taken for. */
export default function Sound() {
  const { work } = useBench();
  const [language, setLanguage] = useState("");
  const [chosen, setChosen] = useState<SoundAlike>();
  const maps = useAnswer(() => listener().soundMaps([...work.files]), [work.files]);
  const listening = useListening(work.files, maps !== undefined);
  const map = maps?.find((each) => each.language === language) ?? maps?.[0];
  if (!maps || !map) return <p className="quiet waiting">Listening to the names …</p>;
  const pair = map.pairs.find((each) => chosen && isSamePair(each, chosen));
  return (
    <div className="sound">
      <section className="names" aria-label="Names by sound">
        <div className="row">
          <Choice
            label="Language"
            value={map.language}
            options={maps.map((each) => ({ id: each.language, name: each.language }))}
            onChoose={(id) => {
              setLanguage(id);
              setChosen(undefined);
            }}
          />
          <span className="quiet">
            0 sounds the same; 1 is one sound that is well apart from another
          </span>
        </div>
        {map.pairs.length === 0 ? (
          <p className="empty">No names in {map.language} sound alike.</p>
        ) : (
          <div className="scroll" tabIndex={0} role="region" aria-label="Map of names">
            <SoundTable map={map} chosen={pair} onChoose={setChosen} />
          </div>
        )}
        {map.more > 0 && (
          <p className="quiet">{map.more} pairs further apart are not on the map.</p>
        )}
      </section>
      <section className="confused" aria-label="What is confused">
        <Progress listening={listening} files={work.files} />
        {pair ? (
          <Pair
            pair={pair}
            found={listening.found}
            onLeave={() => {
              setChosen(undefined);
            }}
          />
        ) : (
          <Confusions found={listening.found?.filter((each) => each.language === map.language)} />
        )}
      </section>
    </div>
  );
}

function Progress({ listening, files }: { listening: Listening; files: readonly HomeFile[] }) {
  const { done, all, found } = listening;
  if (!found) {
    return (
      <p className="row" role="status">
        <progress value={done} max={Math.max(1, all)} aria-label="Phrases listened to" />
        <span className="quiet">{all === 0 ? "Listening …" : `${done} of ${all} phrases`}</span>
      </p>
    );
  }
  const unsafe = found.filter(({ verdict }) => verdict === "unsafe").length;
  return (
    <div className="row">
      <p className="counts" role="status">
        <b className={unsafe > 0 ? "bad" : "good"}>
          <span aria-hidden="true">{unsafe > 0 ? "✗" : "✓"}</span> {unsafe} unsafe
        </b>{" "}
        <span className="quiet">and {found.length - unsafe} wrong, in all languages</span>
      </p>
      {listening.files !== files && (
        <Button
          className="button"
          onPress={() => {
            listenTo(files);
          }}
        >
          The home has changed: listen again
        </Button>
      )}
    </div>
  );
}

/** Two names that sound alike, with what that leads to. */
function Pair({
  pair,
  found,
  onLeave,
}: {
  pair: SoundAlike;
  found: Listening["found"];
  onLeave: () => void;
}) {
  const numbers = useAnswer(() => listener().confusedIn(pair), [pair, found]);
  const confused = found?.filter(({ index }) => numbers?.includes(index));
  return (
    <>
      <h2>
        {pair.distance.toFixed(2)} apart{" "}
        <Button className="button small" onPress={onLeave}>
          All confusions
        </Button>
      </h2>
      <ul className="pair">
        {[pair.spoken, pair.taken].map((name) => (
          <li key={keyOf(name)}>
            <b className="said">{name.text}</b>{" "}
            <span className="quiet">
              {name.of} {name.id}
            </span>{" "}
            <NamePlace name={name} />
          </li>
        ))}
      </ul>
      {found && numbers && confused?.length === 0 ? (
        <p className="empty">No phrase takes one for the other and does something else then.</p>
      ) : (
        <Confusions found={confused} />
      )}
    </>
  );
}

function NamePlace({ name: { at } }: { name: SoundName }) {
  return at ? <Place at={at} /> : null;
}

/** Confusions that are listed at once. */
const mostListed = 30;

function Confusions({ found }: { found: readonly ConfusionView[] | undefined }) {
  if (!found) return null;
  return (
    <>
      <ul className="confusions">
        {found.slice(0, mostListed).map((each) => (
          <ConfusionItem key={each.index} confusion={each} />
        ))}
      </ul>
      {found.length > mostListed && (
        <p className="quiet">{found.length - mostListed} more are less likely to do harm.</p>
      )}
    </>
  );
}

function ConfusionItem({ confusion }: { confusion: ConfusionView }) {
  const { index, told, verdict, distance, why, phrases } = confusion;
  const [isTrying, setTrying] = useState(false);
  const [tried, setTried] = useState<readonly string[]>();
  const [worst] = phrases;
  if (!worst) return null;
  const attempt = (): void => {
    setTrying(true);
    void listener().remedies(index).then(setTried);
  };
  return (
    <li>
      <p>
        <span className={`tag ${verdict === "unsafe" ? "bad" : "warn"}`}>
          <span aria-hidden="true">{verdict === "unsafe" ? "✗" : "!"}</span> {verdict}
        </span>{" "}
        <span className="far">{distance.toFixed(2)}</span> <b>{told}</b>{" "}
        <span className="quiet">{why}</span>
      </p>
      <dl>
        <dt className="said">“{worst.spoken}”</dt>
        <dd>
          <code>{worst.effect}</code> {worst.at && <Place at={worst.at} />}
        </dd>
        <dt className="said">“{worst.taken}”</dt>
        <dd>
          <code>{worst.otherEffect}</code>
        </dd>
      </dl>
      {phrases.length > 1 && (
        <details>
          <summary>
            {phrases.length === 2 ? "1 more phrase" : `${phrases.length - 1} more phrases`}
          </summary>
          <ul>
            {phrases.slice(1).map(({ spoken, taken }) => (
              <li key={`${spoken} ${taken}`} className="said">
                “{spoken}” → “{taken}”
              </li>
            ))}
          </ul>
        </details>
      )}
      {!isTrying && (
        <Button className="button small" onPress={attempt}>
          Try what helps
        </Button>
      )}
      {isTrying && !tried && <p className="quiet">Trying …</p>}
      {tried?.length === 0 && <p className="quiet">Nothing that was tried helps.</p>}
      <ul className="remedies">
        {tried?.map((text) => (
          <li key={text}>
            <span className="good">try</span> {text}
          </li>
        ))}
      </ul>
    </li>
  );
}

function isSamePair(one: SoundAlike, other: SoundAlike): boolean {
  return keyOf(one.spoken) === keyOf(other.spoken) && keyOf(one.taken) === keyOf(other.taken);
}
