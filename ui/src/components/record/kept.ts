import type { Typed } from "../../api/queries";
import type { LinesTyped } from "./lines";

/** A write whose answer has not come yet: sent again as it was, it is not done twice. */
export type Sent = { key: string; body: { [part: string]: unknown } };

/** What is typed and not yet saved stays in this browser, so that a reload or a lost connection loses nothing. */
export type Kept = { typed: Typed; version: number | null; lines?: LinesTyped; sent?: Sent };

let owner = 0;

/** Whoever types from now on; nobody meets the drafts of another person. */
export const draftsOf = (person: number) => {
  owner = person;
};

/**
 * Milliseconds after which a tab that says nothing any more is gone, and what was typed there is for whoever
 * comes. One that is closed says so; browsers let one in the background speak once a minute.
 */
const GONE = 150_000;
const BEAT = 5_000;
const alive = (tab: string) => Date.now() - Number(read(`up-tack-tab/${tab}`) ?? 0) < GONE;

/** Each tab has drafts of its own: two that type new records at a time must not mix them. */
const tab = ownTab();

function ownTab() {
  const known = sessionStorage.getItem("up-tack-tab");
  // A tab that was duplicated has the name of the one it came from, which still lives.
  const name = known && !alive(known) ? known : Math.random().toString(36).slice(2);
  const beat = () => write(`up-tack-tab/${name}`, String(Date.now()));
  sessionStorage.setItem("up-tack-tab", name);
  beat();
  setInterval(beat, BEAT);
  window.addEventListener("pagehide", () => write(`up-tack-tab/${name}`, null));
  window.addEventListener("pageshow", beat);
  return name;
}

function read(name: string) {
  try {
    return localStorage.getItem(name);
  } catch {
    return null;
  }
}

function write(name: string, text: string | null) {
  try {
    if (text === null) localStorage.removeItem(name);
    else localStorage.setItem(name, text);
  } catch {
    // A full or forbidden store: what is typed still stands in the form itself.
  }
}

const place = (table: string, id: number | null) => `up-tack-draft/${owner}/${table}/${id ?? "new"}/`;

/** What was typed in this tab, else in one that is no longer there; it is this tab's from now on. */
export function keptDraft(table: string, id: number | null): Kept | null {
  const own = place(table, id) + tab;
  // The last version named drafts without a tab.
  const older = place(table, id).slice(0, -1);
  const names = Object.keys(localStorage).filter((name) => name === older || name.startsWith(place(table, id)));
  const left = names.filter((name) => name !== own && !alive(name.slice(place(table, id).length)));
  const name = names.includes(own) ? own : left[0];
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
  write(place(table, id) + tab, empty ? null : JSON.stringify(draft));
}

export const forgetDraft = (table: string, id: number | null) => write(place(table, id) + tab, null);

/** What a form takes over from the record typed before it. */
export function carriedOf(table: string, form: string): Typed {
  try {
    return JSON.parse(read(`up-tack-carried/${owner}/${table}/${form}`) ?? "{}") as Typed;
  } catch {
    return {};
  }
}

export const keepCarried = (table: string, form: string, values: Typed) =>
  write(`up-tack-carried/${owner}/${table}/${form}`, JSON.stringify(values));

/** The form in which this person last typed records of a table. */
export const lastForm = (table: string) => read(`up-tack-form/${owner}/${table}`);
export const keepLastForm = (table: string, form: string) => write(`up-tack-form/${owner}/${table}`, form);
