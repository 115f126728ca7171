import { useEffect, useRef } from "react";
import { Link } from "react-router";
import type { FormulaPart, Step, Table, Trial } from "../../api/client";
import { t } from "../../words";

type Props = { table: Table; trial: Trial; why: string | null; onForget: () => void };

/** Every step of the save in its order, on one thread through the stages; or why a field holds what it holds. */
export function Trace({ table, trial, why, onForget }: Props) {
  const stages = [{ key: "typed", label: t("bench.typedStage") }, ...table.stages];
  const answer = why ? trial.why[why] : undefined;
  const refused = trial.outcome.state === "refused";
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      {answer && (
        <div className="sheet flex items-start gap-2 border-secondary px-3 py-2" role="status">
          <p className="min-w-0 flex-1 break-words">{answer.words}</p>
          <button type="button" className="link text-xs" onClick={onForget}>
            {t("common.close")}
          </button>
        </div>
      )}
      <section className="min-h-0 flex-1 overflow-auto pr-1 pl-1" aria-label={t("bench.trace")}>
        <h2 className="sr-only">{t("bench.trace")}</h2>
        <ol className="relative ml-2 border-[var(--stitch)] border-l-2 border-dashed pb-2">
          {stages.map((stage) => {
            const steps = trial.steps
              .map((step, index) => ({ step, index }))
              .filter(({ step }) => step.stage === stage.key);
            const idle = stage.key === "log" && refused ? t("bench.nothingWritten") : t("bench.nothingHere");
            return (
              <li key={stage.key} className="pt-2.5 pl-4">
                <p className="font-semibold text-secondary text-xs uppercase tracking-wide">
                  {stage.label}
                  {(steps.length === 0 || idle === t("bench.nothingWritten")) && (
                    <span className="quiet ml-2 font-normal normal-case tracking-normal">{idle}</span>
                  )}
                </p>
                {steps.length > 0 && (
                  <ul>
                    {steps.map(({ step, index }) => (
                      <StepLine key={index} step={step} table={table} lit={answer?.step === index} />
                    ))}
                  </ul>
                )}
              </li>
            );
          })}
        </ol>
      </section>
    </div>
  );
}

const BEADS: Record<string, string> = {
  read: "rounded-full bg-base-content",
  set: "rounded-full border-2 border-secondary border-dashed bg-base-200",
  passed: "rounded-full bg-success",
  refused: "rotate-45 bg-error",
  skipped: "rounded-full border border-[var(--quiet)] bg-base-200",
  logged: "rounded-full bg-primary",
};

function StepLine({ step, table, lit }: { step: Step; table: Table; lit: boolean }) {
  const rule = table.rules.find((each) => each.id === step.rule);
  const line = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (lit) line.current?.scrollIntoView({ block: "center" });
  }, [lit]);
  return (
    <li ref={line} className={`relative py-1 ${lit ? "-mx-2 rounded bg-[var(--tint-lit)] px-2" : ""}`}>
      <span
        className={`absolute top-2 size-2.5 ${lit ? "-left-[0.9rem]" : "-left-[1.4rem]"} ${BEADS[step.result]}`}
        aria-hidden
      />
      <p className="leading-snug">
        <span className="font-semibold">{step.field}</span>
        {rule && (
          <>
            {" "}
            <Link
              to={`/t/${table.key}/rules?rule=${rule.id}`}
              title={t("bench.rule")}
              className="quiet underline decoration-dotted underline-offset-2"
            >
              {rule.tack}
            </Link>
          </>
        )}
      </p>
      <p className={`break-words font-mono text-xs ${step.result === "refused" ? "text-error" : "quiet"}`}>
        {told(step)}
      </p>
      {step.parts?.some((part) => part.parts.length > 0) && (
        <details className="text-xs">
          <summary className="quiet cursor-pointer">{t("bench.unfold")}</summary>
          <ul className="mt-0.5 font-mono">
            {step.parts.map((part, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: parts of a formula never move
              <Unfolded key={index} part={part} />
            ))}
          </ul>
        </details>
      )}
    </li>
  );
}

/** A part of a formula with what it came to, and the parts that it is made of. */
function Unfolded({ part }: { part: FormulaPart }) {
  return (
    <li className="py-px">
      <span className="quiet">{part.words}</span> <span aria-hidden>=</span>{" "}
      <span className="stitched">{part.value}</span>
      {part.parts.length > 0 && (
        <ul className="ml-1.5 border-[var(--stitch)] border-l border-dashed pl-2.5">
          {part.parts.map((each, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: parts of a formula never move
            <Unfolded key={index} part={each} />
          ))}
        </ul>
      )}
    </li>
  );
}

/** A step in words: what it was, what it became, and why. */
function told(step: Step): string {
  const before = step.before || t("bench.blank");
  const after = step.after || t("bench.blank");
  const why = step.how ? ` (${step.how})` : "";
  switch (step.result) {
    case "read":
      return step.how?.endsWith(`“${step.after}”`) ? step.how : `${step.how} → ${after}`;
    case "set":
      return `${before} → ${after}${step.how && step.how !== step.after && step.how !== `“${step.after}”` ? why : ""}`;
    case "refused":
      return [step.how, step.after].filter(Boolean).join(" · ");
    case "passed":
      return `${t("bench.passed")}${why}`;
    case "skipped":
      return `${t("bench.skipped")}: ${step.how}`;
    default:
      return `${before} → ${after}`;
  }
}
