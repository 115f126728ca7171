import { SegmentedControl } from "../../../components/SegmentedControl";
import { words } from "../../../words";
import { CheckParts } from "./CheckParts";
import { ExistsParts } from "./ExistsParts";
import { FieldList } from "./FieldList";
import { LimitsParts } from "./LimitsParts";
import { MaskText } from "./MaskText";
import { MessageParts } from "./MessageParts";
import { SternnessParts } from "./SternnessParts";
import { mistakesOf, type PartsProps } from "./shared";
import { WhenParts } from "./WhenParts";

/** A validation: what must hold, what a clerk is told, and how stern it is. */
export function ValidationParts(props: PartsProps & { usual: string }) {
  const { parts, change, mistakes } = props;
  return (
    <>
      <Own {...props} />
      <MessageParts {...props} />
      <SternnessParts parts={parts} change={change} />
      {parts.kind === "fits" &&
        mistakesOf(mistakes, "mask").map((mistake) => (
          <p key={mistake.message} className="text-error" role="alert">
            {mistake.message.replaceAll("`", "")}
          </p>
        ))}
    </>
  );
}

function Own(props: PartsProps) {
  const { table, parts, change } = props;
  switch (parts.kind) {
    case "check":
      return <CheckParts {...props} />;
    case "required":
      return <WhenParts {...props} label={words.rulePanel.onlyWhile} />;
    case "limits":
    case "length":
      return <LimitsParts {...props} />;
    case "one_of":
      return (
        <label className="flex flex-col gap-1 font-semibold">
          {words.rulePanel.values}
          <textarea
            data-first
            className="textarea w-full font-normal"
            rows={5}
            value={(parts.values ?? []).join("\n")}
            onChange={(event) => change({ values: event.target.value.split("\n") })}
            onBlur={() => change({ values: (parts.values ?? []).map((each) => each.trim()).filter(Boolean) })}
          />
        </label>
      );
    case "fits":
      return <MaskText value={parts.mask ?? ""} onChange={(mask) => change({ mask })} />;
    case "unique":
      return (
        <>
          <FieldList
            table={table}
            label={words.rulePanel.together}
            except={parts.field}
            value={parts.with ?? []}
            onChange={(keys) => change({ with: keys.length > 0 ? keys : null })}
          />
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={parts.case === true}
              onChange={() => change({ case: parts.case ? null : true })}
            />
            {words.rulePanel.regardCase}
          </label>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={parts.blanks === "equal"}
              onChange={() => change({ blanks: parts.blanks === "equal" ? null : "equal" })}
            />
            {words.rulePanel.blanksEqual}
          </label>
          <WhenParts {...props} label={words.rulePanel.amongThose} />
        </>
      );
    case "exists":
      return <ExistsParts {...props} />;
    default:
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
          <WhenParts {...props} label="" />
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
}
