import { X } from "lucide-react";
import { Link } from "react-router";
import type { Preview, RuleKind, RuleParts, Table } from "../../api/client";
import { MatchInput } from "../../components/record/MatchInput";
import { Spaces } from "../../components/Spaces";
import { t } from "../../words";
import { Effect } from "./Effect";
import { Notices } from "./Notices";
import { kindOf } from "./parts/shared";

type Example = Preview["examples"][number];
type LookAt = { id: number; title: string } | null;
type Props = {
  table: Table;
  parts: RuleParts;
  preview: Preview | undefined;
  pending: boolean;
  /** Whether these are results of the rule before its present mistake. */
  stale: boolean;
  lookAt: LookAt;
  onLookAt: (record: LookAt) => void;
  /** Asks for more examples. */
  onMore: () => void;
};

type Way = RuleKind["effect"];
/** Ways of looking that show what would be there beside what is there. */
const COMPARING: Way[] = ["default", "calculation", "mask", "tidy", "copy", "number", "log", "fill", "decision"];
/** Ways of looking at what refuses no record that is there. */
const MILD: Way[] = ["dependent_choice", "state"];

/** The rule's result on real records, the worst first, and how many it concerns. */
export function Results({ table, parts, preview, pending, stale, lookAt, onLookAt, onMore }: Props) {
  const way = kindOf(table, parts.kind)?.effect ?? "check";
  // What only warns, or lets old records be, refuses none of them.
  const mild = parts.severity === "warn" || parts.old === "let" || MILD.includes(way);
  const compares = COMPARING.includes(way);
  if (!preview || preview.problems.length > 0) return null;
  return (
    <section aria-label={t("rulePanel.results")} aria-busy={pending}>
      <h3 className="mb-1 text-base">{t("rulePanel.results")}</h3>
      {stale && <p className="mb-1 text-secondary">{t("rulePanel.stale")}</p>}
      {preview.warnings.map((warning) => (
        <p key={warning.message} className="mb-1 text-secondary">
          {warning.message}
        </p>
      ))}
      <Notices table={table} parts={parts} notices={preview.notices} />
      <Effect table={table} parts={parts} preview={preview} pending={pending} />
      {preview.total === 0 ? (
        <p className="quiet">{t("rulePanel.noRecords")}</p>
      ) : (
        <>
          <Picker table={table} lookAt={lookAt} onLookAt={onLookAt} />
          <ul className={`mt-2 divide-y divide-base-300/70 border-base-300 border-y ${stale ? "opacity-80" : ""}`}>
            {lookAt && preview.looked?.id === lookAt.id && (
              <ExampleLine table={table.key} way={way} example={preview.looked} compares={compares} mild={mild} lit />
            )}
            {preview.examples
              .filter((example) => example.id !== lookAt?.id)
              .map((example) => (
                <ExampleLine
                  key={example.id}
                  table={table.key}
                  way={way}
                  example={example}
                  compares={compares}
                  mild={mild}
                />
              ))}
          </ul>
          {preview.examples.length < Math.min(preview.total, 500) && (
            <button type="button" className="btn btn-ghost btn-xs mt-2" onClick={onMore}>
              {t("rulePanel.more_")}
            </button>
          )}
        </>
      )}
    </section>
  );
}

/** Picks a record whose result is wanted in any case. */
function Picker({ table, lookAt, onLookAt }: Pick<Props, "table" | "lookAt" | "onLookAt">) {
  return (
    <div className="mt-2 flex items-center gap-2">
      <label htmlFor="look-at" className="quiet shrink-0 text-xs">
        {t("rulePanel.lookAt")}
      </label>
      <div className="min-w-0 flex-1">
        <MatchInput
          table={table.key}
          value={lookAt?.title ?? ""}
          input={{ id: "look-at", placeholder: t("rulePanel.anyRecord", { one: table.one.toLowerCase() }) }}
          className="input input-sm w-full"
          onPick={onLookAt}
          onLeave={(text) => text === "" && onLookAt(null)}
        />
      </div>
      {lookAt && (
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square"
          aria-label={t("rulePanel.lookAtNone")}
          title={t("rulePanel.lookAtNone")}
          onClick={() => onLookAt(null)}
        >
          <X size={13} aria-hidden />
        </button>
      )}
    </div>
  );
}

const SHAPES: Record<string, string> = {
  locked: "size-2 rotate-45 border-2 border-secondary",
  refused: "size-2 rotate-45 bg-error",
  passed: "size-2 rounded-full bg-success",
  same: "size-2 rounded-full bg-success",
  failed: "size-2 rotate-45 bg-error",
  changes: "size-2 rounded-full border-2 border-primary",
  differs: "size-2 rounded-full border-2 border-secondary",
  blank: "size-2 rounded-full border-2 border-secondary",
  unjudged: "size-2 rounded-full border-2 border-secondary",
  idle: "size-2 rounded-full border-2 border-base-300",
};

type LineProps = {
  table: string;
  /** How the rule is looked at. */
  way: Way;
  example: Example;
  compares: boolean;
  mild: boolean;
  lit?: boolean;
};

function ExampleLine({ table, way, example, compares, mild, lit = false }: LineProps) {
  const refused = t(`rulePanel.verdicts.${mild ? "strays" : "refused"}`);
  const tone = mild ? "text-secondary" : "text-error";
  const came = example.result || t("rulePanel.blank");
  const resting = example.verdict === "idle" || (way === "decision" && example.verdict === "unjudged");
  return (
    <li
      className={`${lit ? "bg-[var(--tint-lit)]" : ""} grid grid-cols-[0.75rem_minmax(0,7rem)_minmax(0,1fr)]
        items-baseline gap-x-2 py-1.5`}
    >
      <span className={`self-center ${SHAPES[example.verdict]}`} aria-hidden />
      <Link to={`/t/${table}/forms/${example.id}`} className="truncate underline-offset-2 hover:underline">
        {example.title}
      </Link>
      <span className="min-w-0">
        {compares ? (
          <span className="flex flex-wrap gap-x-1.5">
            {resting && (
              <span className="quiet">{t(`rulePanel.verdicts.${way === "decision" ? "noRow" : "idle"}`)}</span>
            )}
            {example.verdict === "refused" && (
              <span className={tone}>
                <Spaces text={example.stored} /> {refused}
              </span>
            )}
            {resting || example.verdict === "same" || example.verdict === "refused" ? null : (
              <>
                <span className="quiet break-words">
                  {example.stored ? <Spaces text={example.stored} /> : t("rulePanel.blank")}
                </span>
                <span className="quiet">→</span>
              </>
            )}
            {!resting && example.verdict !== "refused" && (
              <span
                className={`min-w-0 break-words
                  ${example.verdict === "failed" ? "text-error" : example.result ? "stitched" : "quiet"}`}
              >
                <Spaces text={came} />
              </span>
            )}
            {example.verdict === "same" && <span className="quiet text-xs">{t("rulePanel.verdicts.same")}</span>}
          </span>
        ) : (
          <span className={example.verdict === "refused" ? tone : ""}>
            {example.result || (example.verdict === "refused" ? refused : t(`rulePanel.verdicts.${example.verdict}`))}
          </span>
        )}
        {example.how && <span className="quiet block break-words font-mono text-[0.6875rem]">{example.how}</span>}
      </span>
    </li>
  );
}
