import { type FormEvent, useState } from "react";
import { toast } from "sonner";
import type { Session } from "../../api/client";
import { useOwnPassword } from "../../api/people";
import { useArrived } from "../../components/Arriving";
import { Dialog } from "../../components/Dialog";
import { TextLine } from "../../components/TextLine";
import { t } from "../../words";
import { Sessions } from "./Sessions";

type Props = { session: Session; onClose: () => void; why?: string };

/** Somebody's own password, and where they are signed in. */
export default function PasswordDialog({ session, onClose, why }: Props) {
  useArrived();
  const [old, setOld] = useState("");
  const [fresh, setFresh] = useState("");
  const change = useOwnPassword();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate(
      { old, new: fresh },
      {
        onSuccess: () => {
          toast(t("people.passwordChanged"));
          onClose();
        },
      },
    );
  };
  return (
    <Dialog title={t("people.ownPassword")} onClose={onClose}>
      {why && <p className="mb-3">{why}</p>}
      <form className="flex flex-col gap-3" onSubmit={submit}>
        {session.has_password && (
          <TextLine label={t("people.oldPassword")} value={old} onChange={setOld} secret current />
        )}
        <TextLine label={t("people.newPassword")} value={fresh} onChange={setFresh} secret />
        <p className="quiet text-xs">{t("people.passwordHint")}</p>
        {change.error && (
          <p role="alert" className="text-error">
            {change.error.message}
          </p>
        )}
        <button type="submit" className="btn btn-primary self-start" disabled={change.isPending || !fresh}>
          {t("people.changePassword")}
        </button>
      </form>
      {!why && (
        <div className="mt-6">
          <Sessions everybody={false} />
        </div>
      )}
    </Dialog>
  );
}
