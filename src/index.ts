/** The core of Calm Phrase: runs unchanged in Node.js and in browsers. */
export { readPhrasebook } from "./book/read.ts";
export { type Book, createReader, type Reader, type ReaderOptions } from "./book/book.ts";
export { definePhrasebook } from "./phrasebook/define.ts";
export {
  type SimulatedDevices,
  type Simulation,
  simulateDevices,
} from "./home/simulated/devices.ts";
export { simulate } from "./home/simulated/simulate.ts";
export { caseKey, resultsVersion } from "./suites/results.ts";
export { mergeResults } from "./suites/merge.ts";
export { runSuites } from "./suites/run.ts";
export { readSuites, type Suites } from "./suites/read.ts";
export { type Suggested, suggestSuite } from "./coverage/suggest.ts";
export { joinRecords, recordVersion } from "./comparison/record.ts";
export { type Edit, applyEdits, editFor } from "./document/mending.ts";
export { recordRun } from "./comparison/recording.ts";
export { readPhrases, type Phrases } from "./comparison/phrases.ts";
export { compareRecords, comparisonVersion } from "./comparison/compare.ts";
export { traceSuites } from "./coverage/trace.ts";
export { measureCoverage, coverageVersion, percentOf } from "./coverage/coverage.ts";
export { partSources, type Parted } from "./suites/sources.ts";
export { type Day, readDays, runDay } from "./suites/day.ts";
export { type Daylight, daylightOf } from "./home/schedule.ts";
export { describeOutcome } from "./commands/describe.ts";
export { checkPhrasebook } from "./survey/check.ts";
export { type SayableDevice, listSayable } from "./survey/sayable.ts";
export { effectsOf, grant, outcomeVersion } from "./commands/outcome.ts";
export { loopbackNames, tokenRights } from "./model/outside.ts";
export { canHold, inUnit, nearestHeld, valuesOrdered } from "./home/device-values.ts";
export { tellReason, type Lack, type Reason } from "./model/reason.ts";
export type { CallInput, Called } from "./home/calls.ts";
export type { Driven, Driver } from "./home/outgoing.ts";
export type { Keeper } from "./home/recorder.ts";
export { type LiveConversation, type LiveHome, type LiveOptions, openHome } from "./home/live.ts";
export type { TimeSource } from "./home/live-clock.ts";
export type { Received, HomeSnapshot, KeptAnswers, KeptMemory, Rest } from "./home/snapshot.ts";
export { printEvent, type Interrupted, type LogEntry, type LogEvent } from "./home/log.ts";
export { WrongUse, type WrongUseCode } from "./source/wrong-use.ts";

/* What is written: definitions, and what they are made of. */
export type * from "./phrasebook/definition/home.ts";
export type * from "./phrasebook/definition/intents.ts";
export type * from "./phrasebook/definition/outside.ts";
export type * from "./phrasebook/definition/phrasebook.ts";
export type * from "./phrasebook/definition/steps.ts";
export type * from "./slot-types/definition.ts";
export type {
  ReplyDefinition,
  SaidDefinition,
  StatesDefinition,
  ValuesDefinition,
} from "./document/shapes.ts";
export type { Source, SourceDefinition, SourceText } from "./document/document.ts";
export type { OwnSlotType } from "./model/own-slot-type.ts";

/* What a phrasebook consists of, once it is read. */
export type * from "./model/home.ts";
export type * from "./model/outside.ts";
export type { Pronunciation } from "./model/pronunciation.ts";
export type * from "./model/spoken.ts";
export type * from "./model/step.ts";
export type * from "./model/trigger.ts";
export type { Kind, KindId, PropertiesOf, PropertyId, VoiceAccess } from "./model/kinds.ts";
export type { Condition, Conditions } from "./model/condition.ts";
export type { DataSchema, State, Value, ValueProblem } from "./model/property.ts";
export type { StateTest } from "./model/state-words.ts";
export type { Intent, Phrasebook, Routine } from "./phrasebook/model.ts";
export type { Slot, SlotBase, TargetSlot, TextSlot, ValuedSlot } from "./slot-types/slot.ts";

/* What a language consists of. */
export type * from "./language/pack.ts";
export type { Packs } from "./language/packs.ts";
export type { FrameForm, Frames, FrameSort } from "./language/frames.ts";
export type { ClockForm, DurationUnit, SunWords, TimeWords } from "./language/times.ts";
export type { SoundWords } from "./language/sounds.ts";
export type { SunEvent, SunPoint } from "./time/sun.ts";
export type {
  AnswerReplies,
  DoingWord,
  KindNouns,
  Said,
  StateWord,
  TargetWords,
  VocabularyEntry,
  VocabularyId,
  WishEntry,
  WishId,
  WishWords,
} from "./language/vocabulary.ts";
export type { SpeechUnits } from "./model/units.ts";

/* What is heard, and why. */
export type { HearContext } from "./hearing/context.ts";
export type {
  Choice,
  DevicesSlot,
  Effect,
  EffectBase,
  Heard,
  HeardAct,
  HeardAnswer,
  HeardAsk,
  HeardBase,
  HeardCommand,
  HeardGuarded,
  HeardRefuse,
  HeardUnknown,
  HeardUnsure,
  Question,
  Skipped,
  Slots,
  SlotValue,
  Spoken,
  ValueSlot,
  When,
} from "./commands/outcome.ts";
export type { StatesOf } from "./commands/states.ts";
export type { Barred } from "./hearing/barred.ts";
export type { ReadingWhy, Why, WordRole } from "./hearing/explain/why.ts";
export type { NearMiss } from "./hearing/near/near.ts";
export type { Paste } from "./hearing/near/paste.ts";

/* What a home does. */
export type { Cause } from "./home/cause.ts";
export type { Grant } from "./commands/access.ts";
export type { Call, Change, Deed, Performed, SceneOptions } from "./home/scene.ts";
export type { HomeOptions, RunSlots } from "./home/home.ts";
export type {
  CaseHome,
  Conversation,
  SimulatedHome,
  SimulateOptions,
} from "./home/simulated/simulate.ts";
export type { TalkContext } from "./home/conversation/converse.ts";
export type { Turn } from "./home/conversation/turns.ts";
export type { Asker, Clock, DeviceResult, Devices, Message, Note } from "./home/ports.ts";
export type { Fault } from "./home/simulated/devices.ts";

/* What suites and checks find. */
export type * from "./suites/suite.ts";
export type * from "./suites/expectation.ts";
export type { Happening } from "./suites/happenings.ts";
export type { ExpectedOutcome } from "./suites/schema.ts";
export type { States } from "./phrasebook/states.ts";
export type {
  CaseBase,
  CaseFailed,
  CasePassed,
  CaseResult,
  Mend,
  Suspect,
  SuiteResult,
  SuiteResults,
  Verdict,
} from "./suites/results.ts";
export type { RunOptions } from "./suites/run.ts";
export type { CaseStart, HomeMaker } from "./suites/run-case.ts";
export type { Coverage, CoveredPart, Share } from "./coverage/coverage.ts";
export type { CaseRecord, HomeRecord, RecordedDeed, RunRecord } from "./comparison/record.ts";
export type { RecordOptions } from "./comparison/recording.ts";
export type { CaseChange, ChangeSort, Comparison, HomeComparison } from "./comparison/compare.ts";
export type { PartSort } from "./coverage/parts.ts";
export type { Selection } from "./suites/select.ts";
export type { Failure } from "./suites/judge.ts";
export type { Finding, Remedy, Severity } from "./source/finding.ts";
export type { Position, Span } from "./source/position.ts";
