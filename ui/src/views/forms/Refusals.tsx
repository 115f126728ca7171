import { Link } from "react-router";
import type { Form, Table } from "../../api/client";
import { keyQueue } from "../../components/record/keyQueue";
import type { Draft } from "../../components/record/useDraft";
import { t } from "../../words";

type Props = { title: string; table: Table; form: Form; id: number | null; draft: Draft };

/** All that keeps a record from being saved, each a step away from its field. */
export function Refusals({ title, table, form, id, draft }: Props) {
  const messages = draft.answer?.messages ?? [];
  const label = (key: string) => table.fields.find((field) => field.key === key)?.label ?? key;
  const here = (key: string) => form.stops.includes(key) && draft.answer?.fields[key]?.state.shown !== false;
  return (
    <div
      id="refusals"
      tabIndex={-1}
      className="mb-4 rounded-[var(--radius-box)] bg-error px-4 py-2.5 text-error-content"
      role="alert"
    >
      <p className="font-semibold">{title}</p>
      {messages.length > 0 && (
        <>
          <ul className="my-1 flex flex-col">
            {messages.map((message) => (
              <li key={`${message.field}-${message.message}`}>
                {here(message.field) ? (
                  <button
                    type="button"
                    className="text-left underline-offset-2 hover:underline"
                    onClick={() => document.getElementById(`input-${message.field}`)?.focus()}
                  >
                    <span className="font-semibold">{label(message.field)}:</span> {message.message}
                    {message.passable && ` ${t("form.passable")}`}
                  </button>
                ) : (
                  <>
                    <span className="font-semibold">{label(message.field)}:</span> {message.message}{" "}
                    {form.id !== "all" && (
                      <>
                        {t("form.elsewhere", { label: label(message.field) })}{" "}
                        <Link
                          className="underline underline-offset-2"
                          to={`/t/${table.key}/forms${id === null ? "" : `/${id}`}?form=all`}
                          onClick={() => {
                            keyQueue.resumeAt = `input-${message.field}`;
                          }}
                        >
                          {t("form.openAll")}
                        </Link>
                      </>
                    )}
                  </>
                )}
              </li>
            ))}
          </ul>
          <p>{t("form.stillHere")}</p>
        </>
      )}
    </div>
  );
}
