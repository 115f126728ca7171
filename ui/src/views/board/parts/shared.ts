import type { Mistake, RuleParts, Table } from "../../../api/client";

/** What every editor of a kind of rule is given. */
export type PartsProps = {
  table: Table;
  parts: RuleParts;
  change: (parts: Partial<RuleParts>) => void;
  mistakes: Mistake[];
};

/** The mistakes of one part. */
export const mistakesOf = (mistakes: Mistake[], part: string) => mistakes.filter((mistake) => mistake.part === part);

/** Kinds that refuse a record; they share message, severity and what becomes of old records. */
export const VALIDATIONS = ["check", "required", "limits", "length", "one_of", "fits", "unique", "exists", "lock"];

/** What each kind begins with. */
const BEGINNINGS: { [kind: string]: Partial<RuleParts> } = {
  check: { formula: "" },
  calculation: { formula: "", keeping: "always" },
  copy: { formula: "" },
  lock: { when: "", whole: true },
  mask: { mask: "", half: "refuse", separators: "keep" },
  tidy: { steps: [{ do: "trim" }], mode: "save" },
  narrow: { formula: "", otherwise: "clear" },
  state: { state: "enabled", when: "", otherwise: "keep" },
  fits: { mask: "" },
  number: { formula: "", start: 1, step: 1 },
  stamp: { event: "made" },
  line: { event: "ticked", formula: "", pattern: "d MMM yyyy, HH:mm" },
};

/** A new rule of a kind; what it has in common with one of another kind is kept. */
export const beginning = (kind: string, field: string, before?: RuleParts): RuleParts => {
  const { name = null, note = null, message = null, saying = null, severity = null, old = null } = before ?? {};
  const begun = { kind, field, name, note, message, saying, severity, old, ...BEGINNINGS[kind] };
  if (kind === "fill") return { ...begun, event: "changed", sets: [{ field, to: "" }] };
  return kind === "decision" ? { ...begun, inputs: [], outputs: [field], rows: [] } : begun;
};

/** Whether enough is there to look at. */
export function isBegun(parts: RuleParts): boolean {
  switch (parts.kind) {
    case "check":
    case "calculation":
    case "copy":
    case "number":
    case "line":
      return (parts.formula ?? "") !== "";
    case "default":
      return (parts.value ?? null) !== null || (parts.formula ?? "") !== "";
    case "mask":
    case "fits":
      return (parts.mask ?? "") !== "";
    case "narrow":
      return (parts.formula ?? "") !== "" || Boolean(parts.by);
    case "limits":
      return Boolean(parts.low || parts.high);
    case "length":
      return parts.least != null || parts.most != null;
    case "one_of":
      return (parts.values ?? []).length > 0;
    case "exists":
      return Boolean(parts.target && parts.target_field);
    case "stamp":
      return parts.event !== "reached" || (parts.when ?? "") !== "";
    case "fill":
      return (parts.sets ?? []).some((set) => set.to !== "");
    case "decision":
      return (parts.inputs ?? []).length > 0 && (parts.rows ?? []).length > 0;
    case "state":
    case "lock":
      return (parts.when ?? "") !== "";
    default:
      return true;
  }
}
