import { toCardinal } from "n2words/de-DE";
import type { LanguagePack } from "./pack.ts";

export const german: LanguagePack = {
  language: "de",
  name: "Deutsch",
  numbers: {
    cardinal: toCardinal,
    respelled: [
      ["einhundert", "hundert"],
      ["eins", "ein"],
      ["eins", "eine"],
      ["eins", "einen"],
      ["zwei", "zwo"],
    ],
    optional: ["und"],
    thousand: { word: "tausend", joined: true },
    minus: ["minus"],
    point: ["komma"],
    decimalSign: ",",
    fractions: [
      { value: 0.5, said: ["halb", "halbe", "die hälfte", "ein halb", "einhalb"] },
      { value: 0.25, said: ["viertel", "ein viertel", "einviertel"] },
      { value: 0.75, said: ["dreiviertel", "drei viertel"] },
      { value: 1.5, said: ["anderthalb"] },
    ],
    fractionJoiners: ["und"],
    fractionEndings: [{ value: 0.5, ending: "einhalb" }],
  },
  units: {
    percent: ["prozent", "%"],
    celsius: ["grad", "grad celsius", "celsius", "°", "°c"],
  },
  small: ["der", "die", "das", "den", "dem", "des", "mein", "meine", "meinen", "unser", "unsere"],
  courtesies: {
    opening: ["bitte | (kannst | könntest | würdest) du [bitte] | ich möchte [bitte] dass du"],
    closing: ["bitte | danke | dankeschön | für mich [bitte]"],
  },
  replies: {
    unknown: "Das habe ich leider nicht verstanden.",
    unsure: "Was davon: {$choices}?",
    refuse: "Das geht nicht: {$reason}.",
    act: "Erledigt.",
  },
};
