/** A run of characters; `at` is its place among the parts. */
export type Part = { at: number; kind: "same" | "removed" | "added"; text: string };

/** Texts beyond this many characters are compared as wholes. */
const LONGEST = 600;

/** Which characters two texts share, by their longest common subsequence. */
export function differences(before: string, after: string): Part[] {
  const one = [...before];
  const other = [...after];
  if (one.length > LONGEST || other.length > LONGEST)
    return [
      { at: 0, kind: "removed", text: before },
      { at: 1, kind: "added", text: after },
    ];
  const longest = table(one, other);
  const parts: Part[] = [];
  const put = (kind: Part["kind"], text: string) => {
    const last = parts.at(-1);
    if (last?.kind === kind) last.text += text;
    else parts.push({ at: parts.length, kind, text });
  };
  let at = 0;
  let to = 0;
  while (at < one.length || to < other.length) {
    const left = one[at];
    const right = other[to];
    if (left !== undefined && left === right) {
      put("same", left);
      at += 1;
      to += 1;
    } else if (left !== undefined && (right === undefined || cell(longest, at + 1, to) >= cell(longest, at, to + 1))) {
      put("removed", left);
      at += 1;
    } else if (right !== undefined) {
      put("added", right);
      to += 1;
    }
  }
  return parts;
}

const cell = (rows: number[][], at: number, to: number) => rows[at]?.[to] ?? 0;

function table(one: string[], other: string[]): number[][] {
  const rows: number[][] = Array.from({ length: one.length + 1 }, () => new Array(other.length + 1).fill(0));
  for (let at = one.length - 1; at >= 0; at -= 1) {
    const row = rows[at] as number[];
    for (let to = other.length - 1; to >= 0; to -= 1) {
      row[to] =
        one[at] === other[to]
          ? cell(rows, at + 1, to + 1) + 1
          : Math.max(cell(rows, at + 1, to), cell(rows, at, to + 1));
    }
  }
  return rows;
}
