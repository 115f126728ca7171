/**
 * What the browser keeps, for this page's address: `lasting` beyond the tab, `ofTab` as long as the tab is open.
 * A full or forbidden store is no failure of the page: what can't be kept there still stands in the page itself.
 */
type Place = {
  get: (name: string) => string | null;
  /** @returns whether it is kept now; null deletes it */
  set: (name: string, text: string | null) => boolean;
  names: () => string[];
};

function place(storage: () => Storage): Place {
  const tried = <T>(work: (store: Storage) => T, otherwise: T): T => {
    try {
      return work(storage());
    } catch {
      return otherwise;
    }
  };
  return {
    get: (name) => tried((store) => store.getItem(name), null),
    set: (name, text) =>
      tried((store) => {
        if (text === null) store.removeItem(name);
        else store.setItem(name, text);
        return true;
      }, false),
    names: () => tried((store) => Object.keys(store), []),
  };
}

export const lasting = place(() => window.localStorage);
export const ofTab = place(() => window.sessionStorage);

/** What stands under a name as JSON; null where nothing does, or nothing that can be read. */
export function readJson<T>(from: Pick<Place, "get">, name: string): T | null {
  try {
    return JSON.parse(from.get(name) ?? "null") as T | null;
  } catch {
    return null;
  }
}
