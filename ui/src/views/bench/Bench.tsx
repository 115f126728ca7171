import { useCallback, useEffect, useState } from "react";
import { useSearchParams } from "react-router";
import { api, data } from "../../api/client";
import { type Typed, useSession } from "../../api/queries";
import { useTableHere } from "../../app/TableFrame";
import { typedIn } from "../../app/trialOf";
import { RecordFields } from "../../components/record/RecordFields";
import { useDraft } from "../../components/record/useDraft";
import { words } from "../../words";
import { Outcome } from "./Outcome";
import { pretend } from "./pretendClock";
import { Setup, type Start } from "./Setup";
import { Trace } from "./Trace";

/** Where a record is tried: as anybody, on any day, without touching the real ones. */
export default function Bench() {
  const table = useTableHere();
  const session = useSession();
  const [params] = useSearchParams();
  const [start, setStart] = useState<Start>(() => {
    const copied = Number(params.get("copy"));
    return copied ? { from: "copy", record: copied } : { from: "new", record: null };
  });
  const [person, setPerson] = useState<number | null>(null);
  const [at, setAt] = useState<string | null>(null);

  const ask = useCallback(
    (typed: Typed, reasons: { [rule: string]: string }) =>
      data(
        api.POST("/api/tables/{table}/trial", {
          params: { path: { table: table.key } },
          body: {
            typed,
            reasons,
            form: "all",
            person_id: person,
            at,
            id: start.from === "real" ? start.record : null,
            copy_of: start.from === "copy" ? start.record : null,
          },
        }),
      ),
    [table.key, person, at, start],
  );
  const [typedFirst] = useState(() => typedIn(params));
  const draft = useDraft(ask, typedFirst);

  // The bar shows the bench's clock, as the server understood it.
  const understood = at && !draft.failure ? (draft.answer?.clock ?? null) : null;
  useEffect(() => pretend(understood), [understood]);
  useEffect(() => () => pretend(null), []);

  return (
    <div className="grid min-h-full items-start gap-4 p-4 lg:h-full lg:grid-cols-[15rem_minmax(0,1fr)_23rem] lg:grid-rows-[minmax(0,1fr)]">
      <Setup
        table={table}
        session={session.data}
        start={start}
        setStart={(next) => {
          setStart(next);
          draft.reset();
        }}
        person={person}
        setPerson={setPerson}
        at={at}
        setAt={setAt}
      />
      <section className="sheet h-full min-h-0 overflow-auto px-5 py-4" aria-label={words.bench.trial}>
        <div className="mb-3 flex flex-wrap items-baseline gap-x-3">
          <h1 className="text-xl">{words.bench.trial}</h1>
          <p className="quiet flex-1 text-xs">{words.bench.aim}</p>
          {Object.keys(draft.typed).length > 0 && (
            <button type="button" className="link text-xs" onClick={() => draft.reset()}>
              {words.bench.clear}
            </button>
          )}
        </div>
        {draft.failure && (
          <p className="mb-3 text-error" role="alert">
            {draft.failure}
          </p>
        )}
        <RecordFields table={table} id={start.from === "real" ? start.record : null} draft={draft} />
      </section>
      <div className="flex h-full min-h-0 flex-col gap-3">
        {draft.answer && <Outcome answer={draft.answer} />}
        {draft.answer && <Trace table={table} answer={draft.answer} />}
      </div>
    </div>
  );
}
