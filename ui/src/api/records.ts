import { useQueries, useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api, data, ProblemError, type RecordData } from "./client";
import type { components } from "./generated";
import { awaitJob } from "./jobs";
import type { Typed } from "./queries";
import { queryKeys } from "./queryKeys";
import { untilAnswered, writeName } from "./sending";

type Schemas = components["schemas"];
export type Report = Schemas["Report"];
export type Total = Schemas["Total"];
export type Keep = Schemas["Keep"];

/**
 * What of a table's records is looked at, as the API takes it: keys of fields, each with a minus where the greatest
 * comes first.
 */
export type View = { sort: string; filter: string; search: string };

/** A view as a query of the API, without what is not set. */
export const queryOf = ({ sort, filter, search }: View) => ({
  sort: sort || undefined,
  filter: filter || undefined,
  search: search || undefined,
});

/** Records fetched at a time: a screen of them, and as many again. */
export const PAGE = 60;

/** One page by its place, as everything that shows records in order asks for it. */
export const listRecords = (
  table: string,
  query: {
    sort?: string | undefined;
    filter?: string | undefined;
    search?: string | undefined;
    at?: number;
    limit?: number;
    fields?: string;
  },
  signal?: AbortSignal,
) => data(api.GET("/api/tables/{table}/records", { params: { path: { table }, query }, signal }));

/** How many records there are, how many match, and what fields come to over those. */
export const useTotals = (table: string, { filter, search }: Omit<View, "sort">, fields: string[]) =>
  useQuery({
    queryKey: queryKeys.recordTotals(table, filter, search, fields),
    queryFn: ({ signal }) =>
      data(
        api.GET("/api/tables/{table}/totals", {
          params: {
            path: { table },
            query: { filter: filter || undefined, search: search || undefined, fields: fields.join(",") || undefined },
          },
          signal,
        }),
      ),
    placeholderData: (before, query) => (query?.queryKey[1] === table ? before : undefined),
  });

/** Milliseconds of scrolling for which pages are fetched ahead, and pages at most. */
const AHEAD = 400;
const FARTHEST = 8;
/** Rows a millisecond from which on somebody looks for a place, and nothing on the way is seen. */
const FLYING = 5;

/** How many pages beyond those in sight will be soon, negative for those above. */
function useAhead(from: number): number {
  const seen = useRef({ from, at: 0, speed: 0 });
  const now = performance.now();
  const { from: before, at, speed } = seen.current;
  if (from !== before) {
    const latest = (from - before) / Math.max(now - at, 1);
    seen.current = { from, at: now, speed: Math.sign(latest) === Math.sign(speed) ? (latest + speed) / 2 : latest };
  } else if (now - at > AHEAD) seen.current.speed = 0;
  const rows = seen.current.speed;
  if (Math.abs(rows) > FLYING) return 0;
  return Math.sign(rows) * Math.min(Math.ceil((Math.abs(rows) * AHEAD) / PAGE), FARTHEST);
}

/**
 * The records of a list between two places and around them, page by page; those that are not
 * looked at any more are let go. Whoever drags the bar passes thousands of pages: the next ones
 * are asked for once those before are in, so that some always come.
 */
export function useWindow(table: string, view: View, from: number, to: number) {
  const client = useQueryClient();
  const key = (page: number) => ["records", table, "window", view.sort, view.filter, view.search, page];
  const ahead = useAhead(from);
  const first = Math.max(0, Math.floor(from / PAGE) - 1 + Math.min(ahead, 0));
  const last = Math.floor(to / PAGE) + 1 + Math.max(ahead, 0);
  const wanted = Array.from({ length: last + 1 - first }, (_, index) => first + index);
  const [pages, setPages] = useState(wanted);
  const found = useQueries({
    queries: pages.map((page) => ({
      queryKey: key(page),
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        listRecords(table, { ...queryOf(view), at: page * PAGE, limit: PAGE }, signal),
      gcTime: 120_000,
      retry: false,
    })),
  });
  const there = wanted.every((page) => client.getQueryData(key(page)) !== undefined);
  if (wanted.join() !== pages.join() && (there || !found.some((each) => each.isPending))) setPages(wanted);
  return {
    at: (index: number): RecordData | undefined =>
      found[Math.floor(index / PAGE) - (pages[0] ?? 0)]?.data?.records[index % PAGE],
    error: found.find((each) => each.error)?.error ?? null,
    waiting: found.some((each) => each.isPending),
  };
}

export type Draft = { id: number | null; version?: number | null; typed: Typed; reasons?: { [rule: string]: string } };

/** What became of each record of a batch. */
export type Written = components["schemas"]["Written"];

/** Records that are sent again until they are answered; more go on in the background, with their count. */
export const FEW = 200;

/**
 * Writes records through the rules, as one change that can be taken back.
 * @param onSilence told each time that no answer came
 * @param name under which few records are sent, and are written once however often they are sent
 */
export function writeBatch(
  table: string,
  records: Draft[],
  keep: Keep,
  onSilence: () => void,
  name = writeName(),
): Promise<Written> {
  const send = (headers: { [name: string]: string }) =>
    awaitJob(
      api.POST("/api/tables/{table}/batch", {
        params: { path: { table } },
        body: { records, keep, channel: "grid" },
        headers,
      }),
    );
  if (records.length > FEW) return send({}).catch(notSaved);
  const headers = { "Idempotency-Key": name };
  return untilAnswered(() => send(headers), onSilence).catch(notSaved);
}

/** That none was saved, since one was refused, tells what became of each as well. */
function notSaved(error: unknown): Written {
  if (error instanceof ProblemError && error.problem.code === "not_saved") return error.problem as unknown as Written;
  throw error;
}

/** Where in a view a text stands next, from one place on or back from it. */
export const findText = (table: string, view: View, text: string, from: number, back: boolean) =>
  data(
    api.GET("/api/tables/{table}/places", {
      params: { path: { table }, query: { ...queryOf(view), text, from, back } },
    }),
  );

/** The place of a record in a view, null where it is not in it. */
export const placeOf = async (table: string, view: View, id: number) =>
  (await data(api.GET("/api/tables/{table}/places", { params: { path: { table }, query: { ...queryOf(view), id } } })))
    .place;

export type BulkWish = {
  do: "change" | "delete" | "copy" | "number" | "tidy";
  ids?: number[];
  filter?: string;
  search?: string;
  typed?: Typed;
};

/** Does the same with many records, or tries it; long ones go on in the background. */
export const changeMany = (table: string, wish: BulkWish, keep: Keep) =>
  awaitJob(api.POST("/api/tables/{table}/bulk", { params: { path: { table } }, body: { ...wish, keep } }));

/** Takes back a change of many records; the change that did so can be taken back as well. */
export const undoBatch = (batch: number) =>
  awaitJob(api.POST("/api/history/batches/{batch}/undo", { params: { path: { batch } } }));
