import { useCallback, useMemo, useRef } from "react";
import { api, data, type Form, type FormParts, type Mistake, ProblemError, type Table } from "../../../api/client";
import type { Typed } from "../../../api/queries";
import { FormLayout } from "../../../components/record/FormLayout";
import { useDraft } from "../../../components/record/useDraft";
import { t } from "../../../words";
import { fieldsOn } from "./shape";

type Props = { table: Table; form: FormParts; onMistakes: (mistakes: Mistake[]) => void };

/** The form as it stands, running: typed into without touching a real record. */
export function FormPreview({ table, form, onMistakes }: Props) {
  const shape = JSON.stringify(form);
  const tell = useRef(onMistakes);
  tell.current = onMistakes;
  const ask = useCallback(
    async (typed: Typed, reasons: { [rule: string]: string }) => {
      try {
        const answer = await data(
          api.POST("/api/tables/{table}/trial", {
            params: { path: { table: table.key } },
            body: { typed, reasons, form_parts: JSON.parse(shape) as FormParts },
          }),
        );
        tell.current([]);
        return answer;
      } catch (error) {
        if (error instanceof ProblemError) tell.current(error.problem.mistakes ?? []);
        throw error;
      }
    },
    [table.key, shape],
  );
  const draft = useDraft(ask);
  const shown = useMemo(() => running(JSON.parse(shape) as FormParts, table), [shape, table]);
  return (
    <section className="min-h-0 overflow-auto px-5 py-4" aria-label={t("designer.live")}>
      <div className="mb-2 flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-base">{t("designer.live")}</h2>
        <p className="quiet flex-1 text-xs">{t("designer.liveAim")}</p>
        {Object.keys(draft.typed).length > 0 && (
          <button type="button" className="link text-xs" onClick={() => draft.reset()}>
            {t("bench.clear")}
          </button>
        )}
      </div>
      {draft.failure && (
        <p className="mb-2 text-error" role="alert">
          {draft.failure.replaceAll("`", "")}
        </p>
      )}
      <div className="sheet px-5 py-4">
        <FormLayout
          table={table}
          form={shown}
          id={null}
          draft={draft}
          prefix="live-"
          lines={(item) => (
            <p className="quiet rounded border border-base-300 border-dashed px-3 py-2">
              {t("designer.linesHere", {
                label: item.label ?? item.lines?.table ?? "",
                fields: (item.fields ?? []).length,
              })}
            </p>
          )}
        />
      </div>
    </section>
  );
}

/** The parts as a form that can be filled in. */
function running(parts: FormParts, table: Table): Form {
  const fields = fieldsOn(parts);
  const order = parts.order ?? null;
  return {
    id: "live",
    name: parts.name,
    note: parts.note ?? null,
    order,
    jumps: parts.jumps ?? [],
    skip_filled: parts.skip_filled ?? false,
    buttons: parts.buttons ?? [],
    stops: order
      ? [...order.filter((key) => fields.includes(key)), ...fields.filter((key) => !order.includes(key))]
      : fields,
    sections: parts.sections.map((section) => ({
      ...section,
      items: section.items.map((item) => {
        const target = table.fields.find((field) => field.key === item.panel)?.target;
        return item.panel && target ? { ...item, table: target } : item;
      }),
    })),
  };
}
