import { useSearchParams } from "react-router";
import { useTableHere } from "../../app/TableFrame";
import { Segments } from "../../components/Segments";
import { words } from "../../words";
import { Entries } from "./Entries";
import { Revisions } from "./Revisions";

/** Who changed what, and when: records, and the design itself. */
export default function HistoryView() {
  const table = useTableHere();
  const [params, setParams] = useSearchParams();
  const design = params.get("of") === "design";
  const record = Number(params.get("record")) || undefined;
  return (
    <div className="mx-auto max-w-4xl px-5 pt-5 pb-10">
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <div className="min-w-0 flex-1">
          <h1 className="truncate text-2xl">{words.views.history}</h1>
          <p className="quiet">{design ? words.history.designAim : words.history.aim}</p>
        </div>
        <Segments
          name={words.views.history}
          value={design ? "design" : "records"}
          options={[
            ["records", words.history.records],
            ["design", words.history.design],
          ]}
          onChange={(of) => setParams(of === "design" ? { of } : {})}
        />
      </div>
      {design ? (
        <Revisions />
      ) : (
        <Entries table={table} record={record} onRecord={(id) => setParams(id ? { record: String(id) } : {})} />
      )}
    </div>
  );
}
