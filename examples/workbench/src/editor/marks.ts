import { type Range, StateEffect, StateField } from "@codemirror/state";
import { Decoration, type DecorationSet, EditorView } from "@codemirror/view";
import type { Mark } from "calm-phrase/edits";
import { offsetAt } from "./places.ts";

/** Marks of patterns, and of what no case touches, as they were last told. */
export const setMarks = StateEffect.define<{
  marks: readonly Mark[];
  untouched: readonly Untouched[];
}>();

/** A place that no case touches. */
export interface Untouched {
  at: { line: number; column: number };
  told: string;
}

export const marksField = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(before, transaction) {
    let marks = before.map(transaction.changes);
    for (const effect of transaction.effects) {
      if (!effect.is(setMarks)) continue;
      const { doc } = transaction.state;
      const ranges = effect.value.marks.map(({ at, mark }): Range<Decoration> => {
        const [from, to] = [offsetAt(doc, at.start), offsetAt(doc, at.end)];
        return Decoration.mark({ class: `pattern-${mark}` }).range(from, Math.max(from, to));
      });
      const missed = effect.value.untouched.map(({ at, told }): Range<Decoration> => {
        const from = offsetAt(doc, at);
        const rest = doc.lineAt(from).text.slice(from - doc.lineAt(from).from);
        const word = /^(?:[^\s,:|()[\]{}"']+|.)/u.exec(rest)?.[0] ?? "";
        return Decoration.mark({ class: "untouched", attributes: { title: told } }).range(
          from,
          from + word.length,
        );
      });
      const all = [...ranges, ...missed].filter(({ from, to }) => from < to);
      marks = Decoration.set(all, true);
    }
    return marks;
  },
  provide: (field) => EditorView.decorations.from(field),
});
