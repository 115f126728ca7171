import type { KeyboardEvent } from "react";
import { toast } from "sonner";
import type { Table } from "../../api/client";
import { useUnpinRule } from "../../api/queries";
import { t } from "../../words";

type Props = { table: Table; move: (field: string, position: number) => void; remove: (field: string) => void };

/**
 * Arrow keys over the board. Every place that can be opened is a "stop": the
 * field's name, each tack, each empty place where a rule can be pinned. Left and
 * right go along the row, up and down keep to the column as far as it has stops.
 */
export function useBoardKeys({ table, move, remove }: Props) {
  const unpin = useUnpinRule(table.key);

  return (event: KeyboardEvent<HTMLDivElement>) => {
    const stop = (event.target as HTMLElement).closest<HTMLElement>("[data-stop]");
    if (!stop) return;
    const field = stop.dataset.field ?? "";
    const row = table.fields.findIndex((each) => each.key === field);
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    const onName = stop.dataset.column === "0";

    if (event.altKey && step) move(field, row + step);
    else if (step) stepRow(event.currentTarget, stop, row + step);
    else if (event.key === "ArrowRight") stepAlong(stop, 1);
    else if (event.key === "ArrowLeft") stepAlong(stop, -1);
    else if (event.key === "Insert") document.getElementById("add-field")?.focus();
    else if (event.key === "Delete" && onName) remove(field);
    else if (event.key === "Delete" && stop.dataset.rule)
      unpin.mutate(stop.dataset.rule, { onSuccess: () => toast(t("rulePanel.removed")) });
    else if (event.key === "F2") stop.click();
    else return;
    event.preventDefault();
  };
}

function stepAlong(stop: HTMLElement, step: number) {
  const row = [...(stop.closest("[data-row]")?.querySelectorAll<HTMLElement>("[data-stop]") ?? [])];
  row[row.indexOf(stop) + step]?.focus();
}

function stepRow(board: HTMLElement, stop: HTMLElement, row: number) {
  const stops = [...board.querySelectorAll<HTMLElement>(`[data-row="${row}"] [data-stop]`)];
  const column = Number(stop.dataset.column);
  const there = stops.filter((each) => Number(each.dataset.column) <= column);
  const target = there.find((each) => Number(each.dataset.column) === column) ?? there.at(-1);
  if (target) target.focus();
  else if (row > 0) document.getElementById("add-field")?.focus();
}
