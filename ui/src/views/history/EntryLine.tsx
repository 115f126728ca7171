import { Filter } from "lucide-react";
import { Link } from "react-router";
import type { Entry } from "../../api/client";
import { words } from "../../words";

type Props = { entry: Entry; single: boolean; onRecord: (id: number) => void };

/** One save: who, when, which record, and every value before and after with the rule that made it. */
export function EntryLine({ entry, single, onRecord }: Props) {
  const way = words.history.ways[entry.way] ?? entry.way;
  const changes = (
    <dl className="mt-1.5 grid grid-cols-[minmax(6rem,10rem)_minmax(0,1fr)] gap-x-3 gap-y-0.5 text-[0.8125rem]">
      {entry.changes.map((change) => (
        <div key={change.field} className="contents">
          <dt className="quiet truncate">{change.field}</dt>
          <dd className="min-w-0 whitespace-pre-wrap break-words">
            {entry.action !== "create" && (
              <>
                <span className={change.before ? "" : "quiet"}>{cut(change.before) || words.history.blank}</span>
                <span className="quiet"> → </span>
              </>
            )}
            {entry.action !== "delete" && (
              <span className={change.rule ? "stitched" : change.after ? "" : "quiet"} title={change.rule ?? undefined}>
                {cut(change.after) || words.history.blank}
              </span>
            )}
            {entry.action === "delete" && <span className="quiet">{words.history.blank}</span>}
            {change.rule && <span className="quiet ml-2 text-xs">{change.rule}</span>}
          </dd>
        </div>
      ))}
    </dl>
  );
  const head = (
    <span className="flex flex-wrap items-baseline gap-x-2">
      <time className="quiet w-10 text-xs tabular-nums" dateTime={entry.made_at}>
        {entry.at_text}
      </time>
      <strong>{entry.person}</strong>
      <span>{words.history.verbs[entry.action]}</span>
      {entry.exists && entry.action !== "delete" ? (
        <Link to={`/t/${entry.table}/forms/${entry.record}`} className="underline-offset-2 hover:underline">
          {entry.title}
        </Link>
      ) : (
        <span>{entry.title}</span>
      )}
      <span className="quiet text-xs">{way}</span>
    </span>
  );
  return (
    <li className="flex items-start gap-3 px-4 py-2.5">
      <div className="min-w-0 flex-1">
        {head}
        <div className="pl-12">
          {entry.passed.map((each) => (
            <p key={each.message} className="mt-1 text-secondary text-xs">
              {words.history.passed(each.message, each.reason)}
            </p>
          ))}
          {entry.followed.map((each) => (
            <p key={`${each.table}-${each.field}`} className="quiet mt-1 text-xs">
              {words.history.followed(each.count, each.field, each.table)}
            </p>
          ))}
          {entry.action === "update" ? (
            changes
          ) : (
            <details open={single}>
              <summary className="quiet w-fit cursor-pointer text-xs">
                {words.history.values(entry.changes.length)}
              </summary>
              {changes}
            </details>
          )}
        </div>
      </div>
      {!single && (
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square quiet"
          title={words.history.onlyRecord(entry.title)}
          aria-label={words.history.onlyRecord(entry.title)}
          onClick={() => onRecord(entry.record)}
        >
          <Filter size={13} aria-hidden />
        </button>
      )}
    </li>
  );
}

/** Long texts are cut in the list; the record itself shows them whole. */
const cut = (text: string) => (text.length > 400 ? `${text.slice(0, 399)}…` : text);
