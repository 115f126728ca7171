import type { Field, Table } from "../../api/client";
import { useTables } from "../../api/queries";
import { sentences, t } from "../../words";

export type LinkSettings = { target: string; on_delete: string; reverse: string };

export const beginLink = (field: Field): LinkSettings => ({
  target: field.target ?? "",
  on_delete: field.on_delete ?? "refuse",
  reverse: field.reverse ?? "",
});

const CHOICES = ["refuse", "clear", "delete"] as const;

type Props = { table: Table; link: LinkSettings; onChange: (link: LinkSettings) => void };

/** Where a link points, what becomes of it when that record is deleted, and its name on the other side. */
export function LinkParts({ table, link, onChange }: Props) {
  const tables = useTables().data ?? [];
  const target = tables.find((each) => each.key === link.target);
  return (
    <>
      <label className="flex flex-col gap-1 font-semibold">
        {t("link.target")}
        <select
          className="select w-full font-normal"
          value={link.target}
          onChange={(event) => onChange({ ...link, target: event.target.value })}
        >
          <option value="">{t("link.pick")}</option>
          {tables.map((each) => (
            <option key={each.key} value={each.key}>
              {each.label}
            </option>
          ))}
        </select>
      </label>
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">{sentences.link.onDelete(target?.one ?? t("link.record"))}</legend>
        {CHOICES.map((each) => (
          <label key={each} className="flex items-start gap-2">
            <input
              type="radio"
              name="on_delete"
              className="radio radio-sm mt-0.5"
              checked={link.on_delete === each}
              onChange={() => onChange({ ...link, on_delete: each })}
            />
            <span>{t(`link.choices.${each}`, { one: table.one.toLowerCase() })}</span>
          </label>
        ))}
      </fieldset>
      <label className="flex flex-col gap-1 font-semibold">
        {sentences.link.reverse(target?.one ?? t("link.record"))}
        <input
          className="input w-full font-normal"
          value={link.reverse}
          placeholder={table.label}
          onChange={(event) => onChange({ ...link, reverse: event.target.value })}
        />
      </label>
    </>
  );
}
