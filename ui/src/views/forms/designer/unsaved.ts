import type { FormParts } from "../../../api/client";

const name = (table: string, form: string) => `up-tack-design/${table}/${form}`;

/** A form's design that was changed and not yet saved stays in this browser. */
export function keptDesign(table: string, form: string): FormParts | null {
  try {
    const found = localStorage.getItem(name(table, form));
    return found ? (JSON.parse(found) as FormParts) : null;
  } catch {
    return null;
  }
}

export function keepDesign(table: string, form: string, parts: FormParts) {
  try {
    localStorage.setItem(name(table, form), JSON.stringify(parts));
  } catch {
    // A full or forbidden store: the design still stands on the page itself.
  }
}

export const forgetDesign = (table: string, form: string) => localStorage.removeItem(name(table, form));
