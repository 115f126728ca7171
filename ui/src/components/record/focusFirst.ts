import type { Answer, Form } from "../../api/client";

/**
 * Where the cursor goes when a record was refused: to the first field of the form, in its order, that
 * has a message; of a warning to where its reason is typed; else to a refused line.
 */
export function firstRefused(form: Form, answer: Answer): HTMLElement | null {
  for (const key of form.stops) {
    const own = answer.messages.filter((message) => message.field === key);
    const input = document.getElementById(`input-${key}`);
    if (own.length === 0 || !input?.matches("[data-input]")) continue;
    const reason = own.every((message) => message.passable)
      ? input.closest("[data-field-box]")?.querySelector<HTMLElement>("[data-reason]")
      : null;
    return reason ?? input;
  }
  return document.querySelector<HTMLElement>("[data-line-input][aria-invalid=true]");
}

/** Where a form begins: as the server says, else with its first input. */
export const firstInput = (answer: Answer | undefined) =>
  (answer?.first && document.getElementById(`input-${answer.first}`)) ||
  document.querySelector<HTMLElement>("[data-input]");
