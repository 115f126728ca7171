import { Trash2 } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { type Mistake, ProblemError, type Rule, type RuleParts, type Table } from "../../api/client";
import { usePinRule, useUnpinRule } from "../../api/queries";
import { Said } from "../../components/Said";
import { Segments } from "../../components/Segments";
import { words } from "../../words";
import { CalculationParts } from "./CalculationParts";
import { CheckParts } from "./CheckParts";
import { DefaultParts } from "./DefaultParts";
import { Panel } from "./Panel";
import { Results } from "./Results";
import { usePreview } from "./usePreview";

type Props = { table: Table; rule?: Rule; field: string; stage: string; onClose: () => void };

/** Writes a rule: the rule itself, its result on real records as it is typed, and its effect. */
export function RulePanel({ table, rule, field, stage, onClose }: Props) {
  const place = table.stages.find((each) => each.key === stage);
  const first = startingParts(rule, field, place?.kinds[0] ?? "");
  const [parts, setParts] = useState<RuleParts>(first);
  const [leaving, setLeaving] = useState(false);
  const pin = usePinRule(table.key);
  const unpin = useUnpinRule(table.key);
  const [lookAt, setLookAt] = useState<{ id: number; title: string } | null>(null);
  const [all, setAll] = useState(false);
  const preview = usePreview(table.key, parts, lookAt?.id ?? null, all);
  const sound = preview.data?.problems.length === 0;
  const [lastSound, setLastSound] = useState(preview.data);
  if (sound && preview.data !== lastSound) setLastSound(preview.data);
  const change = (some: Partial<RuleParts>) => {
    setParts({ ...parts, ...some });
    setLeaving(false);
    setAll(false);
    pin.reset();
  };
  const label = table.fields.find((each) => each.key === parts.field)?.label ?? parts.field;
  const mistakes: Mistake[] =
    pin.error instanceof ProblemError
      ? (pin.error.problem.mistakes ?? [{ part: null, message: pin.error.message, from: null, to: null }])
      : (preview.data?.problems ?? []);
  const dirty = JSON.stringify(parts) !== JSON.stringify(first);

  const save = () => pin.mutate(parts, { onSuccess: onClose });
  const close = () => (dirty && !leaving ? setLeaving(true) : onClose());
  const remove = () =>
    rule &&
    unpin.mutate(rule.id, {
      onSuccess: () => {
        toast(words.rulePanel.removed);
        onClose();
      },
    });

  const shared = { table, parts, change, mistakes };
  return (
    <Panel
      name={rule?.sentence ?? words.rulePanel.newTitle(place?.label ?? "")}
      above={rule ? (place?.label ?? "") : words.rulePanel.newTitle(place?.label ?? "")}
      title={`${words.rulePanel.on} ${label}`}
      onClose={close}
      onSave={save}
      wide={parts.kind === "calculation" || parts.kind === "check"}
      beside={
        <Results
          table={table}
          parts={parts}
          preview={sound ? preview.data : lastSound}
          stale={!sound}
          pending={preview.isFetching}
          lookAt={lookAt}
          onLookAt={setLookAt}
          onAll={() => setAll(true)}
        />
      }
      footer={
        leaving ? (
          <>
            <span className="flex-1 font-semibold">{words.rulePanel.unsaved}</span>
            <button type="button" className="btn btn-sm" onClick={() => setLeaving(false)}>
              {words.rulePanel.keepOn}
            </button>
            <button type="button" className="btn btn-sm text-error" onClick={onClose}>
              {words.rulePanel.discard}
            </button>
            <button type="button" className="btn btn-primary btn-sm" onClick={save}>
              {words.common.save}
            </button>
          </>
        ) : (
          <>
            <button type="button" className="btn btn-primary btn-sm" onClick={save} disabled={pin.isPending}>
              {rule ? words.rulePanel.saveChange : words.rulePanel.save}
              <kbd className="text-[0.6875rem] opacity-75">Ctrl Enter</kbd>
            </button>
            <span className="flex-1" />
            {rule && (
              <button type="button" className="btn btn-ghost btn-sm text-error" onClick={remove}>
                <Trash2 size={14} aria-hidden />
                {words.rulePanel.remove}
              </button>
            )}
          </>
        )
      }
    >
      {place && place.kinds.length > 1 && !rule && (
        <Segments
          name={place.label}
          value={parts.kind}
          options={place.kinds.map((kind) => [kind, words.rulePanel.kinds[kind] ?? kind] as const)}
          onChange={(kind) => change({ kind, formula: kind === "check" ? (parts.formula ?? "") : null })}
        />
      )}
      {parts.kind === "default" && <DefaultParts {...shared} />}
      {parts.kind === "calculation" && <CalculationParts {...shared} fleeting={preview.data?.fleeting ?? []} />}
      {(parts.kind === "check" || parts.kind === "required") && (
        <CheckParts {...shared} usual={usualMessage(parts, preview.data?.sentence, label)} />
      )}
      {mistakes
        .filter((mistake) => mistake.part !== "formula")
        .map((mistake) => (
          <p key={mistake.message} className="text-error" role="alert">
            <Said text={mistake.message} />
          </p>
        ))}
      <details open={Boolean(rule?.note || rule?.name)}>
        <summary className="cursor-pointer font-semibold">{words.rulePanel.more}</summary>
        <div className="mt-2 flex flex-col gap-3">
          <label className="flex flex-col gap-1">
            {words.rulePanel.name}
            <input
              className="input input-sm w-full"
              value={parts.name ?? ""}
              placeholder={preview.data?.tack ?? words.rulePanel.namePlaceholder}
              onChange={(event) => change({ name: event.target.value || null })}
            />
          </label>
          <label className="flex flex-col gap-1">
            {words.rulePanel.note}
            <textarea
              className="textarea w-full"
              rows={2}
              value={parts.note ?? ""}
              placeholder={words.fieldPanel.notePlaceholder}
              onChange={(event) => change({ note: event.target.value || null })}
            />
          </label>
        </div>
      </details>
    </Panel>
  );
}

function startingParts(rule: Rule | undefined, field: string, kind: string): RuleParts {
  if (rule) {
    const { id, kind, field, name, note, value, formula, message, keeping } = rule;
    return { id, kind, field, name, note, value, formula, message, keeping };
  }
  const formula = kind === "check" || kind === "calculation" ? "" : null;
  const keeping = kind === "calculation" ? "always" : null;
  return { kind, field, name: null, note: null, value: null, formula, message: null, keeping };
}

function usualMessage(parts: RuleParts, sentence: string | null | undefined, label: string) {
  return sentence ?? (parts.kind === "required" ? `${label} must be filled.` : "");
}
