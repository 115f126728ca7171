import type { RecordData, Table } from "../../api/client";
import { ShownValue } from "../../components/record/Address";
import { t } from "../../words";
import { FormHead } from "./FormHead";
import { LinkedHere } from "./LinkedHere";

type Props = { table: Table; record: RecordData; role: string };

/** A record for whoever may look at it but not change it. */
export function RecordSheet({ table, record, role }: Props) {
  return (
    <div className="mx-auto max-w-3xl px-5 pt-5 pb-24">
      <FormHead table={table} record={record} onRemove={() => undefined} />
      <LinkedHere table={table.key} id={record.id} />
      <p className="quiet mb-3">{t("access.readOnlyTable", { role })}</p>
      <dl className="sheet grid gap-x-5 gap-y-3 px-5 py-4 sm:grid-cols-2">
        {table.fields.map((field) => (
          <div key={field.key} className={`min-w-0 ${field.editor === "area" ? "sm:col-span-2" : ""}`}>
            <dt className="quiet text-xs">{field.label}</dt>
            <dd className={`whitespace-pre-wrap break-words ${field.given ? "stitched w-fit" : ""}`}>
              {record.texts[field.key] ? (
                <ShownValue field={field} text={record.texts[field.key] ?? ""} />
              ) : (
                <span className="quiet">{t("form.blank")}</span>
              )}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
