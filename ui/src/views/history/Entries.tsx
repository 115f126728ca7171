import { type Question, UNFILTERED, useHistory } from "../../api/history";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { t } from "../../words";
import { BatchLine } from "./BatchLine";
import { EntryLine } from "./EntryLine";

type Props = {
  question: Question;
  onRecord: (table: string, id: number) => void;
  put: (parts: { [name: string]: string | null }) => void;
};

/** The change log, day by day, newest first. */
export function Entries({ question, onRecord, put }: Props) {
  const history = useHistory(question);
  if (!history.data) return history.error ? <Failure error={history.error} retry={history.refetch} /> : <Loading />;
  const entries = history.data.pages.flatMap((page) => page.entries);
  const missing = history.data.pages.at(-1)?.missing;
  const days = [...new Set(entries.map((entry) => entry.day_text))];
  const narrowed = Object.entries(question).some(([name, value]) => name !== "table" && value !== undefined);
  return (
    <>
      {entries.length === 0 && !missing && (
        <p className="sheet flex flex-wrap items-center gap-3 p-5">
          {narrowed ? t("history.none") : t("history.empty")}
          {narrowed && (
            <button type="button" className="btn btn-sm" onClick={() => put(UNFILTERED)}>
              {t("history.showAll")}
            </button>
          )}
        </p>
      )}
      {days.map((day) => (
        <section key={day} className="mb-5">
          <h2 className="mb-1.5 font-semibold text-secondary text-xs uppercase tracking-wide">{day}</h2>
          <ol className="sheet divide-y divide-base-300/70">
            {entries
              .filter((entry) => entry.day_text === day)
              .map((entry) =>
                entry.batch && !question.record ? (
                  <BatchLine key={entry.id} entry={entry} batch={entry.batch} onRecord={onRecord} />
                ) : (
                  <EntryLine
                    key={entry.id}
                    entry={entry}
                    single={Boolean(question.record)}
                    anyTable={!question.table}
                    onRecord={onRecord}
                  />
                ),
              )}
          </ol>
        </section>
      ))}
      {missing && !history.hasNextPage && (
        <p className="sheet border-warning p-4" role="status">
          {missing}
        </p>
      )}
      {history.hasNextPage && (
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => history.fetchNextPage()}
          disabled={history.isFetchingNextPage}
        >
          {t("history.more")}
        </button>
      )}
    </>
  );
}
