import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Ajv } from "ajv";
import axe from "axe-core";
import { type Browser, type Page, chromium } from "playwright-core";
import { SaxesParser } from "saxes";
import { afterAll, beforeAll, describe, expect, test } from "vitest";

const folder = mkdtempSync(join(tmpdir(), "reports-"));
const home = `phrasebook: Shop
rooms: { shop: {} }
devices:
  lamp: { kind: light, room: shop }
  fan: { kind: fan, room: shop }
intents:
  hi: { patterns: "(hello | hi) [you]", do: { say: Yes. } }
`;
const suite = `suite: "a & <b>"
cases:
  - { name: 'a lamp # one', hear: lamp on, expect: { set: { lamp: { power: on } } }, tags: lights }
  - { hear: fan on, expect: { set: { lamp: { power: on } } }, note: a slip }
  - { skip: "waits <for> a fan", hear: fan off, expect: act }
  - { fails: "not & yet", hear: make it nice, expect: act, tags: later }
  - { hear: hello, expect: act }
`;
const run = (...args: string[]) =>
  spawnSync("node", ["dist/cli.js", "test", "--in", folder, ...args], {
    encoding: "utf8",
    env: { ...process.env, XDG_CACHE_HOME: join(folder, "cache") },
  });
const at = (name: string): string => join(folder, name);
const read = (name: string): string => readFileSync(at(name), "utf8");

beforeAll(() => {
  writeFileSync(at("home.yaml"), home);
  writeFileSync(at("a.suite.yaml"), suite);
  const forms = {
    junit: "r.xml",
    tap: "r.tap",
    json: "r.json",
    markdown: "r.md",
    html: "r.html",
    lcov: "r.info",
  };
  const { status } = run(
    ...Object.entries(forms).flatMap(([form, name]) => ["--report", `${form}=${at(name)}`]),
  );
  expect(status).toBe(1);
});
afterAll(() => {
  rmSync(folder, { recursive: true });
});

test("JUnit XML is as the schema says that build servers share, and counts each case once", () => {
  const skipped: string[] = [];
  let open = "";
  const elements: { name: string; attributes: Record<string, string> }[] = [];
  const parser = new SaxesParser();
  parser.on("opentag", ({ name, attributes }) => {
    elements.push({ name, attributes: { ...attributes } });
    open = name;
  });
  parser.on("text", (text) => {
    if (open === "skipped" && text.trim() !== "") skipped.push(text.trim());
  });
  parser.on("error", (error) => {
    throw error;
  });
  parser.write(read("r.xml")).close();
  const named = (name: string) => elements.filter((each) => each.name === name);
  expect(named("testsuites")[0]?.attributes).toMatchObject({ tests: "5", failures: "1" });
  expect(named("testsuite")[0]?.attributes).toMatchObject({ name: "a & <b>", skipped: "2" });
  expect(named("testcase")).toHaveLength(5);
  expect(named("failure")[0]?.attributes["message"]).toBe(
    "effect: expected lamp { power: on }, but fan { power: on }",
  );
  expect(skipped).toEqual(["waits <for> a fan", "it fails: not & yet"]);
  const schema = join(import.meta.dirname, "schemas/junit.xsd");
  const { status, stderr } = spawnSync("xmllint", ["--noout", "--schema", schema, at("r.xml")], {
    encoding: "utf8",
  });
  expect(stderr).toBe(`${at("r.xml")} validates\n`);
  expect(status).toBe(0);
});

