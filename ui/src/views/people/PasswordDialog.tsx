import { type FormEvent, useState } from "react";
import { toast } from "sonner";
import type { Session } from "../../api/client";
import { useOwnPassword } from "../../api/people";
import { Dialog } from "../../components/Dialog";
import { words } from "../../words";
import { Line } from "../sign_in/SetUp";
import { Sessions } from "./Sessions";

type Props = { session: Session; onClose: () => void; why?: string };

/** Somebody's own password, and where they are signed in. */
export function PasswordDialog({ session, onClose, why }: Props) {
  const [old, setOld] = useState("");
  const [fresh, setFresh] = useState("");
  const change = useOwnPassword();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate(
      { old, new: fresh },
      {
        onSuccess: () => {
          toast(words.people.passwordChanged);
          onClose();
        },
      },
    );
  };
  return (
    <Dialog title={words.people.ownPassword} onClose={onClose}>
      {why && <p className="mb-3">{why}</p>}
      <form className="flex flex-col gap-3" onSubmit={submit}>
        {session.has_password && <Line label={words.people.oldPassword} value={old} onChange={setOld} secret current />}
        <Line label={words.people.newPassword} value={fresh} onChange={setFresh} secret />
        <p className="quiet text-xs">{words.people.passwordHint}</p>
        {change.error && (
          <p role="alert" className="text-error">
            {change.error.message}
          </p>
        )}
        <button type="submit" className="btn btn-primary self-start" disabled={change.isPending || !fresh}>
          {words.people.changePassword}
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
