import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import rateLimit from "@fastify/rate-limit";
import type { Address, Doors, Token, TokenRight } from "calm-phrase";
import fastify, {
  type FastifyError,
  type FastifyInstance,
  type FastifyRequest,
  type RouteShorthandOptions,
} from "fastify";
import { type CallRequest, callAddress, callBody } from "./calling.ts";
import { createEvents } from "./events.ts";
import { type Refusal, callerOf, guardAnswers, guardNames, turnAway } from "./guard.ts";
import { type PhraseRequest, hearPhrase, phraseBody } from "./hearing.ts";
import type { Live } from "./live.ts";
import { ownerOf } from "./secrets.ts";

/** Most bytes of a request. */
const mostBytes = 8 * 1024;
/** Requests of one caller in a second at most, over ten seconds. */
const usualRate = 1000;
/** Connections that are open at once at most. */
const mostConnections = 200;

export interface DoorsOptions {
  /** The folder that files of certificates are looked for from. */
  folder?: string;
  /** Requests of one caller in a second at most. */
  rate?: number;
}

declare module "fastify" {
  interface FastifyContextConfig {
    /** What a caller needs for a route. */
    needs?: string;
  }
}

/** An open door: what listens where. */
export interface OpenDoor {
  url: string;
  routes: readonly { method: string; path: string; needs: string }[];
  close: () => Promise<void>;
}

/** Opens the HTTP door of a home. What it answers it answers to those with a token, but for its health. */
export async function openDoors(
  live: Live,
  doors: Doors,
  { folder = ".", rate = usualRate }: DoorsOptions = {},
): Promise<OpenDoor> {
  const server = createServer(doors, folder);
  const refused = live.metrics.refused;
  const routes: OpenDoor["routes"][number][] = [];
  server.addHook("onRoute", ({ method, url, config }) => {
    routes.push({ method: String(method), path: url, needs: config?.needs ?? "nothing" });
  });
  guardNames(server, doors, refused);
  guardAnswers(server, "default-src 'none'; frame-ancestors 'none'");
  await server.register(rateLimit, {
    max: rate * 10,
    timeWindow: 10_000,
    errorResponseBuilder: () => ({ statusCode: 429, refused: "rate" }),
  });
  answerMistakes(server, refused);
  const callers = new WeakMap<FastifyRequest, Token>();
  /** Looked at before the body is read: who may not ask need not be read. */
  const needing = (right: TokenRight): Pick<RouteShorthandOptions, "config" | "onRequest"> => ({
    config: { needs: `a token to ${right}` },
    onRequest: async (request, reply) => {
      const caller = callerOf(request, doors.tokens, right);
      if ("status" in caller) return turnAway(reply, caller, refused);
      callers.set(request, caller);
      return undefined;
    },
  });
  const events = createEvents(live.home);
  openReading(server, live, { follow: needing("follow"), events, refused });
  server.post<{ Body: PhraseRequest }>(
    "/hear",
    { ...needing("hear"), schema: { body: phraseBody } },
    async ({ body }, reply) => {
      const answer = await hearPhrase(live, body);
      return "wrong" in answer ? reply.code(400).send(answer) : answer;
    },
  );
  server.post<{ Params: { address: string }; Body: CallRequest | undefined }>(
    "/call/:address",
    { ...needing("call"), schema: { body: callBody } },
    async (request, reply) => {
      const { params, body = {} } = request;
      const by = callers.get(request)?.name ?? "";
      const answer = await callAddress(live, { address: params.address, by }, body);
      return answer.called ? answer : reply.code(statusOf(answer.why)).send(answer);
    },
  );
  openKeys(server, live, refused);

  const { host, port } = doors;
  await server.listen({ host, port });
  const bound = server.server.address();
  const listening = typeof bound === "object" && bound ? bound.port : port;
  const shown = host.includes(":") ? `[${host}]` : host;
  return {
    url: `${doors.tls ? "https" : "http"}://${shown}:${listening}`,
    routes,
    async close() {
      events.close();
      await server.close();
    },
  };
}

