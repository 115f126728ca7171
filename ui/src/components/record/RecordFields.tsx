import type { Table } from "../../api/client";
import { FormLayout } from "./FormLayout";
import type { Draft } from "./useDraft";

type Props = { table: Table; id: number | null; draft: Draft; prefix?: string; onEnd?: () => void };

/** The form that every table has: all of its fields. */
export function RecordFields({ table, ...props }: Props) {
  const form = table.forms.find((each) => each.id === "all");
  return form ? <FormLayout table={table} form={form} {...props} /> : null;
}
