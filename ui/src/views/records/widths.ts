import type { Field, RecordData } from "../../api/client";

/** A column's width in rem: as wide as its head and what it shows, within bounds. */
export function widthOf(field: Field, records: RecordData[]): number {
  const longest = Math.max(
    field.label.length + 2,
    ...records.slice(0, 100).map((record) => record.texts[field.key]?.length ?? 0),
  );
  return Math.min(22, Math.max(5.5, longest * 0.52 + 1.75));
}
