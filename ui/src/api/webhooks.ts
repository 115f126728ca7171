import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, data } from "./client";
import { confirmed } from "./confirmed";
import { queryKeys } from "./queryKeys";

/** Addresses that are told of changes. How far each has got is asked for again and again. */
export const useWebhooks = () =>
  useQuery({ queryKey: queryKeys.webhooks(), queryFn: () => data(api.GET("/api/webhooks")), refetchInterval: 5_000 });

function useChange<Wish, Result>(mutationFn: (wish: Wish) => Promise<Result>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn,
    onSettled: () => client.invalidateQueries({ queryKey: queryKeys.webhooks() }),
  });
}

export const useMakeWebhook = () =>
  useChange((body: { address: string; tables: string[] | null }) =>
    confirmed(() => data(api.POST("/api/webhooks", { body }))),
  );

export const useSwitchWebhook = () =>
  useChange(({ id, active }: { id: number; active: boolean }) =>
    data(api.PATCH("/api/webhooks/{id}", { params: { path: { id } }, body: { active } })),
  );

export const useDeleteWebhook = () =>
  useChange((id: number) => data(api.DELETE("/api/webhooks/{id}", { params: { path: { id } } })));

export const useTryWebhook = () =>
  useChange((id: number) => data(api.POST("/api/webhooks/{id}/try", { params: { path: { id } } })));
