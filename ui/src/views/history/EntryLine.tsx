import { ClockAlert, Filter, Undo2 } from "lucide-react";
import { Link } from "react-router";
import { toast } from "sonner";
import { type Entry, ProblemError } from "../../api/client";
import { usePutBackEntry } from "../../api/history";
import { usePermissions } from "../../app/usePermissions";
import { t, word } from "../../words";
import { ChangeLine } from "./ChangeLine";

/** Seen by whoever points there. */
const SHY = "btn-ghost opacity-0 focus-visible:opacity-100 group-hover/entry:opacity-100";

type Props = {
  entry: Entry;
  /** Whether only this record is shown. */
  single: boolean;
  /** Whether entries of all tables are shown. */
  anyTable?: boolean;
  onRecord: (table: string, id: number) => void;
};

/** What the rules have against it, where they have. */
function whyNot(error: Error) {
  const messages = error instanceof ProblemError ? (error.problem.answer?.messages ?? []) : [];
  return messages.length > 0 ? messages.map((each) => each.message).join(" ") : error.message;
}

/** One save: who, when, which record, and every value before and after with the rule that made it. */
export function EntryLine({ entry, single, anyTable = false, onRecord }: Props) {
  const may = usePermissions();
  const putBack = usePutBackEntry();
  const back = (field?: string) =>
    putBack.mutate(
      { entry: entry.id, field },
      {
        onSuccess: (record) => toast(t("history.isBack", { title: record.title })),
        onError: (error) => toast.error(whyNot(error), { duration: 10_000 }),
      },
    );
  const changes = (
    <dl className="mt-1.5 grid grid-cols-[minmax(6rem,10rem)_minmax(0,1fr)] gap-x-3 gap-y-0.5 text-[0.8125rem]">
      {entry.changes.map((change, place) => (
        <ChangeLine
          // biome-ignore lint/suspicious/noArrayIndexKey: a tick stands in an entry twice, and entries never change
          key={`${change.id}-${place}`}
          change={change}
          action={entry.action}
          table={entry.table}
          onBack={may.edit && change.back && entry.action === "update" ? () => back(change.id) : undefined}
        />
      ))}
    </dl>
  );
  return (
    <li className="group/entry flex items-start gap-3 px-4 py-2.5">
      <div className="min-w-0 flex-1">
        <span className="flex flex-wrap items-baseline gap-x-2">
          <time className="quiet w-10 text-xs tabular-nums" dateTime={entry.made_at}>
            {entry.at_text}
          </time>
          <strong>{entry.person}</strong>
          <span>{t(`history.verbs.${entry.action}`)}</span>
          {entry.exists && entry.action !== "delete" ? (
            <Link to={`/t/${entry.table}/forms/${entry.record}`} className="underline-offset-2 hover:underline">
              {entry.title}
            </Link>
          ) : (
            <span className={entry.action === "restored" ? "basis-full pl-12" : ""}>{entry.title}</span>
          )}
          {anyTable && entry.action !== "restored" && (
            <span className="quiet text-xs">{t("history.inTable", { table: entry.table_label })}</span>
          )}
          <span className="quiet text-xs">{word(`history.channels.${entry.channel}`) ?? entry.channel}</span>
          {entry.set_back && (
            <span className="flex items-center gap-1 text-secondary text-xs">
              <ClockAlert size={13} aria-hidden />
              {t("history.setBack")}
            </span>
          )}
        </span>
        <div className="pl-12">
          {entry.passed.map((each) => (
            <p key={each.message} className="mt-1 text-secondary text-xs">
              {t("history.passed", { message: each.message, reason: each.reason })}
            </p>
          ))}
          {entry.followed.map((each) => (
            <p key={`${each.table}-${each.field}`} className="quiet mt-1 text-xs">
              {t("history.followed", { count: each.count, field: each.field, table: each.table })}
            </p>
          ))}
          {entry.action === "restored" ? null : entry.action === "update" ? (
            changes
          ) : (
            <details open={single}>
              <summary className="quiet w-fit cursor-pointer text-xs">
                {t("history.values", { count: entry.changes.length })}
              </summary>
              {changes}
            </details>
          )}
        </div>
      </div>
      {may.edit &&
        entry.exists &&
        (entry.action === "delete" || (entry.action === "update" && entry.changes.length > 1)) && (
          <button
            type="button"
            className={`btn btn-xs
              ${entry.action === "delete" ? "" : SHY}`}
            disabled={putBack.isPending}
            title={entry.action === "delete" ? t("history.bringBackTitle") : t("history.putAllBackTitle")}
            onClick={() => back()}
          >
            <Undo2 size={13} aria-hidden />
            {entry.action === "delete" ? t("history.bringBack") : t("history.putAllBack")}
          </button>
        )}
      {!single && entry.table && (
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square quiet"
          title={t("history.onlyRecord", { title: entry.title })}
          aria-label={t("history.onlyRecord", { title: entry.title })}
          onClick={() => onRecord(entry.table ?? "", entry.record)}
        >
          <Filter size={13} aria-hidden />
        </button>
      )}
    </li>
  );
}
