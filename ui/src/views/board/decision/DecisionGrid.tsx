import { ArrowDown, ArrowLeftRight, ArrowUp, X } from "lucide-react";
import { type ClipboardEvent, type KeyboardEvent, useRef } from "react";
import type { Mistake, Table } from "../../../api/client";
import { t } from "../../../words";
import {
  type Decision,
  moved,
  turned,
  width,
  withCell,
  withFormula,
  withoutColumn,
  withoutRow,
  withRow,
} from "./table";

type Props = {
  table: Table;
  decision: Decision;
  /** Mistakes of single cells, by "row.column". */
  faults: Map<string, string>;
  /** Mistakes of the columns' formulas, by column. */
  formulaFaults: Map<number, Mistake>;
  /** The row that decides for the record that is looked at. */
  lit: number | null;
  onChange: (decision: Decision) => void;
  /** A block was pasted over a cell. */
  onBlock: (text: string, row: number, column: number) => void;
};

/** The cells of a decision table, typed and moved through as in a spreadsheet. */
export function DecisionGrid({ table, decision, faults, formulaFaults, lit, onChange, onBlock }: Props) {
  const grid = useRef<HTMLTableElement>(null);
  const columns = width(decision);
  const label = (column: number) => {
    const name = decision.inputs[column] ?? decision.outputs[column - decision.inputs.length] ?? "";
    return table.fields.find((field) => field.key === name)?.label ?? name;
  };
  const choices = (column: number) => {
    const name = decision.inputs[column] ?? decision.outputs[column - decision.inputs.length];
    return table.fields.find((field) => field.key === name)?.choices ?? [];
  };

  const go = (row: number, column: number) => {
    const cell = grid.current?.querySelector<HTMLInputElement>(`[data-cell="${row}.${column}"]`);
    cell?.focus();
    cell?.select();
    return Boolean(cell);
  };

  const onKeyDown = (event: KeyboardEvent<HTMLTableElement>) => {
    const cell = (event.target as HTMLElement).closest<HTMLInputElement>("input[data-cell]");
    if (!cell || event.ctrlKey || event.metaKey) return;
    const [row = 0, column = 0] = (cell.dataset.cell ?? "").split(".").map(Number);
    const at = cell.selectionStart ?? 0;
    const all = cell.selectionEnd === cell.value.length && at === 0;
    if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown")) {
      event.preventDefault();
      const by = event.key === "ArrowUp" ? -1 : 1;
      onChange(moved(decision, row, by));
      requestAnimationFrame(() => go(Math.max(0, row + by), column));
    } else if (event.key === "Enter" || event.key === "ArrowDown") {
      event.preventDefault();
      if (event.key === "Enter" && row === decision.rows.length - 1 && !event.shiftKey) {
        onChange(withRow(decision));
        requestAnimationFrame(() => go(row + 1, 0));
      } else go(row + (event.shiftKey ? -1 : 1), column);
    } else if (event.key === "ArrowUp") {
      event.preventDefault();
      go(row - 1, column);
    } else if (event.key === "ArrowLeft" && (at === 0 || all) && column > 0) {
      event.preventDefault();
      go(row, column - 1);
    } else if (event.key === "ArrowRight" && (at === cell.value.length || all) && column < columns - 1) {
      event.preventDefault();
      go(row, column + 1);
    }
  };

  const onPaste = (event: ClipboardEvent<HTMLTableElement>) => {
    const cell = (event.target as HTMLElement).closest<HTMLInputElement>("input[data-cell]");
    const text = event.clipboardData.getData("text/plain");
    if (!cell || !/[\t\n]/.test(text.trimEnd())) return;
    event.preventDefault();
    const [row = 0, column = 0] = (cell.dataset.cell ?? "").split(".").map(Number);
    onBlock(text, row, column);
  };

  return (
    <div className="overflow-x-auto rounded border border-base-300">
      <table ref={grid} className="w-full border-collapse text-[0.8125rem]" onKeyDown={onKeyDown} onPaste={onPaste}>
        <thead>
          <tr className="text-left text-secondary text-xs uppercase tracking-wide">
            <td className="w-8" />
            {decision.inputs.length > 0 && (
              <th colSpan={decision.inputs.length} className="px-2 pt-1.5">
                {t("decision.inputs")}
              </th>
            )}
            {decision.outputs.length > 0 && (
              <th colSpan={decision.outputs.length} className="border-secondary border-l border-dashed px-2 pt-1.5">
                {t("decision.outputs")}
              </th>
            )}
            <td className="w-20" />
          </tr>
          <tr className="border-base-300 border-b text-left align-bottom">
            <td />
            {Array.from({ length: columns }, (_, column) => (
              <th
                // biome-ignore lint/suspicious/noArrayIndexKey: a column is known by its place
                key={column}
                className={`group/head min-w-24 px-2 pb-1.5 font-semibold
                  ${column === decision.inputs.length ? "border-secondary border-l border-dashed" : ""}`}
              >
                <Head
                  label={label(column)}
                  formula={isFormula(table, decision, column) ? (decision.inputs[column] ?? "") : null}
                  fault={formulaFaults.get(column)}
                  onFormula={(formula) => onChange(withFormula(decision, column, formula))}
                  onTurn={() => onChange(turned(decision, column))}
                  onRemove={() => onChange(withoutColumn(decision, column))}
                />
              </th>
            ))}
            <td />
          </tr>
        </thead>
        <tbody>
          {decision.rows.map((cells, row) => (
            <tr
              // biome-ignore lint/suspicious/noArrayIndexKey: a row is known by its place
              key={row}
              className={`group/line border-base-300/70 border-b ${lit === row ? "bg-[var(--tint-lit)]" : ""}`}
              aria-current={lit === row ? "true" : undefined}
            >
              <th className="quiet px-2 text-right font-normal tabular-nums">{row + 1}</th>
              {Array.from({ length: columns }, (_, column) => {
                const fault = faults.get(`${row}.${column}`);
                const isInput = column < decision.inputs.length;
                return (
                  <td
                    // biome-ignore lint/suspicious/noArrayIndexKey: a cell is known by its place
                    key={column}
                    className={`p-0
                      ${column === decision.inputs.length ? "border-secondary border-l border-dashed" : ""}`}
                  >
                    <input
                      data-cell={`${row}.${column}`}
                      aria-label={t("decision.cell", { row: row + 1, label: label(column) })}
                      aria-invalid={Boolean(fault)}
                      title={fault}
                      list={choices(column).length > 0 ? `choices-${column}` : undefined}
                      className={`w-full bg-transparent px-2 py-1 outline-offset-[-2px]
                        ${fault ? "bg-[var(--tint-refused)] text-error" : ""} ${isInput ? "" : "font-semibold"}`}
                      value={cells[column] ?? ""}
                      placeholder={isInput ? t("decision.any") : t("decision.cleared")}
                      autoComplete="off"
                      onChange={(event) => onChange(withCell(decision, row, column, event.target.value))}
                    />
                  </td>
                );
              })}
              <td className="whitespace-nowrap px-1 text-right">
                <RowButtons
                  row={row}
                  last={row === decision.rows.length - 1}
                  onMove={(by) => onChange(moved(decision, row, by))}
                  onRemove={() => onChange(withoutRow(decision, row))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {Array.from({ length: columns }, (_, column) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a column is known by its place
        <datalist key={column} id={`choices-${column}`}>
          {choices(column).map((choice) => (
            <option key={choice} value={choice} />
          ))}
        </datalist>
      ))}
    </div>
  );
}

/** Whether a column looks at more than a field by itself. */
function isFormula(table: Table, decision: Decision, column: number) {
  const name = decision.inputs[column];
  return name !== undefined && !table.fields.some((field) => field.key === name);
}

type HeadProps = {
  label: string;
  /** The column's own formula, null where it is a field. */
  formula: string | null;
  fault: Mistake | undefined;
  onFormula: (formula: string) => void;
  onTurn: () => void;
  onRemove: () => void;
};

function Head({ label, formula, fault, onFormula, onTurn, onRemove }: HeadProps) {
  return (
    <div className="flex items-center gap-1">
      {formula === null ? (
        <span className="min-w-0 flex-1 truncate">{label}</span>
      ) : (
        <input
          className={`input input-xs min-w-32 flex-1 font-mono font-normal ${fault ? "input-error" : ""}`}
          aria-label={t("decision.formulaOf")}
          aria-invalid={Boolean(fault)}
          title={fault?.message.replaceAll("`", "")}
          value={formula}
          onChange={(event) => onFormula(event.target.value)}
        />
      )}
      <span className="flex opacity-0 focus-within:opacity-100 group-hover/head:opacity-100">
        <Small label={t("decision.turn", { label })} icon={<ArrowLeftRight size={12} aria-hidden />} onClick={onTurn} />
        <Small label={t("decision.remove", { label })} icon={<X size={12} aria-hidden />} onClick={onRemove} />
      </span>
    </div>
  );
}

type RowProps = { row: number; last: boolean; onMove: (by: number) => void; onRemove: () => void };

function RowButtons({ row, last, onMove, onRemove }: RowProps) {
  return (
    <span className="opacity-0 focus-within:opacity-100 group-hover/line:opacity-100">
      <Small
        label={t("decision.rowUp", { n: row + 1 })}
        icon={<ArrowUp size={12} aria-hidden />}
        disabled={row === 0}
        onClick={() => onMove(-1)}
      />
      <Small
        label={t("decision.rowDown", { n: row + 1 })}
        icon={<ArrowDown size={12} aria-hidden />}
        disabled={last}
        onClick={() => onMove(1)}
      />
      <Small label={t("decision.rowRemove", { n: row + 1 })} icon={<X size={12} aria-hidden />} onClick={onRemove} />
    </span>
  );
}

type SmallProps = { label: string; icon: React.ReactNode; disabled?: boolean; onClick: () => void };

function Small({ label, icon, disabled = false, onClick }: SmallProps) {
  return (
    <button
      type="button"
      className="btn btn-ghost btn-xs btn-square"
      title={label}
      aria-label={label}
      disabled={disabled}
      onClick={onClick}
    >
      {icon}
    </button>
  );
}
