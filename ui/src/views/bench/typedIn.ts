import type { Typed } from "../../api/queries";

/** What an address of the bench says is typed. */
export function typedIn(params: URLSearchParams): Typed {
  try {
    const found: unknown = JSON.parse(params.get("typed") ?? "{}");
    return found && typeof found === "object" && !Array.isArray(found) ? (found as Typed) : {};
  } catch {
    return {};
  }
}
