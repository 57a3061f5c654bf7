import { createHash, randomBytes, timingSafeEqual } from "node:crypto";

/** A secret that nobody can guess: 32 bytes, in letters that an address can hold. */
export function newSecret(): { secret: string; hash: string } {
  const secret = randomBytes(32).toString("base64url");
  return { secret, hash: hashOf(secret) };
}

/** What is written down of a secret. One of 32 random bytes needs no slower hash. */
export function hashOf(secret: string): string {
  return `sha256:${createHash("sha256").update(secret).digest("hex")}`;
}

/** The first whose hash is that of a secret; all are compared to the end, whichever it is. */
export function ownerOf<T extends { hash: string }>(
  secret: string,
  owners: readonly T[],
): T | undefined {
  const given = Buffer.from(hashOf(secret));
  let found: T | undefined;
  for (const owner of owners) {
    const known = Buffer.from(owner.hash);
    const isSame = known.length === given.length && timingSafeEqual(known, given);
    if (isSame) found ??= owner;
  }
  return found;
}
