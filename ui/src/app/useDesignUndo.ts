import { useNavigate } from "react-router";
import { toast } from "sonner";
import { ProblemError } from "../api/client";
import { useRedo, useUndo } from "../api/queries";
import { t } from "../words";

/** Undo and redo of the design, with a word about what was done. */
export function useDesignUndo() {
  const { mutateAsync: undoIt } = useUndo();
  const { mutateAsync: redoIt } = useRedo();
  const navigate = useNavigate();

  async function run(step: typeof undoIt, done: (what: string) => string, nothing: string) {
    try {
      const found = await step(undefined);
      const summary = found.summary;
      toast(summary ? done(summary) : nothing);
      // A table that was renamed or has gone is no longer at this address.
      if (summary?.startsWith("Table ")) navigate("/");
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  }

  return {
    undo: () => run(undoIt, (what) => t("shell.undone", { what }), t("shell.nothingToUndo")),
    redo: () => run(redoIt, (what) => t("shell.redone", { what }), t("shell.nothingToRedo")),
  };
}
