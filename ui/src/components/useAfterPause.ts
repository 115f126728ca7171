import { useEffect, useRef } from "react";

/**
 * Does something once nothing has changed for a while. What is under way is aborted by the next change.
 * @param work null where there is nothing to do
 * @param pause in milliseconds
 * @param on what it depends on, as a text
 */
export function useAfterPause(work: ((signal: AbortSignal) => unknown) | null, pause: number, on: string) {
  const latest = useRef(work);
  latest.current = work;
  const wanted = work !== null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: each change of what it depends on starts it again
  useEffect(() => {
    if (!wanted) return;
    const stop = new AbortController();
    const timer = setTimeout(() => latest.current?.(stop.signal), pause);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [wanted, pause, on]);
}
