/** Bytes of an answer that are read at most. */
const mostBytes = 64 * 1024;

export interface WebRequest {
  url: string;
  method: string;
  headers: Readonly<Record<string, string>>;
  body?: string | undefined;
  /** Seconds. */
  within: number;
}

export type WebAnswer = { ok: true; text: string } | { ok: false; what: string };

/** Asks a web service. Whatever comes or does not come back, this is told. */
export async function askWeb({
  url,
  method,
  headers,
  body,
  within,
}: WebRequest): Promise<WebAnswer> {
  try {
    const response = await fetch(url, {
      method,
      headers,
      ...(body !== undefined && method !== "GET" && { body }),
      // A device that leads elsewhere is not the one that was meant.
      redirect: "error",
      signal: AbortSignal.timeout(within * 1000),
    });
    const text = await textOf(response);
    if (text === undefined) return { ok: false, what: `its answer is over ${mostBytes / 1024} kB` };
    return response.ok ? { ok: true, text } : { ok: false, what: `it answers ${response.status}` };
  } catch (error) {
    const isLate = error instanceof DOMException && error.name === "TimeoutError";
    return { ok: false, what: isLate ? "no answer" : "it cannot be reached" };
  }
}

/** The text of an answer, as far as it is short enough. */
async function textOf(response: Response): Promise<string | undefined> {
  const decoder = new TextDecoder();
  let text = "";
  let read = 0;
  const { body } = response;
  if (!body) return "";
  for await (const chunk of body.values()) {
    if (!(chunk instanceof Uint8Array)) continue;
    read += chunk.byteLength;
    if (read > mostBytes) return undefined;
    text += decoder.decode(chunk, { stream: true });
  }
  return text + decoder.decode();
}

/** The header of a login: `user:password`, or a bearer token. */
export function authorization(login: string | undefined): Record<string, string> {
  if (login === undefined) return {};
  const value = login.includes(":")
    ? `Basic ${Buffer.from(login).toString("base64")}`
    : `Bearer ${login}`;
  return { authorization: value };
}
