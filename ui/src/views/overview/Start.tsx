import { PencilLine, Plus } from "lucide-react";
import { Link } from "react-router";
import type { TableLine } from "../../api/client";
import { draftsHere } from "../../components/record/draftStorage";
import { sentences, t } from "../../words";

/** The first page of whoever enters or reads records: what waits, a button for each form, the records. */
export function Start({ tables }: { tables: TableLine[] }) {
  const entered = tables.filter((table) => table.may.edit);
  const viewed = tables.filter((table) => !table.may.edit);
  return (
    <>
      <p className="quiet mt-1 mb-5">{entered.length > 0 ? t("start.aim") : t("start.readAim")}</p>
      <Waiting tables={entered} />
      <div className="grid gap-4 sm:grid-cols-2">
        {entered.map((table) => (
          <section key={table.key} className="sheet flex flex-col gap-3 p-4" aria-label={table.label}>
            <Head table={table} />
            <p className="flex flex-wrap gap-2">
              {(table.forms.length > 0 ? table.forms : [null]).map((form) => (
                <Link
                  key={form?.id ?? "all"}
                  to={`/t/${table.key}/forms${form ? `?form=${form.id}` : ""}`}
                  className="btn btn-primary btn-sm"
                >
                  <Plus size={15} aria-hidden />
                  {table.forms.length > 1 && form ? form.name : sentences.form.newTitle(table.one)}
                </Link>
              ))}
            </p>
          </section>
        ))}
      </div>
      {entered.length > 0 && viewed.length > 0 && <h2 className="mt-6 mb-3 text-lg">{t("start.view")}</h2>}
      <div className="grid gap-4 sm:grid-cols-2">
        {viewed.map((table) => (
          <section key={table.key} className="sheet p-4" aria-label={table.label}>
            <Head table={table} />
          </section>
        ))}
      </div>
    </>
  );
}

function Head({ table }: { table: TableLine }) {
  return (
    <>
      <div className="flex items-baseline gap-3">
        <h2 className="min-w-0 flex-1 truncate text-lg">{table.label}</h2>
        <Link to={`/t/${table.key}/records`} className="link shrink-0 text-[0.8125rem]">
          {t("overview.records", { count: table.records })}
        </Link>
      </div>
      {table.note && <p className="quiet text-[0.8125rem]">{table.note}</p>}
    </>
  );
}

/** What this person typed in this browser and has not saved. */
function Waiting({ tables }: { tables: TableLine[] }) {
  const drafts = draftsHere().flatMap((draft) => {
    const table = tables.find((each) => each.key === draft.table);
    return table ? [{ ...draft, table }] : [];
  });
  if (drafts.length === 0) return null;
  return (
    <section className="sheet mb-5 border-accent p-4" aria-labelledby="waiting">
      <h2 id="waiting" className="text-lg">
        {t("start.waiting")}
      </h2>
      <ul className="mt-1 flex flex-col gap-1">
        {drafts.map(({ table, id }) => (
          <li key={`${table.key}/${id}`} className="flex items-baseline gap-2">
            <PencilLine size={14} className="shrink-0 translate-y-0.5 text-secondary" aria-hidden />
            <Link to={`/t/${table.key}/forms${id === "new" ? "" : `/${id}`}`} className="link">
              {id === "new"
                ? t("start.newDraft", { table: table.label })
                : t("start.draft", { table: table.label, id })}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
