/** What the page of results does: shows the cases that fit what is asked for, and says how many these are. */
export const pageScript = `
const form = document.querySelector("form");
const cases = [...document.querySelectorAll("li[data-state]")];
const told = document.querySelector("[data-told]");
function show() {
  const wanted = Object.fromEntries(new FormData(form));
  const words = wanted.search.toLowerCase();
  let count = 0;
  for (const each of cases) {
    const { state, language, tags, outcome } = each.dataset;
    const fits = (!wanted.state || wanted.state === state) &&
      (!wanted.outcome || wanted.outcome === outcome) &&
      (!wanted.language || wanted.language === language) &&
      (!wanted.tag || tags.split(" ").includes(wanted.tag)) &&
      each.textContent.toLowerCase().includes(words);
    each.hidden = !fits;
    if (fits) count++;
  }
  for (const suite of document.querySelectorAll("section[data-suite]")) {
    suite.hidden = !suite.querySelector("li[data-state]:not([hidden])");
  }
  told.textContent = count + (count === 1 ? " case shown" : " cases shown");
}
form.addEventListener("input", show);
form.addEventListener("submit", (event) => event.preventDefault());
show();
`;
