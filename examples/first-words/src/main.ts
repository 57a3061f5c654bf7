import { type Heard, describeOutcome, readPhrasebook, simulate } from "calm-phrase";
import { element, find } from "./dom.ts";

// 1. A phrasebook is read from texts; where they come from is up to the program.
const files = import.meta.glob<string>("../../../demo/oxbow-pottery/*.yaml", {
  query: "?raw",
  import: "default",
  eager: true,
});
const book = readPhrasebook(Object.entries(files).map(([path, text]) => ({ path, text })));

// 2. A simulated home keeps the states of its devices.
const home = simulate(book, { states: { "till-lamp": { power: "on" } } });

const form = find("form", HTMLFormElement);
const phrase = find("#phrase", HTMLInputElement);
const at = find("#at", HTMLSelectElement);

// 3. Hearing comes to one outcome and says why; the home does it and says what it came to.
function say(text: string): void {
  const heard = book.hear(text, { at: at.value });
  const { reply, changes } = home.perform(heard);
  showHeard(heard, reply);
  showHome(new Set(changes.map(({ device }) => device)));
}

function showHeard(heard: Heard, reply: string): void {
  const { words, readings, nearest } = book.why(heard);
  const reading = readings.find(({ kept }) => kept);
  const near = nearest[0];
  const spoken = words.map(({ text, role, slot, start, end }) => {
    const stopped = near && start >= near.start && end <= near.end ? " stopped" : "";
    return element(
      "span",
      { class: `word ${role}${stopped}`, title: slot ? `$${slot}` : role },
      text,
    );
  });
  find("#heard", HTMLElement).replaceChildren(
    element("p", { class: "words" }, ...spoken),
    element("p", { class: `effect ${heard.outcome}` }, describeOutcome(heard)),
    element("p", { class: "reply" }, `“${reply}”`),
    element("p", { class: "why" }, reading ? `${reading.intent}: ${reading.pattern}` : ""),
    element("p", { class: "why" }, near ? near.message : ""),
    element("pre", { class: "paste" }, near?.paste?.yaml ?? ""),
  );
}

function showHome(changed: ReadonlySet<string>): void {
  const states = home.states();
  const rooms = [...book.rooms.values()].map(({ id, names }) => {
    const devices = [...book.devices.values()].filter(({ room }) => room === id);
    const rows = devices.map((device) => {
      const state = states[device.id] ?? {};
      const values = Object.entries(state).map(([name, value]) =>
        name === "power" ? String(value) : `${name} ${String(value)}`,
      );
      const isOn = state["power"] === "on" ? " on" : "";
      return element(
        "li",
        { class: `device${isOn}${changed.has(device.id) ? " changed" : ""}`, id: device.id },
        element("b", {}, device.names[0]?.text ?? device.id),
        element("span", {}, values.join(" · ")),
      );
    });
    const title = element("h2", {}, names[0]?.text ?? id);
    return element("article", {}, title, element("ul", {}, ...rows));
  });
  find("#home", HTMLElement).replaceChildren(...rooms);
}

form.addEventListener("submit", (event) => {
  event.preventDefault();
  say(phrase.value);
});
for (const { id, room } of book.voicepoints.values()) {
  at.append(element("option", { value: id }, `${id} (${room})`));
}
for (const text of [
  "extractor to sixty percent",
  "turn on the display lights",
  "turn on the ceiling light",
  "extractr to sixty",
]) {
  const button = element("button", { type: "button" }, text);
  button.addEventListener("click", () => {
    phrase.value = text;
    say(text);
  });
  find("#suggestions", HTMLElement).append(button);
}
showHome(new Set());
