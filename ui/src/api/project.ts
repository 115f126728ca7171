import { api, data } from "./client";
import { awaitJob } from "./jobs";
import { useDesignChange } from "./queries";

/** What a project file would change; nothing is changed by asking. */
export const previewProject = (file: string) => data(api.POST("/api/project/preview", { body: { file } }));

export const useBringIn = () =>
  useDesignChange((file: string) => awaitJob(api.POST("/api/project/bring-in", { body: { file } })));
