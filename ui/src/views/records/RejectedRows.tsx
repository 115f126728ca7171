import { useState } from "react";
import type { Table } from "../../api/client";
import { t } from "../../words";
import type { Mending, Waiting } from "./useRejectedRows";

type Props = { table: Table; mending: Mending; onRetry: () => void; onGoTo: (row: Waiting) => void };

/** Says that refused rows are kept, why, and leads from one to the next. */
export function RejectedRows({ table, mending, onRetry, onGoTo }: Props) {
  const [at, setAt] = useState<string | null>(null);
  const waiting = mending.waiting.filter((each) => each.messages.length > 0);
  if (waiting.length === 0) return null;
  const place = Math.max(
    0,
    waiting.findIndex((each) => each.key === at),
  );
  const shown = waiting[place];
  const first = shown?.messages[0];
  // The first press leads to the first row, the next to those that follow.
  const go = (by: number) => {
    const to = waiting[at === null ? 0 : (place + by + waiting.length) % waiting.length];
    if (!to) return;
    setAt(to.key);
    onGoTo(to);
  };
  const label = table.fields.find((field) => field.key === first?.field)?.label;
  return (
    <section
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 rounded border border-error
        bg-[var(--tint-refused)] px-3 py-1.5"
      aria-label={t("grid.waiting", { count: waiting.length })}
    >
      <span className="font-semibold text-error">{t("grid.waiting", { count: waiting.length })}</span>
      <span className="quiet min-w-0 flex-1 truncate text-xs">
        {first ? `${label ? `${label}: ` : ""}${first.message}` : t("grid.waitingAim")}
      </span>
      {waiting.length > 1 && (
        <span className="quiet text-xs tabular-nums">
          {t("grid.waitingPlace", { n: place + 1, of: waiting.length })}
        </span>
      )}
      {waiting.length > 1 && (
        <button type="button" className="btn btn-xs" onClick={() => go(-1)}>
          {t("grid.waitingBefore")}
        </button>
      )}
      <button type="button" className="btn btn-xs" onClick={() => go(1)}>
        {waiting.length > 1 ? t("grid.waitingNext") : t("grid.waitingShow")}
      </button>
      <button type="button" className="btn btn-xs" onClick={onRetry}>
        {t("grid.retry")}
      </button>
      <button type="button" className="link text-xs" onClick={() => mending.drop(waiting.map((each) => each.key))}>
        {t("grid.leaveAllOut")}
      </button>
    </section>
  );
}
