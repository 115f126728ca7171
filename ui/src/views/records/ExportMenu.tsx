import { Download } from "lucide-react";
import { Link } from "react-router";
import { address } from "../../api/address";
import type { Table } from "../../api/client";
import type { View } from "../../api/records";
import { Popover } from "../../components/Popover";
import { sentences, t } from "../../words";
import type { GridColumn } from "./useLayout";

type Props = { table: Table; view: View; columns: GridColumn[]; matching: number };

const FORMATS = ["csv", "xlsx", "json", "jsonl"] as const;

/** What the grid shows, or all of the table, as a file of an open format. */
export function ExportMenu({ table, view, columns, matching }: Props) {
  const path = (format: string, query: Record<string, string>) => {
    const given = new URLSearchParams(Object.entries(query).filter(([, value]) => value !== ""));
    return address(`/api/tables/${table.key}/export.${format}${given.size > 0 ? `?${given}` : ""}`);
  };
  const feed = (path: string) => address(`/api/tables/${table.key}/${path}`);
  const labelOf = (key: string) => table.fields.find((field) => field.key === key)?.label ?? key;
  const shown = { ...view, fields: columns.map((column) => column.field.key).join(",") };
  return (
    <Popover
      name={t("exports.link")}
      align="right"
      className="btn btn-ghost btn-sm"
      label={
        <>
          <Download size={14} aria-hidden />
          {t("exports.link")}
        </>
      }
    >
      {(close) => (
        <div className="flex w-80 flex-col gap-3 p-1">
          {(
            [
              [sentences.exports.shown(matching, columns.length), shown],
              [sentences.exports.whole(table.records, table.fields.length), {}],
            ] as [string, Record<string, string>][]
          ).map(([title, query]) => (
            <section key={title} aria-label={title}>
              <p className="mb-1 text-[0.8125rem]">{title}</p>
              <div className="flex flex-wrap gap-1.5">
                {FORMATS.map((format) => (
                  <a key={format} className="btn btn-xs" href={path(format, query)} download onClick={close}>
                    {t(`exports.formats.${format}`)}
                  </a>
                ))}
              </div>
            </section>
          ))}
          {(table.feeds.calendars.length > 0 || table.feeds.contacts) && (
            <section aria-label={t("exports.feeds")}>
              <p className="mb-1 text-[0.8125rem]">{t("exports.feeds")}</p>
              <ul className="flex flex-col gap-1 text-[0.8125rem]">
                {table.feeds.calendars.map((key) => (
                  <li key={key}>
                    <a className="link" href={feed(`calendar.ics?field=${key}`)} download onClick={close}>
                      {t("exports.calendar", { field: labelOf(key) })}
                    </a>
                  </li>
                ))}
                {table.feeds.contacts && (
                  <li>
                    <a className="link" href={feed("contacts.vcf")} download onClick={close}>
                      {t("exports.contacts")}
                    </a>
                  </li>
                )}
              </ul>
              <p className="quiet mt-1 text-xs">
                {t("exports.feedsNote")}{" "}
                <Link className="link" to="/api" onClick={close}>
                  {t("exports.feedsLink")}
                </Link>
              </p>
            </section>
          )}
          <a
            className="link text-xs"
            href={address(`/api/tables/${table.key}/schema.json?of=file`)}
            target="_blank"
            rel="noreferrer"
          >
            {t("exports.schema")}
          </a>
          <p className="quiet text-xs">{t("exports.note")}</p>
        </div>
      )}
    </Popover>
  );
}
