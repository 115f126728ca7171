import { readdirSync, readFileSync } from "node:fs";
import { marked } from "marked";
import type { Plugin } from "vite";

const FOLDER = new URL("../../docs/guide/", import.meta.url);
const NAME = "virtual:guide";

/** Renders the pages of the guide when the interface is built, in the order of its index, with their plain text. */
export const guide: Plugin = {
  name: "guide",
  resolveId: (id) => (id === NAME ? `\0${NAME}` : undefined),
  load: (id) => (id === `\0${NAME}` ? `export default ${JSON.stringify(pages())}` : undefined),
};

function pages() {
  const index = readFileSync(new URL("README.md", FOLDER), "utf8");
  const parts = index.split(/^## /m).slice(1);
  const named = parts.flatMap((part) => {
    const [heading = ""] = part.split("\n");
    return [...part.matchAll(/\(([\w-]+)\.md\)/g)].map(([, name = ""]) => ({ name, part: heading.trim() }));
  });
  const files = readdirSync(FOLDER).filter((file) => file.endsWith(".md") && file !== "README.md");
  const lost = files.filter((file) => !named.some((page) => `${page.name}.md` === file));
  if (lost.length > 0) throw new Error(`The guide's index does not name ${lost.join(", ")}`);
  return named.map(({ name, part }) => page(name, part));
}

function page(name: string, part: string) {
  const source = readFileSync(new URL(`${name}.md`, FOLDER), "utf8");
  const [first = "", ...rest] = source.split("\n");
  const body = rest.join("\n").replace(/\(([\w-]+)\.md\)/g, "(/guide/$1)");
  const html = marked.parse(body, { async: false });
  return { name, part, title: first.replace(/^# /, ""), html, text: rest.join(" ") };
}
