import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import { createPortal } from "react-dom";
import { api, data, ProblemError } from "../../api/client";
import { type Typed, useTable } from "../../api/queries";
import { refresh } from "../../api/queryKeys";
import { sentences, t } from "../../words";
import { Dialog } from "../Dialog";
import type { NewLinkedProps } from "./NewLinkedContext";
import { RecordFields } from "./RecordFields";
import { useDraft } from "./useDraft";

/** A new linked record, made without leaving the form; it goes through its own table's rules. */
export function NewLinked({ table, name, onMade, onClose }: NewLinkedProps) {
  const design = useTable(table).data;
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const ask = useCallback(
    (typed: Typed, reasons: { [rule: string]: string }) =>
      data(
        api.POST("/api/tables/{table}/draft", { params: { path: { table } }, body: { typed, reasons, form: "all" } }),
      ),
    [table],
  );
  const title = design?.title_field;
  const draft = useDraft(ask, title && name ? { [title]: name } : {});
  const { reset } = draft;
  // The table may be known only after the dialog has opened.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the table is known
  useEffect(() => {
    if (title && name) reset({ [title]: name });
    requestAnimationFrame(() => document.querySelector<HTMLElement>("dialog [data-input]")?.focus());
  }, [title]);

  const save = async () => {
    try {
      const body = { typed: draft.typed, reasons: draft.reasons, channel: "form" };
      const made = await data(api.POST("/api/tables/{table}/records", { params: { path: { table } }, body }));
      refresh(client, "records", "history", "tables");
      onMade({ id: made.id, title: made.title });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setProblem(error.message);
      if (error.problem.answer && design) draft.showAll(error.problem.answer, design.fields);
    }
  };

  if (!design) return null;
  return createPortal(
    <Dialog title={sentences.form.newTitle(design.one)} onClose={onClose} wide>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: keys are heard for the whole dialog */}
      <div
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Escape") onClose();
          if ((event.key === "s" || event.key === "Enter") && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            save();
          }
        }}
      >
        {problem && (
          <p role="alert" className="mb-3 font-semibold text-error">
            {problem}
          </p>
        )}
        <RecordFields table={design} draft={draft} id={null} prefix="new-" />
        <div
          className="-mx-5 -mb-5 sticky bottom-[-1.25rem] mt-4 flex justify-end gap-2 border-base-300 border-t
          bg-base-100 px-5 py-3"
        >
          <button type="button" className="btn btn-sm" onClick={onClose}>
            {t("common.cancel")}
          </button>
          <button type="button" className="btn btn-primary btn-sm" onClick={save}>
            {t("form.makeAndPick")}
            <kbd className="text-[0.6875rem] opacity-75">Ctrl S</kbd>
          </button>
        </div>
      </div>
    </Dialog>,
    document.body,
  );
}
