import type { RuleKind, RuleParts, Table } from "../../../api/client";
import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { MistakeLines } from "../../../components/MistakeLines";
import { t } from "../../../words";
import { FieldList } from "./FieldList";
import { MaskText } from "./MaskText";
import { mistakesOf, type PartsProps } from "./shared";

type Part = RuleKind["parts"][number];
type PartProps = PartsProps & { part: Part; value: unknown; put: (value: unknown) => void };

/** Parts that all validations have, and that stand beneath their own. */
const BELOW = ["message", "saying", "severity", "old"];

/** The editor of every kind of rule that has none of its own: a row for each part that the kind declares. */
export function CommonParts(props: PartsProps & { kind: RuleKind }) {
  const plain = props.parts as { [part: string]: unknown };
  return props.kind.parts
    .filter((part) => !BELOW.includes(part.key))
    .map((part) => {
      const value = plain[part.key] ?? null;
      const put = (next: unknown) => props.change({ [part.key]: next } as Partial<RuleParts>);
      return <PartRow key={part.key} {...props} part={part} value={value} put={put} />;
    });
}

function PartRow(props: PartProps) {
  const { part, value, put, table, parts } = props;
  switch (part.type) {
    case "formula":
    case "condition":
      return <Formula {...props} />;
    case "fields":
      return (
        <FieldList
          table={table}
          label={part.label ?? ""}
          except={parts.field}
          value={(value as string[] | null) ?? []}
          onChange={(keys) => put(keys.length > 0 ? keys : null)}
        />
      );
    case "flag":
      return <Tick label={part.label ?? ""} checked={value === true} onChange={(on) => put(on ? true : null)} />;
    case "choice":
      return <Choice {...props} />;
    case "texts":
      return <Lines {...props} />;
    case "mask":
      return <Mask {...props} />;
    case "field":
      return <Pick {...props} options={fieldsOf(table, parts.field)} />;
    default:
      return <Line {...props} />;
  }
}

const fieldsOf = (table: Table, except: string) =>
  table.fields.filter((field) => field.key !== except).map((field) => [field.key, field.label] as const);

/** A condition is asked for only when it is ticked, unless the rule needs it. */
function Formula({ table, kind, part, value, put, mistakes }: PartProps & { kind?: RuleKind }) {
  const needed = kind?.needs.some((keys) => keys.includes(part.key));
  const given = value !== null || part.type === "formula" || needed;
  const alone = part.type === "condition" && !needed;
  return (
    <div className="flex flex-col gap-2">
      {alone && <Tick label={part.label ?? ""} checked={given === true} onChange={(on) => put(on ? "" : null)} />}
      {given && (
        <FormulaOrPieces
          table={table.key}
          label={alone ? t("rulePanel.while") : (part.label ?? "")}
          value={(value as string | null) ?? ""}
          onChange={put}
          mistakes={mistakesOf(mistakes, part.key)}
          shapes={part.type === "condition" ? ["condition"] : []}
        />
      )}
      {part.hint && <p className="quiet text-xs">{part.hint}</p>}
    </div>
  );
}

function Tick({ label, checked, onChange }: { label: string; checked: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}

/** Two choices without words are a box to tick; the usual one is that which is not ticked. */
function Choice(props: PartProps) {
  const { part, value, put } = props;
  const [usual, other] = part.choices;
  if (part.choices.length === 2 && part.choices.every((choice) => !choice.label))
    return (
      <Tick
        label={part.label ?? ""}
        checked={value === other?.key}
        onChange={(on) => put(on ? (other?.key ?? null) : null)}
      />
    );
  const options = part.choices.map((choice) => [choice.key ?? "", choice.label ?? choice.key ?? ""] as const);
  return <Pick {...props} options={options} usual={usual?.key ?? ""} />;
}

function Pick(props: PartProps & { options: (readonly [string, string])[]; usual?: string }) {
  const { part, value, put, options, usual = "" } = props;
  return (
    <label className="flex items-center gap-2">
      {part.label}
      <select
        className="select select-sm w-44"
        value={(value as string | null) ?? usual}
        onChange={(event) => put(event.target.value || null)}
      >
        {!options.some(([key]) => key === usual) && <option value="">{t("rulePanel.nothing")}</option>}
        {options.map(([key, label]) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}

function Lines({ part, value, put }: PartProps) {
  const lines = (value as string[] | null) ?? [];
  return (
    <label className="flex flex-col gap-1 font-semibold">
      {part.label}
      <textarea
        data-first
        className="textarea w-full font-normal"
        rows={5}
        value={lines.join("\n")}
        onChange={(event) => put(event.target.value.split("\n"))}
        onBlur={() => put(lines.map((each) => each.trim()).filter(Boolean))}
      />
    </label>
  );
}

function Mask({ part, value, put, mistakes }: PartProps) {
  return (
    <>
      <MaskText value={(value as string | null) ?? ""} onChange={put} />
      <MistakeLines mistakes={mistakesOf(mistakes, part.key)} />
    </>
  );
}

function Line({ part, value, put, mistakes }: PartProps) {
  const whole = part.type === "whole";
  return (
    <label className="flex flex-col gap-1 font-semibold">
      {part.label}
      <input
        data-first
        className="input w-full font-normal"
        inputMode={whole ? "numeric" : undefined}
        value={String(value ?? "")}
        onChange={(event) => {
          const text = event.target.value;
          put(whole ? (/^\d+$/.test(text) ? Number(text) : null) : text || null);
        }}
      />
      <MistakeLines mistakes={mistakesOf(mistakes, part.key)} hint={part.hint} />
    </label>
  );
}
