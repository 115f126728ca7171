import { useEffect, useState } from "react";

/**
 * What is written, once nobody has written on for a while.
 * @param pause in milliseconds
 */
export function useCalm(text: string, pause: number): string {
  const [calm, setCalm] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setCalm(text), pause);
    return () => clearTimeout(timer);
  }, [text, pause]);
  return calm;
}
