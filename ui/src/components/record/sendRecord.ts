import { api, data } from "../../api/client";
import type { Sent } from "./draftStorage";

/** Characters up to which a browser sends a body on although its page goes; it takes 64 kB of all pages together. */
const OUTLIVES = 20_000;

/** Sends a new record or a changed one. The write goes on when its page goes in the meantime. */
export function sendRecord(table: string, id: number | null, { key, body }: Sent) {
  const options = {
    headers: { "Idempotency-Key": key },
    body: body as never,
    keepalive: JSON.stringify(body).length <= OUTLIVES,
  };
  return id === null
    ? data(api.POST("/api/tables/{table}/records", { params: { path: { table } }, ...options }))
    : data(api.PATCH("/api/tables/{table}/records/{id}", { params: { path: { table, id } }, ...options }));
}
