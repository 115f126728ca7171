import { CircleCheck, X } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import type { TableLine } from "../../api/client";
import { usePeople } from "../../api/people";
import { areFirstStepsClosed, closeFirstSteps, wasTried } from "../../app/firstSteps";
import { HelpLink } from "../../components/HelpLink";
import { t } from "../../words";

type Step = "table" | "field" | "rule" | "trial" | "proof" | "form" | "person";

const UNDONE = "size-[15px] shrink-0 translate-y-0.5 rounded-full border-[1.5px] border-[var(--quiet)]";

/** What is to do in an empty project, ticked off by what is there; gone once all is done or somebody closes it. */
export function FirstSteps({ tables }: { tables: TableLine[] }) {
  const people = usePeople();
  const [closed, setClosed] = useState(areFirstStepsClosed);
  if (closed || !people.data) return null;
  const some = (has: (table: TableLine) => boolean) => tables.some(has);
  const at = tables[0] && `/t/${tables[0].key}`;
  const proven = some((table) => table.proofs > 0);
  const steps: [Step, boolean, string | undefined][] = [
    ["table", tables.length > 0, "/"],
    ["field", some((table) => table.fields.length > 1), at && `${at}/rules`],
    ["rule", some((table) => table.rules > 0), at && `${at}/rules`],
    ["trial", proven || wasTried(), at && `${at}/bench`],
    ["proof", proven, at && `${at}/bench`],
    ["form", some((table) => table.forms.length > 0), at && `${at}/forms/design/new`],
    ["person", people.data.length > 1, "/people"],
  ];
  const next = steps.find(([, done]) => !done)?.[0];
  if (!next) return null;
  return (
    <section className="sheet mb-5 p-4" aria-labelledby="first-steps">
      <div className="mb-2 flex items-center gap-2">
        <h2 id="first-steps" className="text-lg">
          {t("firstSteps.title")}
        </h2>
        <HelpLink page="first-steps" />
        <span className="flex-1" />
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          onClick={() => {
            closeFirstSteps();
            setClosed(true);
          }}
        >
          <X size={14} aria-hidden />
          {t("firstSteps.close")}
        </button>
      </div>
      <ol className="grid gap-x-6 gap-y-1.5 sm:grid-cols-2">
        {steps.map(([step, done, to]) => (
          <li key={step} className="flex items-baseline gap-2" aria-current={step === next ? "step" : undefined}>
            {done ? (
              <CircleCheck
                size={15}
                className="shrink-0 translate-y-0.5 text-primary"
                aria-label={t("firstSteps.done")}
              />
            ) : (
              <span className={UNDONE} />
            )}
            <span>
              {to && !done && step !== "table" ? (
                <Link to={to} className={`link ${step === next ? "font-semibold" : ""}`}>
                  {t(`firstSteps.${step}`)}
                </Link>
              ) : (
                <span className={done ? "quiet" : "font-semibold"}>{t(`firstSteps.${step}`)}</span>
              )}
              {step === next && <span className="quiet block text-xs">{t(`firstSteps.how.${step}`)}</span>}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
