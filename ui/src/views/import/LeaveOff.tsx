import { toast } from "sonner";
import { useUnpinRule } from "../../api/queries";
import { t } from "../../words";

type Props = { table: string; rule: string; words: string; onDone: () => void };

/** Deletes a rule that refuses rows, where the rows are right. */
export function LeaveOff({ table, rule, words, onDone }: Props) {
  const unpin = useUnpinRule(table);
  const done = () => {
    toast(t("imports.leftOff", { rule: words }));
    onDone();
  };
  return (
    <button
      type="button"
      className="link ml-2 text-xs"
      disabled={unpin.isPending}
      aria-label={`${t("imports.leaveOff")}: ${words}`}
      onClick={() => unpin.mutate(rule, { onSuccess: done, onError: (error) => toast.error(error.message) })}
    >
      {t("imports.leaveOff")}
    </button>
  );
}
