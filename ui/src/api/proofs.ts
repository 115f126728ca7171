import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, asSent, type CaseExample, data, type ProofParts, type RuleParts, type Script } from "./client";
import { awaitJob } from "./jobs";
import { useDesignChange } from "./queries";
import { queryKeys } from "./queryKeys";

/** Milliseconds between two looks at proofs that are being run. */
const PACE = 500;

/** All proofs with what came of them, and how far they cover the rules; looked at again while they run. */
export const useProofs = (enabled = true) =>
  useQuery({
    queryKey: queryKeys.proofs(),
    queryFn: () => data(api.GET("/api/proofs")),
    enabled,
    refetchInterval: (query) => (query.state.data && !query.state.data.fresh ? PACE : false),
  });

export const getProof = (table: string, proof: string) =>
  data(api.GET("/api/tables/{table}/proofs/{proof}", { params: { path: { table, proof } } }));

/** What a script comes to. */
export const play = (
  table: string,
  body: Script & {
    person_id?: number | null;
    expect?: ProofParts["expect"];
    propose?: boolean;
    look_at?: number | null;
  },
) => data(api.POST("/api/tables/{table}/bench", { params: { path: { table } }, body }));

export const suggestEdges = (
  table: string,
  {
    draft,
    ...rest
  }: { rule?: string; point?: string; open?: boolean; draft?: RuleParts; typed?: CaseExample["typed"] },
) =>
  data(
    api.POST("/api/tables/{table}/edges", {
      params: { path: { table } },
      body: { ...rest, ...(draft && { draft: asSent(draft) }) },
    }),
  );

/** Milliseconds between two looks at mistakes that are being counted. */
const COUNTING = 1_000;

/** How many small mistakes in the rules of a table its proofs notice; looked at again while they are counted. */
export const useMistakes = (table: string) =>
  useQuery({
    queryKey: queryKeys.mistakes(table),
    queryFn: () => data(api.GET("/api/tables/{table}/mistakes", { params: { path: { table } } })),
    refetchInterval: (query) =>
      query.state.data?.state === "running" || query.state.data?.state === "waiting" ? COUNTING : false,
  });

/** A record that tells a mistake in a rule apart. */
export const noticeMistake = (table: string, body: { rule: string; mistake: number }) =>
  data(api.POST("/api/tables/{table}/mistakes/record", { params: { path: { table } }, body }));

/** Which proofs a rule would break or mend, were it saved. */
export const endangered = (table: string, body: RuleParts, signal?: AbortSignal) =>
  data(api.POST("/api/tables/{table}/rules/proofs", { params: { path: { table } }, body: asSent(body), signal }));

export const useKeepProofs = (table: string) =>
  useDesignChange((proofs: ProofParts[]) =>
    awaitJob(api.POST("/api/tables/{table}/proofs", { params: { path: { table } }, body: { proofs } })),
  );

export const useChangeProof = (table: string) =>
  useDesignChange(({ id, ...body }: ProofParts & { id: string }) =>
    awaitJob(api.PUT("/api/tables/{table}/proofs/{proof}", { params: { path: { table, proof: id } }, body })),
  );

export const useDropProof = (table: string) =>
  useDesignChange((proof: string) =>
    awaitJob(api.DELETE("/api/tables/{table}/proofs/{proof}", { params: { path: { table, proof } } })),
  );

export function useRunProofs() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => data(api.POST("/api/proofs/run")),
    onSuccess: () => client.invalidateQueries({ queryKey: queryKeys.proofs() }),
  });
}

export const useSamples = (table: string) =>
  useQuery({
    queryKey: queryKeys.samples(table),
    queryFn: () => data(api.GET("/api/tables/{table}/samples", { params: { path: { table } } })),
  });

export const useMakeUp = (table: string) =>
  useDesignChange((body: { count: number; seed: number }) =>
    awaitJob(api.POST("/api/tables/{table}/samples", { params: { path: { table } }, body })),
  );

export const makeFailing = (table: string, body: { rule: string; count: number; seed: number }) =>
  data(api.POST("/api/tables/{table}/samples/failing", { params: { path: { table } }, body }));
