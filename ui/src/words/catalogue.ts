import i18next from "i18next";
import { type Gaps, messages } from "./catalogue.generated";
import { MADE_UP, madeUp } from "./madeUp";

/**
 * The interface's own words. They stand in `ui/messages`, in the format of the server's catalogue; `bin/generate`
 * writes them out for the compiler, which then knows each message and its gaps.
 */
const catalogue = i18next.createInstance();
const language = document.documentElement.lang || "en";

catalogue.init({
  lng: language,
  fallbackLng: "en",
  resources: {
    en: { translation: messages },
    ...(language === MADE_UP && { [MADE_UP]: { translation: madeUp(messages) } }),
  },
  // The keys are whole, and what people type is never taken for a key or for markup: React escapes it.
  keySeparator: false,
  nsSeparator: false,
  interpolation: { prefix: "%{", suffix: "}", escapeValue: false },
  initAsync: false,
});

type Key = keyof Gaps;

/** A message by its key, with what stands in its gaps; `count` chooses the form for one or for others. */
export function t<K extends Key>(key: K, ...gaps: Gaps[K] extends null ? [] : [Gaps[K]]): string {
  return catalogue.t(key as string, { ...gaps[0] });
}

/** A message whose key is only known at run time; undefined where there is none. */
export const word = (key: string): string | undefined => (catalogue.exists(key) ? catalogue.t(key) : undefined);

/** All messages of a group, by the last part of their keys, in the order of the catalogue. */
export function group(of: string): [string, string][] {
  // The last part may be a mark itself, such as the point of decimals.
  const inside = (key: string) => key.startsWith(`${of}.`) && !/\w\.\w/.test(key.slice(of.length + 1));
  return Object.keys(messages)
    .filter(inside)
    .map((key) => [key.slice(of.length + 1), catalogue.t(key)]);
}
