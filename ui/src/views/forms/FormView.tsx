import { Link, useParams, useSearchParams } from "react-router";
import { ProblemError, type Table } from "../../api/client";
import { useRecord, useSession } from "../../api/queries";
import { MissingPage } from "../../app/MissingPage";
import { useTableHere } from "../../app/TableFrame";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { words } from "../../words";
import { RecordForm } from "./RecordForm";
import { RecordSheet } from "./RecordSheet";

/** The clerk's page: one record, new or kept, in a form laid out from the fields. */
export default function FormView() {
  const table = useTableHere();
  const { id } = useParams();
  const number = id === undefined ? null : Number(id);
  const [params] = useSearchParams();
  const copyOf = Number(params.get("copy")) || null;
  const record = useRecord(table.key, number);
  const role = useSession().data?.person.role ?? "reader";

  if (table.fields.length === 0) {
    return (
      <div className="mx-auto mt-16 flex max-w-md flex-col items-start gap-3 px-5">
        <p>{words.form.noFields}</p>
        <Link to={`/t/${table.key}/rules`} className="btn btn-primary btn-sm">
          {words.form.addFields}
        </Link>
      </div>
    );
  }
  if (number === null && !table.may.edit)
    return <p className="mx-auto mt-16 max-w-md px-5">{words.access.readOnlyTable(role)}</p>;
  if (number === null && copyOf !== null) return <Copied key={copyOf} table={table} of={copyOf} />;
  if (number === null) return <RecordForm key="new" table={table} record={null} />;
  if (record.error instanceof ProblemError && record.error.problem.status === 404)
    return <MissingPage message={words.form.gone} />;
  if (!record.data) return record.error ? <Failure error={record.error} retry={record.refetch} /> : <Loading />;
  if (!table.may.edit) return <RecordSheet table={table} record={record.data} role={role} />;
  return <RecordForm key={`${number}-${record.data.version}`} table={table} record={record.data} />;
}

/** A new record that begins with what another holds; what only rules give it gets anew. */
function Copied({ table, of }: { table: Table; of: number }) {
  const original = useRecord(table.key, of);
  if (!original.data) return original.error ? <Failure error={original.error} retry={original.refetch} /> : <Loading />;
  const numbered = table.rules.filter((rule) => rule.kind === "number").map((rule) => rule.field);
  const taken = table.fields.filter((field) => !field.given && field.may_edit && !numbered.includes(field.key));
  const begin = Object.fromEntries(
    taken
      .map((field) => [field.key, original.data.values[field.key] ?? null] as const)
      .filter(([, value]) => value !== null),
  );
  return <RecordForm table={table} record={null} begin={begin} />;
}
