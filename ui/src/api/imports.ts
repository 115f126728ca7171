import { address } from "./address";
import { api, data, ProblemError, type Table, writeHeaders } from "./client";
import type { components, operations } from "./generated";
import { awaitJob } from "./jobs";
import type { Report } from "./records";

/** A column of a file, with what somebody chose for it. */
export type FileColumn = components["schemas"]["FileColumn"] & { round?: boolean };
export type Look = operations["profileFile"]["responses"][200]["content"]["application/json"];
export type NotChoices = Report["not_choices"];
export type Proposed = Look["proposed"][number];
export type Imported = { made: number; changed: number; report: Report };
type Wish = operations["importFile"]["requestBody"]["content"]["application/json"];
export type Options = Pick<Wish, "delimiter" | "encoding" | "sheet" | "heading">;
export type Settings = Pick<Wish, "columns" | "match" | "blanks" | "as_was">;

/** A file that was sent. several: what it is where it has several tables */
export type Upload = operations["uploadFile"]["responses"][201]["content"]["application/json"];
export type ProposedTable = components["schemas"]["ProposedTable"];
export type ImportedTables = operations["importTables"]["responses"][200]["content"]["application/json"];

/** Sends a file, telling how much of it is there; a browser's own fetch can't tell that. */
export const uploadFile = (file: File, onProgress: (share: number) => void) =>
  new Promise<Upload>((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", address(`/api/imports?name=${encodeURIComponent(file.name)}`));
    const headers = { ...writeHeaders(), "Content-Type": "application/octet-stream" };
    for (const [name, value] of Object.entries(headers)) request.setRequestHeader(name, value);
    request.upload.onprogress = (event) => event.lengthComputable && onProgress(event.loaded / event.total);
    request.onerror = () =>
      reject(new ProblemError({ type: "about:blank", title: "Up Tack can't be reached.", status: 0, code: "offline" }));
    request.onload = () => {
      try {
        const found = JSON.parse(request.responseText);
        if (request.status === 201) resolve(found);
        else reject(new ProblemError(found));
      } catch {
        request.onerror?.(new ProgressEvent("error"));
      }
    };
    request.send(file);
  });

/**
 * @param asWas whether columns may belong to what rules have written down
 * @param whole whether all rows are looked at; of a long file that goes on in the background and can be stopped
 */
export const profileFile = (id: string, table: string | null, options: Options, asWas = false, whole = false) => {
  const body = { table, as_was: asWas, whole, ...options };
  return awaitJob(api.POST("/api/imports/{id}/look", { params: { path: { id } }, body }));
};

/** Tries the rows on the rules, or saves them; a long one goes on in the background and can be stopped. */
export const importFile = (table: string, wish: Wish) =>
  awaitJob(api.POST("/api/tables/{table}/import", { params: { path: { table } }, body: wish }));

/** The ways of reading that somebody chose, for an address. */
export const given = (options: Options): Record<string, string> =>
  Object.fromEntries(Object.entries(options).filter((each): each is [string, string] => Boolean(each[1])));

/** The same, read from an address. */
export const optionsOf = (params: URLSearchParams): Options =>
  Object.fromEntries(
    ["delimiter", "encoding", "sheet", "heading"].flatMap((name) => {
      const chosen = params.get(name);
      return chosen ? [[name, chosen]] : [];
    }),
  );

export const refusedPath = (id: string, options: Options) =>
  address(`/api/imports/${id}/refused?${new URLSearchParams(given(options))}`);

type NewTable = operations["createTableFromFile"]["requestBody"]["content"]["application/json"];

export const makeTable = (wish: NewTable) => data(api.POST("/api/imports/table", { body: wish })) as Promise<Table>;

/** The tables that could be made of a file with several of them. */
export const proposeTables = (id: string) =>
  awaitJob(api.POST("/api/imports/{id}/tables/look", { params: { path: { id } } }));

type TablesWish = operations["importTables"]["requestBody"]["content"]["application/json"];

/** Makes tables with all their rows, or tries it. */
export const importTables = (id: string, wish: TablesWish) =>
  awaitJob(api.POST("/api/imports/{id}/tables", { params: { path: { id } }, body: wish }));

export const refusedOfTable = (id: string, part: number) => address(`/api/imports/${id}/refused?part=${part}`);
