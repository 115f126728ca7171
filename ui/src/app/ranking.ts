/** How well a label answers what was typed: 0 best, null not at all. */
export function rank(label: string, typed: string): number | null {
  const [text, query] = [fold(label), fold(typed)];
  if (query === "") return 0;
  if (text.startsWith(query)) return 0;
  const words = text.split(/[^\p{L}\p{N}]+/u);
  const parts = query.split(/\s+/);
  // Each word that was typed begins one of the label's, the same words together before others.
  if (text.includes(` ${query}`)) return 1;
  if (parts.every((part) => words.some((word) => word.startsWith(part)))) return 2;
  if (parts.every((part) => text.includes(part))) return 3;
  return isScattered(text, query.replaceAll(" ", "")) ? 4 : null;
}

const fold = (text: string) => text.normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase().trim();

/** Whether the letters stand there in their order, however far apart. */
function isScattered(text: string, letters: string) {
  let at = -1;
  return [...letters].every((letter) => {
    at = text.indexOf(letter, at + 1);
    return at >= 0;
  });
}

/** Those that answer, the best first; within a rank as they came. */
export function ranked<T>(all: T[], typed: string, label: (each: T) => string, most: number): T[] {
  const found = all.flatMap((each, place) => {
    const how = rank(label(each), typed);
    return how === null ? [] : [{ each, how, place }];
  });
  // Scattered letters are a guess, made only where nothing better answers.
  const best = found.some(({ how }) => how < 4) ? found.filter(({ how }) => how < 4) : found;
  best.sort((one, other) => one.how - other.how || one.place - other.place);
  return best.slice(0, most).map(({ each }) => each);
}
