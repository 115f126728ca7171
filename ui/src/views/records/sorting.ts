import type { Filter, Table } from "../../api/client";

/** One field to sort by. */
export type Sort = { key: string; descending: boolean };

/** Sorting as the address and the API have it: keys, each with a minus where the greatest comes first. */
export const readSort = (text: string): Sort[] =>
  text
    .split(",")
    .filter(Boolean)
    .map((term) => ({ key: term.replace(/^-/, ""), descending: term.startsWith("-") }));

export const writeSort = (sort: Sort[]): string =>
  sort.map(({ key, descending }) => `${descending ? "-" : ""}${key}`).join(",");

/** What a click on a head makes of it: up, then down, then not at all; alone, or after the others. */
export function sortedBy(sort: Sort[], key: string, after: boolean): Sort[] {
  const term = sort.find((each) => each.key === key);
  const others = after ? sort.filter((each) => each.key !== key) : [];
  if (!term) return [...others, { key, descending: false }];
  if (term.descending) return others;
  const turned = { key, descending: true };
  return after ? sort.map((each) => (each.key === key ? turned : each)) : [turned];
}

/** By what a kept view sorts, which knows fields by their ids; those that are gone are passed over. */
export const sortOf = (table: Table, view: Filter): string =>
  writeSort(
    readSort(view.sort ?? "").flatMap(({ key, descending }) => {
      const field = table.fields.find((each) => each.id === key);
      return field ? [{ key: field.key, descending }] : [];
    }),
  );

/** Where a kept view is opened. */
export function viewPath(table: Table, view: Filter): string {
  const query = new URLSearchParams({ view: view.id });
  if (view.formula) query.set("filter", view.formula);
  const sort = sortOf(table, view);
  if (sort) query.set("sort", sort);
  return `/t/${table.key}/records?${query}`;
}
