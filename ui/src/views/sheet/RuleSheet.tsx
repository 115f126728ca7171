import { useQueries } from "@tanstack/react-query";
import { FileText, Printer } from "lucide-react";
import { address } from "../../api/address";
import { api, type Covered, data, type ProofLine, type RuleParts, type Table } from "../../api/client";
import { useProofs } from "../../api/proofs";
import { useSession, useTables } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { usePermissions } from "../../app/usePermissions";
import { CoverageIcon } from "../../components/CoverageIcon";
import { HelpLink } from "../../components/HelpLink";
import { Loading } from "../../components/Loading";
import { Mark } from "../../components/Mark";
import { RuleSentence } from "../../components/RuleSentence";
import { sentences, t } from "../../words";

/** All tables, fields and rules in plain sentences, to print or to hand on. */
export default function RuleSheet() {
  const session = useSession().data;
  const lines = useTables().data ?? [];
  const may = usePermissions();
  const proofs = useProofs(may.design).data;
  const tables = useQueries({
    queries: lines.map(({ key }) => ({
      queryKey: queryKeys.table(key),
      queryFn: () => data(api.GET("/api/tables/{table}", { params: { path: { table: key } } })),
    })),
  }).flatMap((query) => query.data ?? []);
  if (tables.length < lines.length || lines.length === 0) return <Loading />;
  return (
    <article className="mx-auto max-w-4xl px-5 pt-5 pb-16 print:max-w-none print:p-0">
      <div className="mb-4 flex items-end gap-3">
        <div className="min-w-0 flex-1">
          <h1 className="text-2xl">{t("sheet.title", { project: session?.project.name ?? "" })}</h1>
          <p className="quiet">{t("sheet.aim")}</p>
        </div>
        <HelpLink page="successors" />
        {may.design && (
          <a className="btn btn-ghost btn-sm print:hidden" href={address("/api/sheet.md")} download="rule_sheet.md">
            <FileText size={15} aria-hidden />
            {t("sheet.markdown")}
          </a>
        )}
        <button type="button" className="btn btn-sm print:hidden" onClick={() => window.print()}>
          <Printer size={15} aria-hidden />
          {t("sheet.print")}
        </button>
      </div>
      {tables.map((table) => (
        <OneTable key={table.id} table={table} covered={proofs?.coverage ?? []} proofs={proofs?.proofs ?? []} />
      ))}
    </article>
  );
}

type TableProps = { table: Table; covered: Covered[]; proofs: ProofLine[] };

function OneTable({ table, covered, proofs }: TableProps) {
  const own = proofs.filter((each) => each.table === table.key);
  return (
    <section className="sheet mb-5 px-5 py-4 print:border-0 print:px-0" aria-label={table.label}>
      <h2 className="text-xl">{table.label}</h2>
      {table.note && <p>{table.note}</p>}
      <p className="quiet">{table.sentence}</p>
      <dl className="mt-3 flex flex-col gap-2.5">
        {table.fields.map((field) => {
          const rules = table.rules.filter((rule) => rule.field === field.key);
          return (
            <div key={field.key} className="break-inside-avoid border-base-300/70 border-t pt-2">
              <dt className="flex items-baseline gap-2">
                <span className="font-semibold">{field.label}</span>
                <span className="quiet text-xs">{field.type_label.toLowerCase()}</span>
              </dt>
              {field.note && <dd>{field.note}</dd>}
              {rules.length === 0 && <dd className="quiet text-[0.8125rem]">{field.sentence}</dd>}
              {rules.map((rule) => (
                <dd key={rule.id} className="flex items-start gap-1.5 text-[0.8125rem]">
                  <Mark size={10} className="mt-1.5 shrink-0 text-primary" />
                  <div>
                    <RuleSentence rule={rule} />
                    {rule.note && <span className="quiet"> {rule.note}</span>}
                    <Shown covered={covered.find((each) => each.rule === rule.id)} proofs={proofs} />
                    {"rows" in rule.parts && <Rows table={table} rule={rule.parts} />}
                  </div>
                </dd>
              ))}
            </div>
          );
        })}
      </dl>
      {own.length > 0 && (
        <>
          <h3 className="mt-4 border-base-300 border-t pt-3 text-base">{t("proofs.title")}</h3>
          <ul className="mt-1 flex flex-col gap-0.5 text-[0.8125rem]">
            {own.map((each) => (
              <li key={each.id} className="flex items-baseline gap-2 break-inside-avoid">
                <CoverageIcon state={each.state} className="size-2" />
                <span>
                  {each.name}
                  {each.note && <span className="quiet"> {each.note}</span>}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** How far proofs show a rule, and which. */
function Shown({ covered, proofs }: { covered: Covered | undefined; proofs: ProofLine[] }) {
  if (!covered) return null;
  const names = covered.proofs.flatMap((id) => proofs.find((each) => each.id === id)?.name ?? []);
  return (
    <span className="quiet block text-xs">
      <CoverageIcon state={covered.state} className="mr-1.5 size-2" />
      {sentences.sheet.shown(t(`proofs.states.${covered.state}`), covered.seen, covered.of, names)}
    </span>
  );
}

/** The rows of a decision table, as they are written. */
function Rows({ table, rule }: { table: Table; rule: RuleParts }) {
  const label = (key: string) => table.fields.find((field) => field.key === key)?.label ?? key;
  const inputs = rule.inputs ?? [];
  return (
    <table className="mt-1 border-collapse text-xs">
      <thead>
        <tr>
          {[...inputs, ...(rule.outputs ?? [])].map((key, at) => (
            <th
              key={key}
              className={`px-2 py-0.5 text-left ${at === inputs.length ? "border-secondary border-l" : ""}`}
            >
              {label(key)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {(rule.rows ?? []).map((row, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a row is known by its place
          <tr key={index} className="border-base-300/70 border-t">
            {row.map((cell, at) => (
              <td
                // biome-ignore lint/suspicious/noArrayIndexKey: a cell is known by its place
                key={at}
                className={`px-2 py-0.5 ${at === inputs.length ? "border-secondary border-l" : ""}`}
              >
                {cell || (
                  <span className="quiet">{at < inputs.length ? t("decision.any") : t("decision.cleared")}</span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
