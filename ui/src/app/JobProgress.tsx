import { useRef, useState } from "react";
import type { Job } from "../api/client";
import { stopJob, useJob } from "../api/jobs";
import { Dialog } from "../components/Dialog";
import { sentences, t } from "../words";
import { inDialog } from "./useShortcuts";

/**
 * How far long work is, with the possibility to stop it. Whoever types goes on typing meanwhile, so it takes no
 * focus; only where a dialog is open already does it stand in front, since nothing behind that can be reached.
 */
export function JobProgress() {
  const job = useJob();
  // Its own dialog does not count.
  const inFront = useRef<boolean | null>(null);
  if (!job) inFront.current = null;
  else inFront.current ??= inDialog();
  if (!job) return null;
  return inFront.current ? (
    <Dialog title={t("job.title")} onClose={() => stop(job)}>
      <HowFar job={job} />
    </Dialog>
  ) : (
    <section
      aria-label={t("job.title")}
      className="sheet -translate-x-1/2 fixed left-1/2 z-50 w-96 max-w-[calc(100vw-2rem)] p-4 shadow-xl print:hidden"
      style={{ bottom: "calc(var(--save-bar, 0px) + 16px)" }}
    >
      <h2 className="mb-2 text-base">{t("job.title")}</h2>
      <HowFar job={job} />
    </section>
  );
}

const stop = (job: Job) => stopJob(job.id).catch(() => undefined);

function HowFar({ job }: { job: Job }) {
  const [stopping, setStopping] = useState<string | null>(null);
  const begun = useRef<{ what: string; at: number; done: number } | null>(null);
  // Each part of the work has its own pace.
  const what = `${job.id} ${job.field}`;
  if (begun.current?.what !== what) begun.current = { what, at: Date.now(), done: job.done };
  const spent = (Date.now() - begun.current.at) / 1000;
  const went = job.done - begun.current.done;
  const left = spent > 2 && went > 0 && job.total > job.done ? ((job.total - job.done) / went) * spent : null;
  return (
    <>
      <p className="mb-3">{job.field ? t("job.field", { name: job.field }) : t("job.begin")}</p>
      <progress className="progress progress-primary w-full" value={job.done} max={Math.max(job.total, 1)} />
      <div className="mt-2 flex items-center gap-3">
        <span className="quiet flex-1 tabular-nums">
          {[sentences.job.count(job.done, job.total), left !== null && sentences.job.left(left)]
            .filter(Boolean)
            .join(", ")}
        </span>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => {
            setStopping(job.id);
            stop(job);
          }}
          disabled={stopping === job.id}
        >
          {t("job.stop")}
        </button>
      </div>
      <p className="quiet mt-3 text-xs">{t("job.note")}</p>
    </>
  );
}
