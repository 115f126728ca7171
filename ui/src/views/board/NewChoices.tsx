import type { Field } from "../../api/client";
import { useAddChoices } from "../../api/queries";
import { t } from "../../words";

type Props = { table: string; field: Field; texts: string[]; onAdded?: () => void };

/** Names that were pasted or imported and are no choice of a field yet, with a button that adds them to its list. */
export function NewChoices({ table, field, texts, onAdded }: Props) {
  const add = useAddChoices(table);
  return (
    <div className="rounded border border-secondary border-dashed px-2.5 py-1.5">
      <p>
        {t("choices.unknown", { field: field.label })} <strong>{texts.join(", ")}</strong>
      </p>
      <button
        type="button"
        className="btn btn-sm mt-1"
        disabled={add.isPending}
        onClick={(event) => {
          // The button goes; the keys stay in the table.
          event.currentTarget.closest("aside")?.querySelector<HTMLElement>("[data-cell][aria-invalid=true]")?.focus();
          add.mutate({ field, texts }, { onSuccess: onAdded });
        }}
      >
        {t("choices.addThese", { count: texts.length, field: field.label })}
      </button>
      {add.error && (
        <p role="alert" className="text-error">
          {add.error.message}
        </p>
      )}
    </div>
  );
}
