import { Eye, TriangleAlert } from "lucide-react";
import type { Rule } from "../../api/client";
import { CoverageIcon, type ProofState } from "../../components/CoverageIcon";
import { Mark } from "../../components/Mark";
import { t } from "../../words";

type Props = {
  rule: Rule;
  /** Old records that the rule still lets be. */
  open: number;
  /** Whether a change of it is half written. */
  draft: boolean;
  /** The fields that it sets, where it only looks at this one. */
  moves: string[];
  /** How far proofs show what it does; nothing where nobody is told. */
  proven?: ProofState | undefined;
  field: string;
  column: number;
  narrow: boolean;
  isOpen: boolean;
  isLit: boolean;
  tabIndex: number;
  onFocus: () => void;
  onPoint: () => void;
  onLeave: () => void;
  onOpen: () => void;
};

/** One rule pinned on a field's thread: its words, or its shape alone when the board is narrow. */
export function Tack({
  rule,
  open,
  draft,
  moves,
  proven,
  field,
  column,
  narrow,
  isOpen,
  isLit,
  tabIndex,
  onFocus,
  onPoint,
  onLeave,
  onOpen,
}: Props) {
  const shared = rule.fields.length > 1;
  const said = moves.length > 0 ? t("board.moves", { labels: moves.join(", ") }) : rule.tack;
  const light = isOpen
    ? "border-secondary bg-[var(--tint-lit)]"
    : isLit
      ? "border-accent bg-[var(--tint-lit)]"
      : rule.notice || draft
        ? "border-secondary border-dashed bg-base-100"
        : "border-base-300 bg-base-100";
  return (
    <button
      type="button"
      data-stop
      data-column={column}
      data-field={field}
      data-rule={rule.id}
      tabIndex={tabIndex}
      onFocus={onFocus}
      onBlur={onLeave}
      onPointerEnter={onPoint}
      onPointerLeave={onLeave}
      onClick={onOpen}
      title={[
        rule.note && `${rule.note}\n`,
        rule.sentence,
        moves.length > 0 && ` ${t("legend.used")}`,
        shared && ` (${t("board.shared")})`,
        draft && ` ${t("drafts.onTack")}`,
        open > 0 && ` ${t("board.open", { count: open })}`,
        rule.notice && ` ${rule.notice}`,
      ]
        .filter(Boolean)
        .join("")}
      aria-label={narrow ? `${rule.sentence}${draft ? ` ${t("drafts.onTack")}` : ""}` : undefined}
      className={`relative flex max-w-full items-center gap-1.5 rounded border border-b-2 text-xs ${light}
        ${narrow ? "size-6 justify-center" : "px-1.5 py-0.5"} ${!narrow && open > 0 ? "flex-wrap" : ""}`}
    >
      {moves.length > 0 ? (
        <Eye size={11} className="shrink-0 text-secondary" aria-hidden />
      ) : (
        <Mark size={11} className={`shrink-0 ${shared ? "text-secondary" : "text-primary"}`} />
      )}
      {!narrow && <span className={`truncate ${open > 0 ? "max-w-[calc(100%-2.5rem)]" : ""}`}>{said}</span>}
      {/* What is read out is parted like what is seen. */}
      {!narrow && (draft || open > 0) && " "}
      {proven && (
        <CoverageIcon
          state={proven}
          className={narrow ? "absolute -right-0.5 -bottom-0.5 size-1.5 bg-base-100" : "ml-0.5 size-2"}
        />
      )}
      {draft && !narrow && <span className="shrink-0 text-secondary italic">{t("drafts.short")} </span>}
      {rule.notice && !narrow && (
        <TriangleAlert size={12} className="shrink-0 text-secondary" aria-label={rule.notice} />
      )}
      {!narrow && open > 0 && (
        <span
          className="shrink-0 rounded-full border border-secondary border-dashed px-1 text-[0.625rem]
          text-secondary tabular-nums"
        >
          {t("board.openShort", { n: open })}
        </span>
      )}
      {/* In the name as it is read out, behind the words that are seen. */}
      {!narrow && <span className="sr-only">: {rule.sentence}</span>}
    </button>
  );
}
