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

/**
 * What a mask makes of a text: its formatted text, whether it is complete, and whether every character found a
 * place.
 */
export type Formatted = { text: string; complete: boolean; fits: boolean };

/** How many characters found a place, and how many fixed ones came by themselves. */
type Walked = Formatted & { used: number; given: number };

const CASES: { [sign: string]: string } = { U: "upper", L: "lower" };
/** Capitals, letters for titles among them, and small letters: what is in its case already stays as it is. */
const IN_CASE: { [to: string]: RegExp } = { upper: /^[\p{Lu}\p{Lt}]\p{M}*$/u, lower: /^\p{Ll}\p{M}*$/u };

const turned = (text: string, to: string | null) => {
  if (to && IN_CASE[to]?.test(text)) return text;
  const found = to === "upper" ? text.toUpperCase() : to === "lower" ? text.toLowerCase() : text;
  return found.length === text.length ? found : text;
};

/** Whether a mask takes no notice of a character, such as a separator that the mask has typed. */
export const passedOver = (mask: CompiledMask, text: string) =>
  characters(text).every((each) => new RegExp(`^${mask.passed_over}$`, "u").test(each));

const GRAPHEMES = new Intl.Segmenter(undefined, { granularity: "grapheme" });
/** The first of the characters (private use area) that stand for longer ones. */
const STANDING_IN = 0xe000;

/** What people see as single characters (Unicode UAX #29). */
export const characters = (text: string) => Array.from(GRAPHEMES.segment(text), (found) => found.segment);

/** Whether a character of the text is longer than the mask library counts. */
export const hasLongCharacters = (text: string) => characters(text).some((each) => each.length > 1);

/**
 * The mask library counts UTF-16 units. For it, each longer character (an emoji, a letter with a mark
 * of its own) is one unit that stands in for it.
 */
class StandIns {
  private readonly known: string[] = [];

  in(text: string) {
    return characters(text)
      .map((each) => (each.length === 1 && (each < "\ue000" || each > "\uf8ff") ? each : this.unit(each)))
      .join("");
  }

  out(text: string) {
    return Array.from(text, (unit) => this.known[(unit.codePointAt(0) ?? 0) - STANDING_IN] ?? unit).join("");
  }

  private unit(character: string) {
    if (!this.known.includes(character)) this.known.push(character);
    return String.fromCharCode(STANDING_IN + this.known.indexOf(character));
  }
}

function pattern(mask: CompiledMask, index: number, standIns = new StandIns()) {
  const definitions = Object.fromEntries(
    Object.entries(mask.classes).map(([sign, source]) => {
      const kind = new RegExp(`^${source}$`, "u");
      return [
        sign,
        {
          mask: (key: string) => kind.test(standIns.out(key)),
          prepareChar: (key: string) => standIns.in(turned(standIns.out(key), CASES[sign] ?? null)),
        },
      ];
    }),
  );
  return {
    mask: standIns.in(mask.patterns[index] ?? ""),
    definitions,
    prepareChar: (key: string) => standIns.in(turned(standIns.out(key), mask.turn)),
  };
}

/** How many of the fixed characters at the end of a pattern stand there already. */
function endingThere(typed: InputMask<FactoryArg> | ReturnType<typeof IMask.createMask>) {
  const blocks = (typed as unknown as { _blocks: { isFixed: boolean; value: string }[] })._blocks;
  let count = 0;
  for (const block of [...blocks].reverse()) {
    if (!block.isFixed && block.value !== "") break;
    if (block.isFixed) count += block.value.length;
  }
  return count;
}

/** Types a text character by character by one of the patterns. */
function walk(mask: CompiledMask, index: number, text: string): Walked {
  const passed = new RegExp(`^${mask.passed_over}$`, "u");
  const standIns = new StandIns();
  const typed = IMask.createMask(pattern(mask, index, standIns));
  let used = 0;
  let fits = true;
  for (const key of characters(text)) {
    const before = typed.rawInputValue.length;
    typed.append(standIns.in(key), { input: true, raw: true });
    if (typed.rawInputValue.length > before) used += 1;
    else if (!passed.test(key)) fits = false;
  }
  const complete = typed.isComplete;
  const tail = characters(mask.tails[index] ?? "");
  const ending = complete ? tail.slice(endingThere(typed)).join("") : "";
  const given = typed.value.length - used;
  return { text: standIns.out(typed.value) + ending, complete, fits, used, given };
}

/** The pattern that takes in the most of a text; of those alike the one that adds least, then a complete one. */
function best(mask: CompiledMask, text: string): { index: number; walked: Walked } {
  return mask.patterns
    .map((_, index) => ({ index, walked: walk(mask, index, text) }))
    .reduce((one, other) => {
      const more = other.walked.used - one.walked.used || one.walked.given - other.walked.given;
      return more > 0 || (more === 0 && other.walked.complete && !one.walked.complete) ? other : one;
    });
}

/** What the mask makes of a whole text. One that does not fit stays as it is, so that nothing is lost. */
export function format(mask: CompiledMask, text: string): Formatted {
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
