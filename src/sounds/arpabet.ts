import { type Phone, readIpa } from "./phones.ts";

/** Symbols of pronouncing dictionaries of English, and the same in IPA. */
const symbols: Readonly<Record<string, string>> = {
  AA: "ɑ",
  AE: "æ",
  AH: "ʌ",
  AO: "ɔ",
  AW: "aʊ",
  AY: "aɪ",
  B: "b",
  CH: "tʃ",
  D: "d",
  DH: "ð",
  EH: "ɛ",
  ER: "ɜ",
  EY: "eɪ",
  F: "f",
  G: "ɡ",
  HH: "h",
  IH: "ɪ",
  IY: "iː",
  JH: "dʒ",
  K: "k",
  L: "l",
  M: "m",
  N: "n",
  NG: "ŋ",
  OW: "oʊ",
  OY: "ɔɪ",
  P: "p",
  R: "ɹ",
  S: "s",
  SH: "ʃ",
  T: "t",
  TH: "θ",
  UH: "ʊ",
  UW: "uː",
  V: "v",
  W: "w",
  Y: "j",
  Z: "z",
  ZH: "ʒ",
};

/**
 * Reads a pronunciation in ARPAbet, as the CMU Pronouncing Dictionary writes it: `K IH1 L N`. Symbols
 * that it does not have are passed over.
 */
export function readArpabet(written: string): readonly Phone[] {
  const ipa = written.split(" ").map((symbol) => {
    const [, letters = "", stress = ""] = /^([A-Z]+)([012]?)$/.exec(symbol) ?? [];
    if (letters === "AH" && stress === "0") return "ə";
    if (letters === "ER" && stress === "0") return "ə";
    return `${stress === "1" ? "ˈ" : ""}${symbols[letters] ?? ""}`;
  });
  const read = readIpa(ipa.join(" "));
  return read.ok ? read.phones : [];
}
