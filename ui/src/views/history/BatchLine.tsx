import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, data, type Entry } from "../../api/client";
import { useSession, useUndoBatch } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { t } from "../../words";
import { EntryLine } from "./EntryLine";

type Props = { entry: Entry; batch: NonNullable<Entry["batch"]>; onRecord: (table: string, id: number) => void };

/** A change of many records as one entry, which can be opened and taken back as one. */
export function BatchLine({ entry, batch, onRecord }: Props) {
  const [open, setOpen] = useState(false);
  const undo = useUndoBatch();
  // Whoever made it takes it back, or a builder.
  const me = useSession().data?.person;
  const may = me?.role === "builder" || me?.id === entry.person_id;
  const entries = useQuery({
    queryKey: queryKeys.historyBatch(batch.id),
    queryFn: async () => (await data(api.GET("/api/history", { params: { query: { batch: batch.id } } }))).entries,
    enabled: open,
  }).data;
  return (
    <li className="px-4 py-2.5">
      <div className="flex flex-wrap items-baseline gap-x-2">
        <time className="quiet w-10 text-xs tabular-nums" dateTime={entry.made_at}>
          {entry.at_text}
        </time>
        <strong>{entry.person}</strong>
        <span>{batch.summary}</span>
        <button type="button" className="link text-xs" aria-expanded={open} onClick={() => setOpen(!open)}>
          {t("history.records_", { count: batch.records })}
        </button>
        <span className="flex-1" />
        {batch.undone ? (
          <span className="quiet text-xs">{t("history.undone")}</span>
        ) : may ? (
          <button type="button" className="btn btn-xs" disabled={undo.isPending} onClick={() => undo.mutate(batch.id)}>
            {t("history.undoBatch")}
          </button>
        ) : null}
      </div>
      {open && (
        <ol className="mt-1 border-base-300 border-l-2">
          {entries?.map((each) => (
            <EntryLine key={each.id} entry={each} single={false} onRecord={onRecord} />
          ))}
        </ol>
      )}
    </li>
  );
}
