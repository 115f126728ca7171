import { useCallback, useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import {
  type Act,
  type Form,
  ProblemError,
  type ProofParts,
  type Script,
  type Table,
  type Trial,
} from "../../api/client";
import { play } from "../../api/proofs";
import type { Typed } from "../../api/queries";
import { useDraft } from "../../components/record/useDraft";
import { useLines } from "../../components/record/useLines";
import { useNewest } from "../../components/record/useNewest";

export type Start = { from: "new" | "copy" | "real"; record: number | null };
/** Whether fields are typed one after the other, as by a clerk, or all at once, as by a program. */
export type Manner = "type" | "fill_in";

/** How a trial is set up. */
export type Setting = {
  form: string | null;
  person: number | null;
  at: string | null;
  start: Start;
  manner: Manner;
  /** What a proof brings along: its own records and person. */
  own: Pick<Script, "records" | "person"> | null;
};

export const BEGINNING: Setting = {
  form: "all",
  person: null,
  at: null,
  start: { from: "new", record: null },
  manner: "type",
  own: null,
};

/** Acts after which another record, or another state of it, is at hand. */
const ENDS = ["save", "new", "copy", "delete", "put_back"];

/**
 * A trial: what somebody does with a record, act by act. The server plays the whole script
 * anew each time, so nothing is kept anywhere but here.
 */
export function useTrial(table: Table, begin: Setting, typedFirst: Typed) {
  const [setting, setSetting] = useState(begin);
  const [acts, setActs] = useState<Act[]>([]);
  const [trial, setTrial] = useState<Trial | null>(null);
  const [lookAt, setLookAt] = useState<number | null>(null);
  const lines = useLines({});
  const { sending } = lines;
  const question = useNewest();
  const state = useRef({ setting, acts, expect: [] as ProofParts["expect"], known: {} as Typed, lookAt });
  state.current.setting = setting;

  /** The rows typed beneath the record, as acts. */
  const linesNow = useCallback(
    (): Act[] =>
      sending()
        .lines.filter(({ rows }) => rows.length > 0)
        .map(({ table: other, link, rows }) => ({
          do: "lines",
          table: other,
          link,
          rows: rows.map(({ id, typed, gone }) => ({ id: id ?? null, values: typed ?? {}, gone: gone ?? false })),
        })),
    [sending],
  );

  const script = useCallback(
    (typed: Typed, reasons: { [rule: string]: string }): Script => {
      const now = state.current;
      return {
        form: now.setting.form,
        at: now.setting.at,
        start: now.setting.start,
        acts: [...now.acts, ...actsOf(typed, now.known, now.setting.manner), ...linesNow(), ...passes(reasons)],
        ...(now.setting.own ? { records: now.setting.own.records } : {}),
        ...(now.setting.own && now.setting.person === null ? { person: now.setting.own.person } : {}),
      };
    },
    [linesNow],
  );

  const ask = useCallback(
    async (typed: Typed, reasons: { [rule: string]: string }) => {
      const now = state.current;
      const { note } = sending();
      const isNewest = question();
      const found = await play(table.key, {
        ...script(typed, reasons),
        person_id: setting.person,
        expect: now.expect,
        look_at: now.lookAt,
      });
      if (isNewest()) {
        note(found.answer);
        setTrial(found);
      }
      return found.answer;
    },
    // The setting is read from the ref, so that an act can be asked about at once; a new one asks anew.
    [table.key, script, setting, sending, question],
  );
  const draft = useDraft(ask, typedFirst);

  const remember = (next: Act[], known: Typed) => {
    state.current.acts = next;
    state.current.known = known;
    setActs(next);
  };

  /** Does something with the record: what was typed comes before it. */
  const act = async (added: Act) => {
    const { typed } = await draft.answered();
    const before = state.current;
    const next = [
      ...before.acts,
      ...actsOf(typed, before.known, before.setting.manner),
      ...linesNow(),
      ...passes(draft.reasons),
      added,
    ];
    state.current.lookAt = null;
    setLookAt(null);
    const { note } = sending();
    // What was asked before must not come out over it.
    question();
    try {
      const found = await play(table.key, {
        ...script({}, {}),
        acts: next,
        person_id: before.setting.person,
        expect: before.expect,
      });
      const last = found.acts.at(-1);
      const stays = !ENDS.includes(added.do) || last?.state === "refused";
      remember(next, stays ? typed : {});
      note(found.answer);
      setTrial(found);
      if (!stays) lines.reset();
      if (!stays) draft.reset();
      else if (added.do === "save") draft.showAll(found.answer, table.fields);
      else draft.again();
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
      draft.again();
    }
  };

  /** Takes back the last act, and what was typed after it. */
  const back = () => {
    const end = findLastEnd(state.current.acts);
    const kept = state.current.acts.slice(0, end);
    const from = findLastEnd(kept) + 1;
    const typed = typedIn(kept.slice(from));
    state.current.lookAt = null;
    setLookAt(null);
    remember(kept.slice(0, from), {});
    lines.reset();
    draft.reset(typed);
  };

  /** Begins anew, by another setting if there is one. */
  const restart = (next?: Partial<Setting>, typed: Typed = {}) => {
    state.current.expect = next?.own ? state.current.expect : [];
    state.current.lookAt = null;
    setLookAt(null);
    if (next) {
      state.current.setting = { ...state.current.setting, ...next };
      setSetting(state.current.setting);
    }
    lines.reset();
    remember([], {});
    draft.reset(typed);
  };

  /** Puts a kept proof on the bench. Its last save is left to be thought of, so that it can be typed on. */
  const load = (proof: ProofParts) => {
    const all = proof.acts ?? [];
    const played = all.at(-1)?.do === "save" ? all.slice(0, -1) : all;
    const end = findLastEnd(played) + 1;
    const tail = played.slice(end);
    const open = tail.every((each) => ["type", "fill_in"].includes(each.do));
    const next: Setting = {
      form: proof.form ?? null,
      person: null,
      at: proof.at ?? null,
      start: { from: proof.start?.from ?? "new", record: proof.start?.record ?? null },
      manner: tail.some((each) => each.do === "fill_in") || tail.length === 0 ? "fill_in" : "type",
      own: { records: proof.records ?? {}, person: proof.person ?? null },
    };
    state.current.setting = next;
    state.current.expect = proof.expect;
    setSetting(next);
    lines.reset();
    remember(open ? played.slice(0, end) : played, {});
    draft.reset(open ? typedIn(tail) : {});
  };

  const look = (index: number | null) => {
    state.current.lookAt = index;
    setLookAt(index);
    draft.again();
  };

  const expecting = (expect: ProofParts["expect"]) => {
    state.current.expect = expect;
    draft.again();
  };

  /** The script as it stands, for a proof. */
  const whole = async () => {
    const { typed } = await draft.answered();
    const found = script(typed, draft.reasons);
    const last = found.acts?.at(-1)?.do ?? "";
    return {
      ...found,
      acts: ["save", "delete", "put_back"].includes(last)
        ? found.acts
        : [...(found.acts ?? []), { do: "save" as const }],
    };
  };

  const { again } = draft;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew when the setting is another
  useEffect(() => again(), [setting, again]);

  return { setting, setSetting, acts, trial, draft, lines, act, back, restart, load, look, lookAt, expecting, whole };
}

export type BenchTrial = ReturnType<typeof useTrial>;

function actsOf(typed: Typed, known: Typed, manner: Manner): Act[] {
  const fresh = Object.entries(typed).filter(([field, value]) => !(field in known) || known[field] !== value);
  if (manner === "type") return fresh.map(([field, value]) => ({ do: "type", field, value }));
  return fresh.length > 0 ? [{ do: "fill_in", values: Object.fromEntries(fresh) }] : [];
}

const passes = (reasons: { [rule: string]: string }): Act[] =>
  Object.entries(reasons)
    .filter(([, reason]) => reason.trim() !== "")
    .map(([rule, reason]) => ({ do: "pass", rule, reason }));

const findLastEnd = (acts: Act[]) => acts.map((each) => ENDS.includes(each.do) || each.do === "wait").lastIndexOf(true);

function typedIn(acts: Act[]): Typed {
  const typed: Typed = {};
  for (const each of acts) {
    if (each.do === "type" && each.field) {
      delete typed[each.field];
      typed[each.field] = each.value ?? null;
    } else if (each.do === "fill_in") Object.assign(typed, each.values);
  }
  return typed;
}

/** The form by which a trial record is shown: that of the setting, or all fields. */
export const formOf = (table: Table, setting: Setting): Form | undefined =>
  table.forms.find((each) => each.id === setting.form) ?? table.forms.find((each) => each.id === "all");
