import { createHash } from "node:crypto";
import type { Slot } from "calm-phrase";
import fastify from "fastify";
import { type CallRequest, callAddress, callBody } from "./calling.ts";
import { guardAnswers, guardNames, turnAway } from "./guard.ts";
import type { Live } from "./live.ts";
import { pageScript, pageStyle } from "./page-parts.ts";
import { newSecret, ownerOf } from "./secrets.ts";

/** Milliseconds that the page is open. */
const openFor = 15 * 60 * 1000;

/** A page to try addresses, open on this machine for a while. */
export interface OpenPage {
  /** With a secret of its own in it. */
  url: string;
  /** The local time at which it closes itself. */
  until: string;
  /** Resolves once it is closed, by whom ever. */
  closed: Promise<void>;
  close: () => Promise<void>;
}

export interface PageOptions {
  /** The URL of the door that calls to copy are for. */
  door?: string | undefined;
  /** Milliseconds that it is open, where that is less. */
  openFor?: number;
}

/** Opens the page on a port of its own, on loopback: nothing else leads to it. */
export async function openPage(live: Live, options: PageOptions = {}): Promise<OpenPage> {
  const { book, metrics } = live;
  const { secret, hash } = newSecret();
  const lasts = Math.min(options.openFor ?? openFor, openFor);
  const ends = new Date(Date.now() + lasts);
  const until = ends.toTimeString().slice(0, 5);
  const server = fastify({
    logger: false,
    bodyLimit: 8 * 1024,
    forceCloseConnections: true,
    routerOptions: { maxParamLength: 128 },
  });
  const host = "127.0.0.1";
  guardNames(server, { host, hosts: [], origins: [] }, metrics.refused);
  const hashed = (text: string): string =>
    `'sha256-${createHash("sha256").update(text).digest("base64")}'`;
  guardAnswers(
    server,
    `default-src 'none'; script-src ${hashed(pageScript)}; style-src ${hashed(pageStyle)}; ` +
      `connect-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'`,
  );
  server.addHook("onRequest", async (request, reply) => {
    const { params } = request;
    const given: unknown =
      typeof params === "object" && params ? Reflect.get(params, "secret") : "";
    if (ownerOf(String(given), [{ hash }])) return undefined;
    return turnAway(reply, { status: 404, why: "path" }, metrics.refused);
  });
  server.get("/try/:secret", async (_, reply) => {
    void reply.type("text/html; charset=utf-8");
    return pageOf(book, until, options.door);
  });
  server.post<{ Params: { address: string }; Body: CallRequest }>(
    "/try/:secret/call/:address",
    { schema: { body: callBody } },
    async (request) =>
      callAddress(live, { address: request.params.address, by: "page" }, request.body),
  );
  await server.listen({ host, port: 0 });
  const bound = server.server.address();
  const port = typeof bound === "object" && bound ? bound.port : 0;
  let isClosed = false;
  let tellClosed = (): void => undefined;
  const closed = new Promise<void>((resolve) => (tellClosed = resolve));
  const close = async (): Promise<void> => {
    if (isClosed) return;
    isClosed = true;
    clearTimeout(timer);
    await server.close();
    live.note("page closed");
    tellClosed();
  };
  const timer = setTimeout(() => void close(), lasts);
  timer.unref();
  live.note("page opened", { until });
  return { url: `http://${host}:${port}/try/${secret}`, until, closed, close };
}

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.codePointAt(0) ?? 0};`);

function pageOf(
  { name, addresses, intents, routines }: Live["book"],
  until: string,
  door: string | undefined,
): string {
  const cards = [...addresses.values()].map(({ id, runs, slots, guard }) => {
    const known = (routines.get(runs) ?? intents.get(runs))?.slots;
    const fields = slots.flatMap((slot) => {
      const found = known?.get(slot);
      return found ? fieldOf(id, found) : [];
    });
    if (guard === "code") {
      fields.push(
        `<label for="${id}-code">the code</label><input id="${id}-code" data-code type="password" inputmode="numeric" autocomplete="off">`,
      );
    }
    const sure = guard === "confirm" ? " data-confirm" : "";
    return `<form data-address="${escaped(id)}"${sure} aria-labelledby="${id}-name">
<h2 id="${id}-name">${escaped(id)}</h2>
<p class="quiet">runs ${escaped(runs)}${guard === "free" ? "" : `, guarded by ${guard === "code" ? "the code" : "a confirmation"}`}</p>
${fields.join("\n")}
<button type="submit">Call ${escaped(id)}</button>
<div class="happened" role="status"></div>
<details><summary>The call, to copy</summary><pre tabindex="0">${escaped(curlOf(id, slots, guard, door))}</pre></details>
</form>`;
  });
  const none = `<p>No address may be called: write <code>addresses:</code> into the phrasebook.</p>`;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Addresses of ${escaped(name)}</title>
<style>${pageStyle}</style>
</head>
<body>
<header><h1>${escaped(name)}</h1><p>Addresses that may be called. This page is on this machine alone, and closes at <b>${until}</b>.</p></header>
<main>${cards.length === 0 ? none : cards.join("\n")}</main>
<script>${pageScript}</script>
</body>
</html>
`;
}

function fieldOf(address: string, slot: Slot): string[] {
  const id = `${address}-${slot.name}`;
  const start = slot.fills === "value" ? (slot.default ?? "") : "";
  const isNumber = "unit" in slot || slot.type === "number" || slot.type === "integer";
  const unit = "unit" in slot ? ` (${slot.unit})` : "";
  return [
    `<label for="${escaped(id)}">${escaped(slot.name)}${escaped(unit)}</label>
<input id="${escaped(id)}" data-slot="${escaped(slot.name)}" data-type="${isNumber ? "number" : "text"}" ${isNumber ? 'inputmode="decimal"' : ""} value="${escaped(String(start))}" autocomplete="off">`,
  ];
}

function curlOf(
  id: string,
  slots: readonly string[],
  guard: string,
  door = "http://127.0.0.1:8437",
): string {
  const body: Record<string, unknown> = {};
  if (slots.length > 0) body["slots"] = Object.fromEntries(slots.map((slot) => [slot, "…"]));
  if (guard === "confirm") body["confirm"] = true;
  if (guard === "code") body["code"] = "…";
  return [
    `curl ${door}/call/${id} \\`,
    `  -H "authorization: Bearer $TOKEN" \\`,
    `  -H "content-type: application/json" \\`,
    `  -d '${JSON.stringify(body)}'`,
  ].join("\n");
}
