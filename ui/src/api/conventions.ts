import { useQuery } from "@tanstack/react-query";
import { api, data } from "./client";
import type { components } from "./generated";
import { awaitJob } from "./jobs";
import { useDesignChange } from "./queries";
import { queryKeys } from "./queryKeys";

export type Conventions = Required<components["schemas"]["ConventionParts"]>;

/** How the firm writes dates and numbers, and its time zone. */
export const useConventions = () =>
  useQuery({ queryKey: queryKeys.conventions(), queryFn: () => data(api.GET("/api/project/conventions")) });

/** What would read differently by other ways of writing. */
export const useReadings = (parts: Conventions, enabled: boolean) =>
  useQuery({
    queryKey: queryKeys.conventionsPreview(parts),
    queryFn: () => data(api.POST("/api/project/conventions/preview", { body: parts })),
    enabled,
    retry: false,
    gcTime: 0,
  });

export const useChangeConventions = () =>
  useDesignChange((parts: Conventions) => awaitJob(api.PATCH("/api/project/conventions", { body: parts })));
