import { Trash2 } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { type Mistake, ProblemError, type Rule, type RuleKind, type RuleParts, type Table } from "../../api/client";
import { usePinRule, useUnpinRule } from "../../api/queries";
import { beginEdit, editPlace, useEdit } from "../../components/edits";
import { MessageText } from "../../components/MessageText";
import { RuleSentence } from "../../components/RuleSentence";
import { SegmentedControl } from "../../components/SegmentedControl";
import { t } from "../../words";
import { DraftBar } from "./DraftBar";
import { Panel } from "./Panel";
import { beginning, kindOf } from "./parts/shared";
import { Results } from "./Results";
import { RuleProofs } from "./RuleProofs";
import { RuleEditor } from "./ruleEditors";
import { TryRule } from "./TryRule";
import { usePreview } from "./usePreview";

/** Whether nothing was written yet of a new rule. */
const isUntouched = (table: Table, parts: RuleParts) =>
  JSON.stringify(parts) === JSON.stringify(beginning(kindOf(table, parts.kind), parts.field));

type Props = {
  table: Table;
  rule?: Rule;
  field: string;
  stage: string;
  onClose: () => void;
  /** Opens a rule that was pinned, where more was typed meanwhile. */
  onPinned?: (rule: string) => void;
};
/** A rule as it is written so far, and what was written for other kinds on the way. */
type Written = { parts: RuleParts; aside: { [kind: string]: RuleParts } };

/** Writes a rule: the rule itself, its result on real records as it is typed, and its effect. */
export function RulePanel({ table, rule, field, stage, onClose, onPinned }: Props) {
  const place = table.stages.find((each) => each.key === stage);
  const suiting = table.fields.find((each) => each.key === field)?.kinds ?? [];
  const kinds = (place?.kinds ?? []).filter((kind) => suiting.includes(kind));
  const id = table.fields.find((each) => each.key === field)?.id ?? field;
  const edit = useEdit<Written>(rule ? editPlace.rule(table.id, rule.id) : editPlace.newRule(table.id, id, stage), {
    parts: rule?.parts ?? beginning(kindOf(table, kinds[0] ?? ""), field),
    aside: {},
  });
  const { parts, aside } = edit.value;
  const pin = usePinRule(table.key);
  const unpin = useUnpinRule(table.key);
  const [lookAt, setLookAt] = useState<{ id: number; title: string } | null>(null);
  const [most, setMost] = useState(12);
  const preview = usePreview(table, parts, lookAt?.id ?? null, most);
  const sound = preview.data?.problems.length === 0;
  const [lastSound, setLastSound] = useState(preview.data);
  if (sound && preview.data !== lastSound) setLastSound(preview.data);
  const keep = (next: Written) => {
    edit.change(next);
    // To have looked at another kind is no draft yet.
    if (!rule && [next.parts, ...Object.values(next.aside)].every((each) => isUntouched(table, each))) edit.done();
    // Only what was refused: to reset one that is on its way would be to forget what is to follow it.
    if (pin.isError) pin.reset();
  };
  const change = (some: Partial<RuleParts>) => keep({ aside, parts: { ...edit.latest().parts, ...some } });
  // What was written for one kind stands again when somebody comes back to it.
  const changeKind = (kind: string) =>
    keep({
      parts: aside[kind] ?? beginning(kindOf(table, kind), parts.field, parts),
      aside: { ...aside, [parts.kind]: parts },
    });
  const label = table.fields.find((each) => each.key === parts.field)?.label ?? parts.field;
  const mistakes: Mistake[] =
    pin.error instanceof ProblemError
      ? (pin.error.problem.mistakes ?? [{ part: null, message: pin.error.message, from: null, to: null }])
      : (preview.data?.problems ?? []);
  const dirty = rule ? JSON.stringify(parts) !== JSON.stringify(edit.first.parts) : !isUntouched(table, parts);
  const end = () => {
    edit.done();
    onClose();
  };
  const save = () => {
    if (pin.isPending) return;
    const sent = edit.latest();
    pin.mutate(sent.parts, { onSuccess: (made) => (edit.latest() === sent ? end() : goOn(made)) });
  };
  // What was typed while it was being saved is a draft of the rule as it is by now.
  const goOn = (made: Table) => {
    if (rule) return;
    const own = made.rules.find((each) => !table.rules.some((known) => known.id === each.id));
    const later = { parts: { ...edit.latest().parts, id: own?.id }, aside: {} };
    edit.done();
    if (!own || !onPinned) return onClose();
    beginEdit<Written>(editPlace.rule(table.id, own.id), later, { parts: own.parts, aside: {} });
    onPinned(own.id);
  };
  const remove = () =>
    rule &&
    unpin.mutate(rule.id, {
      onSuccess: () => {
        toast(t("rulePanel.removed"));
        end();
      },
    });

  const kind = kindOf(table, parts.kind);
  const said = preview.data?.sentence ? { ...preview.data, sentence: preview.data.sentence } : rule;
  const named = (place?.kinds.length ?? 0) > 1 && kind?.label !== place?.label;
  return (
    <Panel
      name={rule?.sentence ?? t("rulePanel.newTitle", { stage: place?.label ?? "" })}
      above={[place?.label, named && kind?.label].filter(Boolean).join(" · ")}
      title={label}
      onClose={onClose}
      refused={pin.error ? mistakes : []}
      note={dirty && <DraftBar overtaken={edit.overtaken} onDrop={end} />}
      onSave={save}
      wide={kind?.effect !== "default"}
      stacked={kind?.effect === "decision"}
      guide={kind?.guide}
      beside={
        <>
          <TryRule table={table} parts={parts} sound={sound} />
          <RuleProofs table={table} parts={parts} {...(rule ? { rule } : {})} sound={sound} dirty={dirty} />
          {preview.failed && (
            <p className="text-error" role="alert">
              {t("rulePanel.effectFailed")}
            </p>
          )}
          <Results
            table={table}
            parts={parts}
            preview={sound ? preview.data : lastSound}
            stale={!sound}
            pending={preview.pending}
            lookAt={lookAt}
            onLookAt={setLookAt}
            onMore={() => setMost(most < 100 ? 100 : 500)}
          />
        </>
      }
      footer={
        <>
          <button type="button" className="btn btn-primary btn-sm" onClick={save} disabled={pin.isPending}>
            {rule ? t("rulePanel.saveChange") : t("rulePanel.save")}
            <kbd className="text-[0.6875rem] opacity-75">Ctrl Enter</kbd>
          </button>
          <span className="flex-1" />
          {rule && (
            <button type="button" className="btn btn-ghost btn-sm text-error" onClick={remove}>
              <Trash2 size={14} aria-hidden />
              {t("rulePanel.remove")}
            </button>
          )}
        </>
      }
    >
      {place && kinds.length > 1 && !rule && (
        <KindPick
          name={place.label}
          kinds={kinds.flatMap((key) => kindOf(table, key) ?? [])}
          value={parts.kind}
          onChange={changeKind}
        />
      )}
      {kind && (
        <RuleEditor
          {...{ table, parts, change, mistakes, rule, sound, kind }}
          preview={preview.data}
          usual={preview.data?.sentence ?? ""}
        />
      )}
      {/* Beneath what is clicked and typed in, its line kept: it comes a moment later, and nothing may move. */}
      <div className="min-h-5">{said && <RuleSentence rule={said} className="quiet" />}</div>
      {mistakes
        .filter((mistake) => !shownAtPart(mistake, parts.kind))
        .map((mistake) => (
          <p key={mistake.message} className="text-error" role="alert">
            <MessageText text={mistake.message} />
          </p>
        ))}
      <details open={Boolean(rule?.note || rule?.name)}>
        <summary className="cursor-pointer font-semibold">{t("rulePanel.more")}</summary>
        <div className="mt-2 flex flex-col gap-3">
          <label className="flex flex-col gap-1">
            {t("rulePanel.name")}
            <input
              className="input input-sm w-full"
              value={parts.name ?? ""}
              placeholder={preview.data?.tack ?? t("rulePanel.namePlaceholder")}
              onChange={(event) => change({ name: event.target.value || null })}
            />
          </label>
          <label className="flex flex-col gap-1">
            {t("rulePanel.note")}
            <textarea
              className="textarea w-full"
              rows={2}
              value={parts.note ?? ""}
              placeholder={t("fieldPanel.notePlaceholder")}
              onChange={(event) => change({ note: event.target.value || null })}
            />
          </label>
        </div>
      </details>
    </Panel>
  );
}

