import { leftBehind, onForgetting, ownPlace, placeOf } from "../../components/record/tabs";
import { lasting, readJson } from "../../storage";

/** A list of this tab for each table: the same wherever it is shown, and kept in the browser. */
export function tableStore<Item>(kind: string, older?: (table: string) => string) {
  const lists = new Map<string, Item[]>();
  const listeners = new Set<() => void>();
  onForgetting(() => lists.clear());

  const parsed = (name: string): Item[] => {
    const found = readJson<Item[]>(lasting, name);
    return Array.isArray(found) ? found : [];
  };

  /** What this tab kept, and what tabs left behind that are gone. */
  const recalled = (table: string): Item[] => {
    const place = placeOf(kind, table);
    const left = leftBehind(place, ...(older ? [older(table)] : []));
    const all = [...parsed(ownPlace(place)), ...left.flatMap(parsed)];
    if (left.length > 0) lasting.set(ownPlace(place), JSON.stringify(all));
    for (const name of left) lasting.set(name, null);
    return all;
  };

  const get = (table: string): Item[] => {
    const key = placeOf(kind, table);
    const found = lists.get(key) ?? recalled(table);
    lists.set(key, found);
    return found;
  };

  return {
    get,
    put: (table: string, change: (before: Item[]) => Item[]) => {
      const next = change(get(table));
      lists.set(placeOf(kind, table), next);
      // More than a browser remembers is still kept as long as the page is open.
      lasting.set(ownPlace(placeOf(kind, table)), next.length > 0 ? JSON.stringify(next) : null);
      for (const listener of listeners) listener();
    },
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => {
        listeners.delete(listener);
      };
    },
  };
}
