const folded = (text: string) => text.trim().normalize("NFC").toLowerCase();

/** Choices as they are being edited: what each row was called before, or null for a new one. */
export type Choices = { values: string[]; retired: string[]; was: (string | null)[] };

/** Choices as they are stored, before anything is edited. */
export const storedChoices = (values: string[], retired: string[]): Choices => ({ values, retired, was: values });

/** The row whose choice another one becomes one with, if it is named like that. */
export function mergedWith({ values, was }: Choices, index: number): string | undefined {
  const name = folded(values[index] ?? "");
  if (!was[index] || name === "" || name === folded(was[index])) return undefined;
  const other = values.findIndex((each, at) => at !== index && folded(each) === name && !becomesOther(at));
  return other < 0 ? undefined : values[other]?.trim();

  // Of two rows that were both renamed to the same, the first keeps the name.
  function becomesOther(at: number) {
    return at > index && Boolean(was[at]) && folded(values[at] ?? "") !== folded(was[at] ?? "");
  }
}

/** What is sent: the choices without the rows that were merged, and new names by old ones. */
export function sentChoices(choices: Choices): {
  values: string[];
  retired: string[];
  renamed: Record<string, string>;
} {
  const values: string[] = [];
  const renamed: Record<string, string> = {};
  choices.values.forEach((value, index) => {
    const was = choices.was[index];
    const merged = mergedWith(choices, index);
    const name = merged ?? value.trim();
    if (name === "") return;
    if (was && name !== was) renamed[was] = name;
    if (!merged) values.push(name);
  });
  const retired = choices.retired.map((each) => each.trim()).filter((each) => values.includes(each));
  return { values, retired, renamed };
}
