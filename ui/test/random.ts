/** Numbers that look random and are the same in every run, so that what was found can be found again (mulberry32). */
export function randomFrom(seed: number) {
  let state = seed;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  const below = (count: number) => Math.floor(next() * count);
  const pick = <T>(all: readonly T[]): T => all[below(all.length)] as T;
  return {
    below,
    pick,
    text: (signs: string, most: number) => Array.from({ length: below(most + 1) }, () => pick([...signs])).join(""),
  };
}
