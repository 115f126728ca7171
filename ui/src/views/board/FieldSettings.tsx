import type { ReactNode } from "react";
import type { Field, FieldType, Table } from "../../api/client";
import { t } from "../../words";
import { type ChoiceSettings, ChoicesParts } from "./ChoicesParts";
import { LinkDetails } from "./LinkDetails";
import { LinkParts, type LinkSettings } from "./LinkParts";

export type OwnSettings = { decimals: string; choices: ChoiceSettings; link: LinkSettings };
type Setting = FieldType["settings"][number];
type Props = { table: Table; field: Field; value: OwnSettings; onChange: (value: Partial<OwnSettings>) => void };

const MOST_DECIMALS = 10;

const EDITORS: Record<Setting, (props: Props) => ReactNode> = {
  decimals: ({ value, onChange }) => (
    <label key="decimals" className="flex flex-col gap-1 font-semibold">
      {t("fieldPanel.decimals")}
      <select
        className="select w-32 font-normal"
        value={value.decimals}
        onChange={(event) => onChange({ decimals: event.target.value })}
      >
        <option value="">{t("fieldPanel.anyDecimals")}</option>
        {[...Array(MOST_DECIMALS + 1).keys()].map((each) => (
          <option key={each} value={each}>
            {each}
          </option>
        ))}
      </select>
    </label>
  ),
  choices: ({ value, onChange }) => (
    <div key="choices" data-part="choices">
      <ChoicesParts value={value.choices} onChange={(choices) => onChange({ choices })} />
    </div>
  ),
  link: ({ table, field, value, onChange }) => (
    <div key="link" data-part="link" className="contents">
      <div>
        <LinkParts table={table} link={value.link} onChange={(link) => onChange({ link })} />
      </div>
      {field.editor === "link" && <LinkDetails table={table} link={field} />}
    </div>
  ),
};

/** What is said of a field of one type alone: an editor for each of the settings that the type names. */
export function FieldSettings({ type, ...props }: Props & { type: FieldType }) {
  return type.settings.map((setting) => EDITORS[setting](props));
}
