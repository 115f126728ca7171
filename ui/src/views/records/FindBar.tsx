import { ChevronDown, ChevronUp, X } from "lucide-react";
import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { ProblemError, type Table } from "../../api/client";
import { findText, type View } from "../../api/records";
import { IconButton } from "../../components/IconButton";
import { useAfterPause } from "../../components/useAfterPause";
import { t } from "../../words";
import type { GridColumn } from "./useLayout";
import type { Place } from "./useRange";

type Props = {
  table: Table;
  view: View;
  columns: GridColumn[];
  /** The cell from which to look on. */
  from: Place;
  onFound: (place: Place) => void;
  onClose: () => void;
};

type Found = { place: number | null; matching: number; number: number | null };

/** Milliseconds without a keystroke after which a text is looked for. */
const PAUSE = 250;

/** Looks for a text in all records of the view, however many there are, and goes from one to the next. */
export function FindBar({ table, view, columns, from, onFound, onClose }: Props) {
  const [text, setText] = useState("");
  const [found, setFound] = useState<Found | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const begun = useRef(from);
  const latest = useRef(0);
  // Each step goes on from where the one before it has led, however fast they come.
  const at = useRef(from);
  const steps = useRef<Promise<unknown>>(Promise.resolve());
  const box = useRef<HTMLInputElement>(null);
  useEffect(() => box.current?.focus(), []);

  /** The columns of one record in which the text stands, in the order in which they are shown. */
  const among = (fields: string[]) =>
    columns.flatMap(({ field }, index) => (fields.includes(field.key) ? [index] : []));

  const step = (back: boolean) => {
    const mine = latest.current;
    steps.current = steps.current.then(() => (mine === latest.current ? look(at.current, back, true) : undefined));
  };
  const look = async (start: Place, back: boolean, onward: boolean) => {
    const mine = latest.current;
    setFailure(null);
    try {
      let answer = await findText(table.key, view, text, start.row, back);
      if (mine !== latest.current) return;
      const beyond = (column: number) => (back ? column < start.column : column > start.column);
      let places = among(answer.fields);
      // In the row where one stands only what lies ahead counts.
      if (onward && answer.place === start.row) {
        places = places.filter(beyond);
        if (places.length === 0) {
          answer = await findText(table.key, view, text, Math.max(0, start.row + (back ? -1 : 1)), back);
          if (mine !== latest.current) return;
          places = among(answer.fields);
        }
      }
      setFound(answer);
      if (answer.place === null) return;
      at.current = { row: answer.place, column: (back ? places.at(-1) : places[0]) ?? start.column };
      onFound(at.current);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      if (mine === latest.current) setFailure(error.message);
    }
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: looked for when another text stands there
  useEffect(() => {
    setFound(null);
    latest.current += 1;
  }, [text]);
  const begin = () => {
    steps.current = look(begun.current, false, false);
  };
  useAfterPause(text.trim() === "" ? null : begin, PAUSE, text);

  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === "Escape") onClose();
    else if (event.key === "Enter" && text.trim() !== "") step(event.shiftKey);
    else return;
    event.preventDefault();
  };

  const none = found !== null && found.place === null;
  return (
    <search className="flex flex-wrap items-center gap-2 border-base-300 border-b border-dashed px-3 py-1.5">
      <input
        ref={box}
        className={`input input-sm w-72 max-w-full ${none ? "input-error" : ""}`}
        aria-label={t("grid.find")}
        placeholder={t("grid.find")}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={onKeyDown}
      />
      <IconButton name={t("grid.findBack")} onClick={() => step(true)} disabled={text.trim() === ""}>
        <ChevronUp size={15} aria-hidden />
      </IconButton>
      <IconButton name={t("grid.findOn")} onClick={() => step(false)} disabled={text.trim() === ""}>
        <ChevronDown size={15} aria-hidden />
      </IconButton>
      <span className={`text-xs tabular-nums ${none || failure ? "text-error" : "quiet"}`} aria-live="polite">
        {failure ??
          (none
            ? t("grid.foundNone", { text })
            : found?.number
              ? t("grid.found", { n: found.number, count: found.matching })
              : t("grid.findAim"))}
      </span>
      <span className="flex-1" />
      <IconButton name={t("grid.findClose")} onClick={onClose}>
        <X size={15} aria-hidden />
      </IconButton>
    </search>
  );
}
