import { HighlightStyle, syntaxHighlighting } from "@codemirror/language";
import { EditorView } from "@codemirror/view";
import { tags } from "@lezer/highlight";

const style = HighlightStyle.define([
  { tag: tags.comment, color: "var(--quiet)", fontStyle: "italic" },
  { tag: [tags.definition(tags.propertyName), tags.propertyName], color: "var(--key)" },
  { tag: [tags.string, tags.content], color: "var(--ink)" },
  {
    tag: [tags.punctuation, tags.separator, tags.squareBracket, tags.brace],
    color: "var(--quiet)",
  },
]);

/** The look of a text: the colours of the page, and a face for reading code. */
export const look = [
  EditorView.theme({
    "&": { height: "100%", fontSize: "14px", color: "var(--ink)", backgroundColor: "var(--card)" },
    ".cm-scroller": { fontFamily: "var(--mono)", lineHeight: "1.55" },
    ".cm-gutters": {
      backgroundColor: "var(--card)",
      color: "var(--quiet)",
      border: "none",
      borderRight: "1px solid var(--line)",
    },
    ".cm-content": { caretColor: "var(--ink)" },
    ".cm-cursor": { borderLeftColor: "var(--ink)", borderLeftWidth: "2px" },
    "&.cm-focused": { outline: "2px solid var(--glaze)", outlineOffset: "-2px" },
    "&.cm-focused > .cm-scroller > .cm-selectionLayer .cm-selectionBackground, .cm-selectionBackground":
      { backgroundColor: "var(--chosen) !important" },
    ".cm-activeLine, .cm-activeLineGutter": { backgroundColor: "var(--line-here)" },
    ".cm-tooltip": {
      backgroundColor: "var(--card)",
      color: "var(--ink)",
      border: "1px solid var(--line-strong)",
      borderRadius: "6px",
    },
    ".cm-tooltip-autocomplete ul li[aria-selected]": {
      backgroundColor: "var(--glaze)",
      color: "var(--on-glaze)",
    },
    ".cm-completionDetail": { color: "inherit", opacity: "0.8", fontStyle: "normal" },
    ".cm-panels": { backgroundColor: "var(--paper)", color: "var(--ink)" },
    ".cm-panel button, .cm-panel input": { color: "var(--ink)" },
  }),
  syntaxHighlighting(style),
];
