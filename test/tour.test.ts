import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, expect, test } from "vitest";

const folders: string[] = [];
afterAll(() => {
  for (const folder of folders) rmSync(folder, { recursive: true });
});

/** What the tour has its reader do: write a file, or a part of it, and give a command. */
type Deed =
  | { deed: "write" | "add" | "replace"; file: string; text: string }
  | { deed: "command"; command: string; lines: readonly string[] };

function deedsOf(text: string): Deed[] {
  return [...text.matchAll(/^```(\w+) ?([^\n]*)\n(.*?)^```$/gmsu)].flatMap(
    ([, language = "", about = "", body = ""]): Deed[] => {
      if (language === "sh") {
        return body.split(/^\$ /mu).flatMap((part): Deed[] => {
          const [command = "", ...lines] = part.split("\n").filter((line) => line.trim() !== "");
          return command === "" ? [] : [{ deed: "command", command, lines }];
        });
      }
      const [file = "", how = "write"] = about.split(" ");
      const deed = how === "add" || how === "replace" ? how : "write";
      return file === "" ? [] : [{ deed, file, text: body }];
    },
  );
}

function run(command: string, folder: string): { code: number; out: string } {
  const [, ...args] = [...command.matchAll(/"([^"]*)"|(\S+)/gu)].map(
    ([, quoted, plain]) => quoted ?? plain ?? "",
  );
  const cli = join(process.cwd(), "dist/cli.js");
  const { status, stdout, stderr } = spawnSync("node", [cli, ...args], {
    cwd: folder,
    encoding: "utf8",
    env: { ...process.env, NO_COLOR: "1" },
  });
  return { code: status ?? -1, out: stdout + stderr };
}

const guides = readdirSync("docs/guides").map((name) => `docs/guides/${name}`);

test.each(["docs/tour.md", ...guides])("%s, followed word by word from an empty folder", (page) => {
  const folder = mkdtempSync(join(tmpdir(), "calm-phrase-tour-"));
  folders.push(folder);
  const deeds = deedsOf(readFileSync(page, "utf8"));
  expect(deeds.filter(({ deed }) => deed === "command").length).toBeGreaterThan(0);
  for (const each of deeds) {
    if (each.deed === "command") {
      const { out, code } = run(each.command, folder);
      expect(code, out).toBeLessThan(2);
      const told = out.split("\n").map((line) => line.trim());
      for (const line of each.lines.map((wanted) => wanted.trim())) {
        expect(told, each.command).toContain(line);
      }
      continue;
    }
    const path = join(folder, each.file);
    const before = each.deed === "write" ? "" : readFileSync(path, "utf8");
    const [from = "", to = ""] = each.text.split("---\n");
    if (each.deed === "replace") expect(before).toContain(from);
    const after = each.deed === "replace" ? before.replace(from, to) : before + each.text;
    writeFileSync(path, after);
    if (!each.file.endsWith(".yaml")) continue;
    const { code, out } = run("calm-phrase check", folder);
    expect(code, out).toBe(0);
  }
});

test("no link of the docs leads nowhere", () => {
  const names = execFileSync("git", ["ls-files", "docs/*.md", "docs/guides/*.md", "README.md"], {
    encoding: "utf8",
  });
  const broken = names
    .trim()
    .split("\n")
    .flatMap((name) => {
      const links = [...readFileSync(name, "utf8").matchAll(/\]\((?!https?:|#)([^)#]+)/gu)];
      return links.flatMap(([, link = ""]) => {
        const at = join(name, "..", link);
        const isThere = spawnSync("test", ["-e", at]).status === 0;
        return isThere ? [] : [`${name}: ${link}`];
      });
    });
  expect(broken).toEqual([]);
});
