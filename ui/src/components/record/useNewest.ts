import { useCallback, useRef } from "react";

/**
 * Answers may overtake each other on a busy line.
 * @returns begins a question, and gives what says whether it is still the newest
 */
export function useNewest(): () => () => boolean {
  const asked = useRef(0);
  return useCallback(() => {
    asked.current += 1;
    const mine = asked.current;
    return () => mine === asked.current;
  }, []);
}
