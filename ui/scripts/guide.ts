import { readdirSync, readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { marked } from "marked";
import type { Plugin } from "vite";

const FOLDER = new URL("../../docs/guide/", import.meta.url);
const NAME = "virtual:guide";

type Page = { name: string; part: string; title: string; html: string; text: string };

/** Renders the pages of the guide when the interface is built, in the order of its index, with their plain text. */
export const guide: Plugin = {
  name: "guide",
  resolveId: (id) => (id === NAME ? `\0${NAME}` : undefined),
  load: (id) => (id === `\0${NAME}` ? moduleOf(pages()) : undefined),
};

function pages(): Page[] {
  const index = readFileSync(new URL("README.md", FOLDER), "utf8");
  const parts = index.split(/^## /m).slice(1);
  const named = parts.flatMap((part) => {
    const [heading = ""] = part.split("\n");
    return [...part.matchAll(/\(((?:\.\.\/)?([\w-]+)\.md)\)/g)].map(([, file = "", name = ""]) => ({
      file,
      name,
      part: heading.trim(),
    }));
  });
  const files = readdirSync(FOLDER).filter((file) => file.endsWith(".md") && file !== "README.md");
  const lost = files.filter((file) => !named.some((page) => page.file === file));
  if (lost.length > 0) throw new Error(`The guide's index does not name ${lost.join(", ")}`);
  return named.map(({ file, name, part }) => page(file, name, part));
}

function page(file: string, name: string, part: string): Page {
  const source = readFileSync(new URL(file, FOLDER), "utf8");
  const [first = "", ...rest] = source.split("\n");
  const body = rest.join("\n");
  const html = marked
    .parse(body.replace(/\((?:\.\.\/)?([\w-]+)\.md\)/g, "(/guide/$1)"), { async: false })
    .replace(/<img src="([^"]+)"([^>]*)>/g, '<a href="$1" target="_blank" rel="noreferrer"><img src="$1"$2></a>');
  const text = body.replace(/!\[[^\]]*\]\([^)]*\)/g, "");
  return { name, part, title: first.replace(/^# /, ""), html, text };
}

/** Pictures are files of their own, named after what is in them, so that browsers keep them. */
function moduleOf(all: Page[]) {
  const pictures = [
    ...new Set(all.flatMap((each) => [...each.html.matchAll(/src="(pictures\/[^"]+)"/g)].map(([, path]) => path))),
  ];
  const imports = pictures.map((path, at) => {
    const file = fileURLToPath(new URL(path ?? "", FOLDER));
    return `import picture${at} from ${JSON.stringify(file)};`;
  });
  const shown = all.map((each) => ({
    ...each,
    html: pictures.reduce((html = "", path, at) => html.replaceAll(`"${path}"`, `"%picture${at}%"`), each.html),
  }));
  const filled = pictures.map((_, at) => `.replaceAll("%picture${at}%", picture${at})`).join("");
  return [
    ...imports,
    `const filled = (html) => html${filled};`,
    `export default ${JSON.stringify(shown)}.map((page) => ({ ...page, html: filled(page.html) }));`,
  ].join("\n");
}
