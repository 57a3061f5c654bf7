import {
  type Completion,
  type CompletionContext,
  type CompletionResult,
  autocompletion,
  closeBrackets,
  closeBracketsKeymap,
} from "@codemirror/autocomplete";
import { defaultKeymap, history, historyKeymap, indentWithTab } from "@codemirror/commands";
import { yaml } from "@codemirror/lang-yaml";
import { bracketMatching, indentOnInput } from "@codemirror/language";
import { type Diagnostic, lintGutter, lintKeymap, setDiagnostics } from "@codemirror/lint";
import { searchKeymap } from "@codemirror/search";
import { EditorState } from "@codemirror/state";
import {
  EditorView,
  drawSelection,
  highlightActiveLine,
  highlightActiveLineGutter,
  hoverTooltip,
  keymap,
  lineNumbers,
} from "@codemirror/view";
import type { Finding } from "calm-phrase";
import { useEffect, useRef } from "react";
import { engine } from "../engine/engine.ts";
import type { HomeFile } from "../engine/views.ts";
import { look } from "./look.ts";
import { type Untouched, marksField, setMarks } from "./marks.ts";
import { type Point, offsetAt, pointAt } from "./places.ts";
import { useSettled } from "../settled.ts";
import { useLatest } from "./use-latest.ts";

/** What keys and the pointer ask for at a place. */
export type Asked = "definition" | "uses" | "rename" | "fix" | "explain";

