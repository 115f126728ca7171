import subsetFont from "subset-font";
import type { Plugin } from "vite";

/** Letters, figures and signs of the Latin files, as their own style sheets tell them (Unicode code points). */
const LATIN: [number, number][] = [
  [0x20, 0x7e],
  [0xa0, 0xff],
  [0x131, 0x131],
  [0x152, 0x153],
  [0x2bb, 0x2bc],
  [0x2c6, 0x2c6],
  [0x2da, 0x2dc],
  [0x2000, 0x206f],
  [0x20ac, 0x20ac],
  [0x2122, 0x2122],
  [0x2190, 0x2193],
  [0x2212, 0x2215],
];
/** Weights that the theme uses: titles have one alone. */
const WEIGHTS = {
  "bricolage-grotesque-latin-wght": 650,
  "figtree-latin-wght": { min: 400, max: 700 },
};

/** Leaves out of the fonts of every first page what the theme does not use. */
export const fonts: Plugin = {
  name: "fonts",
  apply: "build",
  async generateBundle(_, bundle) {
    const signs = LATIN.flatMap(([first, last]) =>
      Array.from({ length: last - first + 1 }, (_, index) => String.fromCodePoint(first + index)),
    ).join("");
    for (const [name, weight] of Object.entries(WEIGHTS)) {
      const file = Object.values(bundle).find((each) => each.fileName.includes(name));
      if (file?.type !== "asset") throw new Error(`There is no font ${name} among the assets.`);
      const options = { targetFormat: "woff2" as const, variationAxes: { wght: weight } };
      file.source = await subsetFont(Buffer.from(file.source), signs, options);
    }
  },
};
