import { SegmentedControl } from "../../../components/SegmentedControl";
import { group, t } from "../../../words";
import { FieldList } from "./FieldList";
import type { PartsProps } from "./shared";
import { WhenParts } from "./WhenParts";

/** What can no longer be changed, from when on, and to whom it stays open. */
export function LockParts(props: PartsProps) {
  const { table, parts, change } = props;
  return (
    <>
      <SegmentedControl
        name={t("rulePanel.lockReach")}
        value={parts.whole ? "whole" : "fields"}
        options={[
          ["whole", t("rulePanel.lockWhole")],
          ["fields", t("rulePanel.lockFields")],
        ]}
        onChange={(reach) => change({ whole: reach === "whole" ? true : null })}
      />
      <p className="quiet -mt-2 text-xs">{parts.whole ? t("rulePanel.lockWholeAim") : t("rulePanel.lockFieldsAim")}</p>
      <WhenParts {...props} />
      {!parts.whole && (
        <FieldList
          table={table}
          label={t("rulePanel.alsoLocked")}
          except={parts.field}
          value={parts.locked ?? []}
          onChange={(keys) => change({ locked: keys.length > 0 ? keys : null })}
        />
      )}
      <label className="flex items-center gap-2">
        {t("rulePanel.exceptRole")}
        <select
          className="select select-sm w-44"
          value={parts.except_role ?? ""}
          onChange={(event) => change({ except_role: event.target.value || null })}
        >
          <option value="">{t("rulePanel.nobody")}</option>
          {group("roles").map(([role, label]) => (
            <option key={role} value={role}>
              {label}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}
