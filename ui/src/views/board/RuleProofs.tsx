import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { Rule, RuleParts, Table } from "../../api/client";
import { endangered, useProofs } from "../../api/proofs";
import { queryKeys } from "../../api/queryKeys";
import { CoverageIcon } from "../../components/CoverageIcon";
import { useDebounced } from "../../components/useDebounced";
import { t } from "../../words";

/** Milliseconds of calm after which it is asked what a rule would do to the proofs. */
const CALM = 500;

type Props = { table: Table; parts: RuleParts; rule?: Rule; sound: boolean; dirty: boolean };

/** Which proofs a rule would break or mend, were it saved; and what they show of it as it is. */
export function RuleProofs({ table, parts, rule, sound, dirty }: Props) {
  const proofs = useProofs();
  const any = (proofs.data?.proofs.length ?? 0) > 0;
  const text = JSON.stringify(parts);
  const calm = useDebounced(text, CALM);
  const found = useQuery<Found>({
    queryKey: queryKeys.endangered(table.key, calm),
    queryFn: ({ signal }) => endangered(table.key, JSON.parse(calm), signal),
    enabled: any && sound && dirty && calm === text,
    placeholderData: (before) => before,
    gcTime: 10_000,
  });
  const covered = rule && proofs.data?.coverage.find((each) => each.rule === rule.id);
  if (!covered && !(any && dirty && (sound || found.data))) return null;
  const stale = !sound || calm !== text || found.isFetching;
  return (
    <section className="mb-4 flex flex-col gap-1.5 border-base-300 border-b pb-3" aria-label={t("proofs.ofRule")}>
      <h3 className="text-base">{t("proofs.ofRule")}</h3>
      {dirty && any && (
        <div className={`flex min-h-5 flex-col gap-1.5 ${stale ? "opacity-60" : ""}`} aria-busy={stale}>
          {found.data && <Endangered found={found.data} />}
          {!found.data && sound && !found.error && <p className="quiet">{t("common.loading")}</p>}
        </div>
      )}
      {covered && (
        <>
          <p className="flex items-baseline gap-2">
            <CoverageIcon state={covered.state} />
            <span className="flex-1">{t("proofs.seenBy", { count: covered.proofs.length })}</span>
            <span className="quiet text-xs tabular-nums">
              {t("proofs.seenOf", { n: covered.seen, of: covered.of })}
            </span>
          </p>
          {covered.missing.length > 0 && (
            <details className="text-xs">
              <summary className="quiet cursor-pointer">
                {t("proofs.unseen")} {covered.missing.length}
              </summary>
              <ul className="quiet mt-0.5 ml-4 list-disc">
                {covered.missing.map((each) => (
                  <li key={each.key}>{each.words}</li>
                ))}
              </ul>
              <Link className="link" to={`/t/${table.key}/bench?show=missing`}>
                {t("proofs.suggest")}
              </Link>
            </details>
          )}
        </>
      )}
    </section>
  );
}

type Found = Awaited<ReturnType<typeof endangered>>;

function Endangered({ found }: { found: Found }) {
  if (found.tried === 0) return <p className="quiet">{t("proofs.noneConcerned")}</p>;
  return (
    <>
      {found.broken.length === 0 && <p className="text-success">{t("proofs.breaksNone", { count: found.tried })}</p>}
      {found.broken.length > 0 && (
        <p className="font-semibold text-error">{t("proofs.wouldBreak", { count: found.broken.length })}</p>
      )}
      <Names proofs={found.broken} state="broken" />
      {found.mended.length > 0 && (
        <p className="text-success">{t("proofs.wouldMend", { count: found.mended.length })}</p>
      )}
      <Names proofs={found.mended} state="passed" />
    </>
  );
}

function Names({ proofs, state }: { proofs: Found["broken"]; state: "broken" | "passed" }) {
  return (
    <ul className="flex flex-col gap-1">
      {proofs.slice(0, 8).map((each) => (
        <li key={each.id} className="flex items-start gap-2">
          <CoverageIcon state={state} className="mt-1.5 size-2" />
          <span className="min-w-0">
            <Link to={`/t/${each.table}/bench?proof=${each.id}`} className="underline-offset-2 hover:underline">
              {each.name}
            </Link>
            {each.differences[0] && (
              <span className="quiet block text-xs">
                {t("proofs.differs", { expected: each.differences[0].expected, actual: each.differences[0].actual })}
              </span>
            )}
          </span>
        </li>
      ))}
      {proofs.length > 8 && <li className="quiet text-xs">{t("proofs.more", { n: proofs.length - 8 })}</li>}
    </ul>
  );
}
