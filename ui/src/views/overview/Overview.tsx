import { FileJson2, FileUp, Pencil, Plus, ScrollText, Trash2 } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { toast } from "sonner";
import type { TableLine } from "../../api/client";
import { useAddTable, useRemoveTable, useSession, useTableLosses, useTables } from "../../api/queries";
import { usePermissions } from "../../app/usePermissions";
import { Confirm } from "../../components/Confirm";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { t } from "../../words";
import { FirstSteps } from "./FirstSteps";
import { ProjectFile } from "./ProjectFile";
import { RenameTable } from "./RenameTable";
import { Start } from "./Start";

/** All tables of the project. */
export default function Overview() {
  const session = useSession();
  const tables = useTables();
  const may = usePermissions();
  const [file, setFile] = useState(false);
  if (!tables.data) return tables.error ? <Failure error={tables.error} retry={tables.refetch} /> : <Loading />;
  return (
    <div className="mx-auto max-w-5xl px-5 py-6">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h1 className="min-w-0 flex-1 break-words text-2xl max-sm:basis-full">{session.data?.project.name}</h1>
        {tables.data.length > 0 && (
          <Link to="/sheet" className="btn btn-ghost btn-sm">
            <ScrollText size={15} aria-hidden />
            {t("sheet.name")}
          </Link>
        )}
        {may.design && (
          <Link to="/import" className="btn btn-ghost btn-sm">
            <FileUp size={15} aria-hidden />
            {t("imports.newLink")}
          </Link>
        )}
        {may.design && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => setFile(true)}>
            <FileJson2 size={15} aria-hidden />
            {t("project.name")}
          </button>
        )}
        {file && <ProjectFile onClose={() => setFile(false)} />}
      </div>
      {may.design ? (
        <>
          <p className="quiet mt-1 mb-5">{tables.data.length === 0 ? t("overview.empty") : t("overview.aim")}</p>
          <FirstSteps tables={tables.data} />
          <div className="grid gap-4 sm:grid-cols-2">
            {tables.data.map((table) => (
              <TableSheet key={table.key} table={table} />
            ))}
            <NewTable />
          </div>
        </>
      ) : (
        <Start tables={tables.data} />
      )}
    </div>
  );
}

function TableSheet({ table }: { table: TableLine }) {
  const may = usePermissions();
  const remove = useRemoveTable();
  const [asking, setAsking] = useState<"remove" | "rename" | null>(null);
  const elsewhere = useTableLosses(table.key, asking === "remove").data?.rules ?? [];
  return (
    <section className="sheet flex flex-col gap-2 p-4">
      <div className="flex items-start gap-2">
        <h2 className="flex-1 text-lg">
          <Link to={`/t/${table.key}/${may.design ? "rules" : "records"}`} className="hover:underline">
            {table.label}
          </Link>
        </h2>
        {may.design && (
          <>
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              title={`${t("overview.rename")}: ${table.label}`}
              onClick={() => setAsking("rename")}
            >
              <Pencil size={14} aria-hidden />
            </button>
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              title={`${t("overview.remove")}: ${table.label}`}
              onClick={() => setAsking("remove")}
            >
              <Trash2 size={14} aria-hidden />
            </button>
          </>
        )}
      </div>
      {table.note && <p className="quiet">{table.note}</p>}
      <p className="quiet text-xs">{table.sentence}</p>
      <p className="thread my-1 h-2" aria-hidden />
      <p className="line-clamp-2 text-[0.8125rem]">{table.fields.join(", ")}</p>
      <p className="quiet mt-auto flex flex-wrap gap-x-4 text-xs">
        <Link to={`/t/${table.key}/records`} className="underline-offset-2 hover:underline">
          {t("overview.records", { count: table.records })}
        </Link>
        <span>{t("overview.fields", { count: table.fields.length })}</span>
        <Link to={`/t/${table.key}/rules`} className="underline-offset-2 hover:underline">
          {t("overview.rules", { count: table.rules })}
        </Link>
      </p>
      {asking === "remove" && (
        <Confirm
          title={t("overview.removeTitle", { table: table.label })}
          action={t("overview.remove")}
          onClose={() => setAsking(null)}
          onConfirm={() =>
            remove.mutate(table.key, { onSuccess: () => toast(t("overview.removed", { table: table.label })) })
          }
        >
          <p>{t("overview.removeText", { n: table.records })}</p>
          {elsewhere.length > 0 && (
            <>
              <p className="mt-2">{t("overview.removeElsewhere")}</p>
              <ul className="list-disc pl-5">
                {elsewhere.map((rule) => (
                  <li key={rule}>{rule}</li>
                ))}
              </ul>
            </>
          )}
          {remove.error && (
            <p className="mt-2 text-error" role="alert">
              {remove.error.message}
            </p>
          )}
        </Confirm>
      )}
      {asking === "rename" && <RenameTable table={table} onClose={() => setAsking(null)} />}
    </section>
  );
}

function NewTable() {
  const add = useAddTable();
  const navigate = useNavigate();
  const [label, setLabel] = useState("");
  return (
    <form
      className="flex flex-col justify-center gap-2 rounded-[var(--radius-box)] border border-base-300
        border-dashed p-4"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate({ label }, { onSuccess: (table) => table && navigate(`/t/${table.key}/rules`) });
      }}
    >
      <label htmlFor="new-table" className="font-semibold">
        {t("overview.add")}
      </label>
      <div className="flex gap-2">
        <input
          id="new-table"
          value={label}
          onChange={(event) => {
            setLabel(event.target.value);
            if (add.isError) add.reset();
          }}
          placeholder={t("overview.addPlaceholder")}
          className="input flex-1"
          aria-invalid={add.isError}
        />
        <button type="submit" className="btn btn-primary" disabled={add.isPending}>
          <Plus size={16} aria-hidden />
          {t("overview.create")}
        </button>
      </div>
      {add.error && (
        <p className="text-error" role="alert">
          {add.error.message}
        </p>
      )}
    </form>
  );
}
