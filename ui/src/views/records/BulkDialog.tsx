import { useEffect, useState } from "react";
import { toast } from "sonner";
import { ProblemError, type Scalar, type Table } from "../../api/client";
import { type BulkWish, changeMany, type Report } from "../../api/records";
import { Dialog } from "../../components/Dialog";
import { FieldInput, isReadOnly } from "../../components/record/FieldInput";
import { useAfterPause } from "../../components/useAfterPause";
import { t } from "../../words";
import { ReportOf } from "./ReportOf";
import type { Writing } from "./useBatchWrite";

type Props = {
  table: Table;
  kind: BulkWish["do"];
  /** The records, or the filter that lets them through. */
  target: Pick<BulkWish, "ids" | "filter" | "search">;
  count: number;
  writing: Writing;
  onDone: () => void;
  onClose: () => void;
};

/** Milliseconds without a keystroke after which a value is tried. */
const PAUSE = 400;

/** Does the same with many records: first tried on each of them, then done as one change. */
export function BulkDialog({ table, kind, target, count, writing, onDone, onClose }: Props) {
  const fields = table.fields.filter((field) => !isReadOnly(field));
  const [key, setKey] = useState(fields[0]?.key ?? "");
  const [value, setValue] = useState<Scalar | undefined>(undefined);
  const [text, setText] = useState("");
  const [report, setReport] = useState<Report | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const field = fields.find((each) => each.key === key);
  const ready = kind !== "change" || value !== undefined;
  const wish: BulkWish = { do: kind, ...target, ...(kind === "change" && { typed: { [key]: value ?? null } }) };
  const question = JSON.stringify(wish);

  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew when what is to be done becomes something else
  useEffect(() => {
    setReport(null);
    setFailure(null);
  }, [question, ready]);
  const rehearse = async (signal: AbortSignal) => {
    try {
      const found = await changeMany(table.key, wish, "none");
      if (!signal.aborted) setReport(found);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      if (!signal.aborted) setFailure(error.message);
    }
  };
  useAfterPause(ready ? rehearse : null, kind === "change" ? PAUSE : 0, question);

  const go = async () => {
    setBusy(true);
    try {
      const found = await changeMany(table.key, wish, report?.refused === 0 ? "all" : "passing");
      writing.remember(found.batch);
      writing.refresh();
      onDone();
      toast(t("bulk.done", { count: found.saved }), {
        action: { label: t("bulk.takeBack"), onClick: () => writing.takeBack() },
      });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setFailure(error.message);
    } finally {
      setBusy(false);
    }
  };

  return (
    <Dialog title={t(`bulk.titles.${kind}`, { count, table: table.label })} onClose={onClose} wide>
      {kind === "change" && field && (
        <div className="mb-4 flex flex-wrap items-start gap-3">
          <label className="flex flex-col gap-1">
            {t("bulk.field")}
            <select
              className="select select-sm w-56"
              value={key}
              onChange={(event) => {
                setKey(event.target.value);
                setValue(undefined);
                setText("");
              }}
            >
              {fields.map((each) => (
                <option key={each.key} value={each.key}>
                  {each.label}
                </option>
              ))}
            </select>
          </label>
          <div className="flex min-w-64 flex-1 flex-col gap-1">
            <label htmlFor="bulk-value">{t("bulk.becomes")}</label>
            <div className="relative rounded border border-base-300 bg-base-100">
              <FieldInput
                key={key}
                field={field}
                id="bulk-value"
                value={text}
                invalid={false}
                describedBy="bulk-blank"
                choices={null}
                within={{ table: table.key, typed: {}, id: null }}
                onType={(now) => {
                  setText(now);
                  setValue(now);
                }}
                onLeave={() => setValue((before) => before ?? text)}
                onPick={(choice) => {
                  setText(choice);
                  setValue(choice);
                }}
                onLink={(link) => {
                  if (link === null) return;
                  setText(typeof link === "string" ? link : link.title);
                  setValue(typeof link === "string" ? link : link.id);
                }}
              />
            </div>
            <span id="bulk-blank" className="quiet text-xs">
              {t("bulk.blank")}
            </span>
          </div>
        </div>
      )}
      {failure && (
        <p className="mb-3 text-error" role="alert">
          {failure}
        </p>
      )}
      {ready && !report && !failure && <p className="quiet mb-3">{t("bulk.looking")}</p>}
      {report && <ReportOf table={table} report={report} kind={kind} />}
      <div className="mt-5 flex items-center gap-2">
        <span className="quiet flex-1 text-xs">{t("bulk.oneEntry")}</span>
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("common.cancel")}
        </button>
        <button
          type="button"
          className={`btn btn-sm ${kind === "delete" ? "btn-error" : "btn-primary"}`}
          disabled={!report || report.passing === 0 || busy}
          onClick={go}
        >
          {report && report.passing === 0
            ? t("bulk.nothing")
            : t(report?.refused ? `bulk.goPassing.${kind}` : `bulk.go.${kind}`, { count: report?.passing ?? count })}
        </button>
      </div>
    </Dialog>
  );
}
