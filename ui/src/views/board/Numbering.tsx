import { useState } from "react";
import { toast } from "sonner";
import type { Table } from "../../api/client";
import { type Count, useCounts, useGiveNumbers, useSetCount, useWaiting } from "../../api/numbers";
import { sentences, t } from "../../words";

type Props = { table: Table; rule: string };

/** An auto-number at work: where its counts stand, and the records that have none yet. */
export function Numbering({ table, rule }: Props) {
  const counts = useCounts(table.key, rule).data;
  return (
    <section className="flex flex-col gap-4">
      {counts && counts.counts.length > 0 && (
        <div>
          <h3 className="mb-1 text-base">{t("numbering.counts")}</h3>
          {counts.warning && <p className="mb-1 text-secondary">{counts.warning}</p>}
          <ul className="divide-y divide-base-300/70 border-base-300 border-y">
            {counts.counts.map((count) => (
              <CountLine key={`${count.series}-${count.next}`} table={table.key} rule={rule} count={count} />
            ))}
          </ul>
        </div>
      )}
      <Waiting table={table} rule={rule} />
    </section>
  );
}

function CountLine({ table, rule, count }: { table: string; rule: string; count: Count }) {
  const [next, setNext] = useState<number | null>(null);
  const set = useSetCount(table, rule);
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
      <span className="w-24 truncate font-semibold">{count.series || t("numbering.one")}</span>
      <label className="flex items-center gap-2">
        <span className="quiet text-xs">{t("numbering.next")}</span>
        <input
          type="number"
          className="input input-xs w-28 tabular-nums"
          value={next ?? count.next}
          onChange={(event) => setNext(event.target.valueAsNumber || 0)}
        />
      </label>
      <span className="quiet flex-1 text-xs">
        {count.highest !== null && t("numbering.highest", { n: count.highest })} {sentences.numbering.left(count.left)}
      </span>
      {next !== null && next !== count.next && (
        <button
          type="button"
          className="btn btn-xs"
          disabled={set.isPending}
          onClick={() => set.mutate({ series: count.series, next })}
        >
          {t("numbering.set")}
        </button>
      )}
      {set.error && (
        <p className="basis-full text-error" role="alert">
          {set.error.message}
        </p>
      )}
    </li>
  );
}

/** Records without a number: in which order they would get theirs, shown before it is done. */
function Waiting({ table, rule }: Props) {
  const [order, setOrder] = useState("");
  const [descending, setDescending] = useState(false);
  const waiting = useWaiting(table.key, rule, order, descending).data;
  const give = useGiveNumbers(table.key, rule);
  if (!waiting || waiting.waiting === 0)
    return give.data ? <p className="text-success">{t("numbering.given", { count: give.data.given })}</p> : null;
  const done = () =>
    give.mutate({ order, descending }, { onSuccess: (found) => toast(t("numbering.given", { count: found.given })) });
  return (
    <div>
      <h3 className="mb-1 text-base">{t("numbering.waiting", { count: waiting.waiting })}</h3>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          <span className="quiet text-xs">{t("numbering.order")}</span>
          <select className="select select-xs w-40" value={order} onChange={(event) => setOrder(event.target.value)}>
            <option value="">{t("numbering.asMade")}</option>
            {table.fields.map((field) => (
              <option key={field.key} value={field.key}>
                {field.label}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-1.5 text-xs">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={descending}
            onChange={() => setDescending(!descending)}
          />
          {t("numbering.descending")}
        </label>
      </div>
      <ol className="divide-y divide-base-300/70 border-base-300 border-y">
        {waiting.first.map((each) => (
          <li key={each.id} className="flex gap-3 py-1">
            <span className="min-w-0 flex-1 truncate">{each.title}</span>
            {each.number ? (
              <span className="stitched">{each.number}</span>
            ) : (
              <span className="text-error text-xs">{each.message}</span>
            )}
          </li>
        ))}
      </ol>
      {waiting.waiting > waiting.first.length && (
        <p className="quiet mt-1 text-xs">{t("numbering.andMore", { n: waiting.waiting - waiting.first.length })}</p>
      )}
      <button type="button" className="btn btn-sm mt-2" disabled={give.isPending} onClick={done}>
        {t("numbering.give", { count: waiting.waiting })}
      </button>
      {give.data && give.data.left > 0 && (
        <p className="mt-1 text-error text-xs">
          {t("numbering.left_", { count: give.data.left })} {give.data.refused[0]?.title}:{" "}
          {give.data.refused[0]?.message}
        </p>
      )}
    </div>
  );
}
