import { ListChecks, Play, ScanLine, Sparkles } from "lucide-react";
import type { ProofLine, Proofs, Table } from "../../api/client";
import { useRunProofs } from "../../api/proofs";
import { CoverageIcon } from "../../components/CoverageIcon";
import { t } from "../../words";
import { MistakesFigure } from "./Mistakes";

type Props = {
  table: Table;
  proofs: Proofs | undefined;
  open: string | null;
  onOpen: (proof: ProofLine) => void;
  onShow: (what: "edges" | "missing" | "samples" | "mistakes") => void;
};

/** The proofs of a table with what came of each, how far its rules are covered, and what can be added. */
export function ProofList({ table, proofs, open, onOpen, onShow }: Props) {
  const run = useRunProofs();
  const own = proofs?.proofs.filter((each) => each.table === table.key) ?? [];
  const covered = proofs?.coverage.filter((each) => each.table === table.key) ?? [];
  const proven = covered.filter((each) => each.state === "proven").length;
  const partly = covered.filter((each) => each.state === "partly").length;
  const broken = covered.filter((each) => each.state === "broken").length;
  const missing = covered.reduce((sum, each) => sum + each.missing.length, 0);
  const share = (count: number) => `${covered.length === 0 ? 0 : (100 * count) / covered.length}%`;
  const groups = [...new Set(own.map((each) => each.group ?? ""))];
  return (
    <section className="flex min-h-0 flex-col gap-3 lg:h-full" aria-label={t("proofs.title")}>
      <div className="shrink-0">
        <div className="flex items-baseline gap-2">
          <h2 className="min-w-0 flex-1 text-lg">{t("proofs.title")}</h2>
          {proofs?.running ? (
            <span className="quiet text-xs tabular-nums" role="status">
              {t("proofs.running", { done: proofs.running.done, of: proofs.running.total })}
            </span>
          ) : (
            own.length > 0 && (
              <button
                type="button"
                className="btn btn-ghost btn-xs"
                onClick={() => run.mutate()}
                disabled={run.isPending}
              >
                <Play size={12} aria-hidden />
                {t("proofs.runAll")}
              </button>
            )
          )}
        </div>
        {covered.length > 0 && (
          <>
            <p className="quiet text-xs">{t("proofs.covered", { count: proven, of: covered.length })}</p>
            <div className="mt-1.5 flex h-1.5 overflow-hidden rounded-full bg-base-300" aria-hidden>
              <span className="bg-primary" style={{ width: share(proven) }} />
              <span className="bg-primary/45" style={{ width: share(partly) }} />
              <span className="bg-error" style={{ width: share(broken) }} />
            </div>
            {own.length > 0 && (
              <div className="mt-1.5">
                <MistakesFigure table={table} onShow={() => onShow("mistakes")} />
              </div>
            )}
          </>
        )}
      </div>
      <div className="sheet min-h-0 overflow-auto max-lg:max-h-72">
        {own.length === 0 && <p className="quiet px-3 py-3">{t("proofs.empty")}</p>}
        {groups.map((group) => (
          <div key={group}>
            {group && (
              <h3
                className="border-base-300 border-b bg-base-200/70 px-3 py-1 font-sans font-semibold
                text-secondary text-xs tracking-normal"
              >
                {group}
              </h3>
            )}
            <ul>
              {own
                .filter((each) => (each.group ?? "") === group)
                .map((each) => (
                  <ProofButton key={each.id} proof={each} isOpen={open === each.id} onOpen={() => onOpen(each)} />
                ))}
            </ul>
          </div>
        ))}
      </div>
      <div className="flex shrink-0 flex-col gap-1.5">
        <button
          type="button"
          className="btn btn-sm border-secondary border-dashed bg-transparent text-secondary"
          onClick={() => onShow("edges")}
        >
          <ScanLine size={14} aria-hidden />
          {t("proofs.suggest")}
        </button>
        <div className="flex gap-1.5">
          <button type="button" className="btn btn-ghost btn-sm flex-1 px-1" onClick={() => onShow("missing")}>
            <ListChecks size={14} aria-hidden />
            {t("proofs.missing", { count: missing })}
          </button>
          <button type="button" className="btn btn-ghost btn-sm flex-1 px-1" onClick={() => onShow("samples")}>
            <Sparkles size={14} aria-hidden />
            {t("samples.name")}
          </button>
        </div>
      </div>
    </section>
  );
}

function ProofButton({ proof, isOpen, onOpen }: { proof: ProofLine; isOpen: boolean; onOpen: () => void }) {
  const first = proof.differences[0];
  return (
    <li className="border-base-300 border-b last:border-b-0">
      <button
        type="button"
        data-proof={proof.id}
        aria-current={isOpen}
        onClick={onOpen}
        title={proof.note ?? undefined}
        className={`flex w-full items-start gap-2.5 px-3 py-1.5 text-left
          ${isOpen ? "bg-[var(--tint-lit)]" : "hover:bg-base-200"}`}
      >
        <CoverageIcon state={proof.state} className="mt-1.5 size-2.5" />
        <span className="min-w-0 flex-1">
          <span className="block leading-snug">{proof.name}</span>
          {first && (
            <span className="line-clamp-2 text-error text-xs">
              {t("proofs.differs", { expected: first.expected, actual: first.actual })}
            </span>
          )}
        </span>
      </button>
    </li>
  );
}
