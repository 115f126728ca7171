import { X } from "lucide-react";
import type { RuleParts } from "../../../api/client";
import { FormulaEditor } from "../../../components/formula/FormulaEditor";
import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { MistakeLines } from "../../../components/MistakeLines";
import { SegmentedControl } from "../../../components/SegmentedControl";
import { t } from "../../../words";
import { FieldList } from "./FieldList";
import { Tick } from "./NumberParts";
import { mistakesOf, type PartsProps } from "./shared";
import { WhenParts } from "./WhenParts";

type FieldSet = NonNullable<RuleParts["sets"]>[number];

/** A fill: when it acts, under which condition, and what it sets to what. */
export function FillParts(props: PartsProps) {
  const { table, parts, change, mistakes } = props;
  const event = parts.event ?? "changed";
  const sets = parts.sets ?? [];
  const put = (index: number, some: Partial<FieldSet>) =>
    change({ sets: sets.map((set, at) => (at === index ? { ...set, ...some } : set)) });
  const free = table.fields.filter((field) => !field.given && !sets.some((set) => set.field === field.key));
  return (
    <>
      <SegmentedControl
        name={t("fill.event")}
        value={event}
        options={[
          ["changed", t("fill.events.changed")],
          ["reached", t("fill.events.reached")],
          ["made", t("fill.events.made")],
        ]}
        onChange={(next) => change({ event: next, watch: null, reaches: next === "reached" ? "" : null })}
      />
      {event === "changed" && (
        <div className="flex flex-col gap-1">
          <FieldList
            table={table}
            label={t("fill.watch")}
            except={parts.field}
            value={parts.watch ?? []}
            onChange={(keys) => change({ watch: keys.length > 0 ? keys : null })}
          />
          <p className="quiet text-xs">{(parts.watch ?? []).length === 0 ? t("fill.anyRead") : t("fill.onlyThese")}</p>
        </div>
      )}
      {event === "reached" && (
        <FormulaOrPieces
          table={table.key}
          label={t("fill.reaches")}
          value={parts.reaches ?? ""}
          onChange={(reaches) => change({ reaches })}
          mistakes={mistakesOf(mistakes, "reaches")}
          shapes={["condition"]}
          focus={false}
        />
      )}
      <WhenParts {...props} label={t("fill.onlyWhile")} />
      <fieldset className="flex flex-col gap-2">
        <legend className="mb-1 font-semibold">{t("fill.sets")}</legend>
        {sets.map((set, index) => (
          <OneSet
            key={set.field}
            {...props}
            set={set}
            index={index}
            fixed={set.field === parts.field}
            onPut={(some) => put(index, some)}
            onDrop={() => change({ sets: sets.filter((each) => each !== set) })}
          />
        ))}
        <MistakeLines mistakes={mistakesOf(mistakes, "sets")} hint={t("fill.blankHint")} />
        <select
          className="select select-sm w-56"
          aria-label={t("fill.add")}
          value=""
          onChange={(event) => change({ sets: [...sets, { field: event.target.value, to: "" }] })}
        >
          <option value="">{t("fill.add")}</option>
          {free.map((field) => (
            <option key={field.key} value={field.key}>
              {field.label}
            </option>
          ))}
        </select>
      </fieldset>
      <HandParts {...props} />
    </>
  );
}

/** How a rule that fills stands to what was typed. */
export function HandParts({ parts, change }: Pick<PartsProps, "parts" | "change">) {
  return (
    <div className="flex flex-col gap-1.5">
      <Tick
        label={t("fill.onlyBlank")}
        checked={parts.only_blank === true}
        onChange={() => change({ only_blank: parts.only_blank ? null : true })}
      />
      <Tick
        label={t("fill.overrules")}
        checked={parts.overrules === true}
        onChange={() => change({ overrules: parts.overrules ? null : true })}
      />
      {!parts.overrules && <p className="quiet text-xs">{t("fill.hand")}</p>}
    </div>
  );
}

type SetProps = PartsProps & {
  set: FieldSet;
  index: number;
  /** Whether it is the field on which the rule is pinned. */
  fixed: boolean;
  onPut: (some: Partial<FieldSet>) => void;
  onDrop: () => void;
};

function OneSet({ table, parts, mistakes, set, index, fixed, onPut, onDrop }: SetProps) {
  const label = table.fields.find((field) => field.key === set.field)?.label ?? set.field;
  const hasElse = set.else !== null && set.else !== undefined;
  const conditional = (parts.when ?? null) !== null;
  return (
    <div className="flex flex-col gap-1.5 rounded border border-base-300 px-2.5 py-2">
      <div className="flex items-center gap-2">
        <p className="flex-1">
          <span className="font-semibold">{label}</span> <span className="quiet">{t("fill.to")}</span>
        </p>
        {!fixed && (
          <button
            type="button"
            className="btn btn-ghost btn-xs btn-square"
            title={t("fill.drop", { label })}
            aria-label={t("fill.drop", { label })}
            onClick={onDrop}
          >
            <X size={13} aria-hidden />
          </button>
        )}
      </div>
      <FormulaEditor
        table={table.key}
        label={`${label} ${t("fill.to")}`}
        value={set.to}
        onChange={(to) => onPut({ to })}
        mistakes={mistakesOf(mistakes, `sets.${index}.to`)}
        focus={index === 0}
      />
      {conditional && (
        <Tick label={t("fill.addElse")} checked={hasElse} onChange={() => onPut({ else: hasElse ? null : "" })} />
      )}
      {conditional && hasElse && (
        <FormulaEditor
          table={table.key}
          label={`${label} ${t("fill.else")}`}
          value={set.else ?? ""}
          onChange={(text) => onPut({ else: text })}
          mistakes={mistakesOf(mistakes, `sets.${index}.else`)}
          focus={false}
        />
      )}
    </div>
  );
}
