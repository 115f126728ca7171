import { ArrowDown, ArrowUp } from "lucide-react";
import type { Table } from "../../api/client";
import { t } from "../../words";
import { EDGE, TICK } from "./GridRow";
import { type Sort, sortedBy } from "./sorting";
import type { GridColumn, useLayout } from "./useLayout";

type Props = {
  table: Table;
  columns: GridColumn[];
  template: string;
  sort: Sort[];
  onSort: (next: Sort[]) => void;
  resizeHandler: ReturnType<typeof useLayout>["resizeHandler"];
  onWidth: (field: string, width: number) => void;
  everything: boolean;
  onEverything: () => void;
};

const FROZEN = "sticky z-[3] bg-base-100";
/** Pixels by which a key widens or narrows a column. */
const STEP = 16;

/** The heads of the columns: a click sorts by one, with Shift after the others; the edge widens it. */
export function GridHead({ columns, template, sort, onSort, resizeHandler, onWidth, everything, onEverything }: Props) {
  return (
    <div
      role="row"
      className="sticky top-0 z-30 grid border-base-300 border-b bg-base-100 shadow-[0_-4px_0_var(--color-base-100)]"
      style={{ gridTemplateColumns: template }}
    >
      <div role="columnheader" className={`${FROZEN} left-0 flex items-center justify-center`}>
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          aria-label={t("grid.pickAll")}
          checked={everything}
          onChange={onEverything}
        />
      </div>
      <div
        role="columnheader"
        className={`${FROZEN} quiet border-base-300 border-r px-2 py-2 text-right text-xs`}
        style={{ left: TICK }}
      >
        {t("records.number")}
      </div>
      {columns.map(({ field, width, left }) => {
        const place = sort.findIndex((each) => each.key === field.key);
        const term = sort[place];
        return (
          <div
            key={field.id}
            role="columnheader"
            aria-sort={term ? (term.descending ? "descending" : "ascending") : "none"}
            className={left !== null ? FROZEN : "relative bg-base-100"}
            style={left !== null ? { left: EDGE + left } : undefined}
          >
            <button
              type="button"
              title={t("grid.sortBy", { label: field.label })}
              onClick={(event) => onSort(sortedBy(sort, field.key, event.shiftKey))}
              className={`flex h-full w-full items-center gap-1 px-2.5 py-2 font-semibold text-secondary text-xs
                hover:bg-base-200 ${field.kind === "number" ? "justify-end" : ""}`}
            >
              <span className="truncate">{field.label}</span>
              {term && (term.descending ? <ArrowDown size={12} aria-hidden /> : <ArrowUp size={12} aria-hidden />)}
              {term && sort.length > 1 && (
                <span className="text-[0.65rem]" title={t("grid.sorted", { place: place + 1 })}>
                  {place + 1}
                </span>
              )}
            </button>
            <button
              type="button"
              aria-label={t("grid.width", { label: field.label })}
              onMouseDown={(event) => resizeHandler(field.id)?.(event)}
              onTouchStart={(event) => resizeHandler(field.id)?.(event)}
              onKeyDown={(event) => {
                const step = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
                if (step) onWidth(field.id, width + step);
              }}
              tabIndex={-1}
              className="absolute top-1 right-0 bottom-1 w-1.5 cursor-col-resize border-base-300 border-r
                hover:border-accent hover:border-r-2"
            />
          </div>
        );
      })}
    </div>
  );
}
