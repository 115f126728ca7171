import { type KeyboardEvent, useRef } from "react";
import { writes } from "../../components/record/playing";
import { HEIGHT } from "./GridRow";
import type { Place, Range } from "./useRange";

type Props = {
  range: Range;
  /** Rows and columns. */
  rows: number;
  columns: number;
  /** Rows that are in sight at once, in pixels. */
  height: () => number;
  go: (place: Place, stretch?: boolean) => void;
  /** The next place that takes what is typed, or null at the end. */
  next: (from: Place, back: boolean) => Place | null;
  /** Begins to type: with a letter in place of what stands there, or going on behind it. */
  type: (begun: string | null, atEnd: boolean) => void;
  acts: {
    open: () => void;
    clear: () => void;
    takeBack: () => void;
    redo: () => void;
    pickAll: () => void;
    pickRows: () => void;
    giveUp: () => void;
    fillDown: () => void;
    fillRight: () => void;
    find: () => void;
  };
};

/** The keys of the grid while no cell is typed in. */
export function useGridKeys({ range, rows, columns, height, go, next, type, acts }: Props) {
  /** The column in which a walk with Tab began: Enter goes on below it. */
  const began = useRef<number | null>(null);
  /** Escape sets Tab free, so that it leaves the grid. */
  const free = useRef(false);

  /** Where Enter or Tab leads from a place. */
  const step = (from: Place, key: "Enter" | "Tab", back: boolean): Place | null => {
    if (key === "Tab") {
      began.current ??= from.column;
      return next(from, back);
    }
    const column = began.current ?? from.column;
    began.current = null;
    return { row: from.row + (back ? -1 : 1), column };
  };

  const moves = (event: KeyboardEvent, control: boolean): Place | undefined => {
    const from = event.shiftKey ? range.head : range.active;
    const page = Math.max(1, Math.floor(height() / HEIGHT) - 3);
    return {
      ArrowDown: { row: control ? rows - 1 : from.row + 1, column: from.column },
      ArrowUp: { row: control ? 0 : from.row - 1, column: from.column },
      ArrowRight: { row: from.row, column: control ? columns - 1 : from.column + 1 },
      ArrowLeft: { row: from.row, column: control ? 0 : from.column - 1 },
      PageDown: { row: from.row + page, column: from.column },
      PageUp: { row: from.row - page, column: from.column },
      Home: { row: control ? 0 : from.row, column: 0 },
      End: { row: control ? rows - 1 : from.row, column: columns - 1 },
    }[event.key];
  };

  const withControl: { [key: string]: (event: KeyboardEvent) => void } = {
    z: (event) => (event.shiftKey ? acts.redo() : acts.takeBack()),
    y: acts.redo,
    a: acts.pickAll,
    d: acts.fillDown,
    r: acts.fillRight,
    f: acts.find,
    Enter: acts.open,
  };

  /** @returns what a key does, null for one that is the browser's */
  const actOf = (event: KeyboardEvent): (() => void) | null => {
    const control = event.ctrlKey || event.metaKey;
    const place = moves(event, control);
    if (place) {
      began.current = null;
      return () => go(place, event.shiftKey);
    }
    if (event.altKey) return null;
    if (control) {
      const act = withControl[event.key] ?? withControl[event.key.toLowerCase()];
      return act ? () => act(event) : null;
    }
    if (event.key === "Tab") {
      const to = free.current ? null : step(range.active, "Tab", event.shiftKey);
      return to && (() => go(to));
    }
    if (event.key === "Enter" && (event.shiftKey || began.current !== null)) {
      const to = step(range.active, "Enter", event.shiftKey);
      return to && (() => go(to));
    }
    if (event.key === "Enter" || event.key === "F2") return () => type(null, event.key === "F2");
    if (event.key === "Delete" || event.key === "Backspace") return acts.clear;
    if (event.key === " ") return acts.pickRows;
    if (event.key === "Escape") return acts.giveUp;
    return writes(event) ? () => type(event.key, false) : null;
  };

  return {
    step,
    onKeyDown: (event: KeyboardEvent) => {
      const act = actOf(event);
      if (event.key !== "Tab" && event.key !== "Shift") free.current = event.key === "Escape";
      if (!act) return;
      event.preventDefault();
      event.stopPropagation();
      act();
    },
  };
}
