// What a script does in a day, written against a client that was generated from the OpenAPI document. It is checked by
// the types of that client and then run: node journey.mjs ADDRESS TOKEN
import { createClient } from "./generated/client";
import {
  changeRecord,
  createRecord,
  deleteRecord,
  followChanges,
  getJob,
  getRecord,
  getTable,
  listRecords,
  listTables,
  writeBatch,
} from "./generated/sdk.gen";
import type { FollowChangesResponses, ListRecordsResponses, Problem, WriteBatchResponses } from "./generated/types.gen";

declare const process: { argv: string[] };

const [address, token] = process.argv.slice(2);
const client = createClient({ baseUrl: address, auth: token });
const found: { [what: string]: unknown } = {};

const tables = (await listTables({ client, throwOnError: true })).data;
found.tables = tables.map((table) => table.key);
const clays = (await getTable({ client, path: { table: "clays" }, throwOnError: true })).data;
found.fields = clays.fields.map((field) => `${field.key}: ${field.type}`);
const changes = async (after?: string): Promise<FollowChangesResponses[200]> =>
  (await followChanges({ client, query: { after, table: "clays" }, throwOnError: true })).data;

let place = (await followChanges({ client, query: { after: "now", table: "clays" } })).data?.next;

const made = await createRecord({
  client,
  path: { table: "clays" },
  body: { typed: { name: "Script stoneware", family: "Stoneware" } },
  headers: { "Idempotency-Key": "first-clay" },
  throwOnError: true,
});
const again = await createRecord({
  client,
  path: { table: "clays" },
  body: { typed: { name: "Script stoneware", family: "Stoneware" } },
  headers: { "Idempotency-Key": "first-clay" },
});
found.again = [again.data?.id === made.data.id, again.response?.headers.get("Idempotency-Replayed")];
found.made = [made.response.status, made.data.values.name, made.response.headers.get("Location")];
const id = made.data.id;
const tag = made.response.headers.get("ETag") ?? "";

const changed = await changeRecord({
  client,
  path: { table: "clays", id },
  headers: { "If-Match": tag },
  body: { typed: { name: "Script porcelain" } },
});
found.changed = [changed.response?.status, changed.data?.texts.name];
const late = await changeRecord({
  client,
  path: { table: "clays", id },
  headers: { "If-Match": tag },
  body: { typed: { name: "Too late" } },
});
found.late = [late.response?.status, (late.error as Problem).code];
const silent = await changeRecord({ client, path: { table: "clays", id }, body: { typed: { name: "Silent" } } });
found.silent = [silent.response?.status, (silent.error as Problem).code];

const batch = await writeBatch({
  client,
  path: { table: "clays" },
  body: {
    keep: "passing",
    records: [{ typed: { name: "Batch one", family: "Stoneware" } }, { typed: { family: "Stoneware" } }],
  },
  throwOnError: true,
});
let report = batch.data as WriteBatchResponses[200];
if ("state" in batch.data) {
  let job = batch.data;
  while (job.state === "running") {
    await new Promise((resolve) => setTimeout(resolve, 50));
    job = (await getJob({ client, path: { job: job.id }, throwOnError: true })).data;
  }
  report = job.report as WriteBatchResponses[200];
}
found.batch = report.results.map((result) => result.state);

const names: unknown[] = [];
let cursor: string | null | undefined;
do {
  const page: ListRecordsResponses[200] = (
    await listRecords({
      client,
      path: { table: "clays" },
      query: { limit: 3, sort: "name", cursor: cursor ?? undefined },
      throwOnError: true,
    })
  ).data;
  names.push(...page.records.map((record) => record.texts.name));
  cursor = page.following;
} while (cursor);
found.names = names;

const told: string[] = [];
for (let more = true; more && place; ) {
  const page = await changes(place);
  told.push(...page.changes.map((entry) => `${entry.action} ${entry.title}`));
  more = page.more;
  place = page.next;
}
found.told = told;

const last = await getRecord({ client, path: { table: "clays", id }, throwOnError: true });
const gone = await deleteRecord({
  client,
  path: { table: "clays", id },
  headers: { "If-Match": last.response.headers.get("ETag") ?? "" },
});
const missing = await getRecord({ client, path: { table: "clays", id } });
found.gone = [gone.response?.status, missing.response?.status, (missing.error as Problem).code];

console.log(JSON.stringify(found));
