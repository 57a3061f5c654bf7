/** The core of Calm Phrase: runs unchanged in Node.js and in browsers. */
export { readPhrasebook, type Book } from "./book/book.ts";
export { definePhrasebook } from "./phrasebook/define.ts";
export { simulate } from "./home/simulated/simulate.ts";
export { runSuites } from "./suites/run.ts";
export { readSuites, type Suites } from "./suites/suite.ts";
export { partSources, type Parted } from "./suites/sources.ts";
export { type Day, readDays, runDay } from "./suites/day.ts";
export { describeOutcome } from "./commands/describe.ts";
export { checkPhrasebook } from "./survey/check.ts";
export { type SayableDevice, listSayable } from "./survey/sayable.ts";

export type {
  ComputeSteps,
  PhrasebookDefinition,
  StepDefinition,
  StepInput,
} from "./phrasebook/schema.ts";
export type { Source, SourceDefinition, SourceText } from "./phrasebook/document.ts";
export type {
  Device,
  Fragment,
  Group,
  Intent,
  Name,
  Phrasebook,
  Room,
  Slot,
  SpokenPattern,
  Voicepoint,
  Zone,
} from "./phrasebook/model.ts";
export type { DataSchema, State, Value } from "./phrasebook/property.ts";
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
export { tellReason, type Lack, type Reason } from "./commands/reason.ts";
export type { StatesOf } from "./commands/states.ts";
export type { Barred, ReadingWhy, Why, WordRole } from "./hearing/explain/why.ts";
export type { NearMiss } from "./hearing/near/near.ts";
export type { Call, Change, Performed } from "./home/scene.ts";
export type { Conversation, SimulatedHome, SimulateOptions } from "./home/simulated/simulate.ts";
export type { TalkContext, Turn } from "./home/converse.ts";
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
