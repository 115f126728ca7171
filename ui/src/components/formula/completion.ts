import type { Completion, CompletionContext, CompletionResult } from "@codemirror/autocomplete";
import { lowerFirst } from "../lowerFirst";
import { pathLabel } from "./labels";
import { KEYWORDS } from "./language";
import { type AllNames, atSource, type Field, resolve, tableAt } from "./places";

type Described = { name: string; signature: string; help: string; example: string; result: string | null };
/** Something that can be written, with all the names by which it is found. */
type Offer = Completion & { found: string[] };

/** Completes fields by label or key, along links too, linked records in aggregates, functions and words. */
export function completion(home: string, names: AllNames, functions: Described[]) {
  return (context: CompletionContext): CompletionResult | null => {
    const word = context.matchBefore(/[\p{L}_][\p{L}\p{N}_.]*/u);
    if (!word && !context.explicit) return null;
    const text = context.state.doc.toString();
    const from = word?.from ?? context.pos;
    const typed = (word?.text ?? "").toLowerCase();
    const here = tableAt(text, from, home, names);
    const dot = typed.lastIndexOf(".");
    if (dot >= 0) {
      const further = along(typed.slice(0, dot), here.table, home, names);
      return further && answer(from + dot + 1, typed.slice(dot + 1), further);
    }
    if (atSource(text, from)) return answer(from, typed, linked(home, names));
    return answer(from, typed, [
      ...fieldOffers(names.get(here.table)?.fields ?? []),
      ...nearby(here.table, names),
      ...functions.map(functionOffer),
      ...KEYWORDS.map((each) => ({ label: each, type: "keyword", found: [each] })),
    ]);
  };
}

/** The offers that the typed letters can mean: what begins so first, then words that do, then the rest. */
function answer(from: number, typed: string, offers: Offer[]): CompletionResult | null {
  // What is written out in full needs no offer; the list would only hide what stands beneath it.
  if (offers.some((offer) => offer.apply === typed)) return null;
  const ranked = offers
    .map((offer) => ({ offer, rank: Math.min(...offer.found.map((name) => rank(name.toLowerCase(), typed))) }))
    .filter((each) => each.rank < 3)
    .sort((a, b) => a.rank - b.rank);
  const options = ranked.map(({ offer: { found: _found, ...option } }) => option);
  return options.length > 0 ? { from, options, filter: false } : null;
}

function rank(name: string, typed: string): number {
  if (name.startsWith(typed)) return 0;
  if (name.split(/[\s_.]+/).some((part) => part.startsWith(typed))) return 1;
  return name.includes(typed) ? 2 : 3;
}

function along(path: string, table: string, home: string, names: AllNames): Offer[] | null {
  const parts = path.split(".");
  const start = parts.length === 1 && (path === "old" ? table : path === "this" ? home : null);
  const reverse = names.get(home)?.linked.find((each) => each.path === path || each.table === path)?.table;
  const target = start || (resolve(parts, table, home, names)?.at(-1)?.target ?? reverse);
  return target ? fieldOffers(names.get(target)?.fields ?? []) : null;
}

function fieldOffers(fields: Field[]): Offer[] {
  return fields.map((field) => ({
    label: field.label,
    apply: field.key,
    detail: `${field.key} · ${lowerFirst(field.type_label)}`,
    type: "property",
    found: [field.label, field.key],
  }));
}

/** The fields one link away. */
function nearby(table: string, names: AllNames): Offer[] {
  return (names.get(table)?.fields ?? []).flatMap((link) =>
    (names.get(link.target ?? "")?.fields ?? []).map((field) => ({
      label: pathLabel([link, field]),
      apply: `${link.key}.${field.key}`,
      detail: `${link.key}.${field.key} · ${lowerFirst(field.type_label)}`,
      type: "property",
      found: [field.label, field.key, `${link.key}.${field.key}`],
    })),
  );
}

function linked(home: string, names: AllNames): Offer[] {
  return (names.get(home)?.linked ?? []).map((each) => ({
    label: each.label,
    apply: each.path,
    detail: each.path,
    type: "class",
    found: [each.label, each.path],
  }));
}

function functionOffer(each: Described): Offer {
  const result = each.result === null ? "" : ` → ${each.result}`;
  return {
    label: each.signature,
    apply: `${each.name}(`,
    info: `${each.help} ${each.example}${result}`,
    type: "function",
    found: [each.name],
  };
}
