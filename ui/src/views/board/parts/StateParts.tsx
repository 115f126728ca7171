import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { SegmentedControl } from "../../../components/SegmentedControl";
import { t, word } from "../../../words";
import { Tick } from "./NumberParts";
import { mistakesOf, type PartsProps } from "./shared";

const STATES = ["shown", "enabled", "required", "read_only"] as const;

/** How a field stands in forms while a condition holds; one statement for both directions. */
export function StateParts({ table, parts, change, mistakes }: PartsProps) {
  const state = parts.state ?? "enabled";
  const hides = state === "shown" || state === "enabled";
  return (
    <>
      <SegmentedControl
        name={t("state.state")}
        value={state}
        options={STATES.map((each) => [each, t(`state.states.${each}`)] as const)}
        onChange={(next) => change({ state: next, otherwise: null })}
      />
      <p className="quiet text-xs">{word(`state.means.${state}`)}</p>
      <FormulaOrPieces
        table={table.key}
        label={t("state.while")}
        value={parts.when ?? ""}
        onChange={(when) => change({ when })}
        mistakes={mistakesOf(mistakes, "when")}
        shapes={["condition"]}
      />
      {hides && (
        <fieldset className="flex flex-col gap-1.5">
          <legend className="mb-1 font-semibold">{t("state.otherwise")}</legend>
          {(["keep", "clear"] as const).map((each) => (
            <label key={each} className="flex items-center gap-2">
              <input
                type="radio"
                name="otherwise"
                className="radio radio-sm"
                checked={(parts.otherwise ?? "keep") === each}
                onChange={() => change({ otherwise: each })}
              />
              {t(`state.ways.${each}`)}
            </label>
          ))}
        </fieldset>
      )}
      {parts.otherwise === "clear" ? (
        <p className="quiet text-xs">{t("state.always")}</p>
      ) : (
        state !== "shown" && (
          <Tick
            label={t("state.enforced")}
            checked={parts.enforced === true}
            onChange={() => change({ enforced: parts.enforced ? null : true })}
          />
        )
      )}
      {(parts.enforced || parts.otherwise === "clear") && (
        <label className="flex flex-col gap-1 font-semibold">
          {t("rulePanel.message")}
          <input
            className="input w-full font-normal"
            value={parts.message ?? ""}
            onChange={(event) => change({ message: event.target.value || null })}
          />
        </label>
      )}
    </>
  );
}
