import { useCallback, useRef, useState, useSyncExternalStore } from "react";
import { lasting, readJson } from "../storage";
import { onForgetting } from "./record/tabs";

/**
 * What is half written stays on its place in this browser, whatever happens to the page, until it is saved
 * or deleted. of: what it was begun from, to tell whether somebody else has changed that since
 */
type Kept = { value: unknown; of: string };

const PREFIX = "up-tack-edit/";
const listeners = new Set<() => void>();
// A full or forbidden store: it still stands as long as the page is open.
const inPage = new Map<string, string>();

function read(place: string): Kept | null {
  const kept = readJson<Kept>({ get: (name) => inPage.get(place) ?? lasting.get(name) }, PREFIX + place);
  return kept && typeof kept === "object" && "value" in kept ? kept : null;
}

function write(place: string, kept: Kept | null) {
  inPage.delete(place);
  const text = kept && JSON.stringify(kept);
  if (!lasting.set(PREFIX + place, text) && text) inPage.set(place, text);
  for (const listener of listeners) listener();
}

onForgetting(() => inPage.clear());

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
};

const placesNow = () =>
  [
    ...inPage.keys(),
    ...lasting.names().flatMap((each) => (each.startsWith(PREFIX) ? [each.slice(PREFIX.length)] : [])),
  ].join("\n");

/** The places of everything that is half written, for those who show them. */
export function useEditPlaces(): Set<string> {
  const found = useSyncExternalStore(subscribe, placesNow);
  return new Set(found.split("\n"));
}

export const editPlace = {
  rule: (table: string, rule: string) => `${table}/rule/${rule}`,
  newRule: (table: string, field: string, stage: string) => `${table}/new/${field}/${stage}`,
  field: (table: string, field: string) => `${table}/field/${field}`,
  newField: (table: string) => `${table}/add`,
  table: (table: string) => `${table}/settings`,
  form: (table: string, form: string) => `${table}/form/${form}`,
};

/** Something that is half written already where it is opened next, and what it is a change of. */
export const beginEdit = <T>(place: string, value: T, saved: T) => write(place, { value, of: JSON.stringify(saved) });

/**
 * Something that is being written, kept on its place with each change.
 * @param place one of editPlace
 * @param saved what it begins with
 */
export function useEdit<T>(place: string, saved: T) {
  const [first] = useState(saved);
  const of = JSON.stringify(first);
  const [kept] = useState(() => read(place));
  const [value, setValue] = useState<T>(kept ? (kept.value as T) : first);
  const latest = useRef(value);
  const change = useCallback(
    (next: T | ((now: T) => T)) => {
      const now = typeof next === "function" ? (next as (now: T) => T)(latest.current) : next;
      latest.current = now;
      setValue(now);
      write(place, JSON.stringify(now) === of ? null : { value: now, of });
    },
    [place, of],
  );
  return {
    value,
    change,
    /** What it is by now, for changes that come one right after the other. */
    latest: () => latest.current,
    first,
    dirty: JSON.stringify(value) !== of,
    /** Whether it was begun at another time, and whether what it changes is another by now. */
    found: kept !== null,
    overtaken: kept !== null && kept.of !== of,
    /** It is saved or no longer wanted. */
    done: () => write(place, null),
  };
}
