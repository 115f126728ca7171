import { useQuery } from "@tanstack/react-query";
import type { RecordData, Table } from "../../api/client";
import { foreseeDeletion } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { Confirm } from "../../components/Confirm";
import { Dialog } from "../../components/Dialog";
import { t } from "../../words";

type Props = { table: Table; record: RecordData; onConfirm: () => void; onClose: () => void };

/** Asks before a record is deleted, and says what becomes of those that link to it. */
export function DeleteDialog({ table, record, onConfirm, onClose }: Props) {
  const foreseen = useQuery({
    queryKey: queryKeys.deletion(table.key, record.id),
    queryFn: () => foreseeDeletion(table.key, record.id),
    gcTime: 0,
  }).data;
  if (!foreseen) return null;
  if (foreseen.reasons.length > 0) {
    return (
      <Dialog title={t("form.cantRemove", { title: record.title })} onClose={onClose}>
        <p>{t("form.needed")}</p>
        <ul className="mt-2 list-disc pl-5">
          {foreseen.reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
        <button type="button" className="btn btn-sm mt-4" onClick={onClose}>
          {t("common.close")}
        </button>
      </Dialog>
    );
  }
  return (
    <Confirm
      title={t("form.removeTitle", { title: record.title })}
      action={t("form.remove")}
      onConfirm={onConfirm}
      onClose={onClose}
    >
      {foreseen.along.map((each) => (
        <p key={each.table} className="font-semibold text-error">
          {t("form.along", { count: each.count, table: each.table })}
        </p>
      ))}
      {foreseen.cleared.map((each) => (
        <p key={each.table + each.field}>
          {t("form.cleared", { count: each.count, table: each.table, field: each.field })}
        </p>
      ))}
      <p>{t("form.removeText")}</p>
    </Confirm>
  );
}
