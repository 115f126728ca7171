import { X } from "lucide-react";
import type { Expectation, Field, Table } from "../../api/client";
import { group, t } from "../../words";

type Props = {
  table: Table;
  value: Expectation;
  /** Acts before the last that save the record, from 1; something can be expected after each. */
  saves: number[];
  onChange: (value: Expectation) => void;
  onRemove: () => void;
};

const WITH_FIELD = ["value", "state", "logged", "unlogged", "number"];

/** One thing that must come out of a trial, put together from its parts. */
export function ExpectationRow({ table, value, saves, onChange, onRemove }: Props) {
  const field = table.fields.find((each) => each.key === value.field);
  return (
    <li className="flex flex-wrap items-center gap-1.5">
      {saves.length > 0 && (
        <select
          className="select select-sm w-28"
          aria-label={t("proofs.when")}
          value={value.act ?? ""}
          onChange={(event) => {
            const { act: _act, ...rest } = value;
            onChange(event.target.value === "" ? rest : { ...rest, act: Number(event.target.value) });
          }}
        >
          <option value="">{t("proofs.atEnd")}</option>
          {saves.map((act) => (
            <option key={act} value={act}>
              {t("proofs.afterAct", { n: act })}
            </option>
          ))}
        </select>
      )}
      <select
        className="select select-sm w-36"
        aria-label={t("proofs.expectation.what")}
        value={value.what}
        onChange={(event) =>
          onChange({
            ...beginning(event.target.value as Expectation["what"], table),
            ...(value.act ? { act: value.act } : {}),
          })
        }
      >
        {group("proofs.expectation.kinds").map(([what, label]) => (
          <option key={what} value={what}>
            {label}
          </option>
        ))}
      </select>
      {WITH_FIELD.includes(value.what) && (
        <FieldPick
          table={table}
          label={t("proofs.expectation.field")}
          value={value.field ?? ""}
          onPick={(key) => onChange({ ...value, field: key })}
        />
      )}
      {value.what === "refused" && <Refused table={table} value={value} onChange={onChange} />}
      {value.what === "value" && (
        <Plain
          label={t("proofs.expectation.is")}
          field={field}
          value={value.is}
          onChange={(is) => onChange({ ...value, is })}
        />
      )}
      {value.what === "state" && (
        <select
          className="select select-sm w-32"
          aria-label={t("proofs.expectation.is")}
          value={String(value.is)}
          onChange={(event) => onChange({ ...value, is: event.target.value })}
        >
          {group("proofs.expectation.states").map(([state, label]) => (
            <option key={state} value={state}>
              {label}
            </option>
          ))}
        </select>
      )}
      {value.what === "logged" && (
        <>
          <Plain
            label={t("proofs.expectation.before")}
            field={field}
            value={value.before}
            onChange={(before) => onChange({ ...value, before })}
          />
          <span aria-hidden>→</span>
          <Plain
            label={t("proofs.expectation.after")}
            field={field}
            value={value.after}
            onChange={(after) => onChange({ ...value, after })}
          />
        </>
      )}
      {value.what === "number" && (
        <input
          className="input input-sm w-48 font-mono"
          aria-label={t("proofs.expectation.fits")}
          value={value.fits ?? ""}
          onChange={(event) => onChange({ ...value, fits: event.target.value })}
        />
      )}
      {value.what === "cursor" && (
        <>
          <FieldPick
            table={table}
            label={t("proofs.expectation.from")}
            value={String(value.after ?? "")}
            onPick={(after) => onChange({ ...value, after })}
          />
          <span aria-hidden>→</span>
          <FieldPick
            table={table}
            label={t("proofs.expectation.to")}
            value={value.to ?? ""}
            end={t("proofs.expectation.end")}
            onPick={(to) => onChange({ ...value, to: to || null })}
          />
        </>
      )}
      <button
        type="button"
        className="btn btn-ghost btn-xs btn-square ml-auto"
        title={t("proofs.expectation.remove")}
        aria-label={t("proofs.expectation.remove")}
        onClick={onRemove}
      >
        <X size={14} aria-hidden />
      </button>
    </li>
  );
}

function Refused({ table, value, onChange }: Omit<Props, "onRemove" | "saves">) {
  const rules = table.rules.filter((rule) => ["validate", "mask", "number", "fill", "log"].includes(rule.stage));
  return (
    <>
      <select
        className="select select-sm min-w-0 flex-1"
        aria-label={t("proofs.expectation.by")}
        value={value.rule ?? ""}
        onChange={(event) => {
          const { rule: _rule, field: _field, ...rest } = value;
          const rule = event.target.value;
          onChange(rule ? { ...rest, rule } : rest);
        }}
      >
        <option value="">{t("proofs.expectation.byAny")}</option>
        {rules.map((rule) => (
          <option key={rule.id} value={rule.id}>
            {labelOf(table, rule.field)}: {rule.tack}
          </option>
        ))}
      </select>
      <input
        className="input input-sm min-w-40 flex-1"
        aria-label={t("proofs.expectation.message")}
        placeholder={t("proofs.expectation.message")}
        value={value.message ?? ""}
        onChange={(event) => {
          const { message: _message, ...rest } = value;
          onChange(event.target.value ? { ...rest, message: event.target.value } : rest);
        }}
      />
    </>
  );
}

function FieldPick(props: { table: Table; label: string; value: string; end?: string; onPick: (key: string) => void }) {
  return (
    <select
      className="select select-sm w-40"
      aria-label={props.label}
      value={props.value}
      onChange={(event) => props.onPick(event.target.value)}
    >
      {props.end && <option value="">{props.end}</option>}
      {props.table.fields.map((field) => (
        <option key={field.key} value={field.key}>
          {field.label}
        </option>
      ))}
    </select>
  );
}

type PlainProps = {
  label: string;
  field: Field | undefined;
  value: Expectation["is"];
  onChange: (value: Expectation["is"]) => void;
};

/** A value as it is kept: dates after ISO 8601, a link by its number; nothing for blank. */
function Plain({ label, field, value, onChange }: PlainProps) {
  if (field?.editor === "answer")
    return (
      <select
        className="select select-sm w-24"
        aria-label={label}
        value={value === null || value === undefined ? "" : String(value)}
        onChange={(event) => onChange(event.target.value === "" ? null : event.target.value === "true")}
      >
        <option value="">{t("bench.blank")}</option>
        <option value="true">{t("proofs.expectation.yes")}</option>
        <option value="false">{t("proofs.expectation.no")}</option>
      </select>
    );
  return (
    <input
      className="input input-sm min-w-28 flex-1"
      aria-label={label}
      placeholder={t("bench.blank")}
      value={value === null || value === undefined ? "" : String(value)}
      onChange={(event) => {
        const text = event.target.value;
        onChange(text === "" ? null : field?.editor === "link" && /^\d+$/.test(text) ? Number(text) : text);
      }}
    />
  );
}

const labelOf = (table: Table, key: string) => table.fields.find((field) => field.key === key)?.label ?? key;

/** An expectation of another kind to begin with. */
export function beginning(what: Expectation["what"], table: Table): Expectation {
  const field = table.fields[0]?.key ?? "";
  switch (what) {
    case "value":
      return { what, field, is: null };
    case "state":
      return { what, field, is: "shown" };
    case "logged":
      return { what, field, before: null, after: null };
    case "unlogged":
      return { what, field };
    case "number":
      return { what, field, fits: '"A-" 4DIGIT' };
    case "cursor":
      return { what, after: field, to: null };
    default:
      return { what };
  }
}
