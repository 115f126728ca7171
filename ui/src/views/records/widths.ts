import type { Field, RecordData } from "../../api/client";

/** Pixels of a letter, and around a text. */
const LETTER = 7.8;
const AROUND = 28;

/** A column's width as long as nobody set it: as wide as its head and what it shows, within bounds. */
export function usualWidth(field: Field, records: RecordData[]): number {
  const longest = Math.max(
    field.label.length + 2,
    ...records.slice(0, 100).map((record) => Math.min(record.texts[field.key]?.length ?? 0, 60)),
  );
  return Math.round(Math.min(320, Math.max(96, longest * LETTER + AROUND)));
}
