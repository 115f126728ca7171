import { t } from "../words";

export type ProofState = "proven" | "partly" | "untried" | "broken" | "passed" | "unfit" | "waiting";

const SHAPES: Record<ProofState, string> = {
  proven: "rounded-full bg-primary",
  passed: "rounded-full bg-primary",
  partly: "rounded-full border-[1.5px] border-primary half-filled",
  untried: "rounded-full border-[1.5px] border-[var(--quiet)]",
  waiting: "rounded-full border-[1.5px] border-[var(--quiet)] border-dashed",
  broken: "rotate-45 bg-error",
  unfit: "rotate-45 border-[1.5px] border-error",
};

/** How far something is proven, by shape as well as colour. */
export function CoverageIcon({ state, className = "size-2.5" }: { state: ProofState; className?: string }) {
  return (
    <span
      role="img"
      aria-label={t(`proofs.states.${state}`)}
      title={t(`proofs.states.${state}`)}
      className={`inline-block shrink-0 ${SHAPES[state]} ${className}`}
    />
  );
}
