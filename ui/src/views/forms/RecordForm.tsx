import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { api, data, type Form, ProblemError, type RecordData, type Table } from "../../api/client";
import type { Typed } from "../../api/queries";
import { refresh } from "../../api/queryKeys";
import { carriedOf, forgetDraft, keptDraft } from "../../components/record/draftStorage";
import { FormLayout } from "../../components/record/FormLayout";
import { firstInput } from "../../components/record/focusFirst";
import { keyQueue, land } from "../../components/record/keyQueue";
import { LineList } from "../../components/record/LineList";
import { useDraft } from "../../components/record/useDraft";
import { useKeptDraft } from "../../components/record/useKeptDraft";
import { useLines } from "../../components/record/useLines";
import { useNewest } from "../../components/record/useNewest";
import { t } from "../../words";
import { Clashed } from "./Clashed";
import { Conflict } from "./Conflict";
import { DeleteDialog } from "./DeleteDialog";
import { FormHead } from "./FormHead";
import { LinkedHere } from "./LinkedHere";
import { Refusals } from "./Refusals";
import { SaveBar } from "./SaveBar";
import { Spoken } from "./Spoken";
import { useFormKeys } from "./useFormKeys";
import { useSaving } from "./useSaving";

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
  const [wasRestored, setWasRestored] = useState(restored !== null && !restored.sent);
  const [seen, setSeen] = useState(restored?.version ?? record?.version ?? null);
  const [asking, setAsking] = useState(false);
  const saveButton = useRef<HTMLButtonElement>(null);
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

  const question = useNewest();
  const ask = useCallback(
    async (typed: Typed, reasons: { [rule: string]: string }) => {
      const { body, note } = around();
      const isNewest = question();
      const path = { table: table.key };
      const answer = await data(
        api.POST("/api/tables/{table}/draft", { params: { path }, body: { typed, id, reasons, ...body } }),
      );
      if (isNewest()) note(answer);
      return answer;
    },
    [table.key, id, around, question],
  );
  const draft = useDraft(ask, restored?.typed ?? begin ?? {});
  const kept = useKeptDraft(table.key, id, draft, lines, seen);
  const { save, resume, saving, silent, problem, setProblem } = useSaving({
    table,
    form,
    record,
    begun: begin !== undefined,
    draft,
    lines,
    kept,
    around,
    version: seen,
    onNext: () => {
      kept.begin();
      setWasRestored(false);
    },
  });

  // What was on its way when the page went is sent again; it is done once.
  const resumed = useRef(false);
  useEffect(() => {
    if (resumed.current || !restored?.sent) return;
    resumed.current = true;
    resume(restored.sent);
  });
  // Where the form begins is known with the first answer.
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current || (!draft.answer && !draft.failure)) return;
    begun.current = true;
    if (restored?.sent) return;
    const back = keyQueue.resumeAt ? document.getElementById(keyQueue.resumeAt) : null;
    keyQueue.resumeAt = null;
    if (keyQueue.held) {
      if (!back && id === null) keyQueue.takeUp();
      keyQueue.release(back ?? firstInput(draft.answer));
    } else if (id === null && !restored && keyQueue.waitsAside) {
      // Another way led to the next record: what waited for it is typed here.
      keyQueue.hold();
      keyQueue.takeUp();
      keyQueue.release(firstInput(draft.answer));
    } else if (back) land(back);
    else if (document.activeElement === document.body) firstInput(draft.answer)?.focus();
  }, [draft.answer, draft.failure, restored, id]);

  const remove = async () => {
    if (id === null) return;
    try {
      await api.DELETE("/api/tables/{table}/records/{id}", {
        params: { path: { table: table.key, id }, query: { version: seen ?? undefined } },
      });
      kept.saved();
      forgetDraft(table.key, id);
      toast(t("form.deleted", { title: record?.title ?? "" }));
      refresh(client, "records", "history", "tables", "table");
      navigate(`/t/${table.key}/records`);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setAsking(false);
      setProblem(error.problem);
    }
  };

  const conflict = problem?.code === "changed_meanwhile" ? problem : null;
  const [comparing, setComparing] = useState(false);
  // Nothing opens by itself under hands that type: it opens with the next save.
  const goesOn = useRef(false);
  const saveOr = (next: boolean) => {
    if (conflict?.record && record) return setComparing(true);
    goesOn.current = next;
    save(next);
  };
  useFormKeys({ save: () => saveOr(false), saveNext: () => saveOr(true) });
  const open =
    (draft.answer?.messages.length ?? 0) +
    (draft.answer?.lines.flat().reduce((sum, line) => sum + (line?.messages.length ?? 0), 0) ?? 0);
  const columns = Math.max(...form.sections.map((section) => section.columns ?? 1));
  const width = columns > 2 ? "max-w-5xl" : "max-w-3xl";

  return (
    <div
      className={`mx-auto ${width} px-5 pt-5 max-sm:px-3`}
      style={{ paddingBottom: "calc(var(--save-bar, 4rem) + 3.5rem)" }}
    >
      <FormHead table={table} form={form} record={record} onRemove={() => setAsking(true)} />
      {id !== null && form.id === "all" && <LinkedHere table={table.key} id={id} />}
      {wasRestored && (
        <p className="mb-3 flex items-center gap-3" role="status">
          {t("form.restored")}
          <button
            type="button"
            className="link"
            onClick={() => {
              lines.reset();
              draft.reset();
              setWasRestored(false);
            }}
          >
            {t("form.startOver")}
          </button>
        </p>
      )}
      {problem && !conflict && (open > 0 || !problem.answer) && (
        <Refusals
          title={problem.answer ? t("form.refused", { count: open }) : problem.title}
          table={table}
          form={form}
          id={id}
          draft={draft}
        />
      )}
      {draft.failure && (
        <p className="mb-4 text-error" role="alert">
          {draft.failure}
        </p>
      )}
      <Spoken table={table} answer={draft.answer} visited={draft.visited} />
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
      <SaveBar
        isNew={id === null}
        saving={saving}
        silent={silent}
        save={saveOr}
        button={saveButton}
        next={form.buttons.includes("save_next")}
        width={width}
      >
        {conflict?.record && <Clashed theirs={conflict.theirs ?? []} onCompare={() => setComparing(true)} />}
      </SaveBar>
      {asking && record && (
        <DeleteDialog table={table} record={record} onConfirm={remove} onClose={() => setAsking(false)} />
      )}
      {comparing && conflict?.record && record && (
        <Conflict
          table={table}
          before={record}
          record={conflict.record}
          theirs={conflict.theirs ?? []}
          mine={draft.typed}
          shown={Object.fromEntries(Object.entries(draft.answer?.fields ?? {}).map(([key, { text }]) => [key, text]))}
          onClose={() => setComparing(false)}
          onMerge={(typed) => {
            setComparing(false);
            const version = conflict.theirs?.at(-1)?.id ?? null;
            draft.reset(typed);
            setSeen(version);
            setProblem(null);
            save(goesOn.current, typed, version);
          }}
        />
      )}
    </div>
  );
}
