import { useMemo, useRef, useState } from "react";
import { type Mistake, type Pieces, ProblemError } from "../../api/client";
import { checkFormula, useNames, writePieces } from "../../api/queries";
import { t } from "../../words";
import { MistakeLines } from "../MistakeLines";
import { SegmentedControl } from "../SegmentedControl";
import { FormulaEditor } from "./FormulaEditor";
import { begin, PiecesEditor, type Shape } from "./pieces/PiecesEditor";

type Props = {
  table: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
  mistakes: Mistake[];
  /** What the pieces can make here. */
  shapes: Shape[];
  focus?: boolean;
};

/** A formula, typed or put together from pieces; the server turns one into the other, so both stay in step. */
export function FormulaOrPieces({ table, label, value, onChange, mistakes, shapes, focus }: Props) {
  const names = useNames().data;
  const all = useMemo(() => new Map((names ?? []).map((each) => [each.key, each])), [names]);
  const [pieces, setPieces] = useState<Pieces | null>(null);
  const [note, setNote] = useState<string | null>(null);
  const question = useRef(0);

  const open = async () => {
    setNote(null);
    if (value.trim() === "") return setPieces(begin(shapes[0] ?? "text"));
    try {
      const found = (await checkFormula(table, value, false)).pieces;
      if (found && shapes.includes(found.shape)) setPieces(found);
      else setNote(t("pieces.cannotShow"));
    } catch (error) {
      if (error instanceof ProblemError) setNote(error.message);
    }
  };

  const change = async (next: Pieces) => {
    setPieces(next);
    question.current += 1;
    const mine = question.current;
    try {
      const { formula, problem } = await writePieces(table, next);
      if (mine !== question.current) return;
      setNote(problem);
      if (formula !== null) onChange(formula);
    } catch (error) {
      if (mine === question.current && error instanceof ProblemError) setNote(error.message);
    }
  };

  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-center gap-2">
        <span className="flex-1 font-semibold">{label}</span>
        <SegmentedControl
          name={t("pieces.wayOfWriting")}
          value={pieces ? "pieces" : "formula"}
          options={[
            ["formula", t("pieces.typed")],
            ["pieces", t("pieces.together")],
          ]}
          onChange={(way) => {
            if (way === "pieces") open();
            else {
              setPieces(null);
              setNote(null);
            }
          }}
        />
      </div>
      {note && (
        <p className="text-secondary" role="status">
          {note}
        </p>
      )}
      {pieces ? (
        <>
          <PiecesEditor table={table} names={all} shapes={shapes} pieces={pieces} onChange={change} />
          <code className="quiet break-words font-mono text-xs">{value}</code>
          <MistakeLines mistakes={mistakes} />
        </>
      ) : (
        <FormulaEditor
          table={table}
          label={label}
          value={value}
          onChange={onChange}
          mistakes={mistakes}
          focus={focus}
        />
      )}
    </div>
  );
}
