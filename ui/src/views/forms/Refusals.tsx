import type { Table } from "../../api/client";
import type { Draft } from "../../components/record/useDraft";
import { words } from "../../words";

type Props = { title: string; table: Table; draft: Draft };

/** All that keeps a record from being saved, each a step away from its field. */
export function Refusals({ title, table, draft }: Props) {
  const messages = draft.answer?.messages ?? [];
  const label = (key: string) => table.fields.find((field) => field.key === key)?.label ?? key;
  return (
    <div className="mb-4 rounded-[var(--radius-box)] bg-error px-4 py-2.5 text-error-content" role="alert">
      <p className="font-semibold">{title}</p>
      {messages.length > 0 && (
        <>
          <ul className="my-1 flex flex-col">
            {messages.map((message) => (
              <li key={`${message.field}-${message.message}`}>
                <button
                  type="button"
                  className="text-left underline-offset-2 hover:underline"
                  onClick={() => document.getElementById(`input-${message.field}`)?.focus()}
                >
                  <span className="font-semibold">{label(message.field)}:</span> {message.message}
                  {message.passable && ` ${words.form.passable}`}
                </button>
              </li>
            ))}
          </ul>
          <p>{words.form.stillHere}</p>
        </>
      )}
    </div>
  );
}
