/** The look of a page of results: light or dark as the reader has it, and plain on paper. */
export const pageStyle = `
:root { color-scheme: light dark; --ground: #fbfaf7; --card: #ffffff; --ink: #22201c; --quiet: #635e55;
  --line: #dcd7cc; --good: #1f6f43; --bad: #a3271b; --warn: #7d5500; --mark: #eef3ea; }
@media (prefers-color-scheme: dark) {
  :root { --ground: #1b1a18; --card: #24221f; --ink: #ece8df; --quiet: #b0a99c; --line: #3c3933;
    --good: #83cf9f; --bad: #f19b8f; --warn: #e2b85c; --mark: #2b3529; }
}
* { box-sizing: border-box; }
body { margin: 0; background: var(--ground); color: var(--ink);
  font: 16px/1.5 Georgia, "Times New Roman", serif; }
main, header { max-width: 62rem; margin: 0 auto; padding: 0 1.5rem; }
header { padding-top: 2rem; }
h1 { font-size: 1.7rem; font-weight: normal; margin: 0 0 .3rem; }
h2 { font-size: 1.15rem; margin: 2rem 0 .4rem; border-bottom: 1px solid var(--line); padding-bottom: .2rem; }
h2 small { font-weight: normal; color: var(--quiet); }
code, .said, dd { font-family: ui-monospace, "DejaVu Sans Mono", monospace; font-size: .87rem; }
.counts { margin: 0; }
.good { color: var(--good); } .bad { color: var(--bad); } .warn { color: var(--warn); }
.quiet { color: var(--quiet); }
form { display: flex; flex-wrap: wrap; gap: .8rem 1.2rem; margin: 1.2rem 0 0; align-items: end; }
label { display: grid; gap: .15rem; font-size: .85rem; color: var(--quiet); }
input, select { font: inherit; color: var(--ink); background: var(--card); border: 1px solid var(--line);
  border-radius: 4px; padding: .3rem .5rem; min-width: 9rem; height: 2.1rem; }
input:focus-visible, select:focus-visible, summary:focus-visible, a:focus-visible {
  outline: 2px solid var(--good); outline-offset: 2px; }
ul { list-style: none; margin: 0; padding: 0; }
li { border-bottom: 1px solid var(--line); padding: .35rem 0; }
.row { display: flex; gap: .7rem; align-items: baseline; }
.row .place { margin-left: auto; white-space: nowrap; color: var(--quiet); font-size: .82rem; }
.state { width: 1.3rem; flex: none; }
.tag { font-size: .78rem; border: 1px solid var(--line); border-radius: 9px; padding: 0 .5rem; color: var(--quiet); }
dl { margin: .3rem 0 .6rem 2rem; display: grid; grid-template-columns: 6rem 1fr; gap: .15rem .8rem; }
dt { color: var(--quiet); } dd { margin: 0; overflow-wrap: anywhere; }
li p { margin: .1rem 0 .2rem 2rem; font-size: .92rem; }
li p.about { font-weight: bold; }
pre { margin: .3rem 0 .6rem 2rem; overflow-x: auto; font-size: .82rem; color: var(--quiet); }
summary { cursor: pointer; }
li details { margin-left: 2rem; }
table { border-collapse: collapse; margin: .5rem 0 1rem; }
th { font-weight: normal; text-align: left; padding: .05rem 2rem .05rem 0; }
pre.painted { margin: .4rem 0 1rem; color: var(--ink); background: var(--card); border: 1px solid var(--line);
  border-radius: 4px; padding: .6rem .8rem; }
pre.painted .mark { display: inline-block; width: 1ch; }
pre.painted mark { color: var(--bad); background: none; text-decoration: underline wavy; text-underline-offset: 3px; }
[hidden] { display: none !important; }
footer { max-width: 62rem; margin: 2rem auto; padding: 0 1.5rem; color: var(--quiet); font-size: .85rem; }
@media print { form { display: none; } body { background: none; } li { break-inside: avoid; } }
`;
