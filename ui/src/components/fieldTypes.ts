import type { FieldType } from "../api/client";
import { useSession } from "../api/queries";

const UNKNOWN: FieldType = { key: "", label: "", settings: [], format: [], titles: false };

/** The types that a field can have, as the server describes them, and one of them by its key. */
export function useFieldTypes() {
  const all = useSession().data?.types ?? [];
  return { all, of: (key: string) => all.find((each) => each.key === key) ?? UNKNOWN };
}
