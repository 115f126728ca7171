import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import type { Plugin } from "vite";

/** What is text and so becomes smaller; fonts and pictures are compressed as they are. */
const TEXT = /\.(?:js|css|svg|json)$/;
/** Bytes below which it is not worth a file. */
const LEAST = 1_000;
/** The highest quality takes a minute for all of them, so only what every page begins with has it. */
const QUALITY = { usual: 9, first: 11 };

/** Writes each asset compressed beside itself when the interface is built, so that the server need not do it. */
export const compressed: Plugin = {
  name: "compressed",
  apply: "build",
  writeBundle({ dir = "dist" }) {
    const page = readFileSync(join(dir, "index.html"), "utf8");
    for (const file of readdirSync(dir, { recursive: true, withFileTypes: true })) {
      const path = join(file.parentPath, file.name);
      if (!file.isFile() || !TEXT.test(file.name)) continue;
      const text = readFileSync(path);
      if (text.length < LEAST) continue;
      const quality = page.includes(file.name) ? QUALITY.first : QUALITY.usual;
      const params = { [constants.BROTLI_PARAM_QUALITY]: quality, [constants.BROTLI_PARAM_SIZE_HINT]: text.length };
      writeFileSync(`${path}.br`, brotliCompressSync(text, { params }));
      writeFileSync(`${path}.gz`, gzipSync(text, { level: 9 }));
    }
  },
};
