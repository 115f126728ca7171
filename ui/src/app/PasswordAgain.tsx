import { type FormEvent, useEffect, useRef, useState } from "react";
import { confirmPassword, onPasswordAsked } from "../api/confirmed";
import { Dialog } from "../components/Dialog";
import { TextLine } from "../components/TextLine";
import { t } from "../words";

/** Asks for the password before what must not be done by whoever finds an open browser. */
export function PasswordAgain() {
  const [asked, setAsked] = useState(false);
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const answer = useRef<(password: string | null) => void>(() => {});
  useEffect(() => {
    onPasswordAsked(
      () =>
        new Promise((resolve) => {
          answer.current = resolve;
          setPassword("");
          setProblem(null);
          setAsked(true);
        }),
    );
  }, []);
  const end = (told: string | null) => {
    setAsked(false);
    answer.current(told);
  };
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    try {
      await confirmPassword(password);
      end(password);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : t("errors.unexpected"));
    }
    setBusy(false);
  };
  if (!asked) return null;
  return (
    <Dialog title={t("security.again")} onClose={() => end(null)}>
      <form className="flex flex-col gap-3" onSubmit={submit}>
        <p>{t("security.againWhy")}</p>
        <TextLine label={t("signIn.password")} value={password} onChange={setPassword} secret current />
        {problem && (
          <p role="alert" className="text-error">
            {problem}
          </p>
        )}
        <button type="submit" className="btn btn-primary self-start" disabled={busy || password === ""}>
          {t("security.goOn")}
        </button>
      </form>
    </Dialog>
  );
}
