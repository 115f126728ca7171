import type { Pieces } from "../../../api/client";
import { t } from "../../../words";
import { SegmentedControl } from "../../SegmentedControl";
import type { AllNames } from "../places";
import { Parts } from "./Parts";
import { Tests } from "./Tests";

export type Shape = Pieces["shape"];
type Props = { table: string; names: AllNames; shapes: Shape[]; pieces: Pieces; onChange: (pieces: Pieces) => void };

/** A formula put together from pieces: joined text, one text or another, or tests. */
export function PiecesEditor({ table, names, shapes, pieces, onChange }: Props) {
  const shared = { table, names };
  const reshape = (shape: Shape) => {
    if (shape === "choice") onChange({ ...begin("choice"), unmet: pieces.parts ?? [] });
    else onChange(shape === "text" ? { shape, parts: pieces.unmet ?? pieces.met ?? [] } : begin(shape));
  };
  return (
    <div className="flex flex-col gap-3">
      {shapes.length > 1 && (
        <SegmentedControl
          name={t("pieces.shape")}
          value={pieces.shape}
          options={shapes.map((each) => [each, t(`pieces.shapes.${each}`)] as const)}
          onChange={reshape}
        />
      )}
      {pieces.shape !== "text" && (
        <Tests
          {...shared}
          name={pieces.shape === "choice" ? t("pieces.ifName") : t("pieces.conditionName")}
          match={pieces.match ?? "all"}
          tests={pieces.tests ?? []}
          onChange={(match, tests) => onChange({ ...pieces, match, tests })}
        />
      )}
      {pieces.shape === "text" && (
        <Parts
          {...shared}
          name={t("pieces.textName")}
          parts={pieces.parts ?? []}
          onChange={(parts) => onChange({ ...pieces, parts })}
        />
      )}
      {pieces.shape === "choice" && (
        <>
          <Parts
            {...shared}
            name={t("pieces.thenName")}
            parts={pieces.met ?? []}
            onChange={(parts) => onChange({ ...pieces, met: parts })}
          />
          <Parts
            {...shared}
            name={t("pieces.elseName")}
            parts={pieces.unmet ?? []}
            onChange={(parts) => onChange({ ...pieces, unmet: parts })}
          />
        </>
      )}
    </div>
  );
}

/** Pieces to begin with. */
export function begin(shape: Shape): Pieces {
  const test = { field: "", relation: "=", value: { text: "" } };
  if (shape === "text") return { shape, parts: [{ field: "" }] };
  if (shape === "choice") return { shape, match: "all", tests: [test], met: [], unmet: [] };
  return { shape, match: "all", tests: [test] };
}