/** A text of a home, with everything that the library knows about it. */
export function Editor({
  file,
  files,
  found,
  untouched,
  goal,
  onWrite,
  onAsk,
  onMove,
}: {
  file: HomeFile;
  files: readonly HomeFile[];
  found: readonly Finding[];
  untouched: readonly Untouched[];
  goal: Point;
  onWrite: (text: string) => void;
  onAsk: (asked: Asked, place: Point) => void;
  onMove: (place: Point) => void;
}) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView>(undefined);
  const latest = useLatest({ file, files, onWrite, onAsk, onMove });

  useEffect(() => {
    if (!host.current) return undefined;
    const { path } = latest.current.file;
    /** The files as they are at this very key. */
    const filesNow = (state: EditorState): HomeFile[] =>
      latest.current.files.map((each) => {
        return each.path === path ? { path, text: state.doc.toString() } : each;
      });
    const complete = async (context: CompletionContext): Promise<CompletionResult | null> => {
      const { state, pos, explicit } = context;
      const isBegun = context.matchBefore(/(?:^|[\s{[,:"'$])[\p{L}\p{N}_-]{1,2}$/u) !== null;
      const isPlace = context.matchBefore(/[:[{,]\s$|\$$/u) !== null;
      if (!explicit && !isBegun && !isPlace) return null;
      const place = { file: path, ...pointAt(state.doc, pos) };
      const offered = await engine().complete(filesNow(state), place);
      if (!offered || offered.items.length === 0) return null;
      const from = offsetAt(state.doc, offered.at.start);
      return {
        from,
        to: Math.max(pos, offsetAt(state.doc, offered.at.end)),
        options: offered.items.map(({ text, sort, detail }): Completion => {
          const isKey = sort === "key";
          return {
            label: text,
            apply: isKey ? `${text}: ` : text,
            type: sort,
            detail: detail ?? sort,
          };
        }),
        validFor: /^\$?[\p{L}\p{N}_ -]*$/u,
      };
    };
    const hover = hoverTooltip(async (from, pos) => {
      const place = { file: path, ...pointAt(from.state.doc, pos) };
      const told = await engine().explain(filesNow(from.state), place);
      if (!told) return null;
      return {
        pos: offsetAt(from.state.doc, told.at.start),
        end: offsetAt(from.state.doc, told.at.end),
        above: true,
        create: () => ({ dom: explanation(told) }),
      };
    });
    const ask = (asked: Asked) => (from: EditorView) => {
      latest.current.onAsk(asked, pointAt(from.state.doc, from.state.selection.main.head));
      return true;
    };
    const made = new EditorView({
      parent: host.current,
      state: EditorState.create({
        doc: latest.current.file.text,
        extensions: [
          lineNumbers(),
          EditorView.lineWrapping,
          highlightActiveLineGutter(),
          highlightActiveLine(),
          history(),
          drawSelection(),
          indentOnInput(),
          bracketMatching(),
          closeBrackets(),
          autocompletion({ override: [complete], icons: false }),
          hover,
          lintGutter(),
          yaml(),
          marksField,
          ...look,
          EditorView.contentAttributes.of({ "aria-label": `Text of ${path}`, tabindex: "0" }),
          keymap.of([
            { key: "F12", run: ask("definition") },
            { key: "Shift-F12", run: ask("uses") },
            { key: "F2", run: ask("rename") },
            { key: "Mod-.", run: ask("fix") },
            { key: "Mod-k", run: ask("explain"), preventDefault: true },
            ...closeBracketsKeymap,
            ...defaultKeymap,
            ...searchKeymap,
            ...historyKeymap,
            ...lintKeymap,
            indentWithTab,
          ]),
          EditorView.updateListener.of((update) => {
            if (update.docChanged) latest.current.onWrite(update.state.doc.toString());
            if (update.selectionSet || update.docChanged) {
              latest.current.onMove(pointAt(update.state.doc, update.state.selection.main.head));
            }
          }),
        ],
      }),
    });
    view.current = made;
    return () => {
      made.destroy();
    };
  }, [file.path, latest]);

  // What was written elsewhere, by a fix or another id, comes in as a change of its own.
  useEffect(() => {
    const here = view.current;
    if (!here) return;
    const before = here.state.doc.toString();
    if (before === file.text) return;
    here.dispatch({ changes: difference(before, file.text) });
  }, [file.text]);

  useEffect(() => {
    const here = view.current;
    if (!here) return;
    const { doc } = here.state;
    const diagnostics = found.map((finding): Diagnostic => {
      const from = offsetAt(doc, finding.at);
      const rest = doc.lineAt(from).text.slice(from - doc.lineAt(from).from);
      const length = /^["']?[^\s,:{}[\]]*/u.exec(rest)?.[0].length ?? 0;
      return {
        from,
        to: from + Math.max(1, length),
        severity: finding.severity === "note" ? "info" : finding.severity,
        message: finding.fix === undefined ? finding.message : `${finding.message}: ${finding.fix}`,
        source: finding.rule,
      };
    });
    here.dispatch(setDiagnostics(here.state, diagnostics));
  }, [found, file.path]);

  const { path } = file;
  const calmFiles = useSettled(files);
  useEffect(() => {
    let isWanted = true;
    void engine()
      .marks([...calmFiles], path)
      .then((marks) => {
        const here = view.current;
        const text = calmFiles.find((each) => each.path === path)?.text;
        if (!isWanted || !here || here.state.doc.toString() !== text) return;
        here.dispatch({ effects: setMarks.of({ marks, untouched }) });
      });
    return () => {
      isWanted = false;
    };
  }, [calmFiles, path, untouched]);

  useEffect(() => {
    const here = view.current;
    if (!here) return;
    const at = offsetAt(here.state.doc, goal);
    here.dispatch({
      selection: { anchor: at },
      effects: EditorView.scrollIntoView(at, { y: "center" }),
    });
    here.focus();
  }, [goal, file.path]);

  return <div className="editor" ref={host} />;
}

/** The one stretch in which two texts differ, as a change. */
function difference(before: string, after: string): { from: number; to: number; insert: string } {
  let start = 0;
  while (start < before.length && start < after.length && before[start] === after[start]) start++;
  let end = 0;
  const most = Math.min(before.length, after.length) - start;
  while (end < most && before.at(-1 - end) === after.at(-1 - end)) end++;
  return { from: start, to: before.length - end, insert: after.slice(start, after.length - end) };
}

function explanation({ title, lines }: { title: string; lines: readonly string[] }): HTMLElement {
  const told = document.createElement("div");
  told.className = "explanation";
  const head = document.createElement("b");
  head.textContent = title;
  told.append(
    head,
    ...lines.map((line) => {
      const item = document.createElement("p");
      item.textContent = line;
      return item;
    }),
  );
  return told;
}