test("findings as SARIF are as its schema says, with edits as fixes", () => {
  const wrong = mkdtempSync(join(tmpdir(), "wrong-"));
  const text =
    "languages: [en]\nrooms: { hall: {} }\ndevices: { lamp: { kind: light, rom: hall } }\n";
  writeFileSync(join(wrong, "home.yaml"), text);
  spawnSync("node", ["dist/cli.js", "check", "--in", wrong, "--sarif", at("r.sarif")]);
  const log = JSON.parse(read("r.sarif")) as {
    runs: { results: { ruleId: string; fixes?: unknown }[] }[];
  };
  const schema = join(import.meta.dirname, "schemas/sarif-2.1.0.json");
  const validate = new Ajv({ strict: false, validateFormats: false, unicodeRegExp: false }).compile(
    JSON.parse(readFileSync(schema, "utf8")) as object,
  );
  validate(log);
  expect(validate.errors).toBeNull();
  const found = log.runs[0]?.results.find(({ ruleId }) => ruleId === "unknown-key");
  expect(found?.fixes).toMatchObject([
    {
      artifactChanges: [
        {
          replacements: [
            {
              deletedRegion: { startLine: 3, startColumn: 33, endLine: 3, endColumn: 36 },
              insertedContent: { text: "room" },
            },
          ],
        },
      ],
    },
  ]);
});

test("TAP is read by prove as it is meant", () => {
  // It knows versions up to 13, of which 14 is an extension.
  writeFileSync(at("r13.tap"), read("r.tap").replace("TAP version 14", "TAP version 13"));
  const prove = spawnSync("prove", ["--exec", "cat", "--verbose", at("r13.tap")], {
    encoding: "utf8",
  });
  expect(prove.status).toBe(1);
  expect(prove.stdout).toContain("Failed test:  2");
  expect(prove.stdout).toMatch(/Failed 1\/5 subtests/);
  expect(prove.stdout).toContain("less 1 skipped subtest: 3 okay");
});

