import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { address } from "./address";
import { api, data } from "./client";
import type { components, paths } from "./generated";
import { awaitJob } from "./jobs";
import { queryKeys } from "./queryKeys";

/** Which entries of the change log are asked for. */
export type Question = Omit<NonNullable<paths["/api/history"]["get"]["parameters"]["query"]>, "before" | "way">;

/** Parts of the address that say which entries are wanted. */
export const FILTERS = ["record", "person", "field", "rule", "channel", "from", "to"] as const;

/** What leaves every filter empty. */
export const UNFILTERED = Object.fromEntries(FILTERS.map((name) => [name, null]));
/** What an operation answers. */
type Told<Answers extends { responses: { 200: { content: { "application/json": unknown } } } }> =
  Answers["responses"][200]["content"]["application/json"];
export type Difference = Told<paths["/api/design/revisions/{revision}/differences"]["get"]>[number];
export type Verdict = Told<paths["/api/history/verify"]["post"]>;
export type RecordData = components["schemas"]["Record"];

export const useHistory = (question: Question) =>
  useInfiniteQuery({
    queryKey: queryKeys.history(question),
    queryFn: ({ pageParam }) =>
      data(api.GET("/api/history", { params: { query: { ...question, before: pageParam } } })),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.more ? page.entries.at(-1)?.id : undefined),
    placeholderData: (before) => before,
  });

/** How many saves there were over time. */
export const useHistoryCounts = (question: Question) =>
  useQuery({
    queryKey: queryKeys.historyCounts(question),
    queryFn: () => data(api.GET("/api/history/counts", { params: { query: question } })),
    placeholderData: (before) => before,
  });

/** Where the same entries can be taken out as a file. */
export function exportAddress(question: Question, kind: "csv" | "json") {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(question)) if (value !== undefined) query.set(name, String(value));
  return address(`/api/history/export.${kind}?${query}`);
}

/** Puts back a value, a record as it was, or a deleted record. */
export function usePutBackEntry() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ entry, field }: { entry: number; field?: string }) =>
      data(
        api.POST("/api/history/entries/{entry}/put-back", {
          params: { path: { entry } },
          body: field ? { field } : {},
        }),
      ),
    onSuccess: () => {
      client.invalidateQueries();
    },
  });
}

export const useVerifyLog = () => useMutation({ mutationFn: () => awaitJob(api.POST("/api/history/verify")) });

export const useRevisions = (person: number | undefined) =>
  useQuery({
    queryKey: queryKeys.revisions(person),
    queryFn: () => data(api.GET("/api/design/revisions", { params: { query: { person } } })),
    placeholderData: (before) => before,
  });

/** What a revision made different. */
export const useDifferences = (revision: number, enabled: boolean) =>
  useQuery({
    queryKey: queryKeys.differences(revision),
    queryFn: () => data(api.GET("/api/design/revisions/{revision}/differences", { params: { path: { revision } } })),
    enabled,
    staleTime: Number.POSITIVE_INFINITY,
  });

/** What putting a state of the design back would do. */
export const useForesight = (revision: number) =>
  useQuery({
    queryKey: queryKeys.restorePreview(revision),
    queryFn: () => data(api.GET("/api/design/revisions/{revision}/foresight", { params: { path: { revision } } })),
    gcTime: 0,
  });

export function usePutBackRule() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ revision, rule }: { revision: number; rule: string }) =>
      awaitJob(
        api.POST("/api/design/revisions/{revision}/rules/{rule}/put-back", { params: { path: { revision, rule } } }),
      ),
    onSuccess: () => {
      client.invalidateQueries();
    },
  });
}
