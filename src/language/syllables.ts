/** The stem of a Dutch word where its syllable is closed: "kneed" of "kneden", "zet" of "zetten", "kat" of "katten". */
export function closed(stem: string): string {
  const single = stem.replace(/([^aeiou])\1$/u, "$1");
  const long =
    single === stem ? stem.replace(/(^|[^aeiou])([aeou])([^aeiouwxj])$/u, "$1$2$2$3") : single;
  return long.replace(/v$/u, "f").replace(/z$/u, "s");
}

/** The same where another syllable follows: "grot" of "groot", "snell" of "snel". */
export function opened(stem: string): string {
  const long = stem.replace(/([aeou])\1([^aeiou])$/u, "$1$2");
  if (long !== stem) return long.replace(/f$/u, "v").replace(/s$/u, "z");
  return stem.replace(/(^|[^aeiou])([aeiou])([^aeiouwxj])$/u, "$1$2$3$3");
}
