import { t } from "../../../words";
import type { PartsProps } from "./shared";

/** Whether a record is refused or somebody is warned, and what becomes of records that were there before. */
export function SternnessParts({ parts, change }: Pick<PartsProps, "parts" | "change">) {
  return (
    <div className="flex flex-col gap-1.5">
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={parts.severity === "warn"}
          onChange={() => change({ severity: parts.severity === "warn" ? null : "warn" })}
        />
        {t("rulePanel.onlyWarn")}
      </label>
      <LetOld parts={parts} change={change} />
    </div>
  );
}

/** Whether records that were there before are let be. */
export function LetOld({ parts, change }: Pick<PartsProps, "parts" | "change">) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={parts.old === "let"}
        onChange={() => change({ old: parts.old === "let" ? null : "let" })}
      />
      {t("rulePanel.letOld")}
    </label>
  );
}
