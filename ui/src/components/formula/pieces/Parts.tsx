import { ArrowLeft, ArrowRight, Plus, X } from "lucide-react";
import type { Part } from "../../../api/client";
import { t } from "../../../words";
import type { AllNames } from "../places";
import { FieldPick } from "./FieldPick";

type Props = { table: string; names: AllNames; name: string; parts: Part[]; onChange: (parts: Part[]) => void };

/** Fields and fixed texts in a row, joined to one text. */
export function Parts({ table, names, name, parts, onChange }: Props) {
  const put = (at: number, part: Part) => onChange(parts.map((each, index) => (index === at ? part : each)));
  const remove = (at: number) => onChange(parts.filter((_, index) => index !== at));
  const move = (at: number, step: number) => {
    const next = [...parts];
    const [part] = next.splice(at, 1);
    if (part) next.splice(at + step, 0, part);
    onChange(next);
  };
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="mb-1 font-semibold">{name}</legend>
      {parts.length === 0 && <p className="quiet">{t("pieces.nothing")}</p>}
      {parts.map((part, at) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: a part is known by its place alone
          key={at}
          className="flex flex-wrap items-center gap-1.5 rounded border border-base-300 bg-base-200/50 px-2 py-1"
        >
          <div className="flex min-w-0 flex-1 flex-wrap items-center gap-1.5">
            {part.field === undefined ? (
              <>
                <input
                  aria-label={t("pieces.text")}
                  className="input input-sm w-40 font-mono"
                  value={part.text ?? ""}
                  placeholder={t("pieces.text")}
                  onChange={(event) => put(at, { text: event.target.value })}
                />
                {/^ +$/.test(part.text ?? "") && (
                  <span className="quiet text-xs">{t("pieces.spaces", { count: part.text?.length ?? 0 })}</span>
                )}
              </>
            ) : (
              <FieldPart table={table} names={names} part={part} onChange={(next) => put(at, next)} />
            )}
          </div>
          <Tool name={t("pieces.earlier")} onClick={() => move(at, -1)} disabled={at === 0} icon={ArrowLeft} />
          <Tool
            name={t("pieces.later")}
            onClick={() => move(at, 1)}
            disabled={at === parts.length - 1}
            icon={ArrowRight}
          />
          <Tool name={t("pieces.remove")} onClick={() => remove(at)} icon={X} />
        </div>
      ))}
      <div className="flex gap-1.5">
        <button type="button" className="btn btn-xs" onClick={() => onChange([...parts, { field: "" }])}>
          <Plus size={12} aria-hidden />
          {t("pieces.addField")}
        </button>
        <button type="button" className="btn btn-xs" onClick={() => onChange([...parts, { text: "" }])}>
          <Plus size={12} aria-hidden />
          {t("pieces.addText")}
        </button>
      </div>
    </fieldset>
  );
}

type FieldProps = { table: string; names: AllNames; part: Part; onChange: (part: Part) => void };

/** A field, with texts that stand around it only when it is filled. */
function FieldPart({ table, names, part, onChange }: FieldProps) {
  const guarded = part.before !== undefined || part.after !== undefined;
  const around = (side: "before" | "after") => (
    <input
      aria-label={t(`pieces.${side}`)}
      title={t(`pieces.${side}`)}
      placeholder={t(`pieces.${side}`)}
      className="input input-sm w-20 font-mono"
      value={part[side] ?? ""}
      onChange={(event) => onChange({ ...part, [side]: event.target.value })}
    />
  );
  return (
    <>
      {guarded && around("before")}
      <FieldPick
        table={table}
        names={names}
        name={t("pieces.field")}
        value={part.field ?? ""}
        onChange={(field) => onChange({ ...part, field })}
      />
      {guarded && around("after")}
      <label className="flex items-center gap-1 text-xs">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          checked={guarded}
          onChange={() => onChange(guarded ? { field: part.field } : { field: part.field, before: "", after: " " })}
        />
        {t("pieces.whenFilled")}
      </label>
    </>
  );
}

type ToolProps = { name: string; onClick: () => void; disabled?: boolean; icon: typeof X };

export function Tool({ name, onClick, disabled = false, icon: Icon }: ToolProps) {
  return (
    <button
      type="button"
      className="btn btn-ghost btn-xs btn-square"
      title={name}
      aria-label={name}
      onClick={onClick}
      disabled={disabled}
    >
      <Icon size={13} aria-hidden />
    </button>
  );
}
