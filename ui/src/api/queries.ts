import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, data, type FieldParts, type RuleParts, type Scalar } from "./client";

export const useSession = () =>
  useQuery({ queryKey: ["session"], queryFn: () => data(api.GET("/api/session")), refetchInterval: 60_000 });

export const useTables = () => useQuery({ queryKey: ["tables"], queryFn: () => data(api.GET("/api/tables")) });

export const useTable = (table: string) =>
  useQuery({
    queryKey: ["table", table],
    queryFn: () => data(api.GET("/api/tables/{table}", { params: { path: { table } } })),
    enabled: table !== "",
  });

export const useFunctions = () =>
  useQuery({
    queryKey: ["functions"],
    queryFn: () => data(api.GET("/api/functions")),
    staleTime: Number.POSITIVE_INFINITY,
  });

export const useRecord = (table: string, id: number | null) =>
  useQuery({
    queryKey: ["record", table, id],
    queryFn: () => data(api.GET("/api/tables/{table}/records/{id}", { params: { path: { table, id: id ?? 0 } } })),
    enabled: id !== null,
    gcTime: 0,
  });

/** Sorted pages of records, each fetched when it is scrolled to. */
export const useRecords = (table: string, sort: string | null, descending: boolean) =>
  useInfiniteQuery({
    queryKey: ["records", table, sort, descending],
    queryFn: ({ pageParam }) =>
      data(
        api.GET("/api/tables/{table}/records", {
          params: { path: { table }, query: { sort: sort ?? undefined, descending, after: pageParam, limit: 200 } },
        }),
      ),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.more ? page.records.at(-1)?.id : undefined),
  });

export const useHistory = (table: string | undefined, record: number | undefined) =>
  useInfiniteQuery({
    queryKey: ["history", table, record],
    queryFn: ({ pageParam }) =>
      data(api.GET("/api/history", { params: { query: { table, record, before: pageParam } } })),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.more ? page.entries.at(-1)?.id : undefined),
  });

export const useRevisions = () =>
  useQuery({ queryKey: ["revisions"], queryFn: () => data(api.GET("/api/design/revisions")) });

/** Everything shown may have changed with the design, so all of it is asked for again. */
function useDesignChange<Input, Output>(change: (input: Input) => Promise<Output>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    // Not waited for: what was changed may be gone from the screen once the answers are in,
    // and with it whoever wanted to say that it was done.
    onSuccess: () => {
      client.invalidateQueries();
    },
  });
}

export const useAddTable = () =>
  useDesignChange((body: { label: string; one?: string }) => data(api.POST("/api/tables", { body })));

export const useRenameTable = () =>
  useDesignChange(({ table, ...body }: { table: string; label?: string; one?: string; note?: string }) =>
    data(api.PATCH("/api/tables/{table}", { params: { path: { table } }, body })),
  );

export const useRemoveTable = () =>
  useDesignChange((table: string) => data(api.DELETE("/api/tables/{table}", { params: { path: { table } } })));

export const useAddField = (table: string) =>
  useDesignChange((body: FieldParts & { label: string; type: string }) =>
    data(api.POST("/api/tables/{table}/fields", { params: { path: { table } }, body })),
  );

export const useChangeField = (table: string) =>
  useDesignChange(({ field, ...body }: FieldParts & { field: string }) =>
    data(api.PATCH("/api/tables/{table}/fields/{field}", { params: { path: { table, field } }, body })),
  );

export const useRemoveField = (table: string) =>
  useDesignChange((field: string) =>
    data(api.DELETE("/api/tables/{table}/fields/{field}", { params: { path: { table, field } } })),
  );

export const usePinRule = (table: string) =>
  useDesignChange((rule: RuleParts) => {
    if (!rule.id) return data(api.POST("/api/tables/{table}/rules", { params: { path: { table } }, body: rule }));
    const path = { table, rule: rule.id };
    return data(api.PUT("/api/tables/{table}/rules/{rule}", { params: { path }, body: rule }));
  });

export const useUnpinRule = (table: string) =>
  useDesignChange((rule: string) =>
    data(api.DELETE("/api/tables/{table}/rules/{rule}", { params: { path: { table, rule } } })),
  );

export const useUndo = () => useDesignChange(() => data(api.POST("/api/design/undo")));
export const useRedo = () => useDesignChange(() => data(api.POST("/api/design/redo")));
export const usePutBack = () =>
  useDesignChange((revision: number) =>
    data(api.POST("/api/design/revisions/{revision}/put-back", { params: { path: { revision } } })),
  );
export const useActAs = () =>
  useDesignChange((person_id: number) => data(api.PUT("/api/session", { body: { person_id } })));

export const losses = (table: string, field: string, type?: string, choices?: string) =>
  data(
    api.GET("/api/tables/{table}/fields/{field}/losses", {
      params: { path: { table, field }, query: { type, choices } },
    }),
  );

export const previewRule = (table: string, rule: RuleParts, signal: AbortSignal) =>
  data(api.POST("/api/tables/{table}/rules/preview", { params: { path: { table } }, body: rule, signal }));

export type Typed = { [key: string]: Scalar };
