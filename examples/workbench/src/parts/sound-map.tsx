import { type KeyboardEvent, memo, useMemo, useRef } from "react";
import { type SoundAlike, type SoundName, pairUp, shadeOf } from "calm-phrase/mishearing";
import type { SoundMap } from "../engine/views.ts";

/** The names of one language by sound: the darker a cell, the more alike the two. */
export const SoundTable = memo(function SoundTable({
  map,
  chosen,
  onChoose,
}: {
  map: SoundMap;
  chosen: SoundAlike | undefined;
  onChoose: (pair: SoundAlike) => void;
}) {
  const table = useRef<HTMLTableElement>(null);
  const { language, names, pairs } = map;
  const pairOf = useMemo(() => pairUp(pairs), [pairs]);
  const first = pairs[0];
  const step = (event: KeyboardEvent): void => {
    const way = ways[event.key];
    if (!way || !(event.target instanceof HTMLElement)) return;
    event.preventDefault();
    const cells = [...(table.current?.querySelectorAll<HTMLElement>("button") ?? [])];
    nextCell(cells, event.target, way)?.focus();
  };
  return (
    <table ref={table} className="sound-map" onKeyDown={step}>
      <caption className="quiet">
        {names.length} names in {language} that sound like another
      </caption>
      <thead>
        <tr>
          <td />
          {names.map((name) => (
            <th key={keyOf(name)} scope="col">
              <span>{name.text}</span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {names.map((one, row) => (
          <tr key={keyOf(one)}>
            <th scope="row">{one.text}</th>
            {names.map((other, column) => {
              const pair = pairOf(one, other);
              if (!pair) return <td key={keyOf(other)} />;
              const isChosen = pair === chosen;
              return (
                <td key={keyOf(other)} className={`near-${shadeOf(pair.distance)}`}>
                  <button
                    type="button"
                    data-row={row}
                    data-column={column}
                    tabIndex={row < column && pair === (chosen ?? first) ? 0 : -1}
                    aria-pressed={isChosen}
                    aria-label={`${pair.distance.toFixed(1)} between ${one.text} and ${other.text}`}
                    onClick={() => {
                      onChoose(pair);
                    }}
                  >
                    {pair.distance.toFixed(1)}
                  </button>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
});

/** Rows and columns that a key goes on. */
const ways: Readonly<Record<string, readonly [down: number, right: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** The nearest cell in a direction. */
function nextCell(
  cells: readonly HTMLElement[],
  from: HTMLElement,
  [down, right]: readonly [number, number],
): HTMLElement | undefined {
  const place = ({ dataset }: HTMLElement) => [Number(dataset["row"]), Number(dataset["column"])];
  const [row = 0, column = 0] = place(from);
  const away = (cell: HTMLElement): number => {
    const [otherRow = 0, otherColumn = 0] = place(cell);
    const [along, across] =
      down === 0
        ? [(otherColumn - column) * right, Math.abs(otherRow - row)]
        : [(otherRow - row) * down, Math.abs(otherColumn - column)];
    // What is straight ahead comes before what is nearer and to the side.
    return along > 0 ? along + across * 100 : Infinity;
  };
  const [next] = [...cells].sort((one, other) => away(one) - away(other));
  return next && away(next) < Infinity ? next : undefined;
}

export function keyOf({ of, id, text }: SoundName): string {
  return JSON.stringify([of, id, text]);
}