test("LCOV is read by genhtml, with the share that is told", () => {
  const out = execFileSync(
    "genhtml",
    [at("r.info"), "--branch-coverage", "-o", at("lcov"), "--ignore-errors", "source"],
    {
      encoding: "utf8",
      stdio: "pipe",
      cwd: process.cwd(),
    },
  );
  expect(out).toMatch(/branches\.*: 70\.0% \(7 of 10/);
});

test("Markdown tells each failure in a table, and nothing in it is markup", () => {
  expect(read("r.md")).toContain("**2 passed**, **1 failed**, 1 failed as they say, 1 left out");
  expect(read("r.md")).toContain(String.raw`| ✗ | a & \<b\> | 5 | 1 |`);
  expect(read("r.md")).toContain(
    String.raw`| effect | lamp \{ power: on \} | fan \{ power: on \} |`,
  );
});

test("JSON is what --json prints", () => {
  const { stdout } = run("--json");
  expect(JSON.parse(read("r.json"))).toEqual(JSON.parse(stdout));
});

describe("the page", () => {
  let browser: Browser;
  let page: Page;
  const problems: string[] = [];

  beforeAll(async () => {
    browser = await chromium.launch({
      executablePath: process.env["CHROMIUM"] ?? "/usr/bin/chromium",
      args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--no-first-run"],
    });
    page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    page.on("console", (message) => {
      if (message.type() === "error") problems.push(message.text());
    });
    page.on("pageerror", ({ message }) => problems.push(message));
    await page.goto(`file://${at("r.html")}`);
  });
  afterAll(() => browser.close());

  const shown = () => page.locator("li[data-state]:visible .said").allTextContents();

  test("shows every case, and those that fit what is looked for", async () => {
    expect(await shown()).toEqual(["lamp on", "fan on", "fan off", "make it nice", "hello"]);
    await page.getByLabel("Result").selectOption("failed");
    expect(await shown()).toEqual(["fan on"]);
    await page.getByLabel("Result").selectOption("");
    await page.getByLabel("Tag").selectOption("later");
    expect(await shown()).toEqual(["make it nice"]);
    await page.getByLabel("Tag").selectOption("");
    await page.getByLabel("Search").fill("LAMP");
    expect(await shown()).toEqual(["lamp on", "fan on"]);
    await page.getByLabel("Search").fill("");
  });

  test.each(["light", "dark"] as const)(
    "has nothing that axe finds wrong, %s",
    async (colorScheme) => {
      await page.emulateMedia({ colorScheme });
      await page.addScriptTag({ content: axe.source });
      const violations: unknown = await page.evaluate(
        "axe.run().then(({ violations }) => violations.map(({ id, nodes }) => [id, nodes.map((each) => each.html)]))",
      );
      expect(violations).toEqual([]);
      expect(problems).toEqual([]);
    },
  );
});

test("the page has coverage painted on the files of the phrasebook", async () => {
  const browser = await chromium.launch({
    executablePath: process.env["CHROMIUM"] ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu"],
  });
  const page = await browser.newPage();
  await page.goto(`file://${at("r.html")}`);
  const marks = await page.locator("pre.painted mark").allTextContents();
  const title = await page.locator("pre.painted mark").nth(1).getAttribute("title");
  const lines = (await page.locator("pre.painted").allTextContents()).join("").split("\n");
  await browser.close();
  expect(marks).toEqual(["shop", "hi", "["]);
  expect(title).toBe("no case touches hi: alternative hi");
  expect(lines.map((line) => line.slice(5, 6)).join("")).toBe(" ✗ ✓✓ ✗ ");
  expect(lines.map((line) => line.slice(7)).join("\n")).toBe(home);
});

describe("a run", () => {
  const counts = (...args: string[]): string =>
    run(...args)
      .stdout.trimEnd()
      .split("\n")
      .at(-1) ?? "";

  test("is of parts of names, of tags, of files, or of what failed last", () => {
    expect(counts("LAMP")).toBe("1 passed, 0 failed");
    expect(counts("--tag", "later")).toBe("0 passed, 0 failed, 1 failed as they say");
    expect(counts(at("a.suite.yaml"))).toBe("2 passed, 1 failed, 1 failed as they say, 1 left out");
    expect(counts("--failed")).toBe("0 passed, 1 failed");
  });
  test("of which nothing is called so tells what there is", () => {
    const { status, stderr } = run("lmp");
    expect(status).toBe(2);
    expect(stderr).toContain('no suite or case is called "lmp": there are "a & <b>", "a lamp');
  });
  test("that nothing answers to never passes for a run", () => {
    const tag = run("--tag", "lightz");
    expect(tag.status).toBe(2);
    expect(tag.stderr).toContain('no case is tagged "lightz": there are "li');
    const language = run("--language", "xx");
    expect(language.status).toBe(2);
    expect(language.stderr).toMatch(/no case is in the language "xx": there are "en/u);
    expect(run("--bail", "0").status).toBe(2);
  });
  test("comes to the same in any order, and in parts that are merged", () => {
    // Where a failure may come from is told by what the cases of its own run show.
    const results = (text: string): unknown =>
      JSON.parse(text, (key, value: unknown) => (key === "suspects" ? undefined : value));
    const whole = results(run("--json").stdout);
    expect(results(run("--shuffle", "7", "--json").stdout)).toEqual(whole);
    const parts = ["1/3", "2/3", "3/3"].map((part, index) => {
      writeFileSync(at(`${index}.json`), run("--shard", part, "--json").stdout);
      return at(`${index}.json`);
    });
    expect(results(run("--merge", ...parts, "--json").stdout)).toEqual(whole);
    expect(run("--merge", ...parts.slice(1)).stderr).toContain("are not the parts 1 to 3");
  });
  test("ends after as many failures as it is told", () => {
    expect(counts("--bail", "1")).toBe("1 passed, 1 failed");
  });
  test("fails where less is touched than has to be", () => {
    const { status, stderr } = run("lamp", "--at-least", "60");
    expect(status).toBe(1);
    expect(stderr).toContain("not 60 %");
    expect(run("--tag", "lights", "--at-least", "1").status).toBe(0);
  });
});
