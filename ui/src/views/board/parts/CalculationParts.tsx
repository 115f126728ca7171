import type { Mistake, RuleParts, Table } from "../../../api/client";
import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { t } from "../../../words";

type Props = {
  table: Table;
  parts: RuleParts;
  change: (parts: Partial<RuleParts>) => void;
  mistakes: Mistake[];
  /** What makes the value change by itself, in words. */
  fleeting: string[];
};

const KEEPING = ["always", "shown", "once"] as const;

/** A calculated field: its formula, and how it is kept, with what follows from each. */
export function CalculationParts({ table, parts, change, mistakes, fleeting }: Props) {
  const keeping = parts.keeping ?? "always";
  const byItself = fleeting.length > 0 && keeping === "always";
  return (
    <>
      <FormulaOrPieces
        table={table.key}
        label={t("rulePanel.formula")}
        value={parts.formula ?? ""}
        onChange={(formula) => change({ formula })}
        mistakes={mistakes.filter((mistake) => mistake.part === "formula")}
        shapes={["text", "choice"]}
      />
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">{t("calculation.keeping")}</legend>
        {KEEPING.map((each) => (
          <label
            key={each}
            className={`flex items-start gap-2 rounded border px-2.5 py-1.5
              ${keeping === each ? "border-primary bg-base-200/70" : "border-base-300"}`}
          >
            <input
              type="radio"
              name="keeping"
              className="radio radio-sm mt-0.5"
              checked={keeping === each}
              onChange={() => change({ keeping: each })}
            />
            <span>
              <span className="font-semibold">{t(`calculation.kinds.${each}.name`)}</span>
              <span className="quiet block text-xs">{t(`calculation.kinds.${each}.follows`)}</span>
            </span>
          </label>
        ))}
      </fieldset>
      {byItself && (
        <p className="text-secondary">{t("calculation.fleeting", { what: fleeting.join(", ").replaceAll("`", "") })}</p>
      )}
    </>
  );
}
