import { useEffect } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { type Form, ProblemError, type Table } from "../../api/client";
import { useRecord, useSession } from "../../api/queries";
import { MissingPage } from "../../app/MissingPage";
import { useTableHere } from "../../app/TableFrame";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { keepLastForm, lastForm } from "../../components/record/draftStorage";
import { WithNewLinked } from "../../components/record/WithNewLinked";
import { t } from "../../words";
import { RecordForm } from "./RecordForm";
import { RecordSheet } from "./RecordSheet";

/** The clerk's page: one record, new or kept, in the form that was picked or used last. */
export default function FormViewWithLinks() {
  return (
    <WithNewLinked>
      <FormView />
    </WithNewLinked>
  );
}

function FormView() {
  const table = useTableHere();
  const { id } = useParams();
  const number = id === undefined ? null : Number(id);
  const [params] = useSearchParams();
  const copyOf = Number(params.get("copy")) || null;
  const record = useRecord(table.key, number);
  const picked = params.get("form");
  const form = formOf(table, picked);
  const role = useSession().data?.person.role ?? "reader";

  useEffect(() => {
    if (picked && form?.id === picked) keepLastForm(table.key, picked);
  }, [picked, form?.id, table.key]);

  if (table.fields.length === 0 || !form) {
    return (
      <div className="mx-auto mt-16 flex max-w-md flex-col items-start gap-3 px-5">
        <p>{t("form.noFields")}</p>
        <Link to={`/t/${table.key}/rules`} className="btn btn-primary btn-sm">
          {t("form.addFields")}
        </Link>
      </div>
    );
  }
  if (number === null && !table.may.edit)
    return <p className="mx-auto mt-16 max-w-md px-5">{t("access.readOnlyTable", { role })}</p>;
  if (number === null && copyOf !== null) return <Copied key={copyOf} table={table} form={form} of={copyOf} />;
  if (number === null) return <RecordForm key={`new-${form.id}`} table={table} form={form} record={null} />;
  if (record.error instanceof ProblemError && record.error.problem.status === 404)
    return <MissingPage message={t("form.gone")} />;
  if (!record.data) return record.error ? <Failure error={record.error} retry={record.refetch} /> : <Loading />;
  if (!table.may.edit) return <RecordSheet table={table} record={record.data} role={role} />;
  return (
    <RecordForm key={`${number}-${record.data.version}-${form.id}`} table={table} form={form} record={record.data} />
  );
}

/** The form asked for, else the one used last, else the first that was made for the table. */
function formOf(table: Table, picked: string | null) {
  const find = (id: string | null) => table.forms.find((form) => form.id === id);
  return find(picked) ?? find(lastForm(table.key)) ?? table.forms.find((form) => form.id !== "all") ?? find("all");
}

/** A new record that begins with what another holds; what only rules give it gets anew. */
function Copied({ table, form, of }: { table: Table; form: Form; of: number }) {
  const original = useRecord(table.key, of);
  if (!original.data) return original.error ? <Failure error={original.error} retry={original.refetch} /> : <Loading />;
  const numbered = table.rules.filter((rule) => rule.stage === "number").map((rule) => rule.field);
  const taken = table.fields.filter((field) => !field.given && field.may_edit && !numbered.includes(field.key));
  const begin = Object.fromEntries(
    taken
      .map((field) => [field.key, original.data.values[field.key] ?? null] as const)
      .filter(([, value]) => value !== null),
  );
  return <RecordForm table={table} form={form} record={null} begin={begin} />;
}