/** What may be read: health by anybody, and what happens by those who may follow. */
function openReading(
  server: FastifyInstance,
  { home, metrics }: Live,
  {
    follow,
    events,
    refused,
  }: {
    follow: Pick<RouteShorthandOptions, "config" | "onRequest">;
    events: ReturnType<typeof createEvents>;
    refused: (why: string) => void;
  },
): void {
  server.get("/health", (_, reply) => reply.send({ ok: true }));
  server.get("/metrics", follow, async (_, reply) => {
    void reply.type("text/plain; version=0.0.4");
    return metrics.text();
  });
  server.get("/states", follow, (_, reply) => reply.send(home.states()));
  server.get("/events", follow, async (_, reply) =>
    events.open(reply) ? reply : turnAway(reply, { status: 429, why: "streams" }, refused),
  );
}

/** Addresses that are called by a key that stands in them. */
function openKeys(server: FastifyInstance, live: Live, refused: (why: string) => void): void {
  const keys = keysOf([...live.book.addresses.values()]);
  if (keys.length === 0) return;
  server.route<{ Params: { key: string } }>({
    method: ["GET", "POST"],
    url: "/key/:key",
    config: { needs: "a key" },
    handler: async ({ params, query }, reply) => {
      const owner = ownerOf(params.key, keys);
      if (!owner) return turnAway(reply, { status: 404, why: "key" }, refused);
      const caller = { address: owner.address, by: `key ${owner.name}` };
      const called = await callAddress(live, caller, { slots: slotsIn(query) });
      return called.called
        ? { called: true, reply: called.reply, failed: called.failed }
        : reply.code(statusOf(called.why)).send(called);
    },
  });
}

function createServer({ tls }: Doors, folder: string): FastifyInstance {
  const limits = {
    bodyLimit: mostBytes,
    // What is not in its form is turned away, and not made to fit.
    ajv: { customOptions: { coerceTypes: false as const, removeAdditional: false as const } },
    requestTimeout: 15_000,
    connectionTimeout: 30_000,
    keepAliveTimeout: 10_000,
    // No log of requests: keys stand in addresses, and tokens in headers.
    logger: false,
    exposeHeadRoutes: false,
    forceCloseConnections: true as const,
    routerOptions: { maxParamLength: 128 },
  };
  const read = (file: string): Buffer => readFileSync(resolve(folder, file));
  const certified = tls && { cert: read(tls.certificate), key: read(tls.key) };
  const server = fastify({ ...limits, https: certified ?? null });
  server.server.maxConnections = mostConnections;
  return server;
}

/** Answers what cannot be read with what is wrong, and what went wrong here with no more than that. */
function answerMistakes(server: FastifyInstance, refused: (why: string) => void): void {
  server.setNotFoundHandler(async (_, reply) =>
    turnAway(reply, { status: 404, why: "path" }, refused),
  );
  server.setErrorHandler<FastifyError>(async ({ statusCode: status = 500, message }, _, reply) => {
    if (status === 429) return turnAway(reply, { status, why: "rate" }, refused);
    const isTheirs = status < 500;
    refused(isTheirs ? "form" : "fault");
    return reply.code(status).send({ wrong: isTheirs ? message : "it went wrong here" });
  });
}

/** Slots in the address of a call: numbers as such, and all else as texts. */
function slotsIn(query: unknown): Record<string, unknown> {
  const slots: Record<string, unknown> = {};
  for (const [name, value] of Object.entries(query ?? {})) {
    const isNumber = typeof value === "string" && /^-?\d{1,9}(?:\.\d{1,6})?$/.test(value);
    slots[name] = isNumber ? Number(value) : value;
  }
  return slots;
}

interface Key {
  name: string;
  hash: string;
  address: string;
}

function keysOf(addresses: readonly Address[]): Key[] {
  return addresses.flatMap(({ id: address, keys }) =>
    [...keys].map(([name, hash]) => ({ name, hash, address })),
  );
}

type CallRefusal = "unknown" | "slots" | "confirm" | "code" | "locked";

function statusOf(why: CallRefusal): Refusal["status"] {
  const statuses: Record<CallRefusal, Refusal["status"]> = {
    unknown: 404,
    slots: 400,
    confirm: 403,
    code: 403,
    locked: 429,
  };
  return statuses[why];
}
