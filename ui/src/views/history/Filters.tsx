import { CalendarDays, X } from "lucide-react";
import { lazy, Suspense } from "react";
import type { Rule, Table } from "../../api/client";
import { type Question, UNFILTERED } from "../../api/history";
import { useRecord, useSession } from "../../api/queries";
import { showDay } from "../../components/moments";
import { Popover } from "../../components/Popover";
import { group, t } from "../../words";

const Calendar = lazy(() => import("../../components/record/Calendar"));

type Props = {
  /** Null where entries of all tables are shown. */
  table: Table | null;
  question: Question;
  put: (parts: { [name: string]: string | null }) => void;
};

/** Which entries are shown: whose, of which field or rule, through which channel, from when. */
export function Filters({ table, question, put }: Props) {
  const people = useSession().data?.people ?? [];
  const record = useRecord(table?.key ?? "", table ? (question.record ?? null) : null).data;
  const narrowed = Object.entries(question).some(([name, value]) => name !== "table" && value !== undefined);
  return (
    <search className="mb-3 flex flex-wrap items-end gap-x-3 gap-y-2" aria-label={t("history.filter")}>
      {question.record !== undefined && (
        <span className="flex h-8 items-center gap-1.5 rounded border border-primary px-2">
          {t("history.onlyRecord", { title: record?.title ?? `${table?.one ?? ""} ${question.record}` })}
          <button
            type="button"
            className="btn btn-ghost btn-xs btn-square"
            aria-label={t("history.all")}
            title={t("history.all")}
            onClick={() => put(UNFILTERED)}
          >
            <X size={13} aria-hidden />
          </button>
        </span>
      )}
      <Pick
        label={t("history.person")}
        value={question.person?.toString() ?? ""}
        options={people.map((person) => [String(person.id), person.name])}
        onPick={(person) => put({ person })}
      />
      {table && (
        <>
          <Pick
            label={t("history.field")}
            value={question.field ?? ""}
            options={table.fields.map((field) => [field.key, field.label])}
            onPick={(field) => put({ field })}
          />
          <Pick
            label={t("history.rule")}
            value={question.rule ?? ""}
            options={table.rules
              .filter(setsValues)
              .map((rule) => [rule.id, `${labelOf(table, rule.field)}: ${rule.tack}`])}
            onPick={(rule) => put({ rule })}
          />
        </>
      )}
      <Pick
        label={t("history.channel")}
        value={question.channel ?? ""}
        options={group("history.channels")}
        onPick={(channel) => put({ channel })}
      />
      <Day label={t("history.from")} value={question.from} onPick={(from) => put({ from })} />
      <Day label={t("history.to")} value={question.to} onPick={(to) => put({ to })} />
      {narrowed && (
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          onClick={() =>
            put({ record: null, person: null, field: null, rule: null, channel: null, from: null, to: null })
          }
        >
          {t("history.showAll")}
        </button>
      )}
    </search>
  );
}

const labelOf = (table: Table, key: string) => table.fields.find((field) => field.key === key)?.label ?? key;

type PickProps = { label: string; value: string; options: string[][]; onPick: (value: string | null) => void };

function Pick({ label, value, options, onPick }: PickProps) {
  return (
    <label className="flex flex-col gap-0.5 text-xs">
      {label}
      <select
        className={`select select-sm w-36 ${value ? "border-primary" : ""}`}
        value={value}
        onChange={(event) => onPick(event.target.value || null)}
      >
        <option value="">{t("history.any")}</option>
        {options.map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}

type DayProps = { label: string; value: string | undefined; onPick: (value: string | null) => void };

function Day({ label, value, onPick }: DayProps) {
  return (
    <div className="flex flex-col gap-0.5 text-xs">
      {label}
      <Popover
        name={value ? `${label}: ${showDay(value)}` : `${label}: ${t("history.any")}`}
        className={`input input-sm flex w-36 items-center gap-2 ${value ? "border-primary" : ""}`}
        label={
          <>
            <span className="flex-1 text-left">{value ? showDay(value) : t("history.any")}</span>
            <CalendarDays size={14} aria-hidden className="opacity-70" />
          </>
        }
      >
        {(close) => (
          <Suspense fallback={null}>
            <Calendar
              value={value ?? ""}
              onPick={(day) => {
                close();
                onPick(day);
              }}
            />
          </Suspense>
        )}
      </Popover>
    </div>
  );
}

/** Whether a rule sets values: those that refuse records do not, but for a state that clears. */
const setsValues = (rule: Rule) => rule.stage !== "validate" || rule.stages.length > 1;
