import { Pencil, UserPlus } from "lucide-react";
import { useState } from "react";
import { type PersonEntry, usePeople } from "../../api/people";
import { useSession } from "../../api/queries";
import { Failure } from "../../components/Failure";
import { HelpLink } from "../../components/HelpLink";
import { Loading } from "../../components/Loading";
import { t, word } from "../../words";
import { EndDemo } from "./EndDemo";
import { PersonDialog } from "./PersonDialog";
import { SecurityLog } from "./SecurityLog";
import { Sessions } from "./Sessions";

/** Everybody who works here, for builders. */
export default function People() {
  const people = usePeople();
  const session = useSession();
  const [open, setOpen] = useState<PersonEntry | "new" | null>(null);
  if (!people.data) return people.error ? <Failure error={people.error} retry={people.refetch} /> : <Loading />;
  return (
    <div className="mx-auto max-w-4xl px-5 pt-5 pb-10">
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <div className="min-w-0 flex-1">
          <h1 className="text-2xl">{t("people.title")}</h1>
          <p className="quiet">{t("people.aim")}</p>
        </div>
        <HelpLink page="permissions" />
        <button type="button" className="btn btn-primary btn-sm" onClick={() => setOpen("new")}>
          <UserPlus size={15} aria-hidden />
          {t("people.add")}
        </button>
      </div>
      {session.data?.demo && <EndDemo session={session.data} />}
      <div className="sheet overflow-x-auto">
        <table className="w-full text-left">
          <thead>
            <tr className="border-base-300 border-b text-xs">
              {[t("people.name"), t("people.signIn"), t("people.email"), t("people.role"), t("people.state")].map(
                (head) => (
                  <th key={head} className="quiet px-4 py-2 font-semibold">
                    {head}
                  </th>
                ),
              )}
              <th className="px-4 py-2">
                <span className="sr-only">{t("people.change")}</span>
              </th>
            </tr>
          </thead>
          <tbody className="divide-y divide-base-300/70">
            {people.data.map((person) => (
              <tr key={person.id} className={person.active ? "" : "quiet"}>
                <td className="px-4 py-2 font-semibold">{person.name}</td>
                <td className="px-4 py-2 font-mono text-xs">{person.sign_in}</td>
                <td className="max-w-56 truncate px-4 py-2">{person.email}</td>
                <td className="px-4 py-2">{word(`people.roles.${person.role}`)}</td>
                <td className="px-4 py-2 text-xs">{state(person)}</td>
                <td className="px-4 py-2 text-right">
                  {!person.anonymous && (
                    <button
                      type="button"
                      className="btn btn-ghost btn-xs"
                      aria-label={t("people.changeOf", { name: person.name })}
                      onClick={() => setOpen(person)}
                    >
                      <Pencil size={14} aria-hidden />
                      {t("people.change")}
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet mt-3 text-xs">{t("people.note")}</p>
      <div className="sheet mt-5 p-4">
        <Sessions everybody />
      </div>
      <div className="sheet mt-5 p-4">
        <SecurityLog />
      </div>
      {open && <PersonDialog person={open === "new" ? null : open} onClose={() => setOpen(null)} />}
    </div>
  );
}

function state(person: PersonEntry) {
  if (!person.active) return t("people.inactive");
  return person.has_password ? t("people.active") : t("people.noPassword");
}
