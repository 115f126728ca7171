import type { Session, Table } from "../../api/client";
import { useRecords } from "../../api/queries";
import { words } from "../../words";
import { PretendClock } from "./PretendClock";

export type Start = { from: "new" | "copy" | "real"; record: number | null };

type Props = {
  table: Table;
  session: Session | undefined;
  start: Start;
  setStart: (start: Start) => void;
  person: number | null;
  setPerson: (person: number | null) => void;
  at: string | null;
  setAt: (at: string | null) => void;
};

const STARTS = [
  ["new", words.bench.newRecord],
  ["copy", words.bench.copyOf],
  ["real", words.bench.realOne],
] as const;

/** From what a trial begins, as whom, and when. */
export function Setup({ table, session, start, setStart, person, setPerson, at, setAt }: Props) {
  const records = useRecords(table.key, null, true, "").data?.pages.flatMap((page) => page.records) ?? [];
  return (
    <section className="flex flex-col gap-5" aria-label={words.bench.setup}>
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-title font-semibold text-lg">{words.bench.begin}</legend>
        {STARTS.map(([from, label]) => (
          <label key={from} className="flex items-center gap-2">
            <input
              type="radio"
              name="start"
              className="radio radio-sm radio-primary"
              checked={start.from === from}
              disabled={from !== "new" && records.length === 0}
              onChange={() =>
                setStart({ from, record: from === "new" ? null : (start.record ?? records[0]?.id ?? null) })
              }
            />
            {label}
          </label>
        ))}
        {start.from !== "new" && (
          <select
            className="select select-sm mt-1 w-full"
            aria-label={words.bench.whichRecord}
            value={start.record ?? ""}
            onChange={(event) => setStart({ ...start, record: Number(event.target.value) })}
          >
            {records.map((record) => (
              <option key={record.id} value={record.id}>
                {[record.title, ...Object.values(record.texts).slice(1, 3)].filter(Boolean).join(" · ")}
              </option>
            ))}
          </select>
        )}
      </fieldset>
      <label className="flex flex-col gap-1">
        <span className="font-semibold">{words.bench.person}</span>
        <select
          className="select select-sm w-full"
          value={person ?? session?.person.id ?? ""}
          onChange={(event) => setPerson(Number(event.target.value))}
        >
          {session?.people.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name} · {each.role}
            </option>
          ))}
        </select>
      </label>
      <PretendClock now={session?.clock.now ?? ""} at={at} setAt={setAt} />
    </section>
  );
}
