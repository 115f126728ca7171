import { Download } from "lucide-react";
import type { Table } from "../../api/client";
import type { makeFailing } from "../../api/proofs";
import { sentences, t } from "../../words";

type Failing = Awaited<ReturnType<typeof makeFailing>>["records"];

/** Records that one rule refuses, to look at or to take along as a file. */
export function FailingRecords({ table, records, wanted }: { table: Table; records: Failing; wanted: number }) {
  const keys = table.fields.filter((field) => records.some((each) => field.key in each.typed));
  if (records.length === 0) return <p className="mt-4">{t("samples.noneFails")}</p>;
  const download = () => {
    const rows = [
      keys.map((field) => field.key),
      ...records.map((each) => keys.map((field) => String(each.typed[field.key] ?? ""))),
    ];
    const text = rows.map((row) => row.map(cell).join(",")).join("\r\n");
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([`${text}\r\n`], { type: "text/csv" }));
    link.download = `${table.key}_refused.csv`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <section className="mt-4">
      <div className="mb-1 flex items-center gap-3">
        <p className="flex-1">{sentences.samples.failing(records.length, wanted, records[0]?.message ?? "")}</p>
        <button type="button" className="btn btn-ghost btn-sm" onClick={download}>
          <Download size={14} aria-hidden />
          {t("samples.download")}
        </button>
      </div>
      <div className="max-h-64 overflow-auto border border-base-300">
        <table className="w-full border-collapse text-xs">
          <thead className="sticky top-0 bg-base-200">
            <tr>
              {keys.map((field) => (
                <th key={field.key} className="whitespace-nowrap px-2 py-1 text-left">
                  {field.label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {records.map((each, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: made-up records have no name of their own and never move
              <tr key={index} className="border-base-300 border-t">
                {keys.map((field) => (
                  <td key={field.key} className="max-w-40 truncate px-2 py-1" title={each.shown[field.key]}>
                    {each.shown[field.key]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const cell = (text: string) => (/[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
