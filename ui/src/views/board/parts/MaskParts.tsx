import { t } from "../../../words";
import { MaskText } from "./MaskText";
import { LetOld } from "./SternnessParts";
import type { PartsProps } from "./shared";

/** How a text is typed, and what becomes of one that is half typed. */
export function MaskParts({ parts, change }: PartsProps) {
  const bare = parts.separators === "drop";
  return (
    <>
      <MaskText value={parts.mask ?? ""} onChange={(mask) => change({ mask })} bare={bare} live />
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">{t("mask.half")}</legend>
        {(["refuse", "clear"] as const).map((each) => (
          <label key={each} className="flex items-center gap-2">
            <input
              type="radio"
              name="half"
              className="radio radio-sm"
              checked={(parts.half ?? "refuse") === each}
              onChange={() => change({ half: each })}
            />
            {t(`mask.halves.${each}`)}
          </label>
        ))}
      </fieldset>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={bare}
          onChange={() => change({ separators: bare ? "keep" : "drop" })}
        />
        {t("mask.drop")}
      </label>
      <LetOld parts={parts} change={change} />
      <label className="flex flex-col gap-1 font-semibold">
        {t("rulePanel.message")}
        <input
          className="input w-full font-normal"
          value={parts.message ?? ""}
          placeholder={t("mask.usual")}
          onChange={(event) => change({ message: event.target.value || null })}
        />
      </label>
    </>
  );
}
