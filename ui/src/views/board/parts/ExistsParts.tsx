import { useNames } from "../../../api/queries";
import { t } from "../../../words";
import type { PartsProps } from "./shared";

/** The table and the field in which the value must be there. */
export function ExistsParts({ parts, change }: PartsProps) {
  const tables = useNames().data ?? [];
  const fields = tables.find((each) => each.key === parts.target)?.fields ?? [];
  return (
    <div className="grid grid-cols-2 gap-3">
      <label className="flex flex-col gap-1 font-semibold">
        {t("rulePanel.inTable")}
        <select
          data-first
          className="select w-full font-normal"
          value={parts.target ?? ""}
          onChange={(event) => change({ target: event.target.value || null, target_field: null })}
        >
          <option value="">{t("link.pick")}</option>
          {tables.map((each) => (
            <option key={each.key} value={each.key}>
              {each.label}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-1 font-semibold">
        {t("rulePanel.asField")}
        <select
          className="select w-full font-normal"
          value={parts.target_field ?? ""}
          onChange={(event) => change({ target_field: event.target.value || null })}
        >
          <option value="">{t("pieces.pickField")}</option>
          {fields.map((each) => (
            <option key={each.key} value={each.key}>
              {each.label}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
