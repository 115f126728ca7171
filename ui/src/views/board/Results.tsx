import { X } from "lucide-react";
import { Link } from "react-router";
import type { Preview, RuleParts, Table } from "../../api/client";
import { MatchInput } from "../../components/record/MatchInput";
import { words } from "../../words";

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
  /** Asks for every record, however many there are. */
  onAll: () => void;
};

/** The rule's result on real records, the worst first, and how many it concerns. */
export function Results({ table, parts, preview, pending, stale, lookAt, onLookAt, onAll }: Props) {
  const compares = parts.kind !== "check" && parts.kind !== "required";
  if (!preview || preview.problems.length > 0) return null;
  return (
    <section aria-label={words.rulePanel.results} aria-busy={pending}>
      <h3 className="mb-1 text-base">{words.rulePanel.results}</h3>
      {stale && <p className="mb-1 text-secondary">{words.rulePanel.stale}</p>}
      {preview.warnings.map((warning) => (
        <p key={warning.message} className="mb-1 text-secondary">
          {warning.message}
        </p>
      ))}
      <Effect parts={parts} preview={preview} onAll={onAll} />
      {preview.total === 0 ? (
        <p className="quiet">{words.rulePanel.noRecords}</p>
      ) : (
        <>
          <Picker table={table} lookAt={lookAt} onLookAt={onLookAt} />
          <ul className={`mt-2 divide-y divide-base-300/70 border-base-300 border-y ${stale ? "opacity-80" : ""}`}>
            {lookAt && preview.looked?.id === lookAt.id && (
              <ExampleLine table={table.key} example={preview.looked} compares={compares} lit />
            )}
            {preview.examples
              .filter((example) => example.id !== lookAt?.id)
              .map((example) => (
                <ExampleLine key={example.id} table={table.key} example={example} compares={compares} />
              ))}
          </ul>
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
        {words.rulePanel.lookAt}
      </label>
      <div className="min-w-0 flex-1">
        <MatchInput
          table={table.key}
          value={lookAt?.title ?? ""}
          input={{ id: "look-at", placeholder: words.rulePanel.anyRecord(table.one.toLowerCase()) }}
          className="input input-sm w-full"
          onPick={onLookAt}
          onLeave={(text) => text === "" && onLookAt(null)}
        />
      </div>
      {lookAt && (
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square"
          aria-label={words.rulePanel.lookAtNone}
          title={words.rulePanel.lookAtNone}
          onClick={() => onLookAt(null)}
        >
          <X size={13} aria-hidden />
        </button>
      )}
    </div>
  );
}

function Effect({ parts, preview, onAll }: Pick<Props, "parts" | "onAll"> & { preview: Preview }) {
  const { effect } = words.rulePanel;
  const partial = preview.looked_at < preview.total && (
    <p className="quiet">
      {effect.partial(preview.looked_at, preview.total)}{" "}
      <button type="button" className="link" onClick={onAll}>
        {effect.all}
      </button>
    </p>
  );
  if (parts.kind === "default") {
    return (
      <>
        <p>
          {words.rulePanel.opening} <strong className="stitched">{preview.opening || words.rulePanel.nothing}</strong>.
        </p>
        <p className="quiet">{effect.default}</p>
        {partial}
      </>
    );
  }
  if (parts.kind === "calculation") {
    const { changes = 0, blank = 0, failed = 0 } = preview.counts;
    const stays = parts.keeping === "once" || preview.fleeting.length > 0 || parts.keeping === "shown";
    return (
      <>
        {parts.keeping === "once" ? (
          <p>{words.calculation.onceEffect}</p>
        ) : (
          <p className="font-semibold">
            {stays
              ? words.calculation.wouldShow(changes, preview.looked_at)
              : words.calculation.wouldChange(changes, preview.looked_at)}
          </p>
        )}
        {failed > 0 && <p className="text-error">{words.calculation.failed(failed)}</p>}
        {blank > 0 && <p className="quiet">{words.calculation.blank(blank)}</p>}
        {partial}
      </>
    );
  }
  const refused = preview.counts.refused ?? 0;
  const unjudged = preview.counts.unjudged ?? 0;
  return (
    <>
      {preview.total > 0 && (
        <p className={refused > 0 ? "font-semibold text-error" : "text-success"}>
          {effect.refuses(refused, preview.looked_at)}
        </p>
      )}
      {unjudged > 0 && <p className="quiet">{effect.unjudged(unjudged)}</p>}
      {partial}
    </>
  );
}

const SHAPES: Record<string, string> = {
  refused: "size-2 rotate-45 bg-error",
  passed: "size-2 rounded-full bg-success",
  same: "size-2 rounded-full bg-success",
  failed: "size-2 rotate-45 bg-error",
  changes: "size-2 rounded-full border-2 border-primary",
  differs: "size-2 rounded-full border-2 border-secondary",
  blank: "size-2 rounded-full border-2 border-secondary",
  unjudged: "size-2 rounded-full border-2 border-secondary",
};

type LineProps = { table: string; example: Example; compares: boolean; lit?: boolean };

function ExampleLine({ table, example, compares, lit = false }: LineProps) {
  const came = example.result || words.rulePanel.blank;
  return (
    <li
      className={`${lit ? "bg-[var(--tint-lit)]" : ""} grid grid-cols-[0.75rem_minmax(0,7rem)_minmax(0,1fr)] items-baseline gap-x-2 py-1.5`}
    >
      <span className={`self-center ${SHAPES[example.verdict]}`} aria-hidden />
      <Link to={`/t/${table}/forms/${example.id}`} className="truncate underline-offset-2 hover:underline">
        {example.title}
      </Link>
      <span className="min-w-0">
        {compares ? (
          <span className="flex flex-wrap gap-x-1.5">
            {example.verdict === "same" ? null : (
              <>
                <span className="quiet break-words">{example.stored || words.rulePanel.blank}</span>
                <span className="quiet">→</span>
              </>
            )}
            <span
              className={`min-w-0 break-words ${example.verdict === "failed" ? "text-error" : example.result ? "stitched" : "quiet"}`}
            >
              {came}
            </span>
            {example.verdict === "same" && <span className="quiet text-xs">{words.rulePanel.verdicts.same}</span>}
          </span>
        ) : (
          <span className={example.verdict === "refused" ? "text-error" : ""}>
            {words.rulePanel.verdicts[example.verdict]}
          </span>
        )}
        {example.how && (
          <span className="quiet line-clamp-2 break-words font-mono text-[0.6875rem]" title={example.how}>
            {example.how}
          </span>
        )}
      </span>
    </li>
  );
}
