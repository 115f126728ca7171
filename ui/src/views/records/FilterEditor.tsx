import { useEffect, useState } from "react";
import { type Mistake, ProblemError, type Table } from "../../api/client";
import { checkFormula } from "../../api/queries";
import { FormulaOrPieces } from "../../components/formula/FormulaOrPieces";
import { words } from "../../words";

type Props = { table: Table; filter: string; onFilter: (formula: string | null) => void };

/** Milliseconds without a keystroke after which a filter is looked at, and used if it is sound. */
const PAUSE = 350;

/** Narrows the grid by a condition, typed or from pieces. */
export function FilterEditor({ table, filter, onFilter }: Props) {
  const [formula, setFormula] = useState(filter);
  const [mistakes, setMistakes] = useState<Mistake[]>([]);

  useEffect(() => {
    if (formula === filter) return;
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      if (formula.trim() === "") {
        setMistakes([]);
        return onFilter(null);
      }
      try {
        const { problems } = await checkFormula(table.key, formula, true, stop.signal);
        setMistakes(problems);
        if (problems.length === 0) onFilter(formula);
      } catch (error) {
        if (error instanceof ProblemError && !stop.signal.aborted)
          setMistakes([{ part: "formula", message: error.message, from: null, to: null }]);
      }
    }, PAUSE);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  });

  return (
    <div className="sheet max-w-3xl p-3">
      <FormulaOrPieces
        table={table.key}
        label={words.filter.show}
        value={formula}
        onChange={setFormula}
        mistakes={mistakes}
        shapes={["condition"]}
      />
    </div>
  );
}
