import type { Routine } from "../phrasebook/model.ts";
import { type Cause, unspoken } from "./cause.ts";
import type { Start } from "./routines.ts";
import { holdsFor } from "./run.ts";
import { printDuration } from "../time/duration.ts";
import type { Rest } from "./snapshot.ts";
import type { Scene } from "./scene.ts";
import { type ClockTrigger, nextFiring } from "./schedule.ts";

/** What sets routines off by itself. */
export interface Triggers {
  /** Some state is another one than before. */
  changed: (cause: Cause) => void;
  pressed: (button: string, cause: Cause) => void;
  presence: (person: string, is: "home" | "away") => void;
  /** Sets the triggers of clock and sun, once time begins to pass. */
  begin: () => void;
  /** Who is not at home, and which state triggers have what they ask for. */
  known: () => Pick<Rest, "away" | "held">;
}

/** Seconds after which the time of a trigger has passed: a home that slept does not do it all at once. */
const mostLate = 300;

export function createTriggers(
  scene: Scene,
  { away, held: before }: { away: readonly string[]; held?: readonly string[] | undefined },
  start: (routine: Routine, start: Start) => void,
): Triggers {
  const { book, store, clock, record } = scene;
  const zone = book.place?.timezone ?? "UTC";
  const absent = new Set(away);
  const holding = new Map<string, () => void>();
  const held = new Set<string>();
  let hasBegun = false;

  const setOff = (is: (trigger: Routine["triggers"][number]) => boolean, how: Start): void => {
    for (const routine of book.routines.values()) {
      const fired = routine.triggers.filter(is);
      for (const trigger of fired) book.witness?.used(trigger);
      if (fired.length > 0) start(routine, how);
    }
  };

  const stateTriggers = [...book.routines.values()].flatMap((routine) =>
    routine.triggers.flatMap((trigger, index) =>
      trigger.trigger === "state" ? [{ routine, trigger, key: `${routine.id} ${index}` }] : [],
    ),
  );
  // What holds from the beginning sets nothing off.
  for (const { trigger, key } of stateTriggers) {
    if (before ? before.includes(key) : holdsFor(trigger.states, store.get)) held.add(key);
  }

  const setNext = (routine: Routine, index: number, trigger: ClockTrigger, after: number): void => {
    const next = nextFiring(trigger, after, zone, book.place);
    if (next === undefined) return;
    const fire = (): void => {
      const late = clock.now() - next;
      if (late > mostLate) {
        const because = `its time passed ${printDuration(Math.round(late))} ago`;
        record({ event: "skipped", routine: routine.id, because });
      } else {
        const because = trigger.trigger === "time" ? "its time has come" : trigger.event;
        book.witness?.used(trigger);
        start(routine, { because, isMeant: false, cause: unspoken });
      }
      setNext(routine, index, trigger, Math.max(next, clock.now() - mostLate));
    };
    const wait = next - clock.now();
    clock.at(clock.elapsed() + wait, fire, `${routine.id} ${index}`);
  };

  return {
    /** A state trigger fires when what it asks for begins to hold, or has held long enough. */
    changed(cause) {
      for (const { routine, trigger, key } of stateTriggers) {
        if (!holdsFor(trigger.states, store.get)) {
          held.delete(key);
          holding.get(key)?.();
          holding.delete(key);
        } else if (!held.has(key)) {
          held.add(key);
          const because = [...trigger.states.keys()].join(", ");
          const fire = (): void => {
            book.witness?.used(trigger);
            start(routine, { because, isMeant: false, cause });
          };
          const cancel = clock.at(clock.elapsed() + trigger.lasting, fire);
          if (trigger.lasting > 0) holding.set(key, cancel);
        }
      }
    },
    pressed(button, cause) {
      // After what pressed it: a routine may press the very button that sets it off.
      clock.at(clock.elapsed(), () => {
        setOff((trigger) => trigger.trigger === "press" && trigger.device === button, {
          because: `${button} pressed`,
          isMeant: true,
          cause,
        });
      });
    },
    presence(person, is) {
      if (absent.has(person) === (is === "away")) return;
      const all = book.people.size;
      const before = all - absent.size;
      if (is === "away") absent.add(person);
      else absent.delete(person);
      record({ event: "presence", person, is });
      const present = all - absent.size;
      const change = { person, is, before, present, all };
      setOff(
        (trigger) => trigger.trigger === "presence" && isPresence(trigger.who, trigger.is, change),
        { because: `${person} is ${is}`, isMeant: false, cause: unspoken },
      );
    },
    begin() {
      if (hasBegun) return;
      hasBegun = true;
      for (const routine of book.routines.values()) {
        for (const [index, trigger] of routine.triggers.entries()) {
          if (trigger.trigger !== "time" && trigger.trigger !== "sun") continue;
          setNext(routine, index, trigger, clock.now());
        }
      }
    },
    known: () => ({ away: [...absent], held: [...held] }),
  };
}

/** Whether somebody's coming or going is what a trigger waits for. */
function isPresence(
  who: string,
  wanted: "home" | "away",
  now: { person: string; is: "home" | "away"; before: number; present: number; all: number },
): boolean {
  switch (who) {
    case "everyone":
      return wanted === now.is && now.present === (wanted === "home" ? now.all : 0);
    case "nobody":
      return wanted === "home" && now.is === "away" && now.present === 0;
    case "first":
      return wanted === now.is && (wanted === "home" ? now.before === 0 : now.before === now.all);
    case "last":
      return wanted === now.is && now.present === (wanted === "home" ? now.all : 0);
    case "anyone":
      return wanted === now.is;
    default:
      return who === now.person && wanted === now.is;
  }
}
