import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { type ImportedTables, importTables, type ProposedTable, proposeTables } from "../../api/imports";
import { useTables } from "../../api/queries";
import { refresh } from "../../api/queryKeys";
import { useFieldTypes } from "../../components/fieldTypes";
import { HelpLink } from "../../components/HelpLink";
import { useAttempt } from "../../components/useAttempt";
import { sentences, t } from "../../words";
import { type Choice, leftAtFirst, ProposedFields, wantedRules } from "./ProposedFields";
import { TablesOutcome } from "./TablesOutcome";

type Field = ProposedTable["fields"][number] & Choice;
type Chosen = Omit<ProposedTable, "fields"> & { fields: Field[]; taken: boolean };
type Found = { name: string; notes: string[] };

type Props = { file: string; onAnother: () => void };

/**
 * A file with several tables: each with its fields, links and rules, to be taken, renamed or left; all of it is made
 * at once, with its records.
 */
export function SeveralTables({ file, onAnother }: Props) {
  const client = useQueryClient();
  const there = useTables().data ?? [];
  const types = useFieldTypes();
  const { attempt, busy, failure } = useAttempt();
  const [found, setFound] = useState<Found | null>(null);
  const [tables, setTables] = useState<Chosen[]>([]);
  const [shown, setShown] = useState(0);
  const [outcome, setOutcome] = useState<ImportedTables | null>(null);
  const kindOf = (type: string) => types.of(type).settings;

  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each file
  useEffect(() => {
    attempt(async () => {
      const next = await proposeTables(file);
      const named = new Map([...next.tables, ...there].map((table) => [table.key, table.label]));
      setFound(next);
      setTables(
        next.tables.map((table) => ({
          ...table,
          taken: table.problem === null && table.fields.length > 0,
          fields: table.fields.map((field) => ({
            ...field,
            linkTo: field.target ? (named.get(field.target) ?? field.target) : null,
            taken: true,
            left: leftAtFirst(field.rules),
          })),
        })),
      );
    });
  }, [file]);

  const change = (number: number, parts: Partial<Chosen>) => {
    setOutcome(null);
    setTables((now) => now.map((table) => (table.number === number ? { ...table, ...parts } : table)));
  };
  const chosen = tables.filter((table) => table.taken);
  const table = tables.find((each) => each.number === shown);

  const send = (keep: "none" | "all" | "passing") =>
    attempt(async () => {
      const made = await importTables(file, { keep, tables: chosen.map((each) => wish(each, kindOf)) });
      setOutcome(made);
      if (made.batch !== null) refresh(client, "tables", "names", "map", "session");
    });
  const refused = outcome?.tables.reduce((sum, each) => sum + each.refused, 0) ?? 0;
  const saved = outcome !== null && outcome.batch !== null;

  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 px-5 py-5">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">{t("imports.severalTitle")}</h1>
        <p className="quiet flex-1 basis-60 text-xs">{t("imports.severalNote")}</p>
        <HelpLink page="move-in" />
      </div>
      {failure && (
        <p className="sheet border-error p-3 text-error" role="alert">
          {failure}
        </p>
      )}
      {!found && busy && <p className="quiet">{t("imports.lookingAtTables")}</p>}
      {!found && !busy && (
        <button type="button" className="btn btn-sm self-start" onClick={onAnother}>
          {t("imports.another")}
        </button>
      )}
      {found && (
        <>
          <section className="sheet px-4 py-3" aria-label={found.name}>
            <div className="flex flex-wrap items-baseline gap-x-3">
              <h2 className="min-w-0 truncate text-base">{found.name}</h2>
              <span className="quiet flex-1 text-xs">
                {sentences.imports.several(
                  tables.length,
                  tables.reduce((sum, each) => sum + each.rows, 0),
                )}
              </span>
              {!saved && (
                <button type="button" className="link text-xs" onClick={onAnother}>
                  {t("imports.another")}
                </button>
              )}
            </div>
            {found.notes.length > 0 && (
              <ul className="mt-2 flex flex-col gap-1 text-secondary text-xs">
                {found.notes.map((note) => (
                  <li key={note}>{note}</li>
                ))}
              </ul>
            )}
          </section>
          {outcome && <TablesOutcome file={file} outcome={outcome} />}
          {!saved && (
            <>
              <div className="grid items-start gap-4 lg:grid-cols-[17rem_minmax(0,1fr)]">
                <TableList tables={tables} shown={shown} onShow={setShown} onChange={change} />
                {table && (
                  <OneTable key={table.number} table={table} onChange={(parts) => change(table.number, parts)} />
                )}
              </div>
              <div className="sticky bottom-0 flex flex-wrap items-center justify-end gap-3 bg-base-200 py-3">
                <button
                  type="button"
                  className={`btn btn-sm ${outcome ? "" : "btn-primary"}`}
                  disabled={busy || chosen.length === 0}
                  onClick={() => send("none")}
                >
                  {outcome ? t("imports.tryAgain") : t("imports.tryIt")}
                </button>
                {outcome && (
                  <button
                    type="button"
                    className="btn btn-primary btn-sm"
                    disabled={busy}
                    onClick={() => send(refused > 0 ? "passing" : "all")}
                  >
                    {refused > 0
                      ? t("imports.savePassing", { count: outcome.tables.reduce((sum, each) => sum + each.made, 0) })
                      : t("imports.saveTables", { count: chosen.length })}
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

/** A table as it is asked for. */
function wish(table: Chosen, kindOf: (type: string) => readonly string[]) {
  const fields = table.fields.filter((field) => field.taken);
  return {
    number: table.number,
    key: table.key,
    label: table.label,
    rules: table.rules
      .filter((rule) => !rule.doubtful && fields.some((field) => field.key === rule.parts.field))
      .map((rule) => rule.parts),
    fields: fields.map((field) => ({
      column: field.column,
      key: field.key,
      label: field.label,
      type: field.type,
      choices: kindOf(field.type).includes("choices") ? field.choices : null,
      format: kindOf(field.type).includes("decimals") ? field.format : null,
      target: kindOf(field.type).includes("link") ? field.target : null,
      refers: kindOf(field.type).includes("link") ? field.refers : null,
      plain: field.plain,
      rules: wantedRules(field),
    })),
  };
}

type ListProps = {
  tables: Chosen[];
  shown: number;
  onShow: (number: number) => void;
  onChange: (number: number, parts: Partial<Chosen>) => void;
};

function TableList({ tables, shown, onShow, onChange }: ListProps) {
  return (
    <ul className="sheet max-h-[60vh] divide-y divide-base-300/60 overflow-auto" aria-label={t("imports.tables")}>
      {tables.map((table) => (
        <li
          key={table.number}
          className={`flex items-center gap-2 px-3 py-2 ${table.number === shown ? "bg-[var(--tint-lit)]" : ""}`}
        >
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            aria-label={t("imports.take", { table: table.label })}
            checked={table.taken}
            disabled={table.problem !== null}
            onChange={(event) => onChange(table.number, { taken: event.target.checked })}
          />
          <button
            type="button"
            className="min-w-0 flex-1 text-left"
            aria-current={table.number === shown}
            onClick={() => onShow(table.number)}
          >
            <span className={`block truncate ${table.taken ? "" : "opacity-60"}`}>{table.label}</span>
            <span className="quiet block truncate text-xs">
              {sentences.imports.inside(table.rows, table.fields.length)}
            </span>
          </button>
          {(table.problem !== null || table.notes.length > 0) && (
            <span className={`text-xs ${table.problem === null ? "text-secondary" : "text-error"}`}>
              {t("imports.noteCount", { count: table.notes.length + (table.problem === null ? 0 : 1) })}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

function OneTable({ table, onChange }: { table: Chosen; onChange: (parts: Partial<Chosen>) => void }) {
  const change = (column: string, parts: Partial<Choice>) =>
    onChange({ fields: table.fields.map((field) => (field.column === column ? { ...field, ...parts } : field)) });
  return (
    <section className="sheet min-w-0" aria-label={table.label}>
      <div className="flex flex-wrap items-end gap-4 border-base-300 border-b px-4 py-3">
        <label className="flex w-64 max-w-full flex-col gap-1">
          {t("imports.tableName")}
          <input
            className="input input-sm w-full"
            value={table.label}
            onChange={(event) => onChange({ label: event.target.value })}
          />
        </label>
        <p className="quiet pb-1.5 text-xs">{t("imports.calledThere", { name: table.name })}</p>
      </div>
      {table.problem && (
        <p className="px-4 py-2 text-error" role="alert">
          {table.problem}
        </p>
      )}
      {table.notes.length > 0 && (
        <ul className="flex flex-col gap-1 px-4 py-2 text-secondary text-xs">
          {table.notes.map((note) => (
            <li key={note} className="break-words">
              {note}
            </li>
          ))}
        </ul>
      )}
      <div className="overflow-auto">
        <ProposedFields fields={table.fields} rules={t("imports.rulesThere")} onChange={change} />
      </div>
      {table.rules.length > 0 && (
        <div className="border-base-300 border-t px-4 py-2 text-[0.8125rem]">
          <h3 className="mb-1 font-semibold text-secondary text-xs">{t("imports.rulesOfTable")}</h3>
          {table.rules.map((rule) => (
            <label key={rule.words} className="flex items-baseline gap-1.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs self-center"
                checked={!rule.doubtful}
                onChange={(event) =>
                  onChange({
                    rules: table.rules.map((each) =>
                      each === rule ? { ...each, doubtful: !event.target.checked } : each,
                    ),
                  })
                }
              />
              <span className="min-w-0 break-words">{rule.words}</span>
            </label>
          ))}
        </div>
      )}
    </section>
  );
}
