import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { type ImportedTables, importTables, proposeTables } from "../../api/imports";
import { useTables } from "../../api/queries";
import { refresh } from "../../api/queryKeys";
import { useFieldTypes } from "../../components/fieldTypes";
import { HelpLink } from "../../components/HelpLink";
import { useAttempt } from "../../components/useAttempt";
import { sentences, t } from "../../words";
import { leftAtFirst, wantedRules } from "./ProposedFields";
import { type ChosenTable, OneTable, TableList } from "./ProposedTables";
import { TablesOutcome } from "./TablesOutcome";

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
  const [tables, setTables] = useState<ChosenTable[]>([]);
  const [shown, setShown] = useState(0);
  const [outcome, setOutcome] = useState<ImportedTables | null>(null);
  /** Whether something was fixed since. */
  const [fixed, setFixed] = useState(false);
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

  const change = (number: number, parts: Partial<ChosenTable>) => {
    setOutcome(null);
    setTables((now) => now.map((table) => (table.number === number ? { ...table, ...parts } : table)));
  };
  // What refused rows stays in sight until all of it is fixed and previewed again.
  const fix = (number: number, parts: (table: ChosenTable) => Partial<ChosenTable>) => {
    setTables((now) => now.map((each) => (each.number === number ? { ...each, ...parts(each) } : each)));
    setShown(number);
    setFixed(true);
  };
  const labelOf = (number: number, key: string) =>
    tables.find((each) => each.number === number)?.fields.find((field) => field.key === key)?.label ?? key;
  const leaveOff = (number: number, key: string, kind: string) => {
    const own = (rule: { parts: { [part: string]: unknown } }) => rule.parts.kind === kind;
    fix(number, ({ fields, rules }) => ({
      fields: fields.map((field) =>
        field.key === key
          ? { ...field, left: [...field.left, ...field.rules.filter(own).map((rule) => rule.words)] }
          : field,
      ),
      rules: rules.map((rule) => (own(rule) && rule.parts.field === key ? { ...rule, doubtful: true } : rule)),
    }));
  };
  const addChoices = (number: number, key: string, texts: string[]) =>
    fix(number, ({ fields }) => ({
      fields: fields.map((field) =>
        field.key === key ? { ...field, choices: [...(field.choices ?? []), ...texts] } : field,
      ),
    }));
  const chosen = tables.filter((table) => table.taken);
  const table = tables.find((each) => each.number === shown);

  const send = (keep: "none" | "all" | "passing") =>
    attempt(async () => {
      const answer = await importTables(file, { keep, tables: chosen.map((each) => wish(each, kindOf)) });
      setOutcome(answer);
      setFixed(false);
      if (answer.batch !== null) refresh(client, "tables", "names", "map", "session");
    });
  const sum = (of: "made" | "refused") => outcome?.tables.reduce((all, each) => all + each[of], 0) ?? 0;
  const made = sum("made");
  const refused = sum("refused");
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
                  tables.reduce((all, each) => all + each.rows, 0),
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
          {outcome && (
            <TablesOutcome
              file={file}
              outcome={outcome}
              labelOf={labelOf}
              onLeaveOff={leaveOff}
              onAddChoices={addChoices}
            />
          )}
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
                  className={`btn btn-sm ${outcome && !fixed ? "" : "btn-primary"}`}
                  disabled={busy || chosen.length === 0}
                  onClick={() => send("none")}
                >
                  {outcome ? t("imports.tryAgain") : t("imports.tryIt")}
                </button>
                {outcome && !fixed && made > 0 && (
                  <button
                    type="button"
                    className="btn btn-primary btn-sm"
                    disabled={busy}
                    onClick={() => send(refused > 0 ? "passing" : "all")}
                  >
                    {refused > 0
                      ? t("imports.savePassing", { count: made })
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
function wish(table: ChosenTable, kindOf: (type: string) => readonly string[]) {
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
