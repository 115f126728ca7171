import { CopyPlus, History, Plus, SlidersHorizontal, Trash2 } from "lucide-react";
import { Link } from "react-router";
import type { Form, RecordData, Table } from "../../api/client";
import { usePermissions } from "../../app/usePermissions";
import { HelpLink } from "../../components/HelpLink";
import { sentences, t } from "../../words";

type Props = { table: Table; form?: Form; record: RecordData | null; onRemove: () => void };

/** The record's title, and what can be done with a record that is kept. */
export function FormHead({ table, form, record, onRemove }: Props) {
  const buttons = form?.buttons ?? ["copy", "next"];
  const suffix = form ? `form=${form.id}` : "";
  return (
    <>
      {form && <FormPicker table={table} form={form} record={record} />}
      <div className="mb-4 flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 className="min-w-0 flex-1 break-words text-2xl max-sm:basis-full">
          {record ? record.title : sentences.form.newTitle(table.one)}
        </h1>
        <HelpLink page="clerks" />
        {record && (
          <>
            <Link
              to={`/t/${table.key}/history?record=${record.id}`}
              className="btn btn-ghost btn-sm"
              title={t("form.history")}
            >
              <History size={15} aria-hidden />
              {t("views.history")}
            </Link>
            {table.may.edit && buttons.includes("copy") && (
              <Link to={`/t/${table.key}/forms?copy=${record.id}&${suffix}`} className="btn btn-ghost btn-sm">
                <CopyPlus size={15} aria-hidden />
                {t("form.copy")}
              </Link>
            )}
            {table.may.edit && buttons.includes("next") && (
              <Link to={`/t/${table.key}/forms?${suffix}`} className="btn btn-ghost btn-sm">
                <Plus size={15} aria-hidden />
                {t("form.copyNew")}
              </Link>
            )}
            {table.may.delete && (
              <button type="button" className="btn btn-ghost btn-sm text-error" onClick={onRemove}>
                <Trash2 size={15} aria-hidden />
                {t("form.remove")}
              </button>
            )}
          </>
        )}
      </div>
    </>
  );
}

/** The forms of the table, each a step away, and the way to their design. */
function FormPicker({ table, form, record }: { table: Table; form: Form; record: RecordData | null }) {
  const may = usePermissions();
  if (table.forms.length < 2 && !may.design) return null;
  const own = table.forms.filter((each) => each.id !== "all");
  const all = table.forms.filter((each) => each.id === "all");
  return (
    <nav aria-label={t("forms.pick")} className="mb-3 flex flex-wrap items-center gap-1 text-[0.8125rem]">
      {table.forms.length > 1 &&
        [...own, ...all].map((each) => (
          <Link
            key={each.id}
            to={`/t/${table.key}/forms${record ? `/${record.id}` : ""}?form=${each.id}`}
            aria-current={each.id === form.id ? "page" : undefined}
            className={`rounded px-2 py-0.5
              ${each.id === form.id ? "bg-neutral text-neutral-content" : "hover:bg-base-300"}`}
          >
            {each.name}
          </Link>
        ))}
      <span className="flex-1" />
      {may.design && (
        <>
          {form.id !== "all" && (
            <Link to={`/t/${table.key}/forms/design/${form.id}`} className="btn btn-ghost btn-xs">
              <SlidersHorizontal size={13} aria-hidden />
              {t("forms.design")}
            </Link>
          )}
          <Link to={`/t/${table.key}/forms/design/new`} className="btn btn-ghost btn-xs">
            <Plus size={13} aria-hidden />
            {t("forms.make")}
          </Link>
        </>
      )}
    </nav>
  );
}
