import { Button, Dialog, DialogTrigger, Popover } from "react-aria-components";
import { engine, useAnswer } from "../engine/engine.ts";
import { useBench } from "../work.tsx";

/** What can be said to this home, to be picked. */
export function Sayable({
  language,
  onPick,
}: {
  language: string;
  onPick: (phrase: string) => void;
}) {
  return (
    <DialogTrigger>
      <Button className="button" aria-label="Pick a phrase">
        Pick <span aria-hidden="true">▾</span>
      </Button>
      <Popover className="popover">
        <Dialog className="sayable" aria-label="What can be said">
          {({ close }) => (
            <SayableList
              language={language}
              onPick={(phrase) => {
                onPick(phrase);
                close();
              }}
            />
          )}
        </Dialog>
      </Popover>
    </DialogTrigger>
  );
}

function SayableList({ language, onPick }: { language: string; onPick: (phrase: string) => void }) {
  const { work } = useBench();
  const all = useAnswer(() => engine().sayable([...work.files], language), [work.files, language]);
  if (!all) return <p className="quiet">One moment …</p>;
  return (
    <>
      {all.map(({ id, name, phrases, questions }) => (
        <section key={id}>
          <h3>{name}</h3>
          {phrases.length + questions.length === 0 && <p className="quiet">nothing by voice</p>}
          <ul>
            {[...phrases, ...questions].map((phrase) => (
              <li key={phrase}>
                <button
                  type="button"
                  onClick={() => {
                    onPick(phrase);
                  }}
                >
                  {phrase}
                </button>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
