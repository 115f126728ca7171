import { Plus, X } from "lucide-react";
import type { FormItem, Mistake, Table } from "../../../api/client";
import { useNames } from "../../../api/queries";
import { FormulaEditor } from "../../../components/formula/FormulaEditor";
import { Mark } from "../../../components/Mark";
import { t } from "../../../words";

type Props = {
  table: Table;
  item: FormItem;
  at: string;
  mistakes: Mistake[];
  onChange: (some: Partial<FormItem>) => void;
};

/** What can be set of an item: name, hint, how it begins and stands; and the table's rules, as what they are. */
export function ItemSettings({ table, item, at, mistakes, onChange }: Props) {
  return (
    <div className="flex flex-col gap-2.5 border-base-300/70 border-t bg-base-200/40 px-3 py-2.5">
      <label className="flex items-center gap-2">
        <span className="w-16 shrink-0">{t("designer.label")}</span>
        <input
          className="input input-sm min-w-0 flex-1"
          value={item.label ?? ""}
          placeholder={t("designer.ownLabel")}
          onChange={(event) => onChange({ label: event.target.value || null })}
        />
      </label>
      {item.field ? (
        <FieldSettings {...{ table, item, at, mistakes, onChange }} />
      ) : (
        <InnerFields table={table} item={item} onChange={onChange} />
      )}
    </div>
  );
}

function FieldSettings({ table, item, at, mistakes, onChange }: Props) {
  const field = table.fields.find((each) => each.key === item.field);
  const rules = table.rules.filter((rule) => item.field && rule.fields.includes(item.field));
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="w-16 shrink-0">{t("designer.hint")}</span>
        <input
          className="input input-sm min-w-0 flex-1"
          value={item.hint ?? ""}
          onChange={(event) => onChange({ hint: event.target.value || null })}
        />
      </label>
      {field && !field.given && (
        <>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={item.carry === true}
              onChange={() => onChange({ carry: !item.carry })}
            />
            {t("designer.carry")}
          </label>
          <div className="flex flex-col gap-1">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={item.default !== null && item.default !== undefined}
                onChange={() => onChange({ default: item.default == null ? "" : null })}
              />
              {t("designer.default")}
            </label>
            {item.default != null && (
              <FormulaEditor
                table={table.key}
                label={t("designer.default")}
                value={item.default}
                onChange={(text) => onChange({ default: text })}
                mistakes={mistakes.filter((mistake) => mistake.part === `${at}.default`)}
                focus={false}
              />
            )}
          </div>
        </>
      )}
      <States {...{ table, item, at, mistakes, onChange }} />
      {rules.length > 0 && (
        <div>
          <p className="font-semibold text-xs">{t("designer.tableRules")}</p>
          <ul className="mt-0.5 flex flex-col gap-0.5 text-xs">
            {rules.map((rule) => (
              <li key={rule.id} className="flex items-baseline gap-1.5">
                <Mark size={9} className="shrink-0 text-primary" />
                <span className="quiet">{rule.sentence}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}

const STATES = ["shown", "enabled", "required", "read_only"] as const;

function States({ table, item, at, mistakes, onChange }: Props) {
  const states = item.states ?? [];
  const put = (index: number, some: { state?: string; when?: string }) =>
    onChange({ states: states.map((each, place) => (place === index ? { ...each, ...some } : each)) });
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="sr-only">{t("designer.states")}</legend>
      {states.map((each, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a statement is known by its place
        <div key={index} className="flex flex-col gap-1">
          <div className="flex items-center gap-2">
            <select
              className="select select-xs w-28"
              aria-label={t("state.state")}
              value={each.state}
              onChange={(event) => put(index, { state: event.target.value })}
            >
              {STATES.map((state) => (
                <option key={state} value={state}>
                  {t(`state.states.${state}`)}
                </option>
              ))}
            </select>
            <span className="quiet flex-1 text-xs">{t("designer.while")}</span>
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              aria-label={t("designer.dropState")}
              title={t("designer.dropState")}
              onClick={() => onChange({ states: states.filter((_, place) => place !== index) })}
            >
              <X size={13} aria-hidden />
            </button>
          </div>
          <FormulaEditor
            table={table.key}
            label={t("designer.while")}
            value={each.when}
            onChange={(when) => put(index, { when })}
            mistakes={mistakes.filter((mistake) => mistake.part === `${at}.states.${index}.when`)}
            focus={false}
          />
        </div>
      ))}
      <button
        type="button"
        className="btn btn-ghost btn-xs w-fit"
        onClick={() => onChange({ states: [...states, { state: "shown", when: "" }] })}
      >
        <Plus size={13} aria-hidden />
        {t("designer.addState")}
      </button>
    </fieldset>
  );
}

/** The fields of another table's records that lines or a panel show. */
function InnerFields({ table, item, onChange }: Pick<Props, "table" | "item" | "onChange">) {
  const names = useNames().data ?? [];
  const other = item.lines?.table ?? table.fields.find((field) => field.key === item.panel)?.target;
  const fields = (names.find((each) => each.key === other)?.fields ?? []).filter(
    (field) => field.key !== item.lines?.link,
  );
  const picked = item.fields ?? [];
  return (
    <fieldset>
      <legend className="mb-1">{t("designer.innerFields")}</legend>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        {fields.map((field) => (
          <label key={field.key} className="flex min-w-0 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={picked.includes(field.key)}
              onChange={() =>
                onChange({
                  fields: picked.includes(field.key)
                    ? picked.filter((key) => key !== field.key)
                    : [...picked, field.key],
                })
              }
            />
            <span className="truncate">{field.label}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
