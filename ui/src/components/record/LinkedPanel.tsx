import { Link } from "react-router";
import type { FormItem, Table } from "../../api/client";
import { useRecord, useTable } from "../../api/queries";
import { t } from "../../words";
import { ShownValue } from "./Address";
import type { Draft } from "./useDraft";

type Props = { table: Table; item: FormItem; draft: Draft };

/** Details of the record that a link points to, to be read beside what is typed. */
export function LinkedPanel({ table, item, draft }: Props) {
  const link = table.fields.find((field) => field.key === item.panel);
  const value = item.panel ? draft.answer?.fields[item.panel]?.value : null;
  const id = typeof value === "number" ? value : null;
  const other = useTable(item.table ?? "").data;
  const record = useRecord(item.table ?? "", id).data;
  const fields = (item.fields ?? []).flatMap((key) => other?.fields.find((field) => field.key === key) ?? []);
  return (
    <aside
      className="h-full rounded border border-base-300 bg-base-200/50 px-3 py-1.5"
      aria-label={item.label ?? link?.label}
    >
      <p className="quiet flex items-baseline gap-2 text-xs">
        <span className="flex-1">{item.label ?? link?.label}</span>
        {record && (
          <Link className="link" to={`/t/${item.table}/forms/${record.id}`} tabIndex={-1}>
            {t("forms.open")}
          </Link>
        )}
      </p>
      {record ? (
        <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 text-[0.8125rem]">
          {fields.map((field) => (
            <div key={field.key} className="contents" data-writes={`${item.table}.${field.key}`}>
              <dt className="quiet">{field.label}</dt>
              <dd className={`truncate ${field.given ? "stitched w-fit max-w-full" : ""}`}>
                {record.texts[field.key] ? <ShownValue field={field} text={record.texts[field.key] ?? ""} /> : "–"}
              </dd>
            </div>
          ))}
        </dl>
      ) : (
        <p className="quiet text-[0.8125rem]">{t("forms.nothingLinked", { label: link?.label ?? "" })}</p>
      )}
    </aside>
  );
}
