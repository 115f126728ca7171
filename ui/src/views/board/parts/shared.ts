import type { Mistake, Preview, Rule, RuleKind, RuleParts, Table } from "../../../api/client";

/** What every editor of a kind of rule is given. */
export type PartsProps = {
  table: Table;
  parts: RuleParts;
  change: (parts: Partial<RuleParts>) => void;
  mistakes: Mistake[];
};

/** The mistakes of one part. */
export const mistakesOf = (mistakes: Mistake[], part: string) => mistakes.filter((mistake) => mistake.part === part);

/** What an editor of one kind alone is given besides. */
export type EditorProps = PartsProps & {
  /** The rule as it is kept; undefined for a new one. */
  rule: Rule | undefined;
  preview: Preview | undefined;
  /** Whether the rule as it is written could be kept. */
  sound: boolean;
};

/** What a kind of rule says of itself. */
export const kindOf = (table: Table, kind: string): RuleKind | undefined =>
  table.rule_kinds.find((each) => each.kind === kind);

/** What rules of all kinds may have, and so keep when another kind is chosen. */
const IN_COMMON = ["name", "note", "message", "saying", "severity", "old"] as const;

/** A new rule of a kind; what it has in common with one of another kind is kept. */
export const beginning = (kind: RuleKind | undefined, field: string, before?: RuleParts): RuleParts => ({
  kind: kind?.kind ?? "",
  field,
  ...Object.fromEntries(IN_COMMON.map((part) => [part, before?.[part] ?? null])),
  // The field on which it is pinned stands for `$field`.
  ...JSON.parse(JSON.stringify(kind?.begins ?? {}).replaceAll('"$field"', JSON.stringify(field))),
});

/** Whether enough is there to look at. */
export function isBegun(kind: RuleKind | undefined, parts: RuleParts): boolean {
  const plain = parts as { [part: string]: unknown };
  const meant = (key: string) => {
    const only = kind?.parts.find((part) => part.key === key)?.only ?? {};
    return Object.entries(only).every(([other, value]) => plain[other] === value);
  };
  return (kind?.needs ?? []).every((keys) => {
    const wanted = keys.filter(meant);
    return wanted.length === 0 || wanted.some((key) => isFilled(plain[key]));
  });
}

function isFilled(value: unknown): boolean {
  if (Array.isArray(value)) return value.some((each) => (each as { to?: string })?.to !== "");
  return value !== null && value !== undefined && value !== "";
}
