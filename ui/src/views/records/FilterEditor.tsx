import { useState } from "react";
import { type Mistake, ProblemError, type Table } from "../../api/client";
import { checkFormula } from "../../api/queries";
import { FormulaOrPieces } from "../../components/formula/FormulaOrPieces";
import { useAfterPause } from "../../components/useAfterPause";
import { t } from "../../words";

type Props = {
  table: Table;
  filter: string;
  search: string;
  onFilter: (formula: string | null) => void;
  onSearch: (text: string | null) => void;
};

/** What nobody would take for a condition: words, figures and what stands between them. */
const PLAIN = /^[\p{L}\p{N}][\p{L}\p{N}\p{M} .,'’_/-]*$/u;

/** Milliseconds without a keystroke after which a filter is looked at, and used if it is sound. */
const PAUSE = 350;

/** Narrows the grid by a condition, typed or from pieces. */
export function FilterEditor({ table, filter, search, onFilter, onSearch }: Props) {
  const [formula, setFormula] = useState(filter || search);
  const [mistakes, setMistakes] = useState<Mistake[]>([]);

  const use = async (signal: AbortSignal) => {
    if (formula.trim() === "") {
      setMistakes([]);
      return onFilter(null);
    }
    try {
      const { problems } = await checkFormula(table.key, formula, true, signal);
      if (signal.aborted) return;
      // A field's key begins a condition, not a text to look for.
      const begins = table.fields.some((field) => field.key === formula.trim().split(/[ .]/)[0]);
      const isText = problems.length > 0 && !begins && PLAIN.test(formula.trim());
      setMistakes(isText ? [] : problems);
      if (isText) onSearch(formula.trim());
      else if (problems.length === 0) onFilter(formula);
    } catch (error) {
      if (error instanceof ProblemError && !signal.aborted)
        setMistakes([{ part: "formula", message: error.message, from: null, to: null }]);
    }
  };
  useAfterPause(formula === (filter || search) ? null : use, PAUSE, formula);

  return (
    <div className="sheet max-w-3xl p-3">
      <FormulaOrPieces
        table={table.key}
        label={t("filter.show")}
        value={formula}
        onChange={setFormula}
        mistakes={mistakes}
        shapes={["condition"]}
      />
      <p className="quiet mt-1 text-xs" aria-live="polite">
        {search && formula.trim() === search ? t("filter.searched", { text: search }) : t("filter.searchAim")}
      </p>
    </div>
  );
}
