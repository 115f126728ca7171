import type { Table } from "../../api/client";
import { useHistory } from "../../api/queries";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { words } from "../../words";
import { BatchLine } from "./BatchLine";
import { EntryLine } from "./EntryLine";

type Props = { table: Table; record: number | undefined; onRecord: (id: number | null) => void };

/** The change log, day by day, newest first. */
export function Entries({ table, record, onRecord }: Props) {
  const history = useHistory(table.key, record);
  if (!history.data) return history.error ? <Failure error={history.error} retry={history.refetch} /> : <Loading />;
  const entries = history.data.pages.flatMap((page) => page.entries);
  const days = [...new Set(entries.map((entry) => entry.day_text))];
  return (
    <>
      {record && (
        <p className="mb-3 flex gap-3">
          {words.history.onlyRecord(entries[0]?.title ?? String(record))}
          <button type="button" className="link" onClick={() => onRecord(null)}>
            {words.history.all}
          </button>
        </p>
      )}
      {entries.length === 0 && <p>{words.history.empty}</p>}
      {days.map((day) => (
        <section key={day} className="mb-5">
          <h2 className="mb-1.5 font-semibold text-secondary text-xs uppercase tracking-wide">{day}</h2>
          <ol className="sheet divide-y divide-base-300/70">
            {entries
              .filter((entry) => entry.day_text === day)
              .map((entry) =>
                entry.batch && !record ? (
                  <BatchLine key={entry.id} entry={entry} batch={entry.batch} onRecord={onRecord} />
                ) : (
                  <EntryLine key={entry.id} entry={entry} single={Boolean(record)} onRecord={onRecord} />
                ),
              )}
          </ol>
        </section>
      ))}
      {history.hasNextPage && (
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => history.fetchNextPage()}
          disabled={history.isFetchingNextPage}
        >
          {words.history.more}
        </button>
      )}
    </>
  );
}
