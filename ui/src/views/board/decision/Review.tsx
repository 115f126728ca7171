import { useQuery } from "@tanstack/react-query";
import { api, asSent, type CaseExample, data, type RuleParts, type Table } from "../../../api/client";
import { queryKeys } from "../../../api/queryKeys";
import { t } from "../../../words";
import { TriedCase } from "../TriedCase";

type Props = { table: Table; parts: RuleParts; sound: boolean; onRow: (row: number) => void };

const reviewOf = (table: Table, parts: RuleParts) =>
  data(
    api.POST("/api/tables/{table}/decisions/review", { params: { path: { table: table.key } }, body: asSent(parts) }),
  );
type Reviewed = Awaited<ReturnType<typeof reviewOf>>;

/**
 * What is to be said of the table as a whole: combinations without a row, rows without use, contradictions. It stands
 * from the start and keeps what it said, since what comes later would push away what is beneath it.
 */
export function Review({ table, parts, sound, onRow }: Props) {
  const { inputs, outputs, rows } = parts;
  const found = useQuery<Reviewed>({
    queryKey: queryKeys.review(table.key, inputs, outputs, rows),
    queryFn: () => reviewOf(table, parts),
    enabled: sound,
    placeholderData: (before) => before,
    retry: false,
  });
  if (!sound && !found.data) return null;
  const stale = !sound || found.isPlaceholderData;
  return (
    <section
      aria-label={t("decision.review")}
      aria-busy={found.isFetching}
      className={`flex max-h-44 flex-col gap-2 overflow-auto ${stale ? "opacity-60" : ""}`}
    >
      <h3 className="text-base">{t("decision.review")}</h3>
      {found.data ? (
        <Findings {...{ table, parts, onRow }} found={found.data} />
      ) : (
        <p className="quiet">{t("common.loading")}</p>
      )}
    </section>
  );
}

type FindingsProps = Omit<Props, "sound"> & { found: Reviewed };

function Findings({ table, parts, found, onRow }: FindingsProps) {
  const clean = found.gaps.length + found.unreached.length + found.contradictions.length === 0;
  return (
    <>
      {found.stopped && <p className="text-secondary">{t("decision.stopped")}</p>}
      {clean && !found.stopped && <p className="text-success">{t("decision.sound")}</p>}
      {found.gaps.length > 0 && (
        <Finding title={t("decision.gaps")}>
          {found.gaps.map((gap) => (
            <Case key={gap.words.join()} table={table} parts={parts} example={gap} />
          ))}
        </Finding>
      )}
      {found.unreached.length > 0 && (
        <Finding title={t("decision.unreached")}>
          {found.unreached.map(({ row, why }) => (
            <li key={row}>
              <button type="button" className="link" onClick={() => onRow(row)}>
                {t("decision.row", { n: row + 1 })}
              </button>
              : {why}
            </li>
          ))}
        </Finding>
      )}
      {found.contradictions.length > 0 && (
        <Finding title={t("decision.contradictions")}>
          {found.contradictions.map(({ row, other, example }) => (
            <Case
              key={`${row}-${other}`}
              table={table}
              parts={parts}
              example={example}
              before={t("decision.both", { one: row + 1, other: other + 1 })}
              after={t("decision.upper", { one: row + 1 })}
              onClick={() => onRow(other)}
            />
          ))}
        </Finding>
      )}
    </>
  );
}

function Finding({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <div className="rounded border border-secondary border-dashed px-2.5 py-1.5">
      <p className="font-semibold text-secondary">{title}</p>
      <ul className="max-h-40 overflow-auto">{children}</ul>
    </div>
  );
}

type CaseProps = {
  table: Table;
  parts: RuleParts;
  example: CaseExample;
  before?: string;
  after?: string;
  onClick?: () => void;
};

function Case({ table, parts, example, before, after, onClick }: CaseProps) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-2">
      <span className="min-w-0">
        {before && (
          <button type="button" className="link" onClick={onClick}>
            {before}
          </button>
        )}{" "}
        {example.words.join(", ")}
        {after && <span className="quiet">: {after}</span>}
      </span>
      {Object.keys(example.typed).length > 0 && <TriedCase table={table} parts={parts} typed={example.typed} />}
    </li>
  );
}
