import { ArrowLeft, ArrowRight, X } from "lucide-react";
import { useState } from "react";
import { api, data } from "../../../api/client";
import type { components } from "../../../api/generated";
import { IconButton } from "../../../components/IconButton";
import { group, t } from "../../../words";

type Piece = components["schemas"]["MaskPiece"];
type Props = { value: string; pieces: Piece[]; onChange: (mask: string) => void };

/** A mask put together: kinds of characters with their number, fixed texts between them, parts that may be missing. */
export function MaskPieces({ value, pieces, onChange }: Props) {
  // Pieces that say nothing yet make no mask, so they are held here until they do.
  const [draft, setDraft] = useState<Piece[] | null>(value === "" ? [] : null);
  const [note, setNote] = useState<string | null>(null);
  const all = draft ?? pieces;

  const put = async (next: Piece[]) => {
    setDraft(next);
    setNote(null);
    if (next.length === 0) return;
    const read = await data(api.POST("/api/masks", { body: { pieces: next } }));
    if (read.mask !== "") onChange(read.mask);
    else setNote(read.problem?.message ?? null);
  };
  const replace = (index: number, piece: Piece | null) =>
    put(all.flatMap((each, at) => (at === index ? (piece ? [piece] : []) : [each])));
  const move = (index: number, by: number) => {
    const next = [...all];
    const [taken] = next.splice(index, 1);
    if (taken) next.splice(index + by, 0, taken);
    put(next);
  };

  return (
    <div className="flex flex-col gap-1.5">
      {all.map((piece, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: pieces are told apart by their place alone
        <div key={index} className="flex items-center gap-1.5">
          <PieceEditor piece={piece} onChange={(next) => replace(index, next)} />
          <label className="flex items-center gap-1 text-xs">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={Boolean(piece.optional)}
              onChange={() => replace(index, piece.optional ? (piece.optional[0] ?? null) : { optional: [piece] })}
            />
            {t("mask.optional")}
          </label>
          <span className="flex-1" />
          <IconButton name={t("pieces.earlier")} disabled={index === 0} onClick={() => move(index, -1)}>
            <ArrowLeft size={13} className="rotate-90" aria-hidden />
          </IconButton>
          <IconButton name={t("pieces.later")} disabled={index === all.length - 1} onClick={() => move(index, 1)}>
            <ArrowRight size={13} className="rotate-90" aria-hidden />
          </IconButton>
          <IconButton name={t("pieces.remove")} onClick={() => replace(index, null)}>
            <X size={13} aria-hidden />
          </IconButton>
        </div>
      ))}
      <div className="flex gap-2">
        <button
          type="button"
          data-first
          className="btn btn-sm"
          onClick={() => put([...all, { class: "DIGIT", least: 1, most: 1 }])}
        >
          {t("mask.addKind")}
        </button>
        <button type="button" className="btn btn-sm" onClick={() => put([...all, { text: "-" }])}>
          {t("mask.addText")}
        </button>
      </div>
      {note && <p className="text-secondary">{note}</p>}
    </div>
  );
}

/** One piece; of an optional part of several pieces only the count is told, since they are written out. */
function PieceEditor({ piece, onChange }: { piece: Piece; onChange: (piece: Piece) => void }) {
  if (piece.optional) {
    const [only] = piece.optional;
    if (piece.optional.length === 1 && only && !only.optional)
      return <PieceEditor piece={only} onChange={(next) => onChange({ optional: [next] })} />;
    return <span>{t("mask.several", { n: piece.optional.length })}</span>;
  }
  if (piece.text !== undefined)
    return (
      <input
        aria-label={t("pieces.text")}
        className="input input-sm w-32 font-mono"
        value={piece.text}
        onChange={(event) => onChange({ text: event.target.value })}
      />
    );
  const least = piece.least ?? 1;
  const most = piece.most ?? 1;
  const number = (text: string) => Math.min(200, Math.max(0, Number.parseInt(text, 10) || 0));
  return (
    <>
      <input
        type="number"
        aria-label={t("mask.least")}
        className="input input-sm w-16"
        value={least}
        min={0}
        onChange={(event) => {
          const next = number(event.target.value);
          onChange({ ...piece, least: next, most: Math.max(1, next, least === most ? next : most) });
        }}
      />
      <span className="quiet">{t("mask.to")}</span>
      <input
        type="number"
        aria-label={t("mask.most")}
        className="input input-sm w-16"
        value={most}
        min={1}
        onChange={(event) => {
          const next = Math.max(1, number(event.target.value));
          onChange({ ...piece, most: next, least: Math.min(least, next) });
        }}
      />
      <select
        aria-label={t("mask.kind")}
        className="select select-sm w-40"
        value={piece.class}
        onChange={(event) => onChange({ ...piece, class: event.target.value })}
      >
        {group("mask.kinds").map(([key, label]) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
      </select>
    </>
  );
}
