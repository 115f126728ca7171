import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, data } from "./client";
import { confirmed } from "./confirmed";
import type { operations } from "./generated";
import { queryKeys } from "./queryKeys";

type Wish = operations["createToken"]["requestBody"]["content"]["application/json"];

export const useTokens = () => useQuery({ queryKey: queryKeys.tokens(), queryFn: () => data(api.GET("/api/tokens")) });

export function useMakeToken() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Wish) => confirmed(() => data(api.POST("/api/tokens", { body }))),
    onSuccess: () => client.invalidateQueries({ queryKey: queryKeys.tokens() }),
  });
}

export function useRevokeToken() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => data(api.DELETE("/api/tokens/{id}", { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: queryKeys.tokens() }),
  });
}

/** What scripts have to do. */
export const useScriptSettings = () =>
  useQuery({ queryKey: queryKeys.scripts(), queryFn: () => data(api.GET("/api/scripts")) });

export function useChangeScriptSettings() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name_versions: boolean) => data(api.PATCH("/api/scripts", { body: { name_versions } })),
    onSuccess: (settings) => client.setQueryData(queryKeys.scripts(), settings),
  });
}

/** A call of the API, as the OpenAPI document has it. */
export type Operation = {
  operationId: string;
  summary: string;
  "x-least": string;
  parameters?: Parameter[];
  requestBody?: { content: { [type: string]: { schema: Schema; example?: unknown } } };
  responses: { [status: string]: { description?: string; $ref?: string; content?: { [type: string]: unknown } } };
};
export type Parameter = {
  name?: string;
  in?: string;
  required?: boolean;
  description?: string;
  schema?: Schema;
  $ref?: string;
};
export type Schema = {
  type?: string | string[];
  $ref?: string;
  enum?: unknown[];
  description?: string;
  properties?: { [name: string]: Schema };
  required?: string[];
  items?: Schema;
  anyOf?: Schema[];
};
export type Document = {
  paths: { [path: string]: { [method: string]: Operation } };
  components: {
    schemas: { [name: string]: Schema };
    parameters: { [name: string]: Parameter };
    responses: { [name: string]: { description?: string } };
  };
};

export const useApiDocument = () =>
  useQuery({
    queryKey: queryKeys.openapi(),
    queryFn: () => data(api.GET("/api/openapi.json")) as Promise<unknown> as Promise<Document>,
    staleTime: Number.POSITIVE_INFINITY,
  });
