import { PencilLine } from "lucide-react";
import { t } from "../../words";

type Props = { overtaken: boolean; onDrop: () => void };

/** Says that what stands here is a draft, kept until it is saved or deleted. */
export function DraftBar({ overtaken, onDrop }: Props) {
  return (
    <div
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-secondary border-y border-dashed
      bg-[var(--tint-lit)] px-4 py-1.5 text-xs"
    >
      <PencilLine size={13} className="text-secondary" aria-hidden />
      <span className="min-w-0 flex-1">{overtaken ? t("drafts.overtaken") : t("drafts.kept")}</span>
      <button type="button" className="link" onClick={onDrop}>
        {t("drafts.drop")}
      </button>
    </div>
  );
}
