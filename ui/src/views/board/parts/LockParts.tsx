import { SegmentedControl } from "../../../components/SegmentedControl";
import { words } from "../../../words";
import { FieldList } from "./FieldList";
import type { PartsProps } from "./shared";
import { WhenParts } from "./WhenParts";

/** What can no longer be changed, from when on, and to whom it stays open. */
export function LockParts(props: PartsProps) {
  const { table, parts, change } = props;
  return (
    <>
      <SegmentedControl
        name={words.rulePanel.lockReach}
        value={parts.whole ? "whole" : "fields"}
        options={[
          ["whole", words.rulePanel.lockWhole],
          ["fields", words.rulePanel.lockFields],
        ]}
        onChange={(reach) => change({ whole: reach === "whole" ? true : null })}
      />
      <p className="quiet -mt-2 text-xs">
        {parts.whole ? words.rulePanel.lockWholeAim : words.rulePanel.lockFieldsAim}
      </p>
      <WhenParts {...props} />
      {!parts.whole && (
        <FieldList
          table={table}
          label={words.rulePanel.alsoLocked}
          except={parts.field}
          value={parts.locked ?? []}
          onChange={(keys) => change({ locked: keys.length > 0 ? keys : null })}
        />
      )}
      <label className="flex items-center gap-2">
        {words.rulePanel.exceptRole}
        <select
          className="select select-sm w-44"
          value={parts.except_role ?? ""}
          onChange={(event) => change({ except_role: event.target.value || null })}
        >
          <option value="">{words.rulePanel.nobody}</option>
          {Object.entries(words.roles).map(([role, label]) => (
            <option key={role} value={role}>
              {label}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}
