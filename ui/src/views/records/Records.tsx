import { FileUp, Plus } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { toast } from "sonner";
import { type Filter, ProblemError, type RecordData } from "../../api/client";
import { type BulkWish, useTotals } from "../../api/records";
import { useTableHere } from "../../app/TableFrame";
import { Failure } from "../../components/Failure";
import { HelpLink } from "../../components/HelpLink";
import { Loading } from "../../components/Loading";
import { WithNewLinked } from "../../components/record/WithNewLinked";
import { sentences, t } from "../../words";
import { TypedAhead } from "../forms/TypedAhead";
import { BulkBar } from "./BulkBar";
import { BulkDialog } from "./BulkDialog";
import { ColumnsMenu } from "./ColumnsMenu";
import { clashOf } from "./clash";
import { ExportMenu } from "./ExportMenu";
import { Grid, type GridHandle } from "./Grid";
import { RejectedRows } from "./RejectedRows";
import { readSort, sortOf, writeSort } from "./sorting";
import { useBatchWrite } from "./useBatchWrite";
import { useLayout } from "./useLayout";
import { useRejectedRows } from "./useRejectedRows";
import { useRowSaving } from "./useRowSaving";
import { useRowSelection } from "./useRowSelection";
import { ViewBar } from "./ViewBar";

/** All records of the table in a grid: sorted, filtered, typed in place, and changed many at a time. */
export default function RecordsView() {
  return (
    <WithNewLinked>
      <Records />
    </WithNewLinked>
  );
}

