import { Link, useParams } from "react-router";
import { ProblemError } from "../../api/client";
import { useRecord } from "../../api/queries";
import { MissingPage } from "../../app/MissingPage";
import { useTableHere } from "../../app/TableFrame";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { words } from "../../words";
import { RecordForm } from "./RecordForm";

/** The clerk's page: one record, new or kept, in a form laid out from the fields. */
export default function FormView() {
  const table = useTableHere();
  const { id } = useParams();
  const number = id === undefined ? null : Number(id);
  const record = useRecord(table.key, number);

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
  if (number === null) return <RecordForm key="new" table={table} record={null} />;
  if (record.error instanceof ProblemError && record.error.problem.status === 404)
    return <MissingPage message={words.form.gone} />;
  if (!record.data) return record.error ? <Failure error={record.error} retry={record.refetch} /> : <Loading />;
  return <RecordForm key={`${number}-${record.data.version}`} table={table} record={record.data} />;
}
