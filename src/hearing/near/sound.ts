/** Longest text that has a sound, in UTF-16 code units: nobody says a longer word. */
const longest = 200;

/**
 * Spellings of consonants that are easily taken for one another, each with a key for its sort: after the sorts of
 * L. Philips, "The double metaphone search algorithm", C/C++ Users Journal 18 (2000), for the commoner spellings of
 * European languages. What has no key is silent, and so are vowels but at the beginning.
 */
const sorts: readonly (readonly [spelled: RegExp, key: string])[] = [
  [/sch|sh|tch|ch/y, "x"],
  [/th/y, "0"],
  [/ph|[fv]/y, "f"],
  [/ck|qu|[kq]|c(?![eiy])|g(?![eiyh])/y, "k"],
  [/x/y, "ks"],
  [/[sz]|c/y, "s"],
  [/gh(?=[aeiou])/y, "k"],
  [/g(?!h)|j/y, "j"],
  [/[td]/y, "t"],
  [/[pb]/y, "p"],
  [/l/y, "l"],
  [/m/y, "m"],
  [/n/y, "n"],
  [/r/y, "r"],
];

/** What words sound like, as a key: equal for words that are easily taken for one another. */
export function soundOf(text: string): string {
  if (text.length > longest) return "";
  const plain = text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z]/gu, "");
  let key = /^[aeiouy]/u.test(plain) ? "a" : "";
  for (let at = 0; at < plain.length;) {
    const found = sorts.find(([spelled]) => {
      spelled.lastIndex = at;
      return spelled.test(plain);
    });
    const [spelled, sort = ""] = found ?? [];
    // Letters written twice are one sound.
    if (!key.endsWith(sort)) key += sort;
    at = spelled ? spelled.lastIndex : at + 1;
  }
  return key;
}
