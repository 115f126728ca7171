import IMask, { type FactoryArg, type InputMask } from "imask";

/** A mask as the server compiled it: a pattern for each way to leave optional parts out. */
export type CompiledMask = {
  patterns: string[];
  tails: string[];
  classes: { [sign: string]: string };
  turn: string | null;
  passed_over: string;
  longest: number;
};

/** What a mask makes of a text: its settled form, whether it is complete, and whether every character found a place. */
export type Settled = { text: string; complete: boolean; fits: boolean };

type Walked = Settled & { used: number };

const turned = (text: string, to: string | null) => {
  const found = to === "upper" ? text.toUpperCase() : to === "lower" ? text.toLowerCase() : text;
  return found.length === text.length ? found : text;
};

const CASES: { [sign: string]: string } = { U: "upper", L: "lower" };

function pattern(mask: CompiledMask, index: number) {
  const definitions = Object.fromEntries(
    Object.entries(mask.classes).map(([sign, source]) => [
      sign,
      { mask: new RegExp(`^${source}$`, "u"), prepareChar: (key: string) => turned(key, CASES[sign] ?? null) },
    ]),
  );
  return {
    mask: mask.patterns[index] ?? "",
    definitions,
    prepareChar: (key: string) => turned(key, mask.turn),
  };
}

/** Types a text character by character by one of the patterns. */
function walk(mask: CompiledMask, index: number, text: string): Walked {
  const passed = new RegExp(`^${mask.passed_over}$`, "u");
  const typed = IMask.createMask(pattern(mask, index));
  let used = 0;
  let fits = true;
  for (const key of text) {
    const before = typed.rawInputValue.length;
    typed.append(key, { input: true, raw: true });
    if (typed.rawInputValue.length > before) used += 1;
    else if (!passed.test(key)) fits = false;
  }
  const complete = typed.isComplete;
  const tail = mask.tails[index] ?? "";
  const text_ = complete && tail && !typed.value.endsWith(tail) ? typed.value + tail : typed.value;
  return { text: text_, complete, fits, used };
}

/** The pattern that takes in the most of a text; of those alike a complete one, then the shortest. */
function best(mask: CompiledMask, text: string): { index: number; walked: Walked } {
  return mask.patterns
    .map((_, index) => ({ index, walked: walk(mask, index, text) }))
    .reduce((one, other) => {
      const more = other.walked.used - one.walked.used;
      return more > 0 || (more === 0 && other.walked.complete && !one.walked.complete) ? other : one;
    });
}

/** What the mask makes of a whole text. One that does not fit stays as it is, so that nothing is lost. */
export function settle(mask: CompiledMask, text: string): Settled {
  const { walked } = best(mask, text);
  return walked.fits
    ? { text: walked.text, complete: walked.complete, fits: true }
    : { text, complete: false, fits: false };
}

/** The mask for a mask library that follows it key by key. */
export function follow(mask: CompiledMask): FactoryArg {
  if (mask.patterns.length === 1) return pattern(mask, 0);
  return {
    mask: mask.patterns.map((_, index) => pattern(mask, index)),
    dispatch: (appended, masked, _flags, tail) => {
      const text = masked.rawInputValue + appended + tail.toString();
      return masked.compiledMasks[best(mask, text).index];
    },
  };
}

export type Following = InputMask<FactoryArg>;
