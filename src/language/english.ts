import { toCardinal } from "n2words/en-GB";
import type { LanguagePack } from "./pack.ts";

export const english: LanguagePack = {
  language: "en",
  name: "English",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["one hundred", "a hundred"],
      ["one hundred", "hundred"],
      ["zero", "nought"],
    ],
    optional: ["and"],
    thousand: { word: "thousand", joined: false },
    minus: ["minus", "negative"],
    point: ["point"],
    decimalSign: ".",
    fractions: [
      { value: 0.5, said: ["half", "a half", "one half"] },
      { value: 0.25, said: ["quarter", "a quarter", "one quarter"] },
      { value: 0.75, said: ["three quarters"] },
    ],
    fractionJoiners: ["and"],
    fractionEndings: [],
  },
  units: {
    percent: ["percent", "per cent", "%"],
    celsius: ["degrees", "degree", "degrees celsius", "celsius", "°", "°c", "centigrade"],
  },
  small: ["the", "a", "an", "my", "our"],
  courtesies: {
    opening: [
      "please | (could | can | would | will) you [please] | (I would | I'd) like you to | I want you to",
    ],
    closing: ["please | thanks | thank you | for me [please]"],
  },
  replies: {
    unknown: "Sorry, I did not understand that.",
    unsure: "Which one: {$choices}?",
    refuse: "I can't do that: {$reason}.",
    act: "Done.",
  },
};
