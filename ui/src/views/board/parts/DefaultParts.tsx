import type { Mistake, RuleParts, Table } from "../../../api/client";
import { useRecord } from "../../../api/queries";
import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { MatchInput } from "../../../components/record/MatchInput";
import { SegmentedControl } from "../../../components/SegmentedControl";
import { t } from "../../../words";

type Props = { table: Table; parts: RuleParts; change: (parts: Partial<RuleParts>) => void; mistakes: Mistake[] };

/** A default: a fixed value, or a formula. */
export function DefaultParts({ table, parts, change, mistakes }: Props) {
  const worked = parts.formula !== null && parts.formula !== undefined;
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-2 font-semibold">{t("rulePanel.begin")}</legend>
      <SegmentedControl
        name={t("rulePanel.begin")}
        value={worked ? "formula" : "value"}
        options={[
          ["value", t("rulePanel.fixed")],
          ["formula", t("rulePanel.worked")],
        ]}
        onChange={(way) =>
          change(way === "formula" ? { formula: parts.formula ?? "", value: null } : { formula: null })
        }
      />
      {worked ? (
        <FormulaOrPieces
          table={table.key}
          label={t("rulePanel.formula")}
          value={parts.formula ?? ""}
          onChange={(formula) => change({ formula })}
          mistakes={mistakes.filter((mistake) => mistake.part === "formula")}
          shapes={["text", "choice"]}
        />
      ) : (
        <FixedValue table={table} parts={parts} change={change} />
      )}
    </fieldset>
  );
}

function FixedValue({ table, parts, change }: Omit<Props, "mistakes">) {
  const field = table.fields.find((each) => each.key === parts.field);
  const name = t("rulePanel.fixed");
  const choices =
    field?.editor === "choice"
      ? field.choices.map((each) => [each, each] as const)
      : field?.editor === "answer"
        ? ([
            ["yes", t("records.yes")],
            ["no", t("records.no")],
          ] as const)
        : null;
  if (field?.editor === "link")
    return <FixedLink target={field.target ?? ""} parts={parts} change={change} name={name} />;
  const value = parts.value === true ? "yes" : parts.value === false ? "no" : String(parts.value ?? "");
  if (choices) {
    return (
      <select
        data-first
        aria-label={name}
        className="select w-full"
        value={value}
        onChange={(event) =>
          change({
            value:
              field?.editor === "answer"
                ? ({ yes: true, no: false }[event.target.value] ?? null)
                : event.target.value || null,
          })
        }
      >
        <option value="">{t("rulePanel.choose")}</option>
        {choices.map(([key, label]) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
      </select>
    );
  }
  const Input = field?.editor === "area" ? "textarea" : "input";
  return (
    <Input
      data-first
      aria-label={name}
      className={`${field?.editor === "area" ? "textarea" : "input"} w-full`}
      value={value}
      placeholder={field?.editor === "day" ? "2026-11-23" : undefined}
      onChange={(event) => change({ value: event.target.value || null })}
    />
  );
}

type LinkProps = { target: string; name: string; parts: RuleParts; change: Props["change"] };

/** A linked record that new records begin with. */
function FixedLink({ target, name, parts, change }: LinkProps) {
  const id = typeof parts.value === "number" ? parts.value : null;
  const title = useRecord(target, id).data?.title ?? "";
  return (
    <MatchInput
      table={target}
      value={title}
      input={{ "aria-label": name, "data-first": "" }}
      className="input w-full"
      onPick={(match) => change({ value: match.id })}
      onLeave={(text) => text !== null && change({ value: text || null })}
    />
  );
}
