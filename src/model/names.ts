import type { Name, Nameable } from "./home.ts";

/** What something is called in a language. */
export function nameIn(
  { languages }: { languages: readonly string[] },
  entity: Nameable,
  language: string,
): string | undefined {
  return spokenNames(entity, language, languages[0] ?? language)[0]?.text;
}

/**
 * The names of something in a language. What has none in it goes by its names in the first
 * language, since people say those then.
 */
export function spokenNames(
  entity: { names: readonly Name[] },
  language: string,
  first: string,
): readonly Name[] {
  const own = entity.names.filter((name) => name.language === language);
  return own.length > 0 ? own : entity.names.filter((name) => name.language === first);
}
