import type { Middleware } from "openapi-fetch";
import { useSyncExternalStore } from "react";

/** Milliseconds after which somebody who waits for an answer is told what for. */
const PATIENCE = 1_000;

/** Moments at which those were sent that have no answer yet. */
const sent = new Map<Request, number>();
const listeners = new Set<() => void>();
let waiting = false;

function look() {
  const now = Date.now();
  const long = [...sent.values()].some((at) => now - at >= PATIENCE);
  if (long === waiting) return;
  waiting = long;
  for (const listener of listeners) listener();
}

const ended = (request: Request) => {
  sent.delete(request);
  look();
};

/** Knows of each write, and of each answer to what is typed, for how long it has been waited for. */
export const noticed: Middleware = {
  onRequest({ request }) {
    if (request.method === "GET") return;
    sent.set(request, Date.now());
    setTimeout(look, PATIENCE);
  },
  onResponse({ request }) {
    ended(request);
  },
  onError({ request }) {
    ended(request);
  },
};

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

/** Whether something has been waited for that long. */
export const useWaiting = () => useSyncExternalStore(subscribe, () => waiting);
