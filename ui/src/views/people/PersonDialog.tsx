import { type FormEvent, useState } from "react";
import { toast } from "sonner";
import { type PersonEntry, type PersonParts, useKeepPerson } from "../../api/people";
import { makeAnonymous, useSecurity } from "../../api/security";
import { Confirm } from "../../components/Confirm";
import { Dialog } from "../../components/Dialog";
import { TextLine } from "../../components/TextLine";
import { t } from "../../words";

type Role = NonNullable<PersonParts["role"]>;
const ROLES: Role[] = ["builder", "clerk", "reader"];

/** A person: name, sign-in name, role, whether they may still sign in, a new password. */
export function PersonDialog({ person, onClose }: { person: PersonEntry | null; onClose: () => void }) {
  const [parts, setParts] = useState({
    name: person?.name ?? "",
    sign_in: person?.sign_in ?? "",
    email: person?.email ?? "",
    role: (person?.role ?? "clerk") as Role,
    active: person?.active ?? true,
  });
  const [password, setPassword] = useState("");
  const keep = useKeepPerson();
  const anonymise = useSecurity(makeAnonymous);
  const [asked, setAsked] = useState(false);
  const failure = keep.error ?? anonymise.error;
  const set = (change: Partial<typeof parts>) => setParts({ ...parts, ...change });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate(
      { id: person?.id ?? null, ...parts, ...(password ? { password } : {}) },
      {
        onSuccess: (kept) => {
          toast(t("people.kept", { name: kept.name }));
          onClose();
        },
      },
    );
  };
  return (
    <Dialog title={person ? person.name : t("people.add")} onClose={onClose}>
      <form className="flex flex-col gap-3" onSubmit={submit}>
        <TextLine label={t("people.name")} value={parts.name} onChange={(name) => set({ name })} />
        <TextLine label={t("people.signIn")} value={parts.sign_in} onChange={(sign_in) => set({ sign_in })} />
        <TextLine label={t("people.email")} value={parts.email} onChange={(email) => set({ email })} />
        <fieldset className="flex flex-col gap-1.5">
          <legend className="mb-1 font-semibold text-xs">{t("people.role")}</legend>
          {ROLES.map((role) => (
            <label key={role} className="flex items-baseline gap-2">
              <input
                type="radio"
                className="radio radio-sm relative top-0.5"
                checked={parts.role === role}
                onChange={() => set({ role })}
              />
              <span className="w-16">{t(`people.roles.${role}`)}</span>
              <span className="quiet text-xs">{t(`people.does.${role}`)}</span>
            </label>
          ))}
        </fieldset>
        <TextLine label={t("people.setPassword")} value={password} onChange={setPassword} secret />
        <p className="quiet -mt-2 text-xs">
          {person?.has_password ? t("people.leaveBlank") : t("people.passwordHint")}
        </p>
        {person && (
          <label className="flex items-baseline gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm relative top-0.5"
              checked={parts.active}
              onChange={(event) => set({ active: event.target.checked })}
            />
            <span>{t("people.maySignIn")}</span>
          </label>
        )}
        {failure && (
          <p role="alert" className="text-error">
            {failure.message}
          </p>
        )}
        <div className="flex flex-wrap items-center gap-3">
          <button type="submit" className="btn btn-primary" disabled={keep.isPending}>
            {t("common.save")}
          </button>
          {person && !person.active && (
            <button type="button" className="btn btn-ghost text-error" onClick={() => setAsked(true)}>
              {t("security.anonymise")}
            </button>
          )}
        </div>
      </form>
      {person && asked && (
        <Confirm
          title={t("security.anonymiseAsk", { name: person.name })}
          action={t("security.anonymiseDo")}
          onConfirm={() => {
            setAsked(false);
            anonymise.mutate(person.id, {
              onSuccess: (left) => {
                toast(t("security.anonymised", { name: left.name }));
                onClose();
              },
            });
          }}
          onClose={() => setAsked(false)}
        >
          <p>{t("security.anonymiseText", { id: person.id })}</p>
        </Confirm>
      )}
    </Dialog>
  );
}
