import { useState } from "react";
import { toast } from "sonner";
import type { Revision } from "../../api/client";
import { useRevisions } from "../../api/history";
import { usePutBack, useSession } from "../../api/queries";
import { useDesignUndo } from "../../app/useDesignUndo";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { t, word } from "../../words";
import { Differences } from "./Differences";
import { PutBack } from "./PutBack";

type Props = { person: number | undefined; onPerson: (person: string | null) => void };

/** Every change of the design: what became different in which rule, and each state can be put back. */
export function Revisions({ person, onPerson }: Props) {
  const revisions = useRevisions(person);
  const people = useSession().data?.people ?? [];
  if (!revisions.data)
    return revisions.error ? <Failure error={revisions.error} retry={revisions.refetch} /> : <Loading />;
  return (
    <>
      <label className="mb-3 flex w-fit flex-col gap-0.5 text-xs">
        {t("history.person")}
        <select
          className="select select-sm w-44"
          value={person ?? ""}
          onChange={(event) => onPerson(event.target.value || null)}
        >
          <option value="">{t("history.any")}</option>
          {people.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </select>
      </label>
      <ol className="sheet divide-y divide-base-300/70">
        {revisions.data.map((revision) => (
          <RevisionLine key={revision.id} revision={revision} />
        ))}
        {revisions.data.length === 0 && <li className="p-4">{t("history.none")}</li>}
      </ol>
    </>
  );
}

function RevisionLine({ revision }: { revision: Revision }) {
  const [open, setOpen] = useState(false);
  const putBack = usePutBack();
  const [asking, setAsking] = useState(false);
  const { undo } = useDesignUndo();
  const back = () => {
    setAsking(false);
    putBack.mutate(revision.id, {
      onSuccess: () =>
        toast(t("history.putBackDone"), { action: { label: t("shell.undo"), onClick: undo }, duration: 12_000 }),
      onError: (error) => toast.error(error.message),
    });
  };
  return (
    <li className="px-4 py-2.5">
      <div className="flex items-baseline gap-3">
        <time className="quiet w-40 shrink-0 text-xs tabular-nums" dateTime={revision.made_at}>
          {revision.day_text}, {revision.at_text}
        </time>
        <button
          type="button"
          className="min-w-0 flex-1 break-words text-left underline-offset-2 hover:underline"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          {word(`history.actions.${revision.action}`) && (
            <span className="quiet">{word(`history.actions.${revision.action}`)} </span>
          )}
          {revision.summary}
        </button>
        <span className="quiet shrink-0 text-xs">{revision.person}</span>
        {revision.current ? (
          <span className="w-24 shrink-0 text-right font-semibold text-success text-xs">{t("history.current")}</span>
        ) : (
          <span className="w-24 shrink-0 text-right">
            <button
              type="button"
              className="btn btn-xs"
              disabled={putBack.isPending}
              title={t("history.putStateBack")}
              onClick={() => setAsking(true)}
            >
              {t("history.putBack")}
            </button>
          </span>
        )}
      </div>
      {open && <Differences revision={revision.id} />}
      {asking && <PutBack revision={revision} onConfirm={back} onClose={() => setAsking(false)} />}
    </li>
  );
}
