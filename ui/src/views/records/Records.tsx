import { ArrowDown, ArrowUp, Plus } from "lucide-react";
import { Link, useSearchParams } from "react-router";
import { useRecords } from "../../api/queries";
import { useTableHere } from "../../app/TableFrame";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { words } from "../../words";
import { FilterBar } from "./FilterBar";
import { FROZEN, Rows } from "./Rows";
import { widthOf } from "./widths";

/** All records of the table in a grid, sorted by any column. */
export default function Records() {
  const table = useTableHere();
  const [params, setParams] = useSearchParams();
  const sort = params.get("sort");
  const descending = params.get("descending") === "yes";
  const filter = params.get("filter") ?? "";
  const pages = useRecords(table.key, sort, descending, filter);
  const records = pages.data?.pages.flatMap((page) => page.records) ?? [];
  const total = pages.data?.pages[0]?.total ?? 0;
  const matching = pages.data?.pages[0]?.matching ?? 0;
  // A change of one part of the address keeps the others.
  const put = (parts: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [name, value] of Object.entries(parts)) {
      if (value) next.set(name, value);
      else next.delete(name);
    }
    setParams(next, { replace: true });
  };
  const columns = `3.5rem ${table.fields.map((field) => `${widthOf(field, records)}rem`).join(" ")}`;

  const sortBy = (key: string) => {
    if (sort !== key) put({ sort: key, descending: null });
    else if (!descending) put({ descending: "yes" });
    else put({ sort: null, descending: null });
  };

  return (
    <div className="flex h-full flex-col px-5 pt-5 pb-4">
      <div className="mb-3 flex items-end gap-4">
        <h1 className="min-w-0 flex-1 truncate text-2xl">{table.label}</h1>
        {pages.data && (
          <span className="quiet text-xs">
            {filter ? words.records.filtered(matching, total) : words.records.shown(records.length, total)}
          </span>
        )}
        {table.may.edit && table.rules.some((rule) => rule.kind === "tidy") && (
          <Link to={`/t/${table.key}/tidy`} className="btn btn-ghost btn-sm">
            {words.tidyReview.link}
          </Link>
        )}
        {table.may.edit && (
          <Link to={`/t/${table.key}/forms`} className="btn btn-primary btn-sm">
            <Plus size={15} aria-hidden />
            {`${words.records.add} ${table.one.toLowerCase()}`}
          </Link>
        )}
      </div>
      {total > 0 || filter ? (
        <FilterBar table={table} filter={filter} onFilter={(text) => put({ filter: text })} error={pages.error} />
      ) : null}
      {!pages.data && (pages.error ? !filter && <Failure error={pages.error} retry={pages.refetch} /> : <Loading />)}
      {pages.data && total === 0 && (
        <div className="sheet flex flex-col items-start gap-3 p-6">
          <p>{words.records.empty}</p>
          <Link to={`/t/${table.key}/forms`} className="btn btn-primary btn-sm">
            {words.records.addFirst}
          </Link>
        </div>
      )}
      {total > 0 && matching === 0 && <p className="sheet p-6">{words.records.noMatch}</p>}
      {matching > 0 && (
        <Rows
          table={table}
          records={records}
          columns={columns}
          onEnd={() => pages.hasNextPage && !pages.isFetchingNextPage && pages.fetchNextPage()}
        >
          <div role="columnheader" className="quiet sticky left-0 bg-base-100 px-3 py-2 text-right text-xs">
            {words.records.number}
          </div>
          {table.fields.map((field, index) => (
            <div
              key={field.key}
              role="columnheader"
              aria-sort={sort === field.key ? (descending ? "descending" : "ascending") : "none"}
              className={`min-w-0 ${index === 0 ? FROZEN : ""}`}
            >
              <button
                type="button"
                title={words.records.sortBy(field.label)}
                onClick={() => sortBy(field.key)}
                className={`flex w-full items-center gap-1 px-3 py-2 font-semibold text-secondary text-xs hover:bg-base-200 ${field.kind === "number" ? "justify-end" : ""}`}
              >
                <span className="truncate">{field.label}</span>
                {sort === field.key &&
                  (descending ? <ArrowDown size={12} aria-hidden /> : <ArrowUp size={12} aria-hidden />)}
              </button>
            </div>
          ))}
        </Rows>
      )}
    </div>
  );
}
