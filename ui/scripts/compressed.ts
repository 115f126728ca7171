import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import type { Plugin } from "vite";

/** What is text and so becomes smaller; fonts and pictures are compressed as they are. */
const TEXT = /\.(?:js|css|svg|json)$/;
/** Bytes below which it is not worth a file. */
const LEAST = 1_000;
/** The highest takes a minute for a few per cent. */
const QUALITY = 9;

/** Writes each asset compressed beside itself when the interface is built, so that the server need not do it. */
export const compressed: Plugin = {
  name: "compressed",
  apply: "build",
  writeBundle({ dir = "dist" }) {
    for (const file of readdirSync(dir, { recursive: true, withFileTypes: true })) {
      const path = join(file.parentPath, file.name);
      if (!file.isFile() || !TEXT.test(file.name)) continue;
      const text = readFileSync(path);
      if (text.length < LEAST) continue;
      const params = { [constants.BROTLI_PARAM_QUALITY]: QUALITY, [constants.BROTLI_PARAM_SIZE_HINT]: text.length };
      writeFileSync(`${path}.br`, brotliCompressSync(text, { params }));
      writeFileSync(`${path}.gz`, gzipSync(text, { level: 9 }));
    }
  },
};
