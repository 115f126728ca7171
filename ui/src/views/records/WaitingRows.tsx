import type { Table } from "../../api/client";
import { words } from "../../words";
import type { Mending } from "./useMending";

type Props = { table: Table; mending: Mending; onRetry: () => void };

/** Says that refused rows are kept, and why the first of them was. */
export function WaitingRows({ table, mending, onRetry }: Props) {
  const { waiting } = mending;
  if (waiting.length === 0) return null;
  const first = waiting[0]?.messages[0];
  const label = table.fields.find((field) => field.key === first?.field)?.label;
  return (
    <section
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 rounded border border-error bg-[var(--tint-refused)] px-3 py-1.5"
      aria-label={words.grid.waiting(waiting.length)}
    >
      <span className="font-semibold text-error">{words.grid.waiting(waiting.length)}</span>
      <span className="quiet min-w-0 flex-1 truncate text-xs">
        {first ? `${label ? `${label}: ` : ""}${first.message}` : words.grid.waitingAim}
      </span>
      <button type="button" className="btn btn-xs" onClick={onRetry}>
        {words.grid.retry}
      </button>
      <button type="button" className="link text-xs" onClick={() => mending.drop(waiting.map((each) => each.key))}>
        {words.grid.leaveAllOut}
      </button>
    </section>
  );
}
