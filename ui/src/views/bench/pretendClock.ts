import { useSyncExternalStore } from "react";

/** The day and hour that the bench pretends, "2026-11-23T09:30"; null when it goes by the real clock. */
let pretended: string | null = null;
const listeners = new Set<() => void>();

/** Sets the bench's clock. Only the bench sees it: nothing real is worked out by it. */
export function pretend(moment: string | null) {
  pretended = moment;
  for (const listener of listeners) listener();
}

/** The pretended moment, for whoever shows it. */
export const usePretendClock = () =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => pretended,
  );
