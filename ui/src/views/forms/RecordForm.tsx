import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { api, data, type Problem, ProblemError, type RecordData, type Table } from "../../api/client";
import type { Typed } from "../../api/queries";
import { focusFirstRefused } from "../../components/record/focusFirst";
import { forgetDraft, keepDraft, keptDraft } from "../../components/record/kept";
import { RecordFields } from "../../components/record/RecordFields";
import { useDraft } from "../../components/record/useDraft";
import { words } from "../../words";
import { Conflict } from "./Conflict";
import { DeleteDialog } from "./DeleteDialog";
import { FormHead } from "./FormHead";
import { LinkedHere } from "./LinkedHere";
import { Refusals } from "./Refusals";
import { SaveBar } from "./SaveBar";
import { useFormKeys } from "./useFormKeys";

type Props = {
  table: Table;
  record: RecordData | null;
  /** What a new record begins with, as if it were typed. */
  begin?: Typed;
};

/** A record's form. Nothing typed is lost by a refusal, a reload or a lost connection. */
export function RecordForm({ table, record, begin }: Props) {
  const id = record?.id ?? null;
  const [restored] = useState(() => (begin ? null : keptDraft(table.key, id)));
  const [wasRestored, setWasRestored] = useState(restored !== null);
  const [seen, setSeen] = useState(restored?.version ?? record?.version ?? null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [asking, setAsking] = useState(false);
  const [saving, setSaving] = useState(false);
  const saveButton = useRef<HTMLButtonElement>(null);
  const client = useQueryClient();
  const navigate = useNavigate();

  const ask = useCallback(
    (typed: Typed, reasons: { [rule: string]: string }) =>
      data(
        api.POST("/api/tables/{table}/draft", { params: { path: { table: table.key } }, body: { typed, id, reasons } }),
      ),
    [table.key, id],
  );
  const draft = useDraft(ask, restored?.typed ?? begin ?? {});
  useEffect(() => keepDraft(table.key, id, { typed: draft.typed, version: seen }), [table.key, id, draft.typed, seen]);
  useEffect(() => document.querySelector<HTMLElement>("[data-input]")?.focus(), []);

  const write = (typed: Typed, version: number | null) => {
    const path = { table: table.key, id: id ?? 0 };
    const body = { typed, reasons: draft.reasons, way: "form" };
    return id === null
      ? data(api.POST("/api/tables/{table}/records", { params: { path: { table: table.key } }, body }))
      : data(api.PATCH("/api/tables/{table}/records/{id}", { params: { path }, body: { ...body, version } }));
  };

  const save = async (next: boolean, typed = draft.typed, version = seen) => {
    if (saving) return;
    setSaving(true);
    try {
      const saved = await write(typed, version);
      forgetDraft(table.key, id);
      setProblem(null);
      toast.success(record && saved.version === record.version ? words.form.unchanged : words.form.saved(saved.title));
      for (const key of ["records", "history", "tables", "table"]) client.invalidateQueries({ queryKey: [key] });
      client.setQueryData(["record", table.key, saved.id], saved);
      if (!next) {
        if (id === null) navigate(`/t/${table.key}/forms/${saved.id}`);
        else draft.reset();
      } else if (id === null) {
        draft.reset();
        setWasRestored(false);
        document.querySelector<HTMLElement>("[data-input]")?.focus();
      } else navigate(`/t/${table.key}/forms`);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setProblem(error.problem);
      if (error.problem.answer) {
        draft.showAll(error.problem.answer, table.fields);
        focusFirstRefused(table, error.problem.answer);
      }
    } finally {
      setSaving(false);
    }
  };

  const remove = async () => {
    if (id === null) return;
    try {
      await api.DELETE("/api/tables/{table}/records/{id}", {
        params: { path: { table: table.key, id }, query: { version: seen ?? undefined } },
      });
      forgetDraft(table.key, id);
      toast(words.form.deleted(record?.title ?? ""));
      for (const key of ["records", "history", "tables", "table"]) client.invalidateQueries({ queryKey: [key] });
      navigate(`/t/${table.key}/records`);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setAsking(false);
      setProblem(error.problem);
    }
  };

  useFormKeys({ save: () => save(false), saveNext: () => save(true) });
  const conflict = problem?.code === "changed_meanwhile" ? problem : null;
  const open = draft.answer?.messages.length ?? 0;

  return (
    <div className="mx-auto max-w-3xl px-5 pt-5 pb-24">
      <FormHead table={table} record={record} onRemove={() => setAsking(true)} />
      {id !== null && <LinkedHere table={table.key} id={id} />}
      {wasRestored && (
        <p className="mb-3 flex items-center gap-3" role="status">
          {words.form.restored}
          <button
            type="button"
            className="link"
            onClick={() => {
              draft.reset();
              setWasRestored(false);
            }}
          >
            {words.form.startOver}
          </button>
        </p>
      )}
      {problem && !conflict && (open > 0 || !problem.answer) && (
        <Refusals title={problem.answer ? words.form.refused(open) : problem.title} table={table} draft={draft} />
      )}
      {draft.failure && (
        <p className="mb-4 text-error" role="alert">
          {draft.failure}
        </p>
      )}
      <div className="sheet px-5 py-4">
        <RecordFields table={table} id={id} draft={draft} onEnd={() => saveButton.current?.focus()} />
      </div>
      <SaveBar isNew={id === null} saving={saving} save={save} button={saveButton} />
      {asking && record && (
        <DeleteDialog table={table} record={record} onConfirm={remove} onClose={() => setAsking(false)} />
      )}
      {conflict?.record && record && (
        <Conflict
          table={table}
          before={record}
          problem={conflict}
          mine={draft}
          onClose={() => setProblem(null)}
          onMerge={(typed) => {
            const version = conflict.theirs?.at(-1)?.id ?? null;
            draft.reset(typed);
            setSeen(version);
            setProblem(null);
            save(false, typed, version);
          }}
        />
      )}
    </div>
  );
}
