import { useState } from "react";
import { toast } from "sonner";
import type { Table } from "../../api/client";
import { useChangeField } from "../../api/queries";
import { t } from "../../words";

/** Moves fields up and down; what was done last is said to a screen reader. */
export function useFieldMoves(table: Table) {
  const change = useChangeField(table.key);
  const [moved, setMoved] = useState("");
  const move = (key: string, position: number) => {
    const field = table.fields.find((each) => each.key === key);
    if (!field || position < 0 || position >= table.fields.length || change.isPending) return;
    change.mutate(
      { field: key, position },
      {
        onSuccess: () => setMoved(t("board.moved", { label: field.label, place: position + 1 })),
        onError: (error) => toast.error(error.message),
      },
    );
  };
  return { move, moved };
}
