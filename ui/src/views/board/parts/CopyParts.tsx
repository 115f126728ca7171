import { FormulaEditor } from "../../../components/formula/FormulaEditor";
import { t } from "../../../words";
import { mistakesOf, type PartsProps } from "./shared";

/** Which detail of a linked record is copied. */
export function CopyParts({ table, parts, change, mistakes }: PartsProps) {
  return (
    <div className="flex flex-col gap-1.5">
      <span className="font-semibold">{t("rulePanel.copyFrom")}</span>
      <FormulaEditor
        table={table.key}
        label={t("rulePanel.copyFrom")}
        value={parts.formula ?? ""}
        onChange={(formula) => change({ formula })}
        mistakes={mistakesOf(mistakes, "formula")}
        focus
      />
      <p className="quiet text-xs">{t("rulePanel.copyHint")}</p>
    </div>
  );
}
