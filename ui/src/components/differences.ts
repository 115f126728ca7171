import { type Change, diffChars, diffWordsWithSpace } from "diff";

/** A run of characters; `at` is its place among the parts. */
export type Part = { at: number; kind: "same" | "removed" | "added"; text: string };

/** Beyond so many changes two texts are compared as wholes: nobody could follow them one by one. */
const MOST = 400;

/** Which characters two texts share. */
export const differences = (before: string, after: string): Part[] =>
  parts(diffChars(before, after, { maxEditLength: MOST }), before, after);

/** Which words two long texts share. */
export const wordDifferences = (before: string, after: string): Part[] =>
  parts(diffWordsWithSpace(before, after, { maxEditLength: MOST }), before, after);

function parts(found: Change[] | undefined, before: string, after: string): Part[] {
  if (!found)
    return [
      { at: 0, kind: "removed", text: before },
      { at: 1, kind: "added", text: after },
    ];
  return found.map((each, at) => ({
    at,
    kind: each.added ? "added" : each.removed ? "removed" : "same",
    text: each.value,
  }));
}
