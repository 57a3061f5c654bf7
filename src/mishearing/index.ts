/** What sounds alike, and what phrases are taken for by a recogniser: found before anybody speaks. */
export {
  type SoundAlike,
  type SoundAlikeOptions,
  type SoundName,
  findSoundAlikes,
} from "./alike.ts";
export { arrangeByEar, confusionsBetween, pairUp, shadeOf } from "./by-ear.ts";
export { type Confusion, confusionsIn } from "./confusions.ts";
export type { Differing } from "./difference.ts";
export {
  type Mishearing,
  type MishearingOptions,
  type TakenFor,
  findMishearings,
} from "./mishearings.ts";
export {
  type OpenHearing,
  type OpenHearingOptions,
  type Variant,
  drawSlips,
} from "./open-hearing.ts";
export {
  type Advice,
  type Remedy,
  type RemedyOptions,
  type Tried,
  createRemedies,
} from "./remedies.ts";
export type { PhraseChoice } from "./spoken-phrases.ts";
export { type Judged, type Verdict, judge } from "./verdict.ts";
export type { Dictionary } from "../sounds/pronounce.ts";
export { type HeardEntry, type HeardLog, readHeardLog } from "./heard-log.ts";
export {
  type HeardCluster,
  type HeardStudy,
  type HeardStudyOptions,
  studyHeard,
} from "./heard-study.ts";
export type { PasteTried } from "./pastes.ts";
export { type HeldApart, heldApart } from "./held-apart.ts";
export { createRisk } from "./safest.ts";
export { type Sheet, type SheetRoom, type SheetThing, sheetOf } from "../survey/sheet.ts";
