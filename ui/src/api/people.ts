import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, data, setWriteKey } from "./client";
import { confirmed } from "./confirmed";
import type { components } from "./generated";
import { queryKeys } from "./queryKeys";

export type PersonEntry = components["schemas"]["PersonEntry"];
export type PersonParts = components["schemas"]["PersonParts"];

export const usePeople = () => useQuery({ queryKey: queryKeys.people(), queryFn: () => data(api.GET("/api/people")) });

/** Adds a person, or changes the one with the number. */
export function useKeepPerson() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: PersonParts & { id: number | null }) =>
      confirmed(() =>
        id === null
          ? data(api.POST("/api/people", { body }))
          : data(api.PATCH("/api/people/{id}", { params: { path: { id } }, body })),
      ),
    onSuccess: () => {
      client.invalidateQueries({ queryKey: queryKeys.people() });
      client.invalidateQueries({ queryKey: queryKeys.session() });
    },
  });
}

export function useOwnPassword() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: { old: string; new: string }) => data(api.PUT("/api/session/password", { body })),
    onSuccess: (session) => {
      setWriteKey(session.write_key);
      client.setQueryData(queryKeys.session(), session);
    },
  });
}

export const signOut = () => api.DELETE("/api/session");
