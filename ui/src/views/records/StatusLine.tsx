import { useEffect, useState } from "react";
import { toast } from "sonner";
import { type Field, ProblemError, type RecordData, type Table } from "../../api/client";
import { play } from "../../api/proofs";
import { sentences, t } from "../../words";
import type { Box } from "./useRange";
import type { Waiting } from "./useRejectedRows";

type Props = {
  table: Table;
  record: RecordData | undefined;
  waiting: Waiting | undefined;
  field: Field;
  box: Box;
};

/** Beneath the grid: what the active cell holds, where that comes from, and why it may be blank. */
export function StatusLine({ table, record, waiting, field, box }: Props) {
  const [why, setWhy] = useState<string | null>(null);
  const place = `${record?.id}-${field.key}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: an answer belongs to the cell for which it was asked
  useEffect(() => setWhy(null), [place]);
  const refused = waiting?.messages.filter((each) => each.field === field.key || each.fields.includes(field.key)) ?? [];
  const text =
    waiting && field.key in waiting.typed ? String(waiting.typed[field.key] ?? "") : record?.texts[field.key];
  const rule = table.rules.find(
    (each) => each.field === field.key && ["calculate", "number", "log"].includes(each.stage),
  );
  const rows = box.bottom - box.top + 1;
  const columns = box.right - box.left + 1;

  const ask = async () => {
    if (!record) return;
    try {
      const trial = await play(table.key, { start: { from: "real", record: record.id }, acts: [{ do: "save" }] });
      setWhy(trial.why[field.key]?.words ?? t("grid.whyNot"));
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };

  return (
    <div className="flex min-h-9 items-center gap-3 border-base-300 border-t px-3 py-1 text-xs" aria-live="polite">
      <span className="shrink-0 font-semibold text-secondary">{field.label}</span>
      {refused.length > 0 ? (
        <span className="min-w-0 break-words text-error">{refused.map((each) => each.message).join(" ")}</span>
      ) : (
        <>
          <span className={`max-w-[50%] shrink-0 truncate ${field.given && text ? "stitched" : ""}`}>
            {text || (record || waiting ? t("history.blank") : "")}
          </span>
          <span className="quiet min-w-0 break-words">
            {why ?? (field.given ? (rule?.sentence ?? t("grid.byRule")) : "")}
          </span>
        </>
      )}
      {record && !text && !why && refused.length === 0 && (
        <button type="button" className="link shrink-0" onClick={ask}>
          {t("grid.why")}
        </button>
      )}
      <span className="flex-1" />
      {rows * columns > 1 ? (
        <span className="quiet shrink-0 tabular-nums">{sentences.grid.ofMany(rows, columns)}</span>
      ) : (
        <span className="quiet hidden shrink-0 truncate xl:inline">{t("grid.hint")}</span>
      )}
    </div>
  );
}
