import { type Driver, type TimeSource, openHome, readPhrasebook } from "calm-phrase";
import { canListen, listen, speak } from "./voice.ts";

/** The voicepoint that this panel is; `?at=sofa` makes it another. */
const at = new URLSearchParams(location.search).get("at") ?? "till";

const files = import.meta.glob<string>("../../../demo/oxbow-pottery/*.yaml", {
  query: "?raw",
  import: "default",
  eager: true,
});
const book = readPhrasebook(Object.entries(files).map(([path, text]) => ({ path, text })));
const room = book.voicepoints.get(at)?.room ?? "";
const language = book.languages[0] ?? "en";

// 1. What devices do is the product's own affair: here they answer after a moment, as real ones do.
const driver: Driver = {
  async order(effect) {
    await new Promise((resolve) => setTimeout(resolve, 150));
    return "set" in effect ? { ok: true, values: effect.set } : undefined;
  },
};

// 2. The clock of the machine.
const time: TimeSource = {
  now: () => Date.now() / 1000,
  after(seconds, then) {
    const timer = setTimeout(then, seconds * 1000);
    return () => {
      clearTimeout(timer);
    };
  },
};

// 3. The home runs on both: routines, guards and conversations are the same as in every test.
const home = openHome(book, { driver, time });
const talk = home.converse({ at, language });
home.on(({ event }) => {
  if (event.event === "changed") showRoom();
  // What routines say in this room is said here as well.
  if (event.event === "said" && (event.where === at || event.where === room)) answer(event.text);
});

function find<E extends Element>(selector: string, type: new () => E): E {
  const found = document.querySelector(selector);
  if (found instanceof type) return found;
  throw new Error(`the page has no ${selector}`);
}
const list = find("#room", HTMLUListElement);
const said = find("#said", HTMLParagraphElement);
const reply = find("#reply", HTMLParagraphElement);
const input = find("input", HTMLInputElement);
const button = find("#speak", HTMLButtonElement);

let told = "";
function answer(text: string): void {
  if (text === "" || text === told) return;
  told = text;
  reply.textContent = text;
  speak(text, language);
}

async function say(text: string): Promise<void> {
  said.textContent = text === "" ? "" : `“${text}”`;
  told = "";
  const turn = await talk.say(text);
  answer(turn.reply);
  showRoom();
}

function showRoom(): void {
  const states = home.states();
  const devices = [...book.devices.values()].filter((device) => device.room === room);
  const rows = devices.map(({ id, names }) => {
    const { power, ...others } = states[id] ?? {};
    const values = Object.entries(others).map(([name, value]) => `${name} ${String(value)}`);
    const item = document.createElement("li");
    item.id = id;
    item.className = power === "on" ? "on" : "";
    const name = document.createElement("b");
    name.textContent = names[0]?.text ?? id;
    item.append(name, [power, values[0]].filter((each) => each !== undefined).join(", "));
    return item;
  });
  list.replaceChildren(...rows);
}

find("h1", HTMLHeadingElement).textContent = book.rooms.get(room)?.names[0]?.text ?? room;
find("form", HTMLFormElement).addEventListener("submit", (event) => {
  event.preventDefault();
  const { value } = input;
  input.value = "";
  void say(value);
});
button.hidden = !canListen;
button.addEventListener("click", () => {
  button.disabled = true;
  void listen(language).then((text) => {
    button.disabled = false;
    if (text !== "") void say(text);
  });
});
const clock = find("time", HTMLTimeElement);
const showTime = (): void => {
  clock.textContent = new Date().toLocaleTimeString(language, {
    hour: "2-digit",
    minute: "2-digit",
  });
};
setInterval(showTime, 10_000);
showTime();
showRoom();
