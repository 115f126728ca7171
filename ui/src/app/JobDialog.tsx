import { useRef, useState } from "react";
import { stopJob, useJob } from "../api/jobs";
import { Dialog } from "../components/Dialog";
import { words } from "../words";

/** How far long work is, with the possibility to stop it. */
export function JobDialog() {
  const job = useJob();
  const [stopping, setStopping] = useState<string | null>(null);
  const begun = useRef<{ what: string; at: number; done: number } | null>(null);
  if (!job) return null;
  // Each part of the work has its own pace.
  const what = `${job.id} ${job.field}`;
  if (begun.current?.what !== what) begun.current = { what, at: Date.now(), done: job.done };
  const spent = (Date.now() - begun.current.at) / 1000;
  const went = job.done - begun.current.done;
  const left = spent > 2 && went > 0 && job.total > job.done ? ((job.total - job.done) / went) * spent : null;
  const stop = () => {
    setStopping(job.id);
    stopJob(job.id).catch(() => undefined);
  };
  return (
    <Dialog title={words.job.title} onClose={stop}>
      <p className="mb-3">{job.field ? words.job.field(job.field) : words.job.begin}</p>
      <progress className="progress progress-primary w-full" value={job.done} max={Math.max(job.total, 1)} />
      <div className="mt-2 flex items-center gap-3">
        <span className="quiet flex-1 tabular-nums">
          {[words.job.count(job.done, job.total), left !== null && words.job.left(left)].filter(Boolean).join(", ")}
        </span>
        <button type="button" className="btn btn-sm" onClick={stop} disabled={stopping === job.id}>
          {words.job.stop}
        </button>
      </div>
      <p className="quiet mt-3 text-xs">{words.job.note}</p>
    </Dialog>
  );
}
