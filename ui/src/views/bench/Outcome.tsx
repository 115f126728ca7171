import type { Trial } from "../../api/client";
import { sentences, t } from "../../words";

/** Whether the trial record was saved, or would be. */
export function Outcome({ trial, onKeep }: { trial: Trial; onKeep: () => void }) {
  const { state, thought_of: thought, messages, changes, message } = trial.outcome;
  const good = state !== "refused";
  const title = sentences.bench.outcome(state, thought);
  const told =
    state === "refused"
      ? (message ?? t("bench.refusals", { count: messages.length }))
      : state === "saved"
        ? sentences.bench.changes(changes.length, thought)
        : "";
  return (
    <div
      className={`flex shrink-0 items-start gap-3 rounded-[var(--radius-box)] px-4 py-3
        ${good ? "bg-primary text-primary-content" : "bg-error text-error-content"}`}
    >
      <div className="min-w-0 flex-1" role="status">
        <p className="font-semibold text-base">{title}</p>
        <p>{told}</p>
      </div>
      <button type="button" className="btn btn-sm border-0 bg-base-100 text-base-content" onClick={onKeep}>
        {t("bench.keep")}
      </button>
    </div>
  );
}
