/** The core of Calm Phrase: runs unchanged in Node.js and in browsers. */
export { readPhrasebook } from "./book/read.ts";
export { type Book, createReader, type Reader, type ReaderOptions } from "./book/book.ts";
export { definePhrasebook } from "./phrasebook/define.ts";
export { simulate } from "./home/simulated/simulate.ts";
export { runSuites } from "./suites/run.ts";
export { readSuites, type Suites } from "./suites/read.ts";
export { partSources, type Parted } from "./suites/sources.ts";
export { type Day, readDays, runDay } from "./suites/day.ts";
export { describeOutcome } from "./commands/describe.ts";
export { checkPhrasebook } from "./survey/check.ts";
export { type SayableDevice, listSayable } from "./survey/sayable.ts";

export type { ComputeSteps, StepDefinition } from "./phrasebook/definition/steps.ts";
export type { PhrasebookDefinition } from "./phrasebook/definition/phrasebook.ts";
export type { StepInput } from "./model/step.ts";
export type { OwnSlotType } from "./model/own-slot-type.ts";
export type { LanguagePack } from "./language/pack.ts";
export type { Source, SourceDefinition, SourceText } from "./document/document.ts";
export type { Device, Group, Name, Room, Voicepoint, Zone } from "./model/home.ts";
export type { Fragment, SpokenPattern } from "./model/spoken.ts";
export type { Intent, Phrasebook } from "./phrasebook/model.ts";
export type { Slot } from "./slot-types/slot.ts";
export type { DataSchema, State, Value } from "./model/property.ts";
export type { HearContext } from "./hearing/context.ts";
export { effectsOf, grant } from "./commands/outcome.ts";
export type {
  Choice,
  DevicesSlot,
  Effect,
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
export { tellReason, type Lack, type Reason } from "./model/reason.ts";
export type { StatesOf } from "./commands/states.ts";
export type { Barred, ReadingWhy, Why, WordRole } from "./hearing/explain/why.ts";
export type { NearMiss } from "./hearing/near/near.ts";
export type { Call, Change, Performed } from "./home/scene.ts";
export type { Conversation, SimulatedHome, SimulateOptions } from "./home/simulated/simulate.ts";
export type { TalkContext } from "./home/conversation/converse.ts";
export type { Turn } from "./home/conversation/turns.ts";
export {
  type Driver,
  type LiveConversation,
  type LiveHome,
  type LiveOptions,
  type TimeSource,
  openHome,
} from "./home/live.ts";
export type { DeviceResult } from "./home/ports.ts";
export type { Fault } from "./home/simulated/devices.ts";
export { printEvent, type LogEntry, type LogEvent } from "./home/log.ts";
export { WrongUse, type WrongUseCode } from "./source/wrong-use.ts";
export type { CaseResult, RunOptions, SuiteResult, SuiteResults } from "./suites/run.ts";
export type { Failure } from "./suites/judge.ts";
export type { Finding, Severity } from "./source/finding.ts";
export type { Position, Span } from "./source/position.ts";
