import { useState } from "react";
import {
  Button,
  ToggleButton,
  Dialog,
  Heading,
  Input,
  Label,
  Modal,
  ModalOverlay,
  TextField,
} from "react-aria-components";
import type { Finding } from "calm-phrase";
import type { Stretch } from "calm-phrase/edits";
import { type Asked, Editor } from "../editor/editor.tsx";
import type { Untouched } from "../editor/marks.ts";
import type { Point } from "../editor/places.ts";
import { engine, useAnswer } from "../engine/engine.ts";
import type { HomeFile, RunView } from "../engine/views.ts";
import { useFindings } from "../findings.tsx";
import { useSettled } from "../settled.ts";
import { changedFiles, useBench } from "../work.tsx";

const nothingFound: readonly Finding[] = [];
const allTouched: readonly Untouched[] = [];

/** The files of a home, written with help. */
export default function Phrasebook() {
  const { work, act, edit } = useBench();
  const { files, goal } = work;
  const [here, setHere] = useState<Point>({ line: 1, column: 1 });
  const [uses, setUses] = useState<readonly Stretch[]>();
  const [renaming, setRenaming] = useState<Point>();
  const file = files.find(({ path }) => path === goal.file) ?? files[0];
  const found = useFindings() ?? nothingFound;
  const [calmFiles, calmHere] = [useSettled(files), useSettled(here)];
  const [isPainted, setPainted] = useState(false);
  const run = useAnswer(
    () => (isPainted ? engine().run([...calmFiles]) : Promise.resolve(undefined)),
    [calmFiles, isPainted],
  );
  const listed = found.slice(0, mostFindings);
  const calmFound = useSettled(found);
  const mended = useAnswer(async () => {
    const ways = await engine().fixes([...files], calmFound.slice(0, mostFindings));
    return { of: calmFound, ways };
  }, [calmFound]);
  // Ways to mend what was found before are none for what is found now.
  const ways = mended?.of === found ? mended.ways : undefined;
  const told = useAnswer(
    () => engine().explain([...calmFiles], { file: file?.path ?? "", ...calmHere }),
    [calmFiles, file?.path, calmHere],
  );
  if (!file)
    return <p className="empty">There are no files. Open the demo, or drop a folder here.</p>;
  const { path } = file;
  const own = found.filter(({ at }) => at.file === path);
  const untouched = isPainted && run ? missedIn(run, path) : allTouched;
  const changed = new Set(changedFiles(work));
  const placeOf = (point: Point) => ({ file: path, ...point });

  const mend = async (finding: Finding | undefined): Promise<void> => {
    const [ways = []] = finding ? await engine().fixes([...files], [finding]) : [];
    const [fix] = ways;
    if (fix) await edit(fix.edits, `Mended: ${fix.title}.`);
    else act({ deed: "tell", news: "Only you can know what is meant here." });
  };
  const ask = async (asked: Asked, point: Point): Promise<void> => {
    const place = placeOf(point);
    switch (asked) {
      case "definition": {
        const [at] = await engine().definitions([...files], place);
        if (at) act({ deed: "go", goal: { file: at.file, ...at.start } });
        else act({ deed: "tell", news: "It ships with Calm Phrase, or nothing is meant here." });
        return;
      }
      case "uses":
        setUses(await engine().uses([...files], place));
        return;
      case "rename":
        setRenaming(point);
        return;
      case "fix":
        await mend(
          own.find(({ at }) => at.line === point.line && at.column <= point.column + 1) ??
            own.find(({ at }) => at.line === point.line),
        );
        return;
      case "explain":
        setHere({ ...point });
    }
  };
  return (
    <div className="phrasebook">
      <nav className="files" aria-label="Files">
        <ul>
          {[...files].sort(byFolder).map((each, index, all) => {
            const folder = folderOf(each.path);
            const isFirst = folder !== "" && folder !== folderOf(all[index - 1]?.path ?? "");
            const count = found.filter(({ at }) => at.file === each.path).length;
            return (
              <li key={each.path}>
                {isFirst && <span className="folder">{folder}</span>}
                <button
                  type="button"
                  aria-current={each.path === path}
                  onClick={() => {
                    act({ deed: "go", goal: { file: each.path, line: 1, column: 1 } });
                  }}
                >
                  {each.path.slice(folder.length)}
                  {changed.has(each.path) && <span className="unsaved"> ●</span>}
                  {count > 0 && <span className="count"> {count}</span>}
                </button>
              </li>
            );
          })}
        </ul>
        <NewFile />
        <p className="paint">
          <ToggleButton className="button small" isSelected={isPainted} onChange={setPainted}>
            {isPainted ? "✓ " : ""}Show what no case touches
          </ToggleButton>
        </p>
      </nav>
      <Editor
        key={path}
        file={file}
        files={files}
        found={own}
        untouched={untouched}
        goal={goal}
        onWrite={(text) => {
          act({ deed: "write", path, text });
        }}
        onAsk={(asked, point) => void ask(asked, point)}
        onMove={setHere}
      />
      <aside className="beside" aria-label="What stands here">
        <section aria-label="Here">
          <h2>Here</h2>
          {told ? (
            <div className="here">
              <p>
                <b>{told.title}</b>
              </p>
              {told.drawn !== undefined && (
                <div
                  className="drawn"
                  dangerouslySetInnerHTML={{ __html: told.drawn }}
                  tabIndex={0}
                />
              )}
              <ul>
                {told.lines.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
              {told.entity && (
                <div className="row">
                  <Button className="button small" onPress={() => void ask("definition", here)}>
                    Defined
                  </Button>
                  <Button className="button small" onPress={() => void ask("uses", here)}>
                    Uses
                  </Button>
                  <Button
                    className="button small"
                    onPress={() => {
                      setRenaming(here);
                    }}
                  >
                    Another id …
                  </Button>
                </div>
              )}
            </div>
          ) : (
            <p className="quiet">Put the cursor on an id, a name or a pattern.</p>
          )}
        </section>
        {uses && (
          <section aria-label="Uses">
            <h2>
              Used in {uses.length} {uses.length === 1 ? "place" : "places"}
            </h2>
            <ul className="places">
              {uses.map(({ file: where, start }) => (
                <li key={`${where}:${start.line}:${start.column}`}>
                  <button
                    type="button"
                    className="place"
                    onClick={() => {
                      act({ deed: "go", goal: { file: where, ...start } });
                    }}
                  >
                    {where}:{start.line}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <section aria-label="Findings">
          <h2>{found.length === 0 ? "Nothing wrong" : "Findings"}</h2>
          <ul className="findings">
            {listed.map((finding, index) => (
              <li key={index} className={finding.severity}>
                <p>
                  <span aria-hidden="true">{finding.severity === "error" ? "✗" : "!"}</span>{" "}
                  {finding.message}{" "}
                  <button
                    type="button"
                    className="place"
                    onClick={() => {
                      act({ deed: "go", goal: finding.at });
                    }}
                  >
                    {finding.at.file}:{finding.at.line}
                  </button>
                </p>
                {(ways?.[index] ?? []).length === 0 && finding.fix !== undefined && (
                  <p className="quiet">{finding.fix}</p>
                )}
                <div className="row">
                  {ways?.[index]?.map((fix) => (
                    <Button
                      key={fix.title}
                      className="button small"
                      onPress={() => {
                        void edit(fix.edits, `Mended: ${fix.title}.`);
                      }}
                    >
                      {fix.title}
                    </Button>
                  ))}
                </div>
              </li>
            ))}
          </ul>
        </section>
      </aside>
      {renaming && (
        <Rename
          path={path}
          point={renaming}
          onClose={() => {
            setRenaming(undefined);
          }}
        />
      )}
    </div>
  );
}

/** A file more; what it is shows by its name. */
function NewFile() {
  const { act } = useBench();
  const [path, setPath] = useState("");
  return (
    <form
      className="new-file"
      onSubmit={(event) => {
        event.preventDefault();
        const name = path.trim();
        if (name === "") return;
        act({ deed: "add file", path: /\.ya?ml$/u.test(name) ? name : `${name}.yaml` });
        setPath("");
      }}
    >
      <input
        aria-label="New file"
        placeholder="new.suite.yaml"
        value={path}
        onChange={(event) => {
          setPath(event.target.value);
        }}
      />
      <Button type="submit" className="button small">
        Add
      </Button>
    </form>
  );
}

function folderOf(path: string): string {
  return path.slice(0, path.lastIndexOf("/") + 1);
}

/** The files of the home itself first, then each folder. */
function byFolder(one: HomeFile, other: HomeFile): number {
  const [here, there] = [folderOf(one.path), folderOf(other.path)];
  return here === there ? compare(one.path, other.path) : compare(here, there);
}

function compare(one: string, other: string): number {
  return one < other ? -1 : 1;
}

/** What no case touches in a file. */
function missedIn({ untouched }: RunView, path: string): Untouched[] {
  return untouched
    .filter(({ at }) => at.file === path && at.line > 0)
    .map(({ at, of, what }) => ({ at, told: `no case touches ${of} ${what}` }));
}

/** Findings that are listed at once. */
const mostFindings = 50;

function Rename({ path, point, onClose }: { path: string; point: Point; onClose: () => void }) {
  const { work, edit } = useBench();
  const [to, setTo] = useState("");
  const [refused, setRefused] = useState("");
  const place = { file: path, ...point };
  const rename = async (): Promise<void> => {
    const made = await engine().rename([...work.files], place, to.trim());
    if (!made.ok) {
      setRefused(made.reason);
      return;
    }
    const count = made.edits.length;
    await edit(made.edits, `${to.trim()} now, in ${count} places.`);
    onClose();
  };
  return (
    <ModalOverlay
      className="overlay"
      isOpen
      isDismissable
      onOpenChange={(isOpen) => {
        if (!isOpen) onClose();
      }}
    >
      <Modal className="modal">
        <Dialog className="dialog">
          <Heading slot="title">Another id</Heading>
          <form
            onSubmit={(event) => {
              event.preventDefault();
              void rename();
            }}
          >
            <TextField value={to} onChange={setTo} autoFocus>
              <Label>New id</Label>
              <Input />
            </TextField>
            <p className="quiet">
              It is written wherever the old one is; what people say stays as it is.
            </p>
            {refused !== "" && (
              <p className="bad" role="alert">
                {refused}
              </p>
            )}
            <div className="row">
              <Button type="submit" className="button main">
                Write it
              </Button>
              <Button className="button" onPress={onClose}>
                Leave it
              </Button>
            </div>
          </form>
        </Dialog>
      </Modal>
    </ModalOverlay>
  );
}
