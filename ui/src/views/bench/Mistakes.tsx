import { useMutation } from "@tanstack/react-query";
import type { ReactNode } from "react";
import type { ProofParts, Table } from "../../api/client";
import { noticeMistake, useMistakes } from "../../api/proofs";
import { Dialog } from "../../components/Dialog";
import { t } from "../../words";
import { proofOf } from "./Edges";

type FigureProps = { table: Table; onShow: () => void };

/** How many small mistakes in the rules the proofs of a table notice. */
export function MistakesFigure({ table, onShow }: FigureProps) {
  const { data } = useMistakes(table.key);
  if (!data) return null;
  if (data.state !== "ready") {
    const said = {
      waiting: t("mistakes.waiting"),
      running: t("mistakes.counting", { done: data.done, total: data.total }),
      failed: t("mistakes.failed"),
    }[data.state];
    return <p className="quiet text-xs tabular-nums">{said}</p>;
  }
  if (!data.tried) return null;
  return (
    <p className="quiet text-xs tabular-nums">
      {t("mistakes.noticed", { noticed: data.noticed ?? 0, tried: data.tried })}{" "}
      {data.slipping.length + data.harmless.length > 0 && (
        <button type="button" className="link text-base-content" onClick={onShow}>
          {data.slipping.length > 0
            ? t("mistakes.slipping", { count: data.slipping.length })
            : t("mistakes.harmless", { count: data.harmless.length })}
        </button>
      )}
    </p>
  );
}

type Props = { table: Table; onTry: (proof: ProofParts) => void; onClose: () => void };
type Counted = NonNullable<ReturnType<typeof useMistakes>["data"]>;
type Slipping = Counted["slipping"][number];

/** The mistakes that no proof notices, rule by rule, each with the record that would. */
export function Mistakes({ table, onTry, onClose }: Props) {
  const { slipping = [], harmless = [] } = useMistakes(table.key).data ?? {};
  return (
    <Dialog title={t("mistakes.title", { table: table.label })} onClose={onClose} closable wide>
      <p className="quiet mb-3">{slipping.length > 0 ? t("mistakes.aim") : t("mistakes.nothing")}</p>
      <div className="flex max-h-[56vh] flex-col gap-4 overflow-auto">
        <ByRule mistakes={slipping} line={(each) => <Line key={each.mistake} {...{ table, onTry }} mistake={each} />} />
        {harmless.length > 0 && <HarmlessOnes harmless={harmless} open={slipping.length === 0} />}
      </div>
    </Dialog>
  );
}

type Named = { rule: string; field: string; tack: string };

/** Mistakes under the rule that each is in. */
function ByRule<Mistake extends Named>({
  mistakes,
  line,
}: {
  mistakes: Mistake[];
  line: (each: Mistake) => ReactNode;
}) {
  const rules = [...new Set(mistakes.map((each) => each.rule))];
  return (
    <ul className="flex flex-col gap-3">
      {rules.map((rule) => {
        const own = mistakes.filter((each) => each.rule === rule);
        return (
          <li key={rule}>
            <p className="flex items-baseline gap-2">
              <span className="font-semibold">{own[0]?.field}</span>
              <span className="min-w-0 flex-1 break-words">{own[0]?.tack}</span>
            </p>
            <ul>{own.map(line)}</ul>
          </li>
        );
      })}
    </ul>
  );
}

/** What no record can show, each with the reason. */
function HarmlessOnes({ harmless, open }: { harmless: Counted["harmless"]; open: boolean }) {
  return (
    <details open={open}>
      <summary className="cursor-pointer py-1">{t("mistakes.harmless", { count: harmless.length })}</summary>
      <div className="pt-2">
        <ByRule
          mistakes={harmless}
          line={(each) => (
            <li key={each.words} className="flex flex-wrap gap-x-3 py-0.5">
              <span className="quiet min-w-0 flex-1 basis-64 break-words">{each.words}</span>
              <span className="min-w-0 flex-1 basis-64 break-words">{each.why}</span>
            </li>
          )}
        />
      </div>
    </details>
  );
}

function Line({ table, mistake, onTry }: { table: Table; mistake: Slipping; onTry: Props["onTry"] }) {
  const make = useMutation({
    mutationFn: () => noticeMistake(table.key, { rule: mistake.rule, mistake: mistake.mistake }),
    onSuccess: ({ suggestion }) => {
      if (suggestion) onTry({ ...proofOf(suggestion, "right"), group: t("mistakes.group") });
    },
  });
  const none = mistake.alike || (make.data && !make.data.suggestion);
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 py-0.5">
      <span className="quiet min-w-0 flex-1 basis-64 break-words">{mistake.words}</span>
      {none ? (
        <span className="quiet basis-56 text-xs" role="status">
          {t("mistakes.none")}
        </span>
      ) : (
        <button
          type="button"
          className="btn btn-ghost btn-xs shrink-0"
          disabled={make.isPending}
          onClick={() => make.mutate()}
        >
          {make.isPending ? t("mistakes.making") : t("mistakes.make")}
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
