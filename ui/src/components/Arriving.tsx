import { type ReactNode, Suspense, useEffect } from "react";
import { keyQueue } from "./record/keyQueue";

/** Has a part of the page brought once somebody opens it. What is typed until it is here is typed into it. */
export function Arriving({ children }: { children: ReactNode }) {
  return <Suspense fallback={<Held />}>{children}</Suspense>;
}

function Held() {
  useEffect(() => {
    keyQueue.hold();
  }, []);
  return null;
}

/** For such a part: what was typed is played where it has put the cursor. */
export function useArrived() {
  useEffect(() => {
    const place = document.activeElement;
    keyQueue.release(place instanceof HTMLElement ? place : null);
  }, []);
}
