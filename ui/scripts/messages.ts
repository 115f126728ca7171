import { readFileSync } from "node:fs";
import type { Plugin } from "vite";

const FILE = new URL("../src/words/messages.generated.json", import.meta.url);
const CATALOGUE = "/src/words/catalogue.ts";
/** What looks like a key, or like the beginning of keys that a gap completes. */
const KEYS = /["'`]([a-z]\w*(?:\.\w+)*)(\.\$\{)?/g;
/** What a key has behind it for each form of the plural, after CLDR. */
const FORMS = ["", "_zero", "_one", "_two", "_few", "_many", "_other"];
const GROUPS = /\bgroup\(\s*"([\w.]+)"/g;

type Messages = { [key: string]: string };

/**
 * Gives each module of the interface the messages that it names, so that a page brings its own words along and no
 * others. A key is whole, or a beginning that ends with a point and a gap.
 */
export const messages: Plugin = {
  name: "messages",
  enforce: "pre",
  transform(code, id) {
    if (!/\/ui\/(src|test)\/.*\.tsx?$/.test(id) || id.endsWith(CATALOGUE)) return;
    this.addWatchFile(FILE.pathname);
    const all: Messages = JSON.parse(readFileSync(FILE, "utf8"));
    const used = usedIn(code, all);
    const groups = [...code.matchAll(GROUPS)].map(([, name = ""]) => [name, keysOf(name, all)]);
    if (Object.keys(used).length === 0) return;
    const told = [JSON.stringify(used), ...(groups.length > 0 ? [JSON.stringify(Object.fromEntries(groups))] : [])];
    // On one line with the first of the module, so that its lines keep their numbers.
    return { code: `import { learn as __learn } from "${CATALOGUE}"; __learn(${told.join(", ")}); ${code}`, map: null };
  },
};

/** What a module uses: messages by key, those of every form of the plural included. */
export function usedIn(code: string, all: Messages): Messages {
  const used: Messages = {};
  const take = (key: string) => {
    const text = all[key];
    if (text !== undefined) used[key] = text;
  };
  for (const [, key = "", open] of code.matchAll(KEYS)) {
    if (open) for (const each of Object.keys(all)) each.startsWith(`${key}.`) && take(each);
    else for (const form of FORMS) take(key + form);
  }
  for (const [, name = ""] of code.matchAll(GROUPS)) for (const key of keysOf(name, all)) take(`${name}.${key}`);
  return used;
}

/** Keys of a group by their last part, which may be a mark itself, such as the point of decimals. */
const keysOf = (name: string, all: Messages) =>
  Object.keys(all)
    .filter((key) => key.startsWith(`${name}.`))
    .map((key) => key.slice(name.length + 1))
    .filter((key) => !/\w\.\w/.test(key));
