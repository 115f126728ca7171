import type { Typed } from "../../api/queries";
import type { LinesTyped } from "./lines";
import { leftBehind, ownPlace, placeOf, read, write } from "./tabs";

/** A write whose answer has not come yet: sent again as it was, it is not done twice. */
export type Sent = { key: string; body: { [part: string]: unknown } };

/** What is typed and not yet saved stays in this browser, so that a reload or a lost connection loses nothing. */
export type Kept = { typed: Typed; version: number | null; lines?: LinesTyped; sent?: Sent };

const placeFor = (table: string, id: number | null) => placeOf("draft", table, id ?? "new");

/** What was typed in this tab, else in one that is no longer there; it is this tab's from now on. */
export function keptDraft(table: string, id: number | null): Kept | null {
  const place = placeFor(table, id);
  const own = ownPlace(place);
  // The last version named drafts without a tab.
  const name = read(own) === null ? leftBehind(place, place)[0] : own;
  if (!name) return null;
  try {
    const found = JSON.parse(read(name) ?? "null") as Kept | null;
    if (name !== own) {
      write(own, read(name));
      write(name, null);
    }
    return found;
  } catch {
    return null;
  }
}

export function keepDraft(table: string, id: number | null, draft: Kept) {
  const empty = Object.keys(draft.typed).length === 0 && Object.keys(draft.lines ?? {}).length === 0 && !draft.sent;
  write(ownPlace(placeFor(table, id)), empty ? null : JSON.stringify(draft));
}

export const forgetDraft = (table: string, id: number | null) => write(ownPlace(placeFor(table, id)), null);

/** What a form takes over from the record typed before it. */
export function carriedOf(table: string, form: string): Typed {
  try {
    return JSON.parse(read(placeOf("carried", table, form)) ?? "{}") as Typed;
  } catch {
    return {};
  }
}

export const keepCarried = (table: string, form: string, values: Typed) =>
  write(placeOf("carried", table, form), JSON.stringify(values));

/** The form in which this person last typed records of a table. */
export const lastForm = (table: string) => read(placeOf("form", table));
export const keepLastForm = (table: string, form: string) => write(placeOf("form", table), form);
