import { useState } from "react";
import type { TableLine } from "../../api/client";
import { useRenameTable } from "../../api/queries";
import { Dialog } from "../../components/Dialog";
import { t } from "../../words";

/** Asks for a table's names. */
export function RenameTable({ table, onClose }: { table: TableLine; onClose: () => void }) {
  const rename = useRenameTable();
  const [label, setLabel] = useState(table.label);
  const [one, setOne] = useState(table.one === "Record" ? "" : table.one);
  return (
    <Dialog title={t("overview.renameTitle")} onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          rename.mutate({ table: table.key, label, one }, { onSuccess: onClose });
        }}
      >
        <label className="flex flex-col gap-1">
          {t("overview.label")}
          <input className="input w-full" value={label} onChange={(event) => setLabel(event.target.value)} />
        </label>
        <label className="flex flex-col gap-1">
          {t("overview.one")}
          <input className="input w-full" value={one} onChange={(event) => setOne(event.target.value)} />
        </label>
        {rename.error && (
          <p className="text-error" role="alert">
            {rename.error.message}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <button type="button" className="btn btn-sm" onClick={onClose}>
            {t("common.cancel")}
          </button>
          <button type="submit" className="btn btn-primary btn-sm" disabled={rename.isPending}>
            {t("common.save")}
          </button>
        </div>
      </form>
    </Dialog>
  );
}
