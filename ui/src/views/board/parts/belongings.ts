type Found = { map: { [value: string]: string[] }; pairs: number; unknown: string[] };

const same = (one: string, other: string) => one.trim().toLowerCase() === other.trim().toLowerCase();

/**
 * What belongs to what, read from two columns: a value of the first list, and one of the second.
 * @param block rows of cells, as they were pasted
 * @returns the choices for each value that is named, in the order of their list, and what is in neither;
 *   null where it is not two columns
 */
export function belongings(block: string[][], values: string[], choices: string[]): Found | null {
  const rows = block.filter((row) => row.some((cell) => cell.trim() !== ""));
  if (rows.length === 0 || rows.some((row) => row.length < 2)) return null;
  const found = new Map<string, Set<string>>();
  const unknown = new Set<string>();
  let pairs = 0;
  for (const [first = "", second = ""] of rows) {
    const value = values.find((each) => same(each, first));
    const choice = choices.find((each) => same(each, second));
    if (value === undefined) unknown.add(first.trim());
    if (choice === undefined) unknown.add(second.trim());
    if (value === undefined || choice === undefined) continue;
    found.set(value, (found.get(value) ?? new Set()).add(choice));
    pairs += 1;
  }
  const map = Object.fromEntries([...found].map(([value, set]) => [value, choices.filter((each) => set.has(each))]));
  return { map, pairs, unknown: [...unknown].filter((each) => each !== "") };
}
