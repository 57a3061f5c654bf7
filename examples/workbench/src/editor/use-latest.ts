import { type RefObject, useEffect, useRef } from "react";

/** Always what was passed last, for those who are called later. */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  return latest;
}
