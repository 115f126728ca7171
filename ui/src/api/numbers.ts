import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, data } from "./client";
import type { components } from "./generated";
import { awaitJob } from "./jobs";
import { queryKeys } from "./queryKeys";

export type Count = components["responses"]["Counts"]["content"]["application/json"]["counts"][number];

/** Where the counts of an auto-number stand. */
export const useCounts = (table: string, rule: string) =>
  useQuery({
    queryKey: queryKeys.counts(table, rule),
    queryFn: () => data(api.GET("/api/tables/{table}/rules/{rule}/counts", { params: { path: { table, rule } } })),
  });

export function useSetCount(table: string, rule: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: { series: string; next: number }) =>
      data(api.PUT("/api/tables/{table}/rules/{rule}/counts", { params: { path: { table, rule } }, body })),
    onSuccess: (found) => {
      client.setQueryData(queryKeys.counts(table, rule), found);
      for (const kind of ["table", "waiting"] as const) client.invalidateQueries({ queryKey: [kind, table] });
    },
  });
}

/** Records that lack their number, as they would be numbered. */
export const useWaiting = (table: string, rule: string, order: string, descending: boolean) =>
  useQuery({
    queryKey: queryKeys.waiting(table, rule, order, descending),
    queryFn: () =>
      data(
        api.GET("/api/tables/{table}/rules/{rule}/waiting", {
          params: { path: { table, rule }, query: { order: order || undefined, descending } },
        }),
      ),
    placeholderData: (before) => before,
  });

export function useGiveNumbers(table: string, rule: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: { order: string; descending: boolean }) =>
      awaitJob(api.POST("/api/tables/{table}/rules/{rule}/waiting", { params: { path: { table, rule } }, body })),
    onSuccess: () => {
      client.invalidateQueries();
    },
  });
}
