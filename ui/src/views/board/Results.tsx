import { Link } from "react-router";
import type { Preview, RuleParts, Table } from "../../api/client";
import { words } from "../../words";

type Example = Preview["examples"][number];
type Props = { table: Table; parts: RuleParts; preview: Preview | undefined; pending: boolean };

/** The rule's result on real records, the worst first, and how many it concerns. */
export function Results({ table, parts, preview, pending }: Props) {
  if (!preview || preview.problems.length > 0) return null;
  return (
    <section aria-label={words.rulePanel.results} aria-busy={pending}>
      <h3 className="mb-1 text-base">{words.rulePanel.results}</h3>
      {preview.warnings.map((warning) => (
        <p key={warning.message} className="mb-1 text-secondary">
          {warning.message}
        </p>
      ))}
      <Effect parts={parts} preview={preview} />
      {preview.total === 0 ? (
        <p className="quiet">{words.rulePanel.noRecords}</p>
      ) : (
        <ul className="mt-2 divide-y divide-base-300/70 border-base-300 border-y">
          {preview.examples.map((example) => (
            <ExampleLine key={example.id} table={table.key} example={example} isDefault={parts.kind === "default"} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Effect({ parts, preview }: { parts: RuleParts; preview: Preview }) {
  const { effect } = words.rulePanel;
  const partial = preview.looked_at < preview.total && (
    <p className="quiet">{effect.partial(preview.looked_at, preview.total)}</p>
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
  differs: "size-2 rounded-full border-2 border-secondary",
  blank: "size-2 rounded-full border-2 border-secondary",
  unjudged: "size-2 rounded-full border-2 border-secondary",
};

function ExampleLine({ table, example, isDefault }: { table: string; example: Example; isDefault: boolean }) {
  return (
    <li className="grid grid-cols-[0.75rem_minmax(0,7rem)_minmax(0,1fr)] items-baseline gap-x-2 py-1.5">
      <span className={`self-center ${SHAPES[example.verdict]}`} aria-hidden />
      <Link to={`/t/${table}/forms/${example.id}`} className="truncate underline-offset-2 hover:underline">
        {example.title}
      </Link>
      <span className="min-w-0">
        {isDefault ? (
          <span className="flex flex-wrap gap-x-1.5">
            <span className="quiet">{words.rulePanel.stored}</span>
            <span>{example.stored || "–"}</span>
            <span className="quiet">→ {words.rulePanel.wouldBe}</span>
            <span className="stitched">{example.result ?? "–"}</span>
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
