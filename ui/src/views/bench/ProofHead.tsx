import { Pencil, Trash2, X } from "lucide-react";
import type { ProofLine, ProofParts, Trial } from "../../api/client";
import { CoverageIcon } from "../../components/CoverageIcon";
import { HelpLink } from "../../components/HelpLink";
import { t } from "../../words";

type Props = {
  proof: ProofParts;
  line: ProofLine | undefined;
  trial: Trial | null;
  onChange: () => void;
  onDrop: () => void;
  onClose: () => void;
};

/** The proof that is on the bench: what it is for, what must come out, and what does. */
export function ProofHead({ proof, line, trial, onChange, onDrop, onClose }: Props) {
  const first = line?.first_step;
  return (
    <div className="mb-3 flex flex-col gap-2 border-base-300 border-b pb-3">
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1">
        <h1 className="min-w-0 flex-1 text-xl">{proof.name}</h1>
        <HelpLink page="broken-proof" />
        <button type="button" className="btn btn-ghost btn-xs" onClick={onChange}>
          <Pencil size={13} aria-hidden />
          {t("proofs.change")}
        </button>
        <button type="button" className="btn btn-ghost btn-xs text-error" onClick={onDrop}>
          <Trash2 size={13} aria-hidden />
          {t("proofs.drop")}
        </button>
        <button type="button" className="btn btn-ghost btn-xs" onClick={onClose}>
          <X size={13} aria-hidden />
          {t("proofs.putAside")}
        </button>
      </div>
      {proof.note && <p className="quiet">{proof.note}</p>}
      <ul className="flex flex-col gap-0.5" aria-label={t("proofs.expects")}>
        {trial?.verdicts.map((verdict, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: verdicts stand in the order of what is expected
          <li key={index} className="flex items-start gap-2">
            <CoverageIcon state={verdict.met ? "passed" : "broken"} className="mt-1.5 size-2" />
            <span className="min-w-0 break-words">
              {verdict.expected}
              {!verdict.met && <span className="text-error"> · {t("proofs.but", { actual: verdict.actual })}</span>}
            </span>
          </li>
        ))}
      </ul>
      {first && (
        <p className="rounded bg-[var(--tint-refused)] px-2 py-1 text-xs">
          {t("proofs.firstStep", { stage: first.stage, field: first.field })}{" "}
          <span className="font-mono">
            {first.was ?? t("proofs.noStep")} → {first.now ?? t("proofs.noStep")}
          </span>
        </p>
      )}
    </div>
  );
}
