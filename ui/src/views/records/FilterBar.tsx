import { ListFilter, X } from "lucide-react";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import { type Mistake, ProblemError, type Table } from "../../api/client";
import { checkFormula, useDropFilter, useKeepFilter } from "../../api/queries";
import { FormulaOrPieces } from "../../components/formula/FormulaOrPieces";
import { words } from "../../words";

type Props = { table: Table; filter: string; onFilter: (formula: string | null) => void; error: Error | null };

/** Milliseconds without a keystroke after which a filter is looked at, and used if it is sound. */
const PAUSE = 350;

/** Narrows the grid by a condition, typed or from pieces; conditions can be kept under a name. */
export function FilterBar({ table, filter, onFilter, error }: Props) {
  const [open, setOpen] = useState(false);
  const drop = useDropFilter(table.key);
  const kept = table.filters.find((each) => each.formula === filter);
  return (
    <div className="mb-3 flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <button
          type="button"
          className={`btn btn-sm ${open ? "btn-active" : ""}`}
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          <ListFilter size={14} aria-hidden />
          {words.filter.open}
        </button>
        {table.filters.map((each) => (
          <span
            key={each.id}
            className={`flex items-center rounded border ${kept?.id === each.id ? "border-secondary bg-[var(--tint-lit)]" : "border-base-300 bg-base-100"}`}
          >
            <button
              type="button"
              className="px-2 py-1 text-[0.8125rem]"
              title={each.formula}
              aria-pressed={kept?.id === each.id}
              onClick={() => onFilter(kept?.id === each.id ? null : each.formula)}
            >
              {each.name}
            </button>
            {open && (
              <button
                type="button"
                className="pr-1.5 text-[var(--quiet)]"
                title={words.filter.drop(each.name)}
                aria-label={words.filter.drop(each.name)}
                onClick={() => drop.mutate(each.id)}
              >
                <X size={13} aria-hidden />
              </button>
            )}
          </span>
        ))}
        {filter && !kept && !open && <code className="min-w-0 max-w-96 truncate font-mono text-xs">{filter}</code>}
        {filter && (
          <button type="button" className="link text-[0.8125rem]" onClick={() => onFilter(null)}>
            {words.filter.clear}
          </button>
        )}
      </div>
      {error && !open && (
        <p className="text-error" role="alert">
          {error.message}
        </p>
      )}
      {open && <FilterEditor key={kept?.id ?? "free"} table={table} filter={filter} onFilter={onFilter} />}
    </div>
  );
}

function FilterEditor({ table, filter, onFilter }: Omit<Props, "error">) {
  const [formula, setFormula] = useState(filter);
  const [mistakes, setMistakes] = useState<Mistake[]>([]);
  const [name, setName] = useState(table.filters.find((each) => each.formula === filter)?.name ?? "");
  const keep = useKeepFilter(table.key);

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
    <div className="sheet flex flex-wrap items-end gap-x-6 gap-y-3 p-3">
      <div className="min-w-80 max-w-2xl flex-1">
        <FormulaOrPieces
          table={table.key}
          label={words.filter.show}
          value={formula}
          onChange={setFormula}
          mistakes={mistakes}
          shapes={["condition"]}
        />
      </div>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate({ name, formula }, { onSuccess: () => toast(words.filter.kept(name)) });
        }}
      >
        <label className="flex flex-col gap-1">
          {words.filter.name}
          <input className="input input-sm w-48" value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <button
          type="submit"
          className="btn btn-sm"
          disabled={name.trim() === "" || formula.trim() === "" || mistakes.length > 0 || keep.isPending}
        >
          {words.filter.keep}
        </button>
        {keep.error && (
          <p className="text-error" role="alert">
            {keep.error.message}
          </p>
        )}
      </form>
    </div>
  );
}
