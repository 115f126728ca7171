import i18next from "i18next";
import type { Gaps } from "./catalogue.generated";
import { MADE_UP, madeUp } from "./madeUp";

/**
 * The interface's own words. They stand in `ui/messages`, in the format of the server's catalogue; `bin/generate`
 * writes them out for the compiler, which then knows each message and its gaps, and for the build, which gives each
 * module the messages that it uses (`scripts/messages.ts`).
 */
const catalogue = i18next.createInstance();
const language = document.documentElement.lang || "en";
const groups: { [name: string]: string[] } = {};

catalogue.init({
  lng: language,
  fallbackLng: "en",
  resources: {},
  // The keys are whole, and what people type is never taken for a key or for markup: React escapes it.
  keySeparator: false,
  nsSeparator: false,
  interpolation: { prefix: "%{", suffix: "}", escapeValue: false },
  initAsync: false,
});

/** Takes in what a module uses: messages by key, and the keys of whole groups in their order. */
export function learn(messages: { [key: string]: string }, whole: { [group: string]: string[] } = {}) {
  catalogue.addResources("en", "translation", messages);
  if (language === MADE_UP) catalogue.addResources(MADE_UP, "translation", madeUp(messages));
  Object.assign(groups, whole);
}

type Key = keyof Gaps;

/** A message by its key, with what stands in its gaps; `count` chooses the form for one or for others. */
export function t<K extends Key>(key: K, ...gaps: Gaps[K] extends null ? [] : [Gaps[K]]): string {
  return catalogue.t(key as string, { ...gaps[0] });
}

/** A message whose key is only known at run time; undefined where there is none. */
export const word = (key: string): string | undefined => (catalogue.exists(key) ? catalogue.t(key) : undefined);

/** All messages of a group, by the last part of their keys, in the order of the catalogue. */
export const group = (of: string): [string, string][] =>
  (groups[of] ?? []).map((key) => [key, catalogue.t(`${of}.${key}`)]);
