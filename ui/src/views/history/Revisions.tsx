import { toast } from "sonner";
import { usePutBack, useRevisions } from "../../api/queries";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { words } from "../../words";

/** Every change of the design; each state can be put back. */
export function Revisions() {
  const revisions = useRevisions();
  const putBack = usePutBack();
  if (!revisions.data)
    return revisions.error ? <Failure error={revisions.error} retry={revisions.refetch} /> : <Loading />;
  return (
    <ol className="sheet divide-y divide-base-300/70">
      {revisions.data.map((revision) => (
        <li key={revision.id} className="flex items-baseline gap-3 px-4 py-2.5">
          <time className="quiet w-40 shrink-0 text-xs tabular-nums" dateTime={revision.made_at}>
            {revision.day_text}, {revision.at_text}
          </time>
          <span className="min-w-0 flex-1 break-words">
            {words.history.actions[revision.action] && (
              <span className="quiet">{words.history.actions[revision.action]} </span>
            )}
            {revision.summary}
          </span>
          <span className="quiet shrink-0 text-xs">{revision.person}</span>
          {revision.current ? (
            <span className="w-24 shrink-0 text-right font-semibold text-success text-xs">{words.history.current}</span>
          ) : (
            <span className="w-24 shrink-0 text-right">
              <button
                type="button"
                className="btn btn-xs"
                disabled={putBack.isPending}
                onClick={() =>
                  putBack.mutate(revision.id, {
                    onSuccess: () => toast(words.history.putBackDone),
                    onError: (error) => toast.error(error.message),
                  })
                }
              >
                {words.history.putBack}
              </button>
            </span>
          )}
        </li>
      ))}
    </ol>
  );
}
