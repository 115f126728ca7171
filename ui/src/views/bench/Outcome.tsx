import type { Answer } from "../../api/client";
import { words } from "../../words";

/** Whether the trial record would be saved. */
export function Outcome({ answer }: { answer: Answer }) {
  const written = answer.steps.filter((step) => step.result === "logged").length;
  return (
    <div
      className={`shrink-0 rounded-[var(--radius-box)] px-4 py-3 ${answer.would_save ? "bg-primary text-primary-content" : "bg-error text-error-content"}`}
      role="status"
    >
      <p className="font-semibold text-base">{answer.would_save ? words.bench.wouldSave : words.bench.wouldRefuse}</p>
      <p>{answer.would_save ? words.bench.changes(written) : words.bench.refusals(answer.messages.length)}</p>
    </div>
  );
}
