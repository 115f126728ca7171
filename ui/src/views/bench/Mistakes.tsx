import { useMutation } from "@tanstack/react-query";
import type { ProofParts, Table } from "../../api/client";
import { noticeMistake, useMistakes } from "../../api/proofs";
import { Dialog } from "../../components/Dialog";
import { words } from "../../words";
import { proofOf } from "./Edges";

type FigureProps = { table: Table; onShow: () => void };

/** How many small mistakes in the rules the proofs of a table notice. */
export function MistakesFigure({ table, onShow }: FigureProps) {
  const { data } = useMistakes(table.key);
  if (!data) return null;
  if (data.state !== "ready") {
    const said = {
      waiting: words.mistakes.waiting,
      running: words.mistakes.counting(data.done, data.total),
      failed: words.mistakes.failed,
    }[data.state];
    return <p className="quiet text-xs tabular-nums">{said}</p>;
  }
  if (!data.tried) return null;
  return (
    <p className="quiet text-xs tabular-nums">
      {words.mistakes.noticed(data.noticed ?? 0, data.tried)}{" "}
      {data.slipping.length > 0 && (
        <button type="button" className="link text-base-content" onClick={onShow}>
          {words.mistakes.slipping(data.slipping.length)}
        </button>
      )}
    </p>
  );
}

type Props = { table: Table; onTry: (proof: ProofParts) => void; onClose: () => void };
type Slipping = NonNullable<ReturnType<typeof useMistakes>["data"]>["slipping"][number];

/** The mistakes that no proof notices, rule by rule, each with the record that would. */
export function Mistakes({ table, onTry, onClose }: Props) {
  const slipping = useMistakes(table.key).data?.slipping ?? [];
  const rules = [...new Set(slipping.map((each) => each.rule))];
  return (
    <Dialog title={words.mistakes.title(table.label)} onClose={onClose} closable wide>
      <p className="quiet mb-3">{words.mistakes.aim}</p>
      <ul className="flex max-h-[56vh] flex-col gap-3 overflow-auto">
        {rules.map((rule) => {
          const own = slipping.filter((each) => each.rule === rule);
          return (
            <li key={rule}>
              <p className="flex items-baseline gap-2">
                <span className="font-semibold">{own[0]?.field}</span>
                <span className="min-w-0 flex-1 break-words">{own[0]?.tack}</span>
              </p>
              <ul>
                {own.map((each) => (
                  <Line key={each.mistake} table={table} mistake={each} onTry={onTry} />
                ))}
              </ul>
            </li>
          );
        })}
      </ul>
    </Dialog>
  );
}

function Line({ table, mistake, onTry }: { table: Table; mistake: Slipping; onTry: Props["onTry"] }) {
  const make = useMutation({
    mutationFn: () => noticeMistake(table.key, { rule: mistake.rule, mistake: mistake.mistake }),
    onSuccess: ({ suggestion }) => {
      if (suggestion) onTry({ ...proofOf(suggestion, "right"), group: words.mistakes.group });
    },
  });
  const none = mistake.alike || (make.data && !make.data.suggestion);
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 py-0.5">
      <span className="quiet min-w-0 flex-1 basis-64 break-words">{mistake.words}</span>
      {none ? (
        <span className="quiet basis-56 text-xs" role="status">
          {words.mistakes.none}
        </span>
      ) : (
        <button
          type="button"
          className="btn btn-ghost btn-xs shrink-0"
          disabled={make.isPending}
          onClick={() => make.mutate()}
        >
          {make.isPending ? words.mistakes.making : words.mistakes.make}
        </button>
      )}
      {make.error && (
        <span className="basis-full text-error text-xs" role="alert">
          {make.error.message}
        </span>
      )}
    </li>
  );
}
