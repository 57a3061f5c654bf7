/** Makes an element with attributes and children. */
export function element(
  tag: string,
  attributes: Readonly<Record<string, string>>,
  ...children: (Node | string)[]
): HTMLElement {
  const made = document.createElement(tag);
  for (const [name, value] of Object.entries(attributes)) made.setAttribute(name, value);
  made.append(...children);
  return made;
}

/** The element of a class that a selector names, which the page is known to have. */
export function find<Found extends HTMLElement>(selector: string, of: new () => Found): Found {
  const found = document.querySelector(selector);
  if (!(found instanceof of)) throw new Error(`the page has no ${selector}`);
  return found;
}
