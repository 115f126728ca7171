import type { ReactNode } from "react";
import { t } from "../words";
import { Dialog } from "./Dialog";

type Props = { title: string; action: string; onConfirm: () => void; onClose: () => void; children: ReactNode };

/** Asks before something is lost, and says what. */
export function Confirm({ title, action, onConfirm, onClose, children }: Props) {
  return (
    <Dialog title={title} onClose={onClose}>
      <div className="flex flex-col gap-2">{children}</div>
      <div className="mt-5 flex justify-end gap-2">
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("common.cancel")}
        </button>
        <button type="button" className="btn btn-error btn-sm" onClick={onConfirm}>
          {action}
        </button>
      </div>
    </Dialog>
  );
}
