import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { t } from "../../../words";
import { mistakesOf, type PartsProps } from "./shared";

/** A condition under which alone the rule holds; without it, it always does. Without a label it has to be there. */
export function WhenParts({ table, parts, change, mistakes, label }: PartsProps & { label?: string }) {
  const given = parts.when !== null && parts.when !== undefined;
  return (
    <div className="flex flex-col gap-2">
      {label && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={given}
            onChange={() => change({ when: given ? null : "" })}
          />
          {label}
        </label>
      )}
      {given && (
        <FormulaOrPieces
          table={table.key}
          label={t("rulePanel.while")}
          value={parts.when ?? ""}
          onChange={(when) => change({ when })}
          mistakes={mistakesOf(mistakes, "when")}
          shapes={["condition"]}
        />
      )}
    </div>
  );
}
