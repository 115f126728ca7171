import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  api,
  asSent,
  type Column,
  data,
  type FieldParts,
  type Pieces,
  type RuleParts,
  type Scalar,
  type Script,
  setWriteKey,
  type Table,
} from "./client";
import type { components } from "./generated";
import { awaitJob } from "./jobs";
import { queryKeys } from "./queryKeys";

export const useSession = () =>
  useQuery({
    queryKey: queryKeys.session(),
    queryFn: async () => {
      const session = await data(api.GET("/api/session"));
      setWriteKey(session.write_key);
      return session;
    },
    refetchInterval: (query) => (query.state.error ? false : 60_000),
  });

export const useTables = () => useQuery({ queryKey: queryKeys.tables(), queryFn: () => data(api.GET("/api/tables")) });

export const useTable = (table: string) =>
  useQuery({
    queryKey: queryKeys.table(table),
    queryFn: () => data(api.GET("/api/tables/{table}", { params: { path: { table } } })),
    enabled: table !== "",
  });

export const useFunctions = () =>
  useQuery({
    queryKey: queryKeys.functions(),
    queryFn: () => data(api.GET("/api/functions")),
    staleTime: Number.POSITIVE_INFINITY,
  });

/** Fields and rules of all tables, and what feeds what. */
export const useMap = () => useQuery({ queryKey: queryKeys.map(), queryFn: () => data(api.GET("/api/map")) });

export const useRecord = (table: string, id: number | null) =>
  useQuery({
    queryKey: queryKeys.record(table, id),
    queryFn: () => data(api.GET("/api/tables/{table}/records/{id}", { params: { path: { table, id: id ?? 0 } } })),
    enabled: id !== null,
    gcTime: 0,
  });

/** The latest records of a table. */
export const useLatest = (table: string) =>
  useQuery({
    queryKey: queryKeys.latestRecords(table),
    queryFn: () =>
      data(api.GET("/api/tables/{table}/records", { params: { path: { table }, query: { sort: "-id", limit: 200 } } })),
  });

/** How many records a filter lets through. */
export const countMatching = async (table: string, filter: string) =>
  (await data(api.GET("/api/tables/{table}/totals", { params: { path: { table }, query: { filter } } }))).matching;

/** What formulas can name in every table. */
export const useNames = () => useQuery({ queryKey: queryKeys.names(), queryFn: () => data(api.GET("/api/names")) });

/** Records of a table by words of their names. */
export const findMatches = (table: string, text: string, signal?: AbortSignal) =>
  data(api.GET("/api/tables/{table}/matches", { params: { path: { table }, query: { text } }, signal }));

/** Records that a link of a draft can point to. */
export const findCandidates = (
  table: string,
  field: string,
  body: { text: string; typed: Typed; id: number | null; records?: NonNullable<Script["records"]> },
  signal?: AbortSignal,
) =>
  data(api.POST("/api/tables/{table}/fields/{field}/candidates", { params: { path: { table, field } }, body, signal }));

export const checkFormula = (table: string, formula: string, condition: boolean, signal?: AbortSignal) =>
  data(api.POST("/api/tables/{table}/formula", { params: { path: { table } }, body: { formula, condition }, signal }));

export const writePieces = (table: string, pieces: Pieces) =>
  data(api.POST("/api/tables/{table}/pieces", { params: { path: { table } }, body: { pieces } }));

export const foreseeDeletion = (table: string, id: number) =>
  data(api.GET("/api/tables/{table}/records/{id}/deletion", { params: { path: { table, id } } }));

/** Everything shown may have changed with the design, so all of it is asked for again. */
export function useDesignChange<Input, Output>(change: (input: Input) => Promise<Output>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    // One after the other, in the order in which they were asked for.
    scope: { id: "design" },
    // Not waited for: what was changed may be gone from the screen once the answers are in,
    // and with it whoever wanted to say that it was done.
    onSuccess: () => {
      client.invalidateQueries();
    },
  });
}

export const useAddTable = () =>
  useDesignChange((body: { label: string; one?: string }) => awaitJob(api.POST("/api/tables", { body })));

export const useRenameTable = () =>
  useDesignChange(
    ({
      table,
      ...body
    }: {
      table: string;
      label?: string;
      one?: string;
      note?: string;
      title?: string | null;
      review?: Table["review"];
      log?: Table["log"];
      access?: Table["access"];
      aliases?: string[];
    }) => awaitJob(api.PATCH("/api/tables/{table}", { params: { path: { table } }, body })),
  );

export const useRemoveTable = () =>
  useDesignChange((table: string) => awaitJob(api.DELETE("/api/tables/{table}", { params: { path: { table } } })));

export const useAddField = (table: string) =>
  useDesignChange((body: FieldParts & { label: string; type: string }) =>
    awaitJob(api.POST("/api/tables/{table}/fields", { params: { path: { table } }, body })),
  );

export const useChangeField = (table: string) =>
  useDesignChange(({ field, ...body }: FieldParts & { field: string }) =>
    awaitJob(api.PATCH("/api/tables/{table}/fields/{field}", { params: { path: { table, field } }, body })),
  );

