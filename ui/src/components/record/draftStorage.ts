import type { Typed } from "../../api/queries";
import { lasting, readJson } from "../../storage";
import type { LinesTyped } from "./lines";
import { leftBehind, ownPlace, placeOf } from "./tabs";

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
  const name = lasting.get(own) === null ? leftBehind(place, place)[0] : own;
  if (!name) return null;
  const found = readJson<Kept>(lasting, name);
  if (found && name !== own) {
    lasting.set(own, lasting.get(name));
    lasting.set(name, null);
  }
  return found;
}

export function keepDraft(table: string, id: number | null, draft: Kept) {
  const empty = Object.keys(draft.typed).length === 0 && Object.keys(draft.lines ?? {}).length === 0 && !draft.sent;
  lasting.set(ownPlace(placeFor(table, id)), empty ? null : JSON.stringify(draft));
}

export const forgetDraft = (table: string, id: number | null) => lasting.set(ownPlace(placeFor(table, id)), null);

/** Records of which something is typed and not saved: their tables, and their numbers or "new". */
export function draftsHere(): { table: string; id: string }[] {
  const beginning = `${placeOf("draft")}/`;
  const names = lasting.names().filter((name) => name.startsWith(beginning));
  const places = new Set(names.map((name) => name.slice(beginning.length).split("/").slice(0, 2).join("/")));
  return [...places].map((place) => {
    const [table = "", id = "new"] = place.split("/");
    return { table, id };
  });
}

/** What a form takes over from the record typed before it. */
export function carriedOf(table: string, form: string): Typed {
  return readJson<Typed>(lasting, placeOf("carried", table, form)) ?? {};
}

export const keepCarried = (table: string, form: string, values: Typed) =>
  lasting.set(placeOf("carried", table, form), JSON.stringify(values));

/** The form in which this person last typed records of a table. */
export const lastForm = (table: string) => lasting.get(placeOf("form", table));
export const keepLastForm = (table: string, form: string) => lasting.set(placeOf("form", table), form);
