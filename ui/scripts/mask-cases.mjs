// Reads [{mask, text}] from standard input and prints what the browser's side of
// masks makes of each text, for the spec that holds it and the server together.
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { fileURLToPath, pathToFileURL } from "node:url";
import ts from "typescript";

const at = (path) => fileURLToPath(new URL(path, import.meta.url));
const source = readFileSync(at("../src/components/record/masking.ts"), "utf8");
const { outputText } = ts.transpileModule(source, { compilerOptions: { module: "ESNext", target: "ES2022" } });
mkdirSync(at("../node_modules/.cache/"), { recursive: true });
const file = at("../node_modules/.cache/masking.mjs");
writeFileSync(file, outputText);

const { format, follow, hasLongCharacters } = await import(pathToFileURL(file));
const { default: IMask } = await import("imask");

// Key by key, as an input hears it; a text with longer characters is formatted as a whole instead.
const typed = (mask, text) => {
  if (hasLongCharacters(text)) return format(mask, text).text;
  const following = IMask.createMask(follow(mask));
  for (const key of text) following.append(key, { input: true, raw: true });
  return following.value;
};

const cases = JSON.parse(readFileSync(0, "utf8"));
console.log(JSON.stringify(cases.map(({ mask, text }) => ({ ...format(mask, text), typed: typed(mask, text) }))));