/** Parts that show their own mistakes. */
const SHOWN_AT_PART = [
  "formula",
  "when",
  "saying",
  "low",
  "high",
  "mask",
  "series",
  "reaches",
  "sets",
  "inputs",
  "rows",
];
/** Kinds without a formula of their own; what is told of one, such as a circle, is about the whole rule. */
const WITHOUT_FORMULA = ["fill", "decision", "state"];

function shownAtPart({ part }: Mistake, kind: string) {
  const [place = ""] = (part ?? "").split(".");
  return SHOWN_AT_PART.includes(place) && !(place === "formula" && WITHOUT_FORMULA.includes(kind));
}

type PickProps = { name: string; kinds: RuleKind[]; value: string; onChange: (kind: string) => void };

/** The kinds of a stage, and what the chosen one does. */
function KindPick(props: PickProps) {
  const options = props.kinds.map((kind) => [kind.kind, kind.label] as const);
  const about = props.kinds.find((kind) => kind.kind === props.value)?.about;
  return (
    <div className="flex flex-col gap-1.5">
      {options.length < 4 ? <SegmentedControl {...props} options={options} /> : <ManyKinds {...props} />}
      {about && <p className="quiet text-xs">{about}</p>}
    </div>
  );
}

function ManyKinds(props: PickProps) {
  return (
    <fieldset className="flex flex-wrap gap-1.5">
      <legend className="sr-only">{props.name}</legend>
      {props.kinds.map((kind) => (
        <input
          key={kind.kind}
          type="radio"
          name={props.name}
          aria-label={kind.label}
          title={kind.about}
          checked={props.value === kind.kind}
          onChange={() => props.onChange(kind.kind)}
          className="btn btn-sm checked:!bg-neutral checked:!text-neutral-content"
        />
      ))}
    </fieldset>
  );
}
