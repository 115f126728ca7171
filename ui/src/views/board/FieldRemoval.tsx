import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { toast } from "sonner";
import type { Table } from "../../api/client";
import { losses, useRemoveField } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { useDesignUndo } from "../../app/useDesignUndo";
import { Confirm } from "../../components/Confirm";
import { t } from "../../words";

type Props = { table: Table; field: string; onClose: () => void; onRemoved: () => void };

/** Deletes a field: at once when nothing is lost by it, else after saying what. */
export function FieldRemoval({ table, field, onClose, onRemoved }: Props) {
  const label = table.fields.find((each) => each.key === field)?.label ?? field;
  const remove = useRemoveField(table.key);
  const { undo } = useDesignUndo();
  const loss = useQuery({
    queryKey: queryKeys.losses(table.key, field),
    queryFn: () => losses(table.key, field, {}),
    gcTime: 0,
    staleTime: 0,
  });
  const started = useRef(false);

  const go = () =>
    remove.mutate(field, {
      onSuccess: () => {
        toast(t("board.deleted", { label }), { action: { label: t("board.undoHere"), onClick: undo } });
        onRemoved();
      },
      onError: (error) => {
        toast.error(error.message);
        onClose();
      },
    });

  const harmless = loss.data?.values === 0 && loss.data.rules.length === 0;
  useEffect(() => {
    if (!harmless || started.current) return;
    started.current = true;
    go();
  });

  if (!loss.data || harmless) return null;
  return (
    <Confirm
      title={t("fieldPanel.removeTitle", { label })}
      action={t("fieldPanel.remove")}
      onConfirm={go}
      onClose={onClose}
    >
      {loss.data.values > 0 && <p>{t("fieldPanel.removeValues", { count: loss.data.values })}</p>}
      {loss.data.rules.length > 0 && (
        <>
          <p>{t("fieldPanel.removeRules")}</p>
          <ul className="list-disc pl-5">
            {loss.data.rules.map((rule) => (
              <li key={rule}>{rule}</li>
            ))}
          </ul>
        </>
      )}
      <p className="quiet">{t("fieldPanel.undoNote")}</p>
    </Confirm>
  );
}
