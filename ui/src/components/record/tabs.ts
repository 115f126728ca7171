import { forgetAnswers } from "../../api/revalidated";
import { lasting, ofTab } from "../../storage";

let owner = 0;

/** Whoever types from now on; nobody meets what another person left here. */
export const ownedBy = (person: number) => {
  owner = person;
};

/**
 * Milliseconds after which a tab that says nothing any more is gone, and what was typed there is for whoever
 * comes. One that is closed says so; browsers let one in the background speak once a minute.
 */
const GONE = 150_000;
const BEAT = 5_000;
const alive = (tab: string) => Date.now() - Number(lasting.get(`up-tack-tab/${tab}`) ?? 0) < GONE;

/** Each tab has what is its own: two that type new records at a time must not mix them. */
const tab = ownTab();

function ownTab() {
  const known = ofTab.get("up-tack-tab");
  // A tab that was duplicated has the name of the one it came from, which still lives.
  const name = known && !alive(known) ? known : Math.random().toString(36).slice(2);
  const beat = () => lasting.set(`up-tack-tab/${name}`, String(Date.now()));
  ofTab.set("up-tack-tab", name);
  beat();
  setInterval(beat, BEAT);
  window.addEventListener("pagehide", () => lasting.set(`up-tack-tab/${name}`, null));
  window.addEventListener("pageshow", beat);
  return name;
}

/** Where something of this person is kept, whichever tab does. */
export const placeOf = (kind: string, ...parts: (string | number)[]) => [`up-tack-${kind}`, owner, ...parts].join("/");

/** Where this tab keeps it. */
export const ownPlace = (place: string) => `${place}/${tab}`;

/** Places at which tabs that are gone kept the same, and those of versions that knew no tabs. */
export function leftBehind(place: string, ...older: string[]) {
  const names = lasting.names().filter((name) => name.startsWith(`${place}/`));
  const gone = names.filter((name) => name !== ownPlace(place) && !alive(name.slice(place.length + 1)));
  return [...gone, ...older.filter((name) => lasting.get(name) !== null)];
}

/** What holds something that somebody typed and has not saved. */
const UNSAVED = /^up-tack-(draft|mend|sent)\/|^up-tack-edit\//;
const forgetting = new Set<() => void>([forgetAnswers]);

/** Told when everything is forgotten, for what is remembered in the page as well. */
export const onForgetting = (forget: () => void) => {
  forgetting.add(forget);
};

/** How many things stand in this browser that were typed and not saved. */
export const unsavedHere = () => lasting.names().filter((name) => UNSAVED.test(name)).length;

/** Nothing of whoever signs out is left for whoever comes next; only the light and the first steps stay as they are. */
export function forgetAll() {
  for (const forget of forgetting) forget();
  for (const store of [lasting, ofTab])
    for (const name of store.names())
      if (name.startsWith("up-tack") && !/^up-tack-(theme|tab|steps)/.test(name)) store.set(name, null);
}
