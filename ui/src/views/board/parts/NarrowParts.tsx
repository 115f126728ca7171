import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { SegmentedControl } from "../../../components/SegmentedControl";
import { sentences, t } from "../../../words";
import { NarrowMap } from "./NarrowMap";
import { mistakesOf, type PartsProps } from "./shared";

const OTHERWISE = ["clear", "keep", "refuse"] as const;

/** Which choices belong: by a list for each value of another choice, or by a condition. */
export function NarrowParts({ table, parts, change, mistakes }: PartsProps) {
  const field = table.fields.find((each) => each.key === parts.field);
  const parents = table.fields.filter((each) => each.editor === "choice" && each.key !== parts.field);
  const listed = field?.editor === "choice" && parents.length > 0;
  const byList = Boolean(parts.by);
  return (
    <>
      {listed && (
        <SegmentedControl
          name={t("narrow.way")}
          value={byList ? "list" : "formula"}
          options={[
            ["formula", t("narrow.condition")],
            ["list", t("narrow.byList")],
          ]}
          onChange={(way) =>
            change(
              way === "list"
                ? { by: parents[0]?.key ?? null, map: {}, formula: null }
                : { by: null, map: null, formula: "" },
            )
          }
        />
      )}
      {byList ? (
        <NarrowMap table={table} parts={parts} change={change} />
      ) : (
        <>
          <FormulaOrPieces
            table={table.key}
            label={t("narrow.belongs", { label: field?.label ?? "" })}
            value={parts.formula ?? ""}
            onChange={(formula) => change({ formula })}
            mistakes={mistakesOf(mistakes, "formula")}
            shapes={["condition"]}
          />
          <p className="quiet text-xs">{sentences.narrow.hint(field?.label ?? "", field?.key ?? "")}</p>
        </>
      )}
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">{t("narrow.otherwise")}</legend>
        {OTHERWISE.map((each) => (
          <label key={each} className="flex items-center gap-2">
            <input
              type="radio"
              name="otherwise"
              className="radio radio-sm"
              checked={(parts.otherwise ?? "clear") === each}
              onChange={() => change({ otherwise: each })}
            />
            {t(`narrow.ways.${each}`)}
          </label>
        ))}
      </fieldset>
      <label className="flex flex-col gap-1 font-semibold">
        {t("narrow.message")}
        <input
          className="input w-full font-normal"
          value={parts.message ?? ""}
          placeholder={t("narrow.usual")}
          onChange={(event) => change({ message: event.target.value || null })}
        />
      </label>
    </>
  );
}
