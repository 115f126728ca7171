import { useState } from "react";
import type { Entry, RecordData, Table } from "../../api/client";
import type { Typed } from "../../api/queries";
import { Dialog } from "../../components/Dialog";
import { t } from "../../words";

type Props = {
  table: Table;
  before: RecordData;
  /** The record as it is now, and who made it so. */
  record: RecordData | undefined;
  theirs: Entry[];
  mine: Typed;
  /** The same as people read it. */
  shown: { [field: string]: string };
  onClose: () => void;
  onMerge: (typed: Typed) => void;
};

/** Two people changed one record: before, theirs and mine side by side, to be chosen field by field. */
export function Conflict({ table, before, record: now, theirs, mine, shown, onClose, onMerge }: Props) {
  const typed = Object.keys(mine);
  const changed = table.fields.filter(
    (field) => !field.given && (now?.texts[field.key] !== before.texts[field.key] || typed.includes(field.key)),
  );
  const [keepMine, setKeepMine] = useState<Set<string>>(() => new Set(typed));
  const people = [...new Set(theirs.map((entry) => entry.person))].join(", ");

  const pick = (field: string, isMine: boolean) => {
    const next = new Set(keepMine);
    isMine ? next.add(field) : next.delete(field);
    setKeepMine(next);
  };
  const merged = () => Object.fromEntries(Object.entries(mine).filter(([field]) => keepMine.has(field)));

  return (
    <Dialog title={t("form.conflictTitle")} onClose={onClose} wide>
      <p>
        {t("form.conflictText")} <span className="quiet">{t("form.by", { person: people })}</span>
      </p>
      <table className="table mt-3">
        <thead>
          <tr>
            <th>{t("board.field")}</th>
            <th>{t("form.before")}</th>
            <th>{t("form.theirs")}</th>
            <th>{t("form.mine")}</th>
          </tr>
        </thead>
        <tbody>
          {changed.map((field) => {
            const isMine = typed.includes(field.key);
            const option = (mineSide: boolean, text: string) =>
              isMine ? (
                <label className="flex items-center gap-2">
                  <input
                    type="radio"
                    className="radio radio-sm"
                    name={field.key}
                    checked={keepMine.has(field.key) === mineSide}
                    onChange={() => pick(field.key, mineSide)}
                  />
                  {text || "–"}
                </label>
              ) : (
                text || "–"
              );
            return (
              <tr key={field.key}>
                <th className="font-semibold">{field.label}</th>
                <td className="quiet">{before.texts[field.key] || "–"}</td>
                <td>{option(false, now?.texts[field.key] ?? "")}</td>
                <td>{isMine && option(true, shown[field.key] ?? String(mine[field.key] ?? ""))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="mt-4 flex justify-end gap-2">
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("common.cancel")}
        </button>
        <button type="button" className="btn btn-primary btn-sm" onClick={() => onMerge(merged())}>
          {t("form.merge")}
        </button>
      </div>
    </Dialog>
  );
}
