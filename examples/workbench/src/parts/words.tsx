import type { TurnView } from "../engine/views.ts";

const roles: Readonly<Record<string, string>> = {
  pattern: "pattern",
  slot: "slot",
  small: "passed over",
  courtesy: "courtesy",
  when: "when",
  joiner: "joins",
  unused: "unused",
};

/** The words of a phrase, each over what it was taken for. */
export function Words({ turn }: { turn: TurnView }) {
  const [near] = turn.nearest;
  return (
    <p className="words" aria-label="Words">
      {turn.words.map(({ text, role, slot, fragment, start, end }) => {
        const isStopped = near !== undefined && start >= near.start && end <= near.end;
        const told = isStopped ? "stopped here" : (slot ?? fragment ?? roles[role] ?? role);
        return (
          <span key={start} className={`word ${role}${isStopped ? " stopped" : ""}`}>
            <span className="text">{text}</span>
            <span className="role">{slot !== undefined && !isStopped ? `$${told}` : told}</span>
          </span>
        );
      })}
    </p>
  );
}
