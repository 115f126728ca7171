import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { toast } from "sonner";
import {
  type FileColumn,
  type Imported,
  importFile,
  type Look,
  type Options,
  optionsOf,
  profileFile,
  refusedPath,
} from "../../api/imports";
import { useSession } from "../../api/queries";
import { refresh } from "../../api/queryKeys";
import { type Keep, undoBatch } from "../../api/records";
import { useTableHere } from "../../app/TableFrame";
import { HelpLink } from "../../components/HelpLink";
import { useAttempt } from "../../components/useAttempt";
import { sentences, t } from "../../words";
import { Columns } from "./Columns";
import { DropFile } from "./DropFile";
import { FileNotes } from "./FileNotes";
import { Outcome } from "./Outcome";

/** A file brought into the table: looked at, tried on the rules, then saved, refused rows handed back. */
export default function ImportView() {
  const table = useTableHere();
  const client = useQueryClient();
  const me = useSession().data?.person;
  const [params, setParams] = useSearchParams();
  const [look, setLook] = useState<Look | null>(null);
  const [options, setOptions] = useState<Options>({});
  const [columns, setColumns] = useState<FileColumn[]>([]);
  const [match, setMatch] = useState("");
  const [blanks, setBlanks] = useState<"left" | "kept">("left");
  const [asWas, setAsWas] = useState(false);
  const [found, setFound] = useState<{ what: Imported; saved: boolean } | null>(null);
  const { attempt, busy, failure, forget } = useAttempt();

  const read = (id: string, how: Options, was = asWas) =>
    attempt(async () => {
      const next = await profileFile(id, table.key, how, was);
      setAsWas(was);
      setOptions(how);
      setLook(next);
      setColumns(next.columns);
      setMatch("");
      setFound(null);
    });
  // A file may have come in already, for a table that was made of it.
  const [begun, setBegun] = useState(false);
  const waiting = params.get("file");
  if (waiting && !begun) {
    setBegun(true);
    read(waiting, optionsOf(params));
  }
  const start = () => {
    setLook(null);
    setFound(null);
    forget();
    setParams({}, { replace: true });
  };

  const run = (keep: Keep) =>
    attempt(async () => {
      if (!look) return;
      const settings = columns.map(({ column, field, dates, decimal, nothing, round = false }) => ({
        column,
        field,
        dates,
        decimal,
        nothing,
        round,
      }));
      const what = await importFile(table.key, {
        id: look.id,
        keep,
        ...options,
        columns: settings,
        match: match || null,
        blanks,
        as_was: asWas,
      });
      const saved = what.report.batch !== null;
      setFound({ what, saved });
      if (!saved) return;
      refresh(client, "records", "history", "tables", "open", "proofs");
      toast.success(t("imports.done", { count: what.report.saved }));
    });
  const takeBack = (batch: number) =>
    attempt(async () => {
      const { undone, left } = await undoBatch(batch);
      refresh(client, "records", "history", "tables");
      toast(sentences.grid.undone(undone, left));
      setFound(null);
    });

  const taken = columns.filter((column) => column.field);
  const open = columns.filter((column) => !column.field && !column.ours);
  const leftOut = open.filter((column) => !column.written).map((column) => column.column);
  const setAgain = open.filter((column) => column.written).map((column) => column.column);
  const mayBeAsWas = me?.role === "builder" && (asWas || columns.some((column) => column.written?.as_was));
  const change = (name: string, parts: Partial<FileColumn>) => {
    setColumns(columns.map((column) => (column.column === name ? { ...column, ...parts } : column)));
    setFound(null);
  };
  const report = found?.what.report;
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 px-5 py-5">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">{t("imports.title", { table: table.label })}</h1>
        <p className="quiet flex-1 basis-60 text-xs">{t("imports.aim")}</p>
        <HelpLink page="import" />
        <Link to={`/t/${table.key}/records`} className="link text-xs">
          {t("imports.toRecords")}
        </Link>
      </div>
      {!look && <DropFile onFile={(upload) => read(upload.id, {})} />}
      {failure && (
        <p className="sheet border-error p-3 text-error" role="alert">
          {failure}
        </p>
      )}
      {look && (
        <>
          <FileNotes look={look} onOptions={(how) => read(look.id, { ...options, ...how })} onAnother={start} />
          {!found?.saved && (
            <>
              <Columns table={table} columns={columns} asWas={asWas} onChange={change} />
              {leftOut.length > 0 && (
                <p className="text-sm text-warning" data-left-out>
                  {t("imports.columnsLeftOut", { count: leftOut.length, columns: leftOut.join(", ") })}
                </p>
              )}
              {setAgain.length > 0 && (
                <p className="text-sm" data-set-again>
                  {t("imports.setAgain", { columns: setAgain.join(", ") })}
                </p>
              )}
              {mayBeAsWas && (
                <label className="flex items-start gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-sm"
                    checked={asWas}
                    disabled={busy}
                    onChange={(event) => look && read(look.id, options, event.target.checked)}
                  />
                  <span>
                    {t("imports.asWas")}
                    <span className="quiet block text-xs">{t("imports.asWasNote")}</span>
                  </span>
                </label>
              )}
              <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
                <label className="flex flex-col gap-1">
                  {t("imports.match")}
                  <select
                    className="select select-sm w-80"
                    value={match}
                    onChange={(event) => {
                      setMatch(event.target.value);
                      setFound(null);
                    }}
                  >
                    <option value="">{t("imports.matchNone")}</option>
                    {table.fields
                      .filter(
                        (field) =>
                          taken.some((column) => column.field === field.key) && field.editor !== "area" && field.kept,
                      )
                      .map((field) => (
                        <option key={field.key} value={field.key}>
                          {t("imports.matchBy", { label: field.label })}
                        </option>
                      ))}
                  </select>
                </label>
                <label className="flex flex-col gap-1">
                  {t("imports.blanks")}
                  <select
                    className="select select-sm w-72"
                    value={blanks}
                    onChange={(event) => {
                      setBlanks(event.target.value as "left" | "kept");
                      setFound(null);
                    }}
                  >
                    <option value="left">{t("imports.blanksLeft")}</option>
                    <option value="kept">{t("imports.blanksKept")}</option>
                  </select>
                </label>
                <span className="flex-1" />
                <button
                  type="button"
                  className={`btn btn-sm ${found ? "" : "btn-primary"}`}
                  disabled={busy || taken.length === 0}
                  onClick={() => run("none")}
                >
                  {found ? t("imports.tryAgain") : t("imports.tryIt")}
                </button>
              </div>
            </>
          )}
          {found && report && (
            <>
              <Outcome
                table={table}
                found={found.what}
                saved={found.saved}
                refusedPath={refusedPath(look.id, options)}
                onFixed={me?.role === "builder" && !found.saved ? () => run("none") : null}
              />
              <div className="flex flex-wrap items-center gap-2">
                <span className="quiet flex-1 basis-60 text-xs">{t("imports.oneEntry")}</span>
                {found.saved && report.batch !== null && (
                  <button
                    type="button"
                    className="btn btn-sm"
                    disabled={busy}
                    onClick={() => report.batch !== null && takeBack(report.batch)}
                  >
                    {t("imports.takeBack")}
                  </button>
                )}
                {found.saved && (
                  <Link to={`/t/${table.key}/records`} className="btn btn-primary btn-sm">
                    {t("imports.toRecords")}
                  </Link>
                )}
                {!found.saved && report.passing > 0 && (
                  <button
                    type="button"
                    className="btn btn-primary btn-sm"
                    disabled={busy}
                    onClick={() => run(report.refused > 0 ? "passing" : "all")}
                  >
                    {report.refused > 0
                      ? t("imports.savePassing", { count: report.passing })
                      : t("imports.saveAll", { count: report.passing })}
                  </button>
                )}
              </div>
            </>
          )}
        </>
      )}
    </div>
  );
}
