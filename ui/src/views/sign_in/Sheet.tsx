import { type FormEvent, type ReactNode, useState } from "react";
import type { Session } from "../../api/client";
import { t } from "../../words";

/** Sends what signs somebody in, and keeps why it did not. */
export function useSending(onSession: (session: Session) => void) {
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (call: () => Promise<Session>) => {
    setBusy(true);
    setProblem(null);
    try {
      onSession(await call());
    } catch (error) {
      setProblem(error instanceof Error ? error.message : t("errors.unexpected"));
      setBusy(false);
    }
  };
  return { send, problem, busy };
}

type SheetProps = { title: string; problem: string | null; onSubmit: () => void; children: ReactNode };

/** A form on a sheet, with what was refused below its title. */
export function Sheet({ title, problem, onSubmit, children }: SheetProps) {
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSubmit();
  };
  return (
    <form className="sheet flex flex-col gap-3 p-5" onSubmit={submit}>
      <h2 className="text-xl">{title}</h2>
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {children}
    </form>
  );
}
