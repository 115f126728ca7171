import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { type Answer, type Form, type Problem, ProblemError, type RecordData, type Table } from "../../api/client";
import type { Typed } from "../../api/queries";
import { queryKeys, refresh } from "../../api/queryKeys";
import { untilAnswered, writeName } from "../../api/sending";
import { keepCarried, type Sent } from "../../components/record/draftStorage";
import { firstInput, firstRefused } from "../../components/record/focusFirst";
import { keyQueue } from "../../components/record/keyQueue";
import { sendRecord } from "../../components/record/sendRecord";
import { drawn } from "../../components/record/useCursor";
import type { Draft } from "../../components/record/useDraft";
import type { useKeptDraft } from "../../components/record/useKeptDraft";
import type { Lines } from "../../components/record/useLines";
import { t } from "../../words";

type Props = {
  table: Table;
  form: Form;
  record: RecordData | null;
  /** Whether the new record begins as a copy, so that it is one though nobody typed. */
  begun: boolean;
  draft: Draft;
  lines: Lines;
  kept: ReturnType<typeof useKeptDraft>;
  /** What is sent beside the typed fields; whoever gets the answer notes it. */
  around: () => {
    body: { lines: { rows: unknown[] }[] } & { [part: string]: unknown };
    note: (answer: Answer) => void;
  };
  version: number | null;
  /** A new record begins where the saved one stood. */
  onNext: () => void;
};

/**
 * Saves a record. From the key that saves on, all that is pressed belongs to what comes next: the next
 * record, or the same field again. A write without an answer is sent again under its name.
 */
export function useSaving({ table, form, record, begun, draft, lines, kept, around, version, onNext }: Props) {
  const id = record?.id ?? null;
  const [saving, setSaving] = useState(false);
  const [silent, setSilent] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const busy = useRef(false);
  const here = useRef(true);
  const client = useQueryClient();
  const navigate = useNavigate();
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);

  const done = (saved: RecordData) => {
    const unchanged = record && saved.version === record.version && Object.keys(lines.typed).length === 0;
    kept.saved();
    setProblem(null);
    lines.reset();
    const carry = form.sections.flatMap((section) => section.items.filter((item) => item.carry));
    const values = carry.map(({ field = "" }) => [field, saved.values[field] ?? null]);
    if (id === null && values.length > 0) keepCarried(table.key, form.id, Object.fromEntries(values));
    toast.success(unchanged ? t("form.unchanged") : t("form.saved", { title: saved.title }));
    // The table's description is the same as before; lists and counts are looked up when they are shown.
    refresh(client, "records", "history");
    client.invalidateQueries({ queryKey: queryKeys.tables(), refetchType: "none" });
  };

  /** Where the cursor goes after a save; a form that is drawn again sees to it. */
  const goOn = async (saved: RecordData, next: boolean, from: string | null) => {
    keyQueue.arriving();
    if (!here.current) return keyQueue.release(null);
    if (next && id === null) {
      flushSync(() => {
        draft.reset();
        onNext();
      });
      const { answer } = await draft.answered();
      await drawn();
      keyQueue.takeUp();
      return keyQueue.release(firstInput(answer));
    }
    keyQueue.resumeAt = next ? null : from;
    client.setQueryData(queryKeys.record(table.key, saved.id), saved);
    if (next) return navigate(`/t/${table.key}/forms?form=${form.id}`);
    if (id === null) return navigate(`/t/${table.key}/forms/${saved.id}?form=${form.id}`);
    if (saved.version !== record?.version) return;
    draft.reset();
    kept.begin();
    keyQueue.resumeAt = null;
    keyQueue.release(inputOf(from));
  };

  const refused = async (found: Problem, next: boolean, from: string | null, note: (answer: Answer) => void) => {
    setProblem(found);
    kept.answered();
    if (found.answer) {
      note(found.answer);
      draft.showAll(found.answer, table.fields);
      lines.visitAll();
    }
    await drawn();
    const first = (found.answer && firstRefused(form, found.answer)) ?? document.getElementById("refusals");
    // What was typed for the next record waits for it; what was typed on in the same field goes there.
    if (next) {
      await keyQueue.calm();
      keyQueue.putAside();
    }
    if (found.code === "changed_meanwhile") return keyQueue.release(inputOf(from) ?? first);
    keyQueue.release(keyQueue.any ? (inputOf(from) ?? first) : (first ?? inputOf(from)));
  };

  const send = async (sent: Sent, next: boolean, from: string | null, note: (answer: Answer) => void) => {
    kept.sending(sent);
    try {
      const saved = await untilAnswered(
        () => sendRecord(table.key, id, sent),
        () => setSilent(true),
      );
      done(saved);
      await goOn(saved, next, from);
    } catch (error) {
      if (!(error instanceof ProblemError)) {
        keyQueue.release(inputOf(from));
        throw error;
      }
      await refused(error.problem, next, from, note);
    } finally {
      busy.current = false;
      setSilent(false);
      setSaving(false);
    }
  };

  const save = async (next: boolean, merged?: Typed, seen = version) => {
    if (busy.current) return;
    busy.current = true;
    const from = fieldOf(document.activeElement);
    keyQueue.hold();
    setSaving(true);
    const key = writeName();
    const compose = (typed: Typed, reasons: Draft["reasons"]) => {
      const all = merged ?? typed;
      const { body: more, note } = around();
      const empty = Object.keys(all).length === 0 && more.lines.every(({ rows }) => rows.length === 0);
      if (id === null && !begun && empty) return null;
      const body = { typed: all, reasons, channel: "form", ...more, ...(id === null ? {} : { version: seen }) };
      return { sent: { key, body }, note };
    };
    // The page goes before the last answer is here: what was typed is saved anyway.
    let early: ReturnType<typeof compose> = null;
    const going = () => {
      early = compose(draft.soFar(), draft.reasons);
      if (!early) return;
      kept.sending(early.sent);
      sendRecord(table.key, id, early.sent).catch(() => undefined);
    };
    window.addEventListener("pagehide", going, { once: true });
    const { typed, reasons, answer } = await draft.answered();
    window.removeEventListener("pagehide", going);
    const write = early ?? compose(typed, reasons);
    if (!write) {
      busy.current = false;
      setSaving(false);
      toast(t("form.nothingTyped"));
      keyQueue.takeUp();
      return keyQueue.release(firstInput(answer));
    }
    await send(write.sent, next, from, write.note);
  };

  /** Sends again what was on its way when the page went. */
  const resume = (sent: Sent) => {
    if (busy.current) return;
    busy.current = true;
    keyQueue.hold();
    setSaving(true);
    send(sent, id === null, null, around().note);
  };

  return { save, resume, saving, silent, problem, setProblem };
}

const fieldOf = (element: Element | null) => (element?.matches("[data-input], [data-line-input]") ? element.id : null);
const inputOf = (id: string | null) => (id === null ? null : document.getElementById(id));
