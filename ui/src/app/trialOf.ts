import type { Typed } from "../api/queries";

/** The address of the bench with something typed already. */
export const trialOf = (table: string, typed: Typed) =>
  `/t/${table}/bench?typed=${encodeURIComponent(JSON.stringify(typed))}`;

/** What an address of the bench says is typed. */
export function typedIn(params: URLSearchParams): Typed {
  try {
    const found: unknown = JSON.parse(params.get("typed") ?? "{}");
    return found && typeof found === "object" && !Array.isArray(found) ? (found as Typed) : {};
  } catch {
    return {};
  }
}
