import type { Answer, Table } from "../../api/client";

/** Puts the cursor into the first field, in the form's order, that has a message. */
export function focusFirstRefused(table: Table, answer: Answer) {
  const key = table.fields.find((field) => answer.messages.some((message) => message.field === field.key))?.key;
  if (key) requestAnimationFrame(() => document.getElementById(`input-${key}`)?.focus());
}