/** What follows when choices of a field are renamed or merged. */
export const foreseeChoices = (
  table: string,
  field: string,
  body: { choices: string[]; retired: string[]; renamed: Record<string, string> },
) => data(api.POST("/api/tables/{table}/fields/{field}/choices/preview", { params: { path: { table, field } }, body }));

export const useRemoveField = (table: string) =>
  useDesignChange((field: string) =>
    awaitJob(api.DELETE("/api/tables/{table}/fields/{field}", { params: { path: { table, field } } })),
  );

export const usePinRule = (table: string) =>
  useDesignChange((rule: RuleParts) => {
    if (!rule.id)
      return awaitJob(api.POST("/api/tables/{table}/rules", { params: { path: { table } }, body: asSent(rule) }));
    const path = { table, rule: rule.id };
    return awaitJob(api.PUT("/api/tables/{table}/rules/{rule}", { params: { path }, body: asSent(rule) }));
  });

export const useUnpinRule = (table: string) =>
  useDesignChange((rule: string) =>
    awaitJob(api.DELETE("/api/tables/{table}/rules/{rule}", { params: { path: { table, rule } } })),
  );

export const useKeepFilter = (table: string) =>
  useDesignChange((body: { name: string; formula: string; sort?: string | null; columns?: Column[] | null }) =>
    awaitJob(api.POST("/api/tables/{table}/filters", { params: { path: { table } }, body })),
  );

export const useDropFilter = (table: string) =>
  useDesignChange((filter: string) =>
    awaitJob(api.DELETE("/api/tables/{table}/filters/{filter}", { params: { path: { table, filter } } })),
  );

type ListParts = components["schemas"]["ListParts"];

/** What follows when choices of a list are renamed or merged. */
export const foreseeList = (list: string, body: ListParts) =>
  data(api.POST("/api/lists/{list}/preview", { params: { path: { list } }, body }));

export const useKeepList = () =>
  useDesignChange(({ id, ...body }: ListParts & { id: string | null }) =>
    id
      ? awaitJob(api.PUT("/api/lists/{list}", { params: { path: { list: id } }, body }))
      : awaitJob(api.POST("/api/lists", { body })),
  );

/** More choices of a field, at the end of its own list or of the one that it shares. */
export const useAddChoices = (table: string) =>
  useDesignChange(async ({ field, texts }: { field: Table["fields"][number]; texts: string[] }) => {
    const choices = [...field.choices, ...texts];
    if (!field.list)
      return awaitJob(
        api.PATCH("/api/tables/{table}/fields/{field}", {
          params: { path: { table, field: field.key } },
          body: { choices, retired: field.retired },
        }),
      );
    const list = (await data(api.GET("/api/lists"))).find((each) => each.id === field.list);
    return awaitJob(
      api.PUT("/api/lists/{list}", {
        params: { path: { list: field.list } },
        body: { name: list?.name ?? "", values: choices, retired: field.retired },
      }),
    );
  });

export const useDropList = () =>
  useDesignChange((list: string) => awaitJob(api.DELETE("/api/lists/{list}", { params: { path: { list } } })));

/** A field for a detail of a linked record, filled by a rule. */
export const useBringDetail = (table: string) =>
  useDesignChange((body: { link: string; detail: string; copy: boolean }) =>
    awaitJob(api.POST("/api/tables/{table}/details", { params: { path: { table } }, body })),
  );

/** Takes back a change of many records. */
export const useUndoBatch = () =>
  useDesignChange((batch: number) =>
    awaitJob(api.POST("/api/history/batches/{batch}/undo", { params: { path: { batch } } })),
  );

export const useUndo = () => useDesignChange(() => awaitJob(api.POST("/api/design/undo")));
export const useRedo = () => useDesignChange(() => awaitJob(api.POST("/api/design/redo")));
export const usePutBack = () =>
  useDesignChange((revision: number) =>
    awaitJob(api.POST("/api/design/revisions/{revision}/put-back", { params: { path: { revision } } })),
  );

export const useTableLosses = (table: string, enabled: boolean) =>
  useQuery({
    queryKey: queryKeys.tableLosses(table),
    queryFn: () => data(api.GET("/api/tables/{table}/losses", { params: { path: { table } } })),
    enabled,
    gcTime: 0,
  });

export const losses = (
  table: string,
  field: string,
  query: { type?: string; choices?: string; list?: string; target?: string },
) =>
  data(
    api.GET("/api/tables/{table}/fields/{field}/losses", {
      params: { path: { table, field }, query },
    }),
  );

/** How many old records each rule that lets them be still lets be. */
export const useOpenCounts = (table: string, enabled: boolean) =>
  useQuery({
    queryKey: queryKeys.exempt(table),
    queryFn: () => data(api.GET("/api/tables/{table}/rules/open", { params: { path: { table } } })),
    enabled,
  });

export type Typed = { [key: string]: Scalar };
