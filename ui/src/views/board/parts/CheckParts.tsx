import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { t } from "../../../words";
import { mistakesOf, type PartsProps } from "./shared";

/** A condition of one's own, and at which field its message stands. */
export function CheckParts({ table, parts, change, mistakes }: PartsProps) {
  return (
    <>
      <FormulaOrPieces
        table={table.key}
        label={t("rulePanel.condition")}
        value={parts.formula ?? ""}
        onChange={(formula) => change({ formula })}
        mistakes={mistakesOf(mistakes, "formula")}
        shapes={["condition"]}
      />
      <label className="flex items-center gap-2 text-[0.8125rem]">
        {t("rulePanel.messageAt")}
        <select
          className="select select-sm w-48"
          value={parts.field}
          onChange={(event) => change({ field: event.target.value })}
        >
          {table.fields.map((field) => (
            <option key={field.key} value={field.key}>
              {field.label}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}
