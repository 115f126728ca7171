import type { Names } from "../../api/client";

export type Field = Names["fields"][number];

/** A dotted name in a formula, with where it stands. */
export type Named = { from: number; to: number; text: string };

/** All tables' names by key. */
export type AllNames = Map<string, Names>;

const AGGREGATE = /\b(count|sum|average|min|max|join)\s*\(\s*([a-z_][a-z0-9_.]*)$/i;
const SKIPPED = /"(?:[^"]|"")*"?|--[^\n]*/g;
const NAME = /[\p{L}_][\p{L}\p{N}_]*(?:\.[\p{L}_][\p{L}\p{N}_]*)*/gu;

/** The formula with texts and comments blanked out, so that names in them are none. */
export function bare(text: string): string {
  return text.replace(SKIPPED, (found) => " ".repeat(found.length));
}

/** All dotted names of a formula. */
export function namesIn(text: string): Named[] {
  return [...bare(text).matchAll(NAME)].map((found) => ({
    from: found.index,
    to: found.index + found[0].length,
    text: found[0].toLowerCase(),
  }));
}

/** The table whose fields a bare key means at a place: that of the linked records inside an aggregate. */
export function tableAt(
  text: string,
  place: number,
  home: string,
  names: AllNames,
): { table: string; inside: boolean } {
  const before = bare(text).slice(0, place);
  let depth = 0;
  for (let at = before.length - 1; at >= 0; at -= 1) {
    if (before[at] === ")") depth += 1;
    if (before[at] !== "(") continue;
    if (depth > 0) {
      depth -= 1;
      continue;
    }
    const found =
      /\b(count|sum|average|min|max|join)\s*$/i.test(before.slice(0, at)) &&
      sourceTable(before.slice(at + 1), home, names);
    if (found && /\bwhere\b/i.test(before.slice(at + 1))) return { table: found, inside: true };
  }
  return { table: home, inside: false };
}

function sourceTable(text: string, home: string, names: AllNames): string | null {
  const first = /^\s*([a-z_][a-z0-9_.]*)/i.exec(text)?.[1]?.toLowerCase().split(".");
  let table = home;
  for (const part of first ?? []) {
    const link = names.get(table)?.fields.find((field) => field.key === part)?.target;
    if (link) table = link;
    else return names.get(table)?.linked.find((each) => each.table === part)?.table ?? null;
  }
  return null;
}

/** Whether the cursor stands where an aggregate names its linked records. */
export const atSource = (text: string, place: number) =>
  AGGREGATE.test(bare(text).slice(0, place)) ||
  /\b(count|sum|average|min|max|join)\s*\($/i.test(bare(text).slice(0, place));

/** Where a dotted name leads: the fields that it passes, the last one last; null when it leads nowhere. */
export function resolve(parts: string[], table: string, home: string, names: AllNames): Field[] | null {
  const rest = [...parts];
  let here = table;
  if (rest[0] === "this") {
    rest.shift();
    here = home;
  } else if (rest[0] === "old") rest.shift();
  const found: Field[] = [];
  for (const part of rest) {
    const field = names.get(here)?.fields.find((each) => each.key === part);
    if (!field) return null;
    found.push(field);
    here = field.target ?? "";
  }
  return found.length > 0 ? found : null;
}

/** Whether a name stands where an aggregate names its linked records. */
export const isSource = (text: string, from: number) =>
  /\b(count|sum|average|min|max|join)\s*\(\s*$/i.test(bare(text).slice(0, from));

/**
 * What people call the linked records that an aggregate goes over, and the field it takes; null when there are none
 * such.
 */
export function linkedLabels(parts: string[], home: string, names: AllNames): string[] | null {
  const labels: string[] = [];
  const rest = [...parts];
  let here = home;
  for (let part = rest.shift(); part !== undefined; part = rest.shift()) {
    const link = names.get(here)?.fields.find((field) => field.key === part && field.target);
    if (link?.target) {
      labels.push(link.label);
      here = link.target;
      continue;
    }
    const ways = names.get(here)?.linked.filter((each) => each.table === part) ?? [];
    const way = ways.find((each) => each.link === rest[0]) ?? ways[0];
    if (!way) return null;
    if (way.link === rest[0]) rest.shift();
    const fields = rest.length > 0 ? resolve(rest, way.table, way.table, names) : [];
    return fields && [...labels, way.label, ...fields.map((field) => field.label)];
  }
  return null;
}
