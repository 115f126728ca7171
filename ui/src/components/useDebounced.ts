import { useEffect, useRef, useState } from "react";

/**
 * A value, once it has not changed for a while.
 * @param pause in milliseconds
 */
export function useDebounced<T>(value: T, pause: number): T {
  const [calm, setCalm] = useState(value);
  const latest = useRef(value);
  latest.current = value;
  // Values are compared by what they say, so that an object made anew each time is no change.
  const said = typeof value === "string" ? value : JSON.stringify(value);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is said is the value
  useEffect(() => {
    const timer = setTimeout(() => setCalm(latest.current), pause);
    return () => clearTimeout(timer);
  }, [said, pause]);
  return calm;
}
