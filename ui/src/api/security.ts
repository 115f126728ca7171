import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, data } from "./client";
import { confirmed } from "./confirmed";
import type { components } from "./generated";
import { queryKeys, refresh } from "./queryKeys";

export type SignedIn = components["schemas"]["SignedIn"];
export type SecurityEvent = components["schemas"]["SecurityEvent"];

/** Events of a page, as the server gives them. */
const PAGE = 50;

export const useSessions = () =>
  useQuery({ queryKey: queryKeys.sessions(), queryFn: () => data(api.GET("/api/sessions")) });

export const useSecurityLog = () =>
  useInfiniteQuery({
    queryKey: queryKeys.security(),
    queryFn: ({ pageParam }) =>
      data(api.GET("/api/security", { params: { query: pageParam ? { before: pageParam } : {} } })),
    initialPageParam: 0,
    getNextPageParam: (page: SecurityEvent[]) => (page.length < PAGE ? undefined : page.at(-1)?.id),
  });

/** Something done to people or sessions, after which all of it is asked for again. */
export function useSecurity<Input, Output>(work: (input: Input) => Promise<Output>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: work,
    onSuccess: () => {
      refresh(client, "people", "session", "sessions", "security", "tokens");
    },
  });
}

export const endSession = (id: number) => data(api.DELETE("/api/sessions/{id}", { params: { path: { id } } }));
export const endOtherSessions = () => data(api.DELETE("/api/sessions"));
export const endDemo = () => confirmed(() => data(api.POST("/api/demo/end")));
export const makeAnonymous = (id: number) =>
  confirmed(() => data(api.POST("/api/people/{id}/anonymise", { params: { path: { id } } })));
