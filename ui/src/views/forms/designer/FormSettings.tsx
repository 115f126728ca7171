import { ArrowDown, ArrowUp, Plus, X } from "lucide-react";
import type { FormJump, FormParts, Mistake, Table } from "../../../api/client";
import { FormulaEditor } from "../../../components/formula/FormulaEditor";
import { t } from "../../../words";
import { fieldsOn } from "./shape";

type Props = { table: Table; form: FormParts; onChange: (form: FormParts) => void; mistakes: Mistake[] };

const BUTTONS = ["copy", "next", "save_next"] as const;

/** The form as a whole: its name, its buttons, and how the cursor goes through it. */
export function FormSettings({ table, form, onChange, mistakes }: Props) {
  const buttons = form.buttons ?? [];
  return (
    <div className="flex flex-col gap-2.5">
      <label className="flex items-center gap-2">
        <span className="w-14 shrink-0 font-semibold">{t("designer.name")}</span>
        <input
          className="input input-sm min-w-0 flex-1"
          data-first
          value={form.name}
          onChange={(event) => onChange({ ...form, name: event.target.value })}
        />
      </label>
      <label className="flex items-center gap-2">
        <span className="w-14 shrink-0">{t("designer.note")}</span>
        <input
          className="input input-sm min-w-0 flex-1"
          value={form.note ?? ""}
          placeholder={t("designer.notePlaceholder")}
          onChange={(event) => onChange({ ...form, note: event.target.value || null })}
        />
      </label>
      <details>
        <summary className="cursor-pointer font-semibold">{t("designer.cursor")}</summary>
        <div className="mt-2 flex flex-col gap-2.5">
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={form.skip_filled === true}
              onChange={() => onChange({ ...form, skip_filled: !form.skip_filled })}
            />
            {t("designer.skipFilled")}
          </label>
          <Order table={table} form={form} onChange={onChange} />
          <Jumps table={table} form={form} onChange={onChange} mistakes={mistakes} />
          <fieldset className="flex flex-wrap gap-x-4 gap-y-1">
            <legend className="mb-0.5">{t("designer.buttons")}</legend>
            {BUTTONS.map((each) => (
              <label key={each} className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={buttons.includes(each)}
                  onChange={() =>
                    onChange({
                      ...form,
                      buttons: buttons.includes(each)
                        ? buttons.filter((other) => other !== each)
                        : BUTTONS.filter((other) => other === each || buttons.includes(other)),
                    })
                  }
                />
                {t(`designer.buttonNames.${each}`)}
              </label>
            ))}
          </fieldset>
        </div>
      </details>
    </div>
  );
}

/** The order of the cursor: that of the layout, or one of its own. */
function Order({ table, form, onChange }: Omit<Props, "mistakes">) {
  const fields = fieldsOn(form);
  const order = form.order && [
    ...form.order.filter((key) => fields.includes(key)),
    ...fields.filter((key) => !form.order?.includes(key)),
  ];
  const move = (index: number, by: number) => {
    const next = [...(order ?? [])];
    const [taken] = next.splice(index, 1);
    if (taken) next.splice(index + by, 0, taken);
    onChange({ ...form, order: next });
  };
  return (
    <div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={order !== null && order !== undefined}
          onChange={() => onChange({ ...form, order: order ? null : fields })}
        />
        {t("designer.ownOrder")}
      </label>
      {order && (
        <ol className="mt-1 max-h-48 overflow-auto rounded border border-base-300">
          {order.map((key, index) => {
            const label = table.fields.find((field) => field.key === key)?.label ?? key;
            return (
              <li key={key} className="flex items-center gap-1 px-2 py-0.5">
                <span className="quiet w-5 text-xs tabular-nums">{index + 1}</span>
                <span className="min-w-0 flex-1 truncate">{label}</span>
                <button
                  type="button"
                  className="btn btn-ghost btn-xs btn-square"
                  aria-label={t("designer.earlier", { label })}
                  disabled={index === 0}
                  onClick={() => move(index, -1)}
                >
                  <ArrowUp size={12} aria-hidden />
                </button>
                <button
                  type="button"
                  className="btn btn-ghost btn-xs btn-square"
                  aria-label={t("designer.later", { label })}
                  disabled={index === order.length - 1}
                  onClick={() => move(index, 1)}
                >
                  <ArrowDown size={12} aria-hidden />
                </button>
              </li>
            );
          })}
        </ol>
      )}
    </div>
  );
}

/** Jumps: after leaving a field, to another one, while a condition holds. */
function Jumps({ table, form, onChange, mistakes }: Props) {
  const jumps = form.jumps ?? [];
  const fields = fieldsOn(form).flatMap((key) => table.fields.find((field) => field.key === key) ?? []);
  const put = (index: number, some: Partial<FormJump>) =>
    onChange({ ...form, jumps: jumps.map((jump, at) => (at === index ? { ...jump, ...some } : jump)) });
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-0.5">{t("designer.jumps")}</legend>
      {jumps.map((jump, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a jump is known by its place
        <div key={index} className="flex flex-col gap-1 rounded border border-base-300 px-2 py-1.5">
          <div className="flex items-center gap-1.5 text-xs">
            <span>{t("designer.after")}</span>
            <Pick label={t("designer.after")} value={jump.after} onPick={(after) => put(index, { after })}>
              {fields.map((field) => (
                <option key={field.key} value={field.key}>
                  {field.label}
                </option>
              ))}
            </Pick>
            <span>{t("designer.to")}</span>
            <Pick label={t("designer.to")} value={jump.to} onPick={(to) => put(index, { to })}>
              <option value="first_blank">{t("designer.firstBlank")}</option>
              <option value="end">{t("designer.end")}</option>
              {fields.map((field) => (
                <option key={field.key} value={field.key}>
                  {field.label}
                </option>
              ))}
            </Pick>
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              aria-label={t("designer.dropJump")}
              title={t("designer.dropJump")}
              onClick={() => onChange({ ...form, jumps: jumps.filter((_, at) => at !== index) })}
            >
              <X size={13} aria-hidden />
            </button>
          </div>
          <label className="flex items-center gap-2 text-xs">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={jump.when !== null && jump.when !== undefined}
              onChange={() => put(index, { when: jump.when == null ? "" : null })}
            />
            {t("designer.jumpWhile")}
          </label>
          {jump.when != null && (
            <FormulaEditor
              table={table.key}
              label={t("designer.jumpWhile")}
              value={jump.when}
              onChange={(when) => put(index, { when })}
              mistakes={mistakes.filter((mistake) => mistake.part === `jumps.${index}.when`)}
              focus={false}
            />
          )}
        </div>
      ))}
      <button
        type="button"
        className="btn btn-ghost btn-xs w-fit"
        disabled={fields.length < 2}
        onClick={() =>
          onChange({ ...form, jumps: [...jumps, { after: fields[0]?.key ?? "", when: null, to: "first_blank" }] })
        }
      >
        <Plus size={13} aria-hidden />
        {t("designer.addJump")}
      </button>
    </fieldset>
  );
}

type PickProps = { label: string; value: string; onPick: (value: string) => void; children: React.ReactNode };

function Pick({ label, value, onPick, children }: PickProps) {
  return (
    <select
      className="select select-xs min-w-0 flex-1"
      aria-label={label}
      value={value}
      onChange={(event) => onPick(event.target.value)}
    >
      {children}
    </select>
  );
}
