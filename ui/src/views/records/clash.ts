import type { Entry, Message, RecordData } from "../../api/client";
import type { Typed } from "../../api/queries";
import type { Written } from "../../api/records";
import { sentences } from "../../words";

/** Cells that somebody else changed while they were typed: the record before, as it is now, and what they did. */
export type Clash = { before: RecordData; record: RecordData; theirs: Entry[] };

type Result = Written["results"][number];

/** What of a row waits where somebody else changed the same cells; nothing where nobody did. */
export function clashOf(result: Result | undefined, seen: RecordData | null | undefined, typed: Typed) {
  if (!result?.record || !result.theirs) return null;
  const { record, theirs } = result;
  const clash: Clash = { before: seen ?? record, record, theirs };
  const people = [...new Set(theirs.map((entry) => entry.person))].join(", ");
  const touched = Object.keys(typed).filter((field) => record.texts[field] !== seen?.texts[field]);
  const messages: Message[] = (touched.length > 0 ? touched : Object.keys(typed)).map((field) => ({
    code: "clash",
    rule: null,
    field,
    fields: [field],
    passable: false,
    message: sentences.records.clash(people, record.texts[field] ?? ""),
  }));
  return { typed, messages, clash, version: record.version };
}
