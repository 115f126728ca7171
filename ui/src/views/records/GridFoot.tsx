import type { Column, Field } from "../../api/client";
import type { Total } from "../../api/records";
import { t } from "../../words";
import { EDGE } from "./GridRow";
import type { GridColumn } from "./useLayout";

type Measure = NonNullable<Column["total"]>;
type Props = {
  columns: GridColumn[];
  template: string;
  matching: number | undefined;
  totals: { [field: string]: Total } | undefined;
  onTotal: (field: string, total: Measure | undefined) => void;
};

const COUNTS: Measure[] = ["filled", "blank"];
const measures = (field: Field): Measure[] =>
  field.kind === "number"
    ? [...COUNTS, "sum", "average", "least", "greatest"]
    : field.kind === "date"
      ? [...COUNTS, "least", "greatest"]
      : COUNTS;

/** The foot of the grid: what each column comes to, over all records that match. */
export function GridFoot({ columns, template, matching, totals, onTotal }: Props) {
  return (
    <div
      role="row"
      className="sticky bottom-0 z-30 grid border-base-300 border-t-2 border-dashed bg-base-100 text-xs
        shadow-[0_4px_0_var(--color-base-100)]"
      style={{ gridTemplateColumns: template }}
    >
      <div
        role="gridcell"
        className="sticky left-0 z-[3] col-span-2 truncate border-base-300 border-r bg-base-100 px-2 py-1.5
          text-right font-semibold tabular-nums"
      >
        {matching?.toLocaleString("en") ?? "…"}
      </div>
      {columns.map(({ field, left, total }) => {
        const value = total && totals?.[field.key]?.[total];
        const shown = typeof value === "number" ? value.toLocaleString("en") : value;
        return (
          <div
            key={field.id}
            role="gridcell"
            className={`group/foot min-w-0 bg-base-100 ${left !== null ? "sticky z-[3]" : "relative"}`}
            style={left !== null ? { left: EDGE + left } : undefined}
          >
            <div
              className={`flex gap-1.5 truncate px-2.5 py-1.5 tabular-nums
                ${field.kind === "number" ? "justify-end" : ""}`}
            >
              {total ? (
                <>
                  <span className="quiet">{t(`grid.totals.${total}`)}</span>
                  <span className="truncate font-semibold">{totals ? (shown ?? "–") : "…"}</span>
                </>
              ) : (
                <span className="quiet opacity-0 group-focus-within/foot:opacity-100 group-hover/foot:opacity-100">
                  {t("grid.noTotal")}
                </span>
              )}
            </div>
            <select
              aria-label={t("grid.total", { label: field.label })}
              tabIndex={-1}
              className="absolute inset-0 cursor-pointer opacity-0"
              value={total ?? ""}
              onChange={(event) => onTotal(field.id, (event.target.value || undefined) as Measure | undefined)}
            >
              <option value="">{t("grid.noTotal")}</option>
              {measures(field).map((measure) => (
                <option key={measure} value={measure}>
                  {t(`grid.totals.${measure}`)}
                </option>
              ))}
            </select>
          </div>
        );
      })}
    </div>
  );
}
