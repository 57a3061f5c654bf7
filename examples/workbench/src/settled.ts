import { useEffect, useState } from "react";

/** Milliseconds after which a hand that types has come to rest. */
const rest = 180;

/** A value, once it has stayed the same for a moment. */
export function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => {
      setSettled(value);
    }, rest);
    return () => {
      clearTimeout(timer);
    };
  }, [value]);
  return settled;
}
