import { ListFilter, X } from "lucide-react";
import { type ReactNode, useState } from "react";
import { toast } from "sonner";
import type { Column, Filter, Table } from "../../api/client";
import { useDropFilter, useKeepFilter } from "../../api/queries";
import { Popover } from "../../components/Popover";
import { t } from "../../words";
import { FilterEditor } from "./FilterEditor";

type Props = {
  table: Table;
  filter: string;
  /** A text that stands in all that is shown. */
  search: string;
  /** The kept view that is open. */
  open: Filter | undefined;
  /** What a view keeps besides its filter: ids of fields to sort by, and the columns. */
  sort: string | null;
  columns: Column[] | null;
  onFilter: (formula: string | null) => void;
  onSearch: (text: string | null) => void;
  onOpen: (view: Filter | null) => void;
  error: Error | null;
  children: ReactNode;
};

/** The kept views of a table, and the filter of the one that is looked at. */
export function ViewBar(props: Props) {
  const { table, filter, search, open, sort, columns, onFilter, onSearch, onOpen, error, children } = props;
  const [editing, setEditing] = useState(false);
  const drop = useDropFilter(table.key);
  return (
    <div className="mb-2 flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <button
          type="button"
          className={`btn btn-sm ${editing ? "btn-active" : ""}`}
          aria-expanded={editing}
          onClick={() => setEditing(!editing)}
        >
          <ListFilter size={14} aria-hidden />
          {t("filter.open")}
        </button>
        {table.filters.map((each) => (
          <span
            key={each.id}
            className={`flex items-center rounded border
              ${open?.id === each.id ? "border-secondary bg-[var(--tint-lit)]" : "border-base-300 bg-base-100"}`}
          >
            <button
              type="button"
              className="px-2 py-1 text-[0.8125rem]"
              title={each.formula || undefined}
              aria-pressed={open?.id === each.id}
              onClick={() => onOpen(open?.id === each.id ? null : each)}
            >
              {each.name}
            </button>
            {editing && (
              <button
                type="button"
                className="pr-1.5 text-[var(--quiet)]"
                title={t("grid.dropView", { name: each.name })}
                aria-label={t("grid.dropView", { name: each.name })}
                onClick={() => drop.mutate(each.id)}
              >
                <X size={13} aria-hidden />
              </button>
            )}
          </span>
        ))}
        {filter && !open && !editing && <code className="min-w-0 max-w-96 truncate font-mono text-xs">{filter}</code>}
        {search && !editing && (
          <span className="min-w-0 max-w-96 truncate text-[0.8125rem]">{t("filter.searched", { text: search })}</span>
        )}
        {(filter || open || search) && (
          <button type="button" className="link text-[0.8125rem]" onClick={() => onOpen(null)}>
            {t("filter.clear")}
          </button>
        )}
        <span className="flex-1" />
        <KeepView
          table={table}
          name={open?.name ?? ""}
          filter={filter || searchFormula(table, search)}
          sort={sort}
          columns={columns}
          onKept={onOpen}
        />
        {children}
      </div>
      {error && !editing && (
        <p className="text-error" role="alert">
          {error.message}
        </p>
      )}
      {editing && (
        <FilterEditor
          key={open?.id ?? "free"}
          table={table}
          filter={filter}
          search={search}
          onFilter={onFilter}
          onSearch={onSearch}
        />
      )}
    </div>
  );
}

/** A text that is looked for, as the condition that a kept view has. */
const searchFormula = (table: Table, text: string) =>
  text &&
  table.fields
    .filter((field) => field.kind === "text" && field.kept)
    .map((field) => `${field.key} contains "${text.replaceAll('"', '""')}"`)
    .join(" or ");

type KeepProps = Pick<Props, "table" | "filter" | "sort" | "columns"> & {
  name: string;
  onKept: (view: Filter) => void;
};

function KeepView({ table, name: before, filter, sort, columns, onKept }: KeepProps) {
  const [name, setName] = useState(before);
  const keep = useKeepFilter(table.key);
  return (
    <Popover name={t("grid.keepView")} align="right" className="btn btn-ghost btn-sm" label={t("grid.keepView")}>
      {(close) => (
        <form
          className="flex w-72 flex-col gap-2 p-1"
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate(
              { name, formula: filter, sort, columns },
              {
                onSuccess: (found) => {
                  toast(t("grid.kept", { name }));
                  const kept = found?.filters.find((each) => each.name === name.trim());
                  if (kept) onKept(kept);
                  close();
                },
              },
            );
          }}
        >
          <label className="flex flex-col gap-1">
            {t("grid.viewName")}
            <input className="input input-sm w-full" value={name} onChange={(event) => setName(event.target.value)} />
          </label>
          {keep.error && (
            <p className="text-error text-xs" role="alert">
              {keep.error.message}
            </p>
          )}
          <button type="submit" className="btn btn-primary btn-sm" disabled={name.trim() === "" || keep.isPending}>
            {t("filter.keep")}
          </button>
        </form>
      )}
    </Popover>
  );
}
