import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, data } from "./client";
import { confirmed } from "./confirmed";
import type { components } from "./generated";
import { awaitJob } from "./jobs";
import { queryKeys } from "./queryKeys";

export type Backup = components["schemas"]["Backup"];
export type Backups = components["responses"]["Backups"]["content"]["application/json"];
export type Space = components["schemas"]["Space"];
export type Schedule = { every: "never" | "hour" | "day" | "week"; hour: number; keep: number; days: number };
export type Findings = { findings: { what: string; sound: boolean; message: string }[] };

export const useBackups = () =>
  useQuery({ queryKey: queryKeys.backups(), queryFn: () => data(api.GET("/api/backups")) });

/** Something done to the backups, after which they are asked for again. */
export function useMaintenance<Input, Output>(work: (input: Input) => Promise<Output>, everything = false) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: work,
    onSuccess: () => client.invalidateQueries(everything ? undefined : { queryKey: queryKeys.backups() }),
  });
}

export const makeBackup = () => data(api.POST("/api/backups"));
export const deleteBackup = (name: string) => data(api.DELETE("/api/backups/{name}", { params: { path: { name } } }));
export const restoreBackup = (name: string) =>
  confirmed(() => data(api.POST("/api/backups/{name}/restore", { params: { path: { name } } })));
export const scheduleBackups = (body: Schedule) => data(api.PUT("/api/backups/settings", { body }));
export const proveRestore = () => awaitJob(api.POST("/api/backups/prove"));

/** It takes a while for a large database. */
export const useSpace = () =>
  useQuery({ queryKey: queryKeys.space(), queryFn: () => awaitJob(api.POST("/api/space")), staleTime: 60_000 });
export const checkUp = () => awaitJob(api.POST("/api/check"));
