import { useQueries, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, data, type Job, type RecordData } from "./client";
import type { components } from "./generated";
import { reported } from "./jobs";
import type { Typed } from "./queries";

type Schemas = components["schemas"];
export type Report = Schemas["Report"];
export type Total = Schemas["Total"];
export type Keep = Schemas["Keep"];

/** What of a table's records is looked at, as the API takes it: keys of fields, each with a minus where the greatest comes first. */
export type View = { sort: string; filter: string };

/** Records fetched at a time: a screen of them, and as many again. */
export const PAGE = 60;

/** One page by its place, as everything that shows records in order asks for it. */
export const listRecords = (
  table: string,
  query: { sort?: string; filter?: string; at?: number; limit?: number; fields?: string },
  signal?: AbortSignal,
) => data(api.GET("/api/tables/{table}/records", { params: { path: { table }, query }, signal }));

/** How many records there are, how many match, and what fields come to over those. */
export const useTotals = (table: string, filter: string, fields: string[]) =>
  useQuery({
    queryKey: ["records", table, "totals", filter, fields],
    queryFn: ({ signal }) =>
      data(
        api.GET("/api/tables/{table}/totals", {
          params: { path: { table }, query: { filter: filter || undefined, fields: fields.join(",") || undefined } },
          signal,
        }),
      ),
    placeholderData: (before, query) => (query?.queryKey[1] === table ? before : undefined),
  });

/**
 * The records of a list between two places and around them, page by page; those that are not
 * looked at any more are let go. Whoever drags the bar passes thousands of pages: the next ones
 * are asked for once those before are in, so that some always come.
 */
export function useWindow(table: string, view: View, from: number, to: number) {
  const client = useQueryClient();
  const key = (page: number) => ["records", table, "window", view.sort, view.filter, page];
  const first = Math.max(0, Math.floor(from / PAGE) - 1);
  const wanted = Array.from({ length: Math.floor(to / PAGE) + 2 - first }, (_, index) => first + index);
  const [pages, setPages] = useState(wanted);
  const found = useQueries({
    queries: pages.map((page) => ({
      queryKey: key(page),
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        listRecords(
          table,
          { sort: view.sort || undefined, filter: view.filter || undefined, at: page * PAGE, limit: PAGE },
          signal,
        ),
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

/** Writes records through the rules, as one change that can be taken back. */
export const writeBatch = (table: string, records: Draft[], keep: Keep) =>
  data(api.POST("/api/tables/{table}/batch", { params: { path: { table } }, body: { records, keep, way: "grid" } }));

export type BulkWish = {
  do: "change" | "delete" | "copy" | "number" | "tidy";
  ids?: number[];
  filter?: string;
  typed?: Typed;
};

/** Does the same with many records, or tries it; long ones go on in the background. */
export const changeMany = (table: string, wish: BulkWish, keep: Keep) =>
  reported<Report>(
    api.POST("/api/tables/{table}/bulk", { params: { path: { table } }, body: { ...wish, keep } }) as Promise<{
      data?: Report | Job;
      response: Response;
    }>,
  );

/** Takes back a change of many records. */
export const undoBatch = (batch: number) =>
  reported<{ undone: number; left: number }>(
    api.POST("/api/history/batches/{batch}/undo", { params: { path: { batch } } }) as Promise<{
      data?: { undone: number; left: number } | Job;
      response: Response;
    }>,
  );
