import type { Answer, Line } from "../../api/client";
import type { Typed } from "../../api/queries";

/** A line that was made, changed or taken away; those left alone are not kept here. */
export type LineTyped = { key: string; id: number | null; version: number | null; typed: Typed; gone: boolean };

/** Lines by the table and link that they are of, "order_lines.order". */
export type LinesTyped = { [group: string]: LineTyped[] };

export const groupName = (table: string, link: string) => `${table}.${link}`;

/** As the server takes them; a new line in which nothing was typed is none. */
export function linesToSend(lines: LinesTyped) {
  return Object.entries(lines).map(([group, rows]) => {
    const [table = "", link = ""] = group.split(".");
    return {
      table,
      link,
      rows: kept(rows).map(({ id, version, typed, gone }): Line => ({ id, version, typed, gone })),
    };
  });
}

/** The rows that are sent, in their order. */
export const kept = (rows: LineTyped[]) => rows.filter((row) => row.id !== null || Object.keys(row.typed).length > 0);

/** By key of a line, what an answer says of it. */
export function answersOf(lines: LinesTyped, answer: Answer): Map<string, Answer> {
  const found = new Map<string, Answer>();
  Object.values(lines).forEach((rows, group) => {
    kept(rows).forEach((row, index) => {
      const line = answer.lines[group]?.[index];
      if (line) found.set(row.key, line);
    });
  });
  return found;
}
