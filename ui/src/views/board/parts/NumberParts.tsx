import { FormulaEditor } from "../../../components/formula/FormulaEditor";
import { t } from "../../../words";
import { mistakesOf, type PartsProps } from "./shared";

/** An auto-number: how it is put together, from where it counts, and for what it begins anew. */
export function NumberParts({ table, parts, change, mistakes }: PartsProps) {
  const series = parts.series !== null && parts.series !== undefined;
  return (
    <>
      <div className="flex flex-col gap-1.5">
        <span className="font-semibold">{t("numbering.formula")}</span>
        <FormulaEditor
          table={table.key}
          label={t("numbering.formula")}
          value={parts.formula ?? ""}
          onChange={(formula) => change({ formula })}
          mistakes={mistakesOf(mistakes, "formula")}
        />
        <p className="quiet text-xs">{t("numbering.formulaHint")}</p>
      </div>
      <div className="flex gap-4">
        <Whole label={t("numbering.start")} value={parts.start ?? 1} onChange={(start) => change({ start })} />
        <Whole label={t("numbering.step")} value={parts.step ?? 1} onChange={(step) => change({ step })} />
      </div>
      <div className="flex flex-col gap-2">
        <Tick label={t("numbering.series")} checked={series} onChange={() => change({ series: series ? null : "" })} />
        {series && (
          <FormulaEditor
            table={table.key}
            label={t("numbering.series")}
            value={parts.series ?? ""}
            onChange={(text) => change({ series: text })}
            mistakes={mistakesOf(mistakes, "series")}
            focus={false}
          />
        )}
        <Tick
          label={t("numbering.byHand")}
          checked={parts.by_hand === true}
          onChange={() => change({ by_hand: parts.by_hand ? null : true })}
        />
        <Tick
          label={t("numbering.follow")}
          checked={parts.follow === true}
          onChange={() => change({ follow: parts.follow ? null : true })}
        />
      </div>
    </>
  );
}

type WholeProps = { label: string; value: number; onChange: (value: number) => void };

function Whole({ label, value, onChange }: WholeProps) {
  return (
    <label className="flex flex-col gap-1 font-semibold">
      {label}
      <input
        type="number"
        className="input input-sm w-32 font-normal tabular-nums"
        value={value}
        onChange={(event) => onChange(event.target.valueAsNumber || 0)}
      />
    </label>
  );
}

type TickProps = { label: string; checked: boolean; onChange: () => void };

/** A setting that is on or off. */
export function Tick({ label, checked, onChange }: TickProps) {
  return (
    <label className="flex items-start gap-2">
      <input type="checkbox" className="checkbox checkbox-sm mt-0.5" checked={checked} onChange={onChange} />
      {label}
    </label>
  );
}
