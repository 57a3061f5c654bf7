import XMLBuilder from "fast-xml-builder";
import { SaxesParser } from "saxes";
import { given } from "../source/given.ts";

/** Deepest nesting of elements that is read. */
const deepest = 60;

/** What is wrong with a document, thrown while `readXml` reads it. */
export class Wrong extends Error {
  readonly fix: string;
  readonly line: number | undefined;
  constructor(message: string, fix: string, line?: number) {
    super(message);
    this.fix = fix;
    this.line = line;
  }
}

type Attributes = Readonly<Record<string, string>>;

export interface Element {
  name: string;
  attributes: Attributes;
  children: (Element | string)[];
  line: number;
}

export type XmlRead<T> =
  { ok: true; value: T } | { ok: false; error: { message: string; fix: string; line?: number } };

/** Reads XML; `read` is given an element without a name that the document stands in, and may throw `Wrong`. */
export function readXml<T>(source: string, read: (document: Element) => T): XmlRead<T> {
  try {
    return { ok: true, value: read(readElements(source)) };
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    const { message, fix, line } = error;
    return { ok: false, error: { message, fix, ...given({ line }) } };
  }
}

/** Namespaces are not looked at. */
function readElements(text: string): Element {
  const top: Element = { name: "", attributes: {}, children: [], line: 1 };
  const open = [top];
  const parser = new SaxesParser();
  parser.on("error", (error) => {
    const what = error.message.replace(/^\d+:\d+:\s*/, "");
    throw new Wrong(`this is no XML: ${what}`, "close what is open", parser.line);
  });
  parser.on("opentag", ({ name, attributes }) => {
    if (open.length > deepest) {
      const fix = "move parts into rules of their own";
      throw new Wrong(`elements are nested more than ${deepest} deep`, fix, parser.line);
    }
    const local = name.replace(/^.*:/, "");
    const element = { name: local, attributes, children: [], line: parser.line };
    open.at(-1)?.children.push(element);
    open.push(element);
  });
  parser.on("closetag", () => open.pop());
  parser.on("text", (content) => open.at(-1)?.children.push(content));
  parser.on("cdata", (content) => open.at(-1)?.children.push(content));
  parser.write(text).close();
  return top;
}

/** The elements directly in another one. */
export function elementsOf({ children }: Element): Element[] {
  return children.filter((child) => typeof child !== "string");
}

/** The text directly in an element. */
export function contentOf({ children }: Element): string {
  return children.filter((child) => typeof child === "string").join("");
}

/** An element or a text, as the builder takes them. */
export type Node = Record<string, unknown>;

export function element(
  name: string,
  children: readonly Node[],
  attributes: Attributes = {},
): Node {
  return {
    [name]: children,
    ...(Object.keys(attributes).length > 0 ? { ":@": attributes } : {}),
  };
}

export function text(value: string): Node {
  return { "#text": value };
}

/** A whole document of one element. */
export function printXml(whole: Node): string {
  const builder = new XMLBuilder({
    preserveOrder: true,
    format: true,
    indentBy: "  ",
    ignoreAttributes: false,
    attributeNamePrefix: "",
    suppressEmptyNode: true,
    suppressBooleanAttributes: false,
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build([whole]).trim()}\n`;
}
