import { useSyncExternalStore } from "react";
import { t } from "../words";
import { api, data, type Job, ProblemError } from "./client";

/** Milliseconds between two looks at work in the background. */
const PACE = 250;
/** No connection, and a server that has too much to do. */
const UNANSWERED = [0, 503];

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
 * The result of work that may take long: such work goes on in the background, and tells at its end what
 * the answer would have told had it come at once.
 */
export async function awaitJob<T>(call: Promise<Answered<T>>): Promise<Exclude<T, Job>> {
  const { data: found, response } = await call;
  if (response.status !== 202) return found as Exclude<T, Job>;
  return (await ended(found as Job)).report as Exclude<T, Job>;
}

/** As it is now; as it was, where nobody answers: the work goes on. */
async function lookAt(job: Job): Promise<Job> {
  try {
    return await data(api.GET("/api/jobs/{job}", { params: { path: { job: job.id } } }));
  } catch (error) {
    if (error instanceof ProblemError && UNANSWERED.includes(error.problem.status)) return job;
    throw error;
  }
}

async function ended(begun: Job) {
  let job = begun;
  try {
    while (job.state === "running") {
      tell(job);
      await new Promise((resolve) => setTimeout(resolve, PACE));
      job = await lookAt(job);
    }
  } finally {
    tell(null);
  }
  if (job.state === "stopped") {
    throw new ProblemError({ type: "about:blank", title: t("job.stopped"), status: 200, code: "stopped" });
  }
  return job;
}
