/** The look of the page to try addresses: calm, in light and dark. */
export const pageStyle = `
:root { color-scheme: light dark; --ink: #22262b; --quiet: #5c646d; --paper: #fbfaf7; --line: #d9d5cb; --act: #1d6b4f; --stop: #9a3412; }
@media (prefers-color-scheme: dark) { :root { --ink: #e8e6e1; --quiet: #a5abb3; --paper: #191b1e; --line: #3a3e44; --act: #7fd1ae; --stop: #f4a27d; } }
* { box-sizing: border-box; }
body { margin: 0 auto; max-width: 64rem; padding: 2.5rem 1.5rem; background: var(--paper); color: var(--ink); font: 1rem/1.5 Georgia, "Times New Roman", serif; }
h1 { margin: 0; font-size: 1.9rem; font-weight: 400; }
h2 { margin: 0; font-size: 1.2rem; font-weight: 600; }
p { margin: 0.25rem 0 0; }
.quiet, header p { color: var(--quiet); }
main { display: grid; grid-template-columns: repeat(auto-fill, minmax(20rem, 1fr)); gap: 1.25rem; margin-top: 2rem; align-items: start; }
form { border: 1px solid var(--line); border-radius: 0.5rem; padding: 1.1rem 1.25rem; min-width: 0; }
label { display: block; margin-top: 0.75rem; color: var(--quiet); }
input { width: 100%; padding: 0.4rem 0.6rem; border: 1px solid var(--quiet); border-radius: 0.3rem; background: transparent; color: inherit; font: inherit; }
button { margin-top: 1rem; padding: 0.45rem 1.1rem; border: 1px solid var(--act); border-radius: 0.3rem; background: transparent; color: var(--act); font: inherit; font-weight: 600; cursor: pointer; }
:focus-visible { outline: 3px solid var(--act); outline-offset: 2px; }
.happened { margin-top: 0.75rem; min-height: 1.5rem; }
.happened b { color: var(--act); }
.happened.not b { color: var(--stop); }
.happened ol { margin: 0.25rem 0 0; padding-left: 1.25rem; color: var(--quiet); font-size: 0.9rem; }
pre { overflow-x: auto; font-size: 0.8rem; padding: 0.6rem; border: 1px solid var(--line); border-radius: 0.3rem; }
summary { margin-top: 0.5rem; color: var(--quiet); cursor: pointer; }
`;

/** What the page does: it calls, and shows what happened. */
export const pageScript = `
for (const form of document.querySelectorAll("form")) {
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    const happened = form.querySelector(".happened");
    happened.textContent = "…";
    const slots = {};
    for (const field of form.querySelectorAll("[data-slot]")) {
      const text = field.value.trim();
      if (text === "") continue;
      slots[field.dataset.slot] = field.dataset.type === "number" && !Number.isNaN(Number(text)) ? Number(text) : text;
    }
    const body = { slots };
    const code = form.querySelector("[data-code]");
    if (code) body.code = code.value;
    if ("confirm" in form.dataset) body.confirm = true;
    const show = (isDone, title, lines) => {
      happened.classList.toggle("not", !isDone);
      const word = document.createElement("b");
      word.textContent = (isDone ? "\\u2713 " : "\\u2717 ") + title;
      const list = document.createElement("ol");
      for (const line of lines) {
        const item = document.createElement("li");
        item.textContent = line;
        list.append(item);
      }
      happened.replaceChildren(word, ...(lines.length > 0 ? [list] : []));
    };
    try {
      const answer = await fetch(location.pathname + "/call/" + encodeURIComponent(form.dataset.address), {
        method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body),
      });
      const read = await answer.json();
      if (read.called) {
        const isWhole = read.failed.length === 0;
        show(isWhole, read.reply || (isWhole ? "called" : "not all of it"), read.told);
      } else show(false, read.what || read.wrong || "turned away", []);
    } catch {
      show(false, "the page is closed, or the home was stopped", []);
    }
  });
}
`;