function Records() {
  const table = useTableHere();
  const [params, setParams] = useSearchParams();
  const sort = params.get("sort") ?? "";
  const filter = params.get("filter") ?? "";
  const search = params.get("search") ?? "";
  const [sample, setSample] = useState<RecordData[]>([]);
  const open = table.filters.find((each) => each.id === params.get("view"));
  const layout = useLayout(table, sample, open?.columns);
  const totals = useTotals(
    table.key,
    { filter, search },
    layout.shown.filter((column) => column.total).map((column) => column.field.key),
  );
  const writing = useBatchWrite(table);
  const mending = useRejectedRows(table);
  const { leave: onRowLeft, resume } = useRowSaving(writing, mending);
  const grid = useRef<GridHandle>(null);
  // What was typed and not yet saved when the page went is saved now, or told.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once
  useEffect(() => {
    resume().catch((error) => toast.error(error.message));
  }, []);
  const picks = useRowSelection();
  const [bulk, setBulk] = useState<BulkWish["do"] | null>(null);
  const { total = 0, matching } = totals.data ?? {};

  // A change of one part of the address keeps the others.
  const put = (parts: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [name, value] of Object.entries(parts)) {
      if (value) next.set(name, value);
      else next.delete(name);
    }
    setParams(next, { replace: true });
  };
  const idOf = (key: string) => table.fields.find((field) => field.key === key)?.id;
  const openView = (view: Filter | null) => {
    picks.none();
    if (view?.columns) layout.put(view.columns);
    else if (!view && open?.columns) layout.put(null);
    put({
      view: view?.id ?? null,
      search: null,
      filter: view?.formula || null,
      sort: view ? sortOf(table, view) || null : null,
    });
  };
  const sortIds = writeSort(
    readSort(sort).flatMap(({ key, descending }) => {
      const found = idOf(key);
      return found ? [{ key: found, descending }] : [];
    }),
  );

  const retry = async () => {
    try {
      const waiting = mending.waiting.filter((each) => each.messages.length > 0);
      const { results, report } = await writing.write(
        waiting.map(({ id, typed, version }) => ({ id, typed, version: version ?? null })),
        "passing",
      );
      for (const [place, each] of waiting.entries()) {
        const result = results[place];
        const clash = clashOf(result, each.clash?.record, each.typed);
        if (clash) mending.change(each.key, clash);
        else if (result?.state === "refused") mending.change(each.key, { messages: result.messages });
        else mending.drop([each.key]);
      }
      toast(sentences.grid.pasted(report.saved, report.refused, 0));
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };

  const picked = picks.all ? (matching ?? 0) : picks.ids.size;
  const empty = totals.data && total === 0 && mending.waiting.length === 0;
  const narrowed = filter !== "" || search !== "";
  return (
    <div className="flex h-full flex-col px-5 pt-4 pb-4">
      <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h1 className="min-w-0 flex-1 basis-40 break-words text-2xl">{table.label}</h1>
        <HelpLink page="records" />
        {totals.data && (
          <span className="quiet text-xs">
            {narrowed ? t("records.filtered", { n: matching ?? 0, total }) : sentences.records.shown(total, total)}
          </span>
        )}
        {table.may.edit && table.rules.some((rule) => rule.stage === "tidy") && (
          <Link to={`/t/${table.key}/tidy`} className="btn btn-ghost btn-sm">
            {t("tidyReview.link")}
          </Link>
        )}
        {table.may.edit && (
          <Link to={`/t/${table.key}/import`} className="btn btn-ghost btn-sm">
            <FileUp size={14} aria-hidden />
            {t("imports.link")}
          </Link>
        )}
        {table.may.edit && (
          <Link to={`/t/${table.key}/forms`} className="btn btn-primary btn-sm">
            <Plus size={15} aria-hidden />
            {`${t("records.add")} ${table.one.toLowerCase()}`}
          </Link>
        )}
      </div>
      {total > 0 || narrowed ? (
        <ViewBar
          table={table}
          filter={filter}
          search={search}
          open={open}
          sort={sortIds || null}
          columns={layout.isUsual ? null : layout.layout}
          onFilter={(text) => {
            picks.none();
            put({ filter: text, search: null, view: null });
          }}
          onSearch={(text) => {
            picks.none();
            put({ search: text, filter: null, view: null });
          }}
          onOpen={openView}
          error={totals.error}
        >
          <ExportMenu table={table} view={{ sort, filter, search }} columns={layout.shown} matching={matching ?? 0} />
          <ColumnsMenu table={table} layout={layout} />
        </ViewBar>
      ) : null}
      <div className="mb-1 empty:hidden">
        <TypedAhead />
      </div>
      <RejectedRows table={table} mending={mending} onRetry={retry} onGoTo={(row) => grid.current?.goToWaiting(row)} />
      {picked > 0 && (
        <BulkBar
          table={table}
          count={picked}
          matching={matching ?? 0}
          all={picks.all}
          onDo={setBulk}
          onAll={picks.everything}
          onNone={picks.none}
        />
      )}
      {!totals.data &&
        (totals.error ? !narrowed && <Failure error={totals.error} retry={totals.refetch} /> : <Loading />)}
      {empty && (
        <div className="sheet mb-2 flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3">
          <p>{table.may.edit ? t("records.emptyTyped") : t("records.empty")}</p>
          <Link to={`/t/${table.key}/forms`} className="btn btn-primary btn-sm">
            {t("records.addFirst")}
          </Link>
        </div>
      )}
      {total > 0 && matching === 0 && <p className="sheet mb-2 p-6">{t("records.noMatch")}</p>}
      {totals.data && (matching !== 0 || table.may.edit) && (
        <div className="sheet flex min-h-0 flex-1 flex-col overflow-hidden">
          <Grid
            key={`${sort} ${filter} ${search}`}
            ref={grid}
            table={table}
            view={{ sort, filter, search }}
            columns={layout.shown}
            layout={layout}
            matching={matching ?? 0}
            totals={totals.data.fields}
            writing={writing}
            mending={mending}
            picks={picks}
            onRowLeft={onRowLeft}
            onSort={(next) => put({ sort: next })}
            onSample={setSample}
          />
        </div>
      )}
      {bulk && (
        <BulkDialog
          table={table}
          kind={bulk}
          target={picks.all ? { filter, search } : { ids: [...picks.ids] }}
          count={picked}
          writing={writing}
          onDone={() => {
            setBulk(null);
            picks.none();
          }}
          onClose={() => setBulk(null)}
        />
      )}
    </div>
  );
}
