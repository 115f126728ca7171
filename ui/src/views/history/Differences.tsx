import { toast } from "sonner";
import { useDifferences, usePutBackRule } from "../../api/history";
import { Loading } from "../../components/Loading";
import { t } from "../../words";
import { LongDifference } from "./LongDifference";

/** Differences shown of a revision that made many. */
const MOST = 40;

/** What a revision made different, in sentences before and after; a rule alone can be put back. */
export function Differences({ revision }: { revision: number }) {
  const found = useDifferences(revision, true);
  const putBack = usePutBackRule();
  if (!found.data) return found.error ? <p className="text-error">{found.error.message}</p> : <Loading />;
  const back = (rule: string) =>
    putBack.mutate(
      { revision, rule },
      { onSuccess: () => toast(t("history.ruleBack")), onError: (error) => toast.error(error.message) },
    );
  return (
    <ul className="mt-2 flex flex-col gap-2 border-base-300 border-l-2 pl-3">
      {found.data.slice(0, MOST).map((each) => (
        <li key={`${each.what}-${each.id}`} className="flex items-start gap-3">
          <div className="min-w-0 flex-1">
            <p className="text-xs">
              <span className="font-semibold">{t(`history.what.${each.what}`)}</span>{" "}
              <span className="quiet">
                {each.place},{" "}
                {each.before === null
                  ? t("history.added")
                  : each.after === null
                    ? t("history.removed")
                    : t("history.changed")}
              </span>
            </p>
            <p className="text-[0.8125rem]">
              {each.before !== null && each.after !== null ? (
                <LongDifference before={each.before} after={each.after} />
              ) : (
                (each.after ?? <del className="text-error decoration-1">{each.before}</del>)
              )}
            </p>
          </div>
          {each.what === "rule" && (
            <button
              type="button"
              className="btn btn-ghost btn-xs"
              disabled={putBack.isPending}
              onClick={() => back(each.id)}
            >
              {each.before === null ? t("history.takeOff") : t("history.putRuleBack")}
            </button>
          )}
        </li>
      ))}
      {found.data.length > MOST && (
        <li className="quiet text-xs">{t("history.andMore", { n: found.data.length - MOST })}</li>
      )}
      {found.data.length === 0 && <li className="quiet text-xs">{t("history.sameDesign")}</li>}
    </ul>
  );
}
