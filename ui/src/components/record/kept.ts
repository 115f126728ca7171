import type { Typed } from "../../api/queries";
import type { LinesTyped } from "./lines";

/** What is typed and not yet saved stays in this browser, so that a reload or a lost connection loses nothing. */
export type Kept = { typed: Typed; version: number | null; lines?: LinesTyped };

let owner = 0;

/** Whoever types from now on; nobody meets the drafts of another person. */
export const draftsOf = (person: number) => {
  owner = person;
};

const name = (table: string, id: number | null) => `up-tack-draft/${owner}/${table}/${id ?? "new"}`;

export function keptDraft(table: string, id: number | null): Kept | null {
  try {
    const found = localStorage.getItem(name(table, id));
    return found ? (JSON.parse(found) as Kept) : null;
  } catch {
    return null;
  }
}

export function keepDraft(table: string, id: number | null, draft: Kept) {
  try {
    if (Object.keys(draft.typed).length === 0 && Object.keys(draft.lines ?? {}).length === 0)
      localStorage.removeItem(name(table, id));
    else localStorage.setItem(name(table, id), JSON.stringify(draft));
  } catch {
    // A full or forbidden store: the draft still stands in the form itself.
  }
}

/** What a form takes over from the record typed before it. */
export function carriedOf(table: string, form: string): Typed {
  try {
    return JSON.parse(localStorage.getItem(`up-tack-carried/${owner}/${table}/${form}`) ?? "{}") as Typed;
  } catch {
    return {};
  }
}

export function keepCarried(table: string, form: string, values: Typed) {
  try {
    localStorage.setItem(`up-tack-carried/${owner}/${table}/${form}`, JSON.stringify(values));
  } catch {
    // Without a store the next record simply begins blank.
  }
}

/** The form in which this person last typed records of a table. */
export const lastForm = (table: string) => localStorage.getItem(`up-tack-form/${owner}/${table}`);
export const keepLastForm = (table: string, form: string) =>
  localStorage.setItem(`up-tack-form/${owner}/${table}`, form);

export const forgetDraft = (table: string, id: number | null) => keepDraft(table, id, { typed: {}, version: null });
