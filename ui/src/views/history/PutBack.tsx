import type { Revision } from "../../api/client";
import { useForesight } from "../../api/history";
import { Confirm } from "../../components/Confirm";
import { Loading } from "../../components/Loading";
import { words } from "../../words";

type Props = { revision: Revision; onConfirm: () => void; onClose: () => void };

/** Parts of the design that are named before the rest is only counted. */
const MOST = 12;

/** Asks before an earlier design is put back, and says what would be lost and what would be different. */
export function PutBack({ revision, onConfirm, onClose }: Props) {
  const found = useForesight(revision.id);
  const { history } = words;
  return (
    <Confirm
      title={history.putBackAsk(`${revision.day_text}, ${revision.at_text}`)}
      action={history.putBackDo}
      onConfirm={onConfirm}
      onClose={onClose}
    >
      {!found.data && (found.error ? <p className="text-error">{found.error.message}</p> : <Loading />)}
      {found.data && (
        <>
          {found.data.losses.length === 0 ? (
            <p className="text-success">{history.putBackNothing}</p>
          ) : (
            <div className="rounded border border-error bg-[var(--tint-refused)] px-3 py-2">
              <p className="font-semibold text-error">{history.putBackLost}</p>
              <ul>
                {found.data.losses.map((each) => (
                  <li key={each.place}>
                    {each.what === "records"
                      ? history.putBackRecords(each.place, each.count)
                      : history.putBackValues(each.place, each.count)}
                  </li>
                ))}
              </ul>
            </div>
          )}
          <p>{history.putBackDifferent(found.data.differences.length)}</p>
          <ul className="quiet max-h-56 list-disc overflow-auto pl-5 text-[0.8125rem]">
            {found.data.differences.slice(0, MOST).map((each) => (
              <li key={`${each.what}-${each.id}`}>
                {history.what[each.what]} {each.place},{" "}
                {each.before === null ? history.added : each.after === null ? history.removed : history.changed}
              </li>
            ))}
            {found.data.differences.length > MOST && <li>{history.andMore(found.data.differences.length - MOST)}</li>}
          </ul>
          <p className="quiet">{history.putBackUndo}</p>
        </>
      )}
    </Confirm>
  );
}
