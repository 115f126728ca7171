import { useState } from "react";
import { useAfterPause } from "./useAfterPause";

/**
 * A value, once it has not changed for a while.
 * @param pause in milliseconds
 */
export function useDebounced<T>(value: T, pause: number): T {
  const [calm, setCalm] = useState(value);
  // Values are compared by what they say, so that an object made again each time is no change.
  useAfterPause(() => setCalm(value), pause, typeof value === "string" ? value : JSON.stringify(value));
  return calm;
}
