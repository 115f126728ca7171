import { useSyncExternalStore } from "react";
import { words } from "../words";
import { api, data, type Job, ProblemError } from "./client";

/** Milliseconds between two looks at work in the background. */
const PACE = 250;

let current: Job | null = null;
const listeners = new Set<() => void>();

function tell(job: Job | null) {
  current = job;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

/** The work that somebody waits for, null when there is none. */
export const useJob = () => useSyncExternalStore(subscribe, () => current);

export const stopJob = (job: string) => data(api.DELETE("/api/jobs/{job}", { params: { path: { job } } }));

type Answered<T> = { data?: T; response: Response };

/**
 * The result of a change of the design. One that takes long goes on in the background; this waits
 * for its end, and gives what it tells then, or null where what it made is asked for again anyway.
 */
export async function settled<T>(call: Promise<Answered<T>>): Promise<Exclude<T, Job> | null> {
  const { data: found, response } = await call;
  if (response.status !== 202) return found as Exclude<T, Job>;
  return ((await ended(found as Job)).report as Exclude<T, Job> | null | undefined) ?? null;
}

/** The same for work that tells at its end what came of it, however long it took. */
export async function reported<T>(call: Promise<Answered<T | Job>>): Promise<T> {
  const { data: found, response } = await call;
  if (response.status !== 202) return found as T;
  return (await ended(found as Job)).report as T;
}

async function ended(begun: Job) {
  let job = begun;
  try {
    while (job.state === "running") {
      tell(job);
      await new Promise((resolve) => setTimeout(resolve, PACE));
      job = await data(api.GET("/api/jobs/{job}", { params: { path: { job: job.id } } }));
    }
  } finally {
    tell(null);
  }
  if (job.state === "stopped") {
    throw new ProblemError({ type: "about:blank", title: words.job.stopped, status: 200, code: "stopped" });
  }
  return job;
}
