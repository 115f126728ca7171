import { Link } from "react-router";
import type { Answer, Step, Table } from "../../api/client";
import { words } from "../../words";

/** Every step of the save in its order, on one thread through the stages. */
export function Trace({ table, answer }: { table: Table; answer: Answer }) {
  const stages = [{ key: "typed", label: words.bench.typedStage }, ...table.stages];
  return (
    <section className="min-h-0 flex-1 overflow-auto pr-1 pl-1" aria-label={words.bench.trace}>
      <h2 className="sr-only">{words.bench.trace}</h2>
      <ol className="relative ml-2 border-[var(--stitch)] border-l-2 border-dashed pb-2">
        {stages.map((stage) => {
          const steps = answer.steps.filter((step) => step.stage === stage.key);
          const idle = stage.key === "log" && !answer.would_save ? words.bench.nothingWritten : words.bench.nothingHere;
          return (
            <li key={stage.key} className="pt-2.5 pl-4">
              <p className="font-semibold text-secondary text-xs uppercase tracking-wide">
                {stage.label}
                {(steps.length === 0 || idle === words.bench.nothingWritten) && (
                  <span className="quiet ml-2 font-normal normal-case tracking-normal">{idle}</span>
                )}
              </p>
              {steps.length > 0 && (
                <ul>
                  {steps.map((step, index) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: steps have no name of their own and never move
                    <StepLine key={index} step={step} table={table} />
                  ))}
                </ul>
              )}
            </li>
          );
        })}
      </ol>
    </section>
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

function StepLine({ step, table }: { step: Step; table: Table }) {
  const rule = table.rules.find((each) => each.id === step.rule);
  return (
    <li className="relative py-1">
      <span className={`-left-[1.4rem] absolute top-2 size-2.5 ${BEADS[step.result]}`} aria-hidden />
      <p className="leading-snug">
        <span className="font-semibold">{step.field}</span>
        {rule && (
          <>
            {" "}
            <Link
              to={`/t/${table.key}/rules?rule=${rule.id}`}
              title={words.bench.rule}
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
    </li>
  );
}

/** A step in words: what it was, what it became, and why. */
function told(step: Step): string {
  const before = step.before || words.bench.blank;
  const after = step.after || words.bench.blank;
  const why = step.how ? ` (${step.how})` : "";
  switch (step.result) {
    case "read":
      return step.how?.endsWith(`“${step.after}”`) ? step.how : `${step.how} → ${after}`;
    case "set":
      return `${before} → ${after}${step.how && step.how !== step.after && step.how !== `“${step.after}”` ? why : ""}`;
    case "refused":
      return [step.how, step.after].filter(Boolean).join(" · ");
    case "passed":
      return `${words.bench.passed}${why}`;
    case "skipped":
      return `${words.bench.skipped}: ${step.how}`;
    default:
      return `${before} → ${after}`;
  }
}
