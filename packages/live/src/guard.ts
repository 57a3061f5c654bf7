import { type Doors, type Token, type TokenRight, loopbackNames } from "calm-phrase";
import type { FastifyInstance, FastifyReply, FastifyRequest } from "fastify";
import { ownerOf } from "./secrets.ts";

/** Why a request is turned away, as it is answered: no more than that. */
export interface Refusal {
  status: 400 | 401 | 403 | 404 | 413 | 421 | 429;
  why: string;
}

/** Turns away what calls this home by another name, and pages that it does not know. */
export function guardNames(
  server: FastifyInstance,
  { host, hosts, origins }: Pick<Doors, "host" | "hosts" | "origins">,
  refused: (why: string) => void,
): void {
  const names = new Set([...loopbackNames, host, ...hosts].map((name) => name.toLowerCase()));
  const known = new Set(origins);
  server.addHook("onRequest", async (request, reply) => {
    const written = (request.headers.host ?? "").toLowerCase();
    const name = written.replace(/:\d+$/, "");
    if (!names.has(name)) return turnAway(reply, { status: 421, why: "host" }, refused);
    const { origin } = request.headers;
    const own = [`http://${written}`, `https://${written}`];
    if (origin !== undefined && !known.has(origin) && !own.includes(origin)) {
      return turnAway(reply, { status: 403, why: "origin" }, refused);
    }
    if (origin !== undefined && known.has(origin)) {
      void reply.header("access-control-allow-origin", origin).header("vary", "origin");
    }
  });
}

/** Headers that every answer has: nothing of it is a page that may load or frame anything. */
export function guardAnswers(server: FastifyInstance, policy: string): void {
  server.addHook("onSend", async (_, reply) => {
    void reply
      .header("content-security-policy", policy)
      .header("x-content-type-options", "nosniff")
      .header("referrer-policy", "no-referrer")
      .header("cache-control", "no-store")
      .header("cross-origin-resource-policy", "same-origin");
  });
}

/** Who calls, where it is somebody with a token that is good for that. */
export function callerOf(
  request: FastifyRequest,
  tokens: readonly Token[],
  right: TokenRight,
): Token | Refusal {
  const [, token = ""] = /^Bearer ([\w-]{1,128})$/.exec(request.headers.authorization ?? "") ?? [];
  const owner = ownerOf(token, tokens);
  if (!owner) return { status: 401, why: "token" };
  return owner.may.includes(right) ? owner : { status: 403, why: "right" };
}

export async function turnAway(
  reply: FastifyReply,
  { status, why }: Refusal,
  refused: (why: string) => void,
): Promise<FastifyReply> {
  refused(why);
  if (status === 401) void reply.header("www-authenticate", "Bearer");
  return reply.code(status).send({ refused: why });
}
