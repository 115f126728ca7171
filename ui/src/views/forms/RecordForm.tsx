import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import {
  type Answer,
  api,
  data,
  type Form,
  type Problem,
  ProblemError,
  type RecordData,
  type Table,
} from "../../api/client";
import type { Typed } from "../../api/queries";
import { FormLayout } from "../../components/record/FormLayout";
import { focusFirstRefused } from "../../components/record/focusFirst";
import { carriedOf, forgetDraft, keepCarried, keepDraft, keptDraft } from "../../components/record/kept";
import { LineList } from "../../components/record/LineList";
import { useDraft } from "../../components/record/useDraft";
import { useLines } from "../../components/record/useLines";
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
  form: Form;
  record: RecordData | null;
  /** What a new record begins with, as if it were typed. */
  begin?: Typed;
};

/** A record's form. Nothing typed is lost by a refusal, a reload or a lost connection. */
export function RecordForm({ table, form, record, begin }: Props) {
  const id = record?.id ?? null;
  const [restored] = useState(() => (begin ? null : keptDraft(table.key, id)));
  const [wasRestored, setWasRestored] = useState(restored !== null);
  const [seen, setSeen] = useState(restored?.version ?? record?.version ?? null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [asking, setAsking] = useState(false);
  const [saving, setSaving] = useState(false);
  const saveButton = useRef<HTMLButtonElement>(null);
  const catcher = useRef<HTMLInputElement>(null);
  const client = useQueryClient();
  const navigate = useNavigate();
  const lines = useLines(restored?.lines ?? {});
  const { sending } = lines;
  const hasLines = form.sections.some((section) => section.items.some((item) => item.lines));

  /** What stands beside the typed fields: the form, what it carries over, and the lines beneath. */
  const around = useCallback(() => {
    const { lines: sent, note } = sending();
    const carried = id === null && !begin ? carriedOf(table.key, form.id) : {};
    return { body: { form: form.id, carried, lines: hasLines ? sent : [] }, note };
  }, [sending, table.key, form.id, id, begin, hasLines]);

  const ask = useCallback(
    async (typed: Typed, reasons: { [rule: string]: string }) => {
      const { body, note } = around();
      const path = { table: table.key };
      const answer = await data(
        api.POST("/api/tables/{table}/draft", { params: { path }, body: { typed, id, reasons, ...body } }),
      );
      note(answer);
      return answer;
    },
    [table.key, id, around],
  );
  const draft = useDraft(ask, restored?.typed ?? begin ?? {});
  useEffect(
    () => keepDraft(table.key, id, { typed: draft.typed, version: seen, lines: lines.typed }),
    [table.key, id, draft.typed, seen, lines.typed],
  );
  const focusFirst = useCallback((answer: Answer | undefined) => {
    const first = answer?.first ? document.getElementById(`input-${answer.first}`) : null;
    (first ?? document.querySelector<HTMLElement>("[data-input]"))?.focus();
  }, []);
  // Where the form begins is known with the first answer.
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current || !draft.answer) return;
    begun.current = true;
    if (document.activeElement === document.body) focusFirst(draft.answer);
  }, [draft.answer, focusFirst]);

  const write = (typed: Typed, version: number | null) => {
    const path = { table: table.key, id: id ?? 0 };
    const { body: more, note } = around();
    const body = { typed, reasons: draft.reasons, way: "form", ...more };
    const call =
      id === null
        ? data(api.POST("/api/tables/{table}/records", { params: { path: { table: table.key } }, body }))
        : data(api.PATCH("/api/tables/{table}/records/{id}", { params: { path }, body: { ...body, version } }));
    return { call, note };
  };

  const done = (saved: RecordData) => {
    forgetDraft(table.key, id);
    setProblem(null);
    lines.reset();
    const carry = form.sections.flatMap((section) => section.items.filter((item) => item.carry));
    if (id === null && carry.length > 0)
      keepCarried(
        table.key,
        form.id,
        Object.fromEntries(carry.map(({ field = "" }) => [field, saved.values[field] ?? null])),
      );
    const unchanged = record && saved.version === record.version && Object.keys(lines.typed).length === 0;
    toast.success(unchanged ? words.form.unchanged : words.form.saved(saved.title));
    for (const key of ["records", "history", "tables", "table"]) client.invalidateQueries({ queryKey: [key] });
    client.setQueryData(["record", table.key, saved.id], saved);
  };

  const save = async (next: boolean, merged?: Typed, version = seen) => {
    if (saving) return;
    setSaving(true);
    // What is typed while the answer is awaited belongs to the next record.
    if (next && id === null && catcher.current) {
      catcher.current.value = "";
      catcher.current.focus({ preventScroll: true });
    }
    const { typed } = await draft.settled();
    const { call, note } = write(merged ?? typed, version);
    try {
      const saved = await call;
      done(saved);
      if (!next) {
        if (id === null) navigate(`/t/${table.key}/forms/${saved.id}?form=${form.id}`);
        else draft.reset();
      } else if (id === null) {
        draft.reset();
        setWasRestored(false);
        focusFirst((await draft.settled()).answer);
        const early = catcher.current?.value ?? "";
        if (early !== "") document.execCommand("insertText", false, early);
      } else navigate(`/t/${table.key}/forms?form=${form.id}`);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setProblem(error.problem);
      const early = catcher.current?.value ?? "";
      if (early !== "") toast(words.forms.typedMeanwhile(early), { duration: 15_000 });
      if (error.problem.answer) {
        note(error.problem.answer);
        draft.showAll(error.problem.answer, table.fields);
        lines.visitAll();
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
  const open =
    (draft.answer?.messages.length ?? 0) +
    (draft.answer?.lines.flat().reduce((sum, line) => sum + (line?.messages.length ?? 0), 0) ?? 0);
  const columns = Math.max(...form.sections.map((section) => section.columns ?? 1));
  const width = columns > 2 ? "max-w-5xl" : "max-w-3xl";

  return (
    <div className={`mx-auto ${width} px-5 pt-5 pb-24`}>
      <FormHead table={table} form={form} record={record} onRemove={() => setAsking(true)} />
      {id !== null && form.id === "all" && <LinkedHere table={table.key} id={id} />}
      {wasRestored && (
        <p className="mb-3 flex items-center gap-3" role="status">
          {words.form.restored}
          <button
            type="button"
            className="link"
            onClick={() => {
              lines.reset();
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
      {form.note && form.id !== "all" && <p className="quiet mb-2">{form.note}</p>}
      <div className="sheet px-5 py-4">
        <FormLayout
          table={table}
          form={form}
          id={id}
          draft={draft}
          lines={(item) => <LineList table={table} id={id} item={item} draft={draft} lines={lines} />}
          onEnd={() => saveButton.current?.focus()}
        />
      </div>
      <input ref={catcher} className="sr-only" tabIndex={-1} aria-hidden autoComplete="off" />
      <SaveBar
        isNew={id === null}
        saving={saving}
        save={save}
        button={saveButton}
        next={form.buttons.includes("save_next")}
        width={width}
      />
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
