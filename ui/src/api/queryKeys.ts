import type { QueryClient } from "@tanstack/react-query";

type Part = unknown;

/** The name under which the answer to each question is kept; what it begins with names its kind. */
export const queryKeys = {
  space: () => ["space"] as const,
  backups: () => ["backups"] as const,
  choicesPreview: () => ["choices", "foreseen"] as const,
  conventions: () => ["conventions"] as const,
  conventionsPreview: (parts: Part) => ["conventions", "preview", parts] as const,
  counts: (table: string, rule: string) => ["counts", table, rule] as const,
  deletion: (table: string, id: number) => ["deletion", table, id] as const,
  differences: (revision: Part) => ["differences", revision] as const,
  edges: (table: string, wish: Part, open: Part) => ["edges", table, wish, open] as const,
  endangered: (table: string, rule: string) => ["endangered", table, rule] as const,
  exempt: (table: string) => ["open", table] as const,
  format: (type: string, decimals: Part, value: Part) => ["format", type, decimals, value] as const,
  functions: () => ["functions"] as const,
  history: (question: Part) => ["history", question] as const,
  historyBatch: (batch: number) => ["history", "batch", batch] as const,
  historyCounts: (question: Part) => ["history", "counts", question] as const,
  lines: (table: string, id: Part, other: string, link: string) =>
    ["records", "lines", table, id, other, link] as const,
  lists: () => ["lists"] as const,
  losses: (table: string, field: string) => ["losses", table, field] as const,
  map: () => ["map"] as const,
  mask: (mask: string, text: string, bare: boolean) => ["mask", mask, text, bare] as const,
  maskReadings: (example: string) => ["mask-readings", example] as const,
  masks: () => ["masks"] as const,
  mistakes: (table: string) => ["proofs", "mistakes", table] as const,
  names: () => ["names"] as const,
  openapi: () => ["openapi"] as const,
  outbox: () => ["outbox"] as const,
  palette: (tables: Part) => ["palette", tables] as const,
  paletteRecords: (text: string, tables: Part) => ["palette", "records", text, tables] as const,
  people: () => ["people"] as const,
  proofs: () => ["proofs"] as const,
  record: (table: string, id: Part) => ["record", table, id] as const,
  recordCount: (table: string, filter: Part) => ["records", table, "count", filter] as const,
  recordTotals: (table: string, filter: Part, search: Part, fields: Part) =>
    ["records", table, "totals", filter, search, fields] as const,
  recordWindow: (table: string) => ["records", table, "window"] as const,
  latestRecords: (table: string) => ["records", table, "latest"] as const,
  review: (table: string, inputs: Part, outputs: Part, rows: Part) => ["review", table, inputs, outputs, rows] as const,
  restorePreview: (revision: Part) => ["foresight", revision] as const,
  revisions: (person: Part) => ["revisions", person] as const,
  samples: (table: string) => ["samples", table] as const,
  security: () => ["security"] as const,
  session: () => ["session"] as const,
  sessions: () => ["sessions"] as const,
  suggestions: (table: string) => ["suggestions", table] as const,
  table: (table: string) => ["table", table] as const,
  tableLosses: (table: string) => ["table-losses", table] as const,
  tables: () => ["tables"] as const,
  tidying: () => ["tidying"] as const,
  tidyTry: (steps: Part, text: string) => ["tidy-try", steps, text] as const,
  tokens: () => ["tokens"] as const,
  scripts: () => ["scripts"] as const,
  webhooks: () => ["webhooks"] as const,
  triedCase: (table: string, parts: Part, typed: Part) => ["try", table, "case", parts, typed] as const,
  triedRule: (table: string, rule: string) => ["try", table, rule] as const,
  waiting: (table: string, rule: string, order: Part, descending: Part) =>
    ["waiting", table, rule, order, descending] as const,
  welcome: () => ["welcome"] as const,
  work: () => ["work"] as const,
};

/** What a question is about: the first part of its name. */
export type QueryKind = ReturnType<(typeof queryKeys)[keyof typeof queryKeys]>[0];

/** Has all questions of some kinds asked again, as far as they are shown. */
export const refresh = (client: QueryClient, ...kinds: QueryKind[]) =>
  Promise.all(kinds.map((kind) => client.invalidateQueries({ queryKey: [kind] })));
