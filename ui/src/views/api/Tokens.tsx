import { useState } from "react";
import { toast } from "sonner";
import { address } from "../../api/address";
import { useSession } from "../../api/queries";
import { useChangeScriptSettings, useMakeToken, useRevokeToken, useScriptSettings, useTokens } from "../../api/tokens";
import { lowerFirst } from "../../components/lowerFirst";
import { showDay } from "../../components/moments";
import { t, word } from "../../words";
import { ShownOnce } from "./ShownOnce";

type Role = "reader" | "clerk" | "builder";
const ROLES: Role[] = ["reader", "clerk", "builder"];

/** Tokens for scripts: made, shown once, revoked; builders see those of all. */
export function Tokens() {
  const tokens = useTokens();
  const make = useMakeToken();
  const revoke = useRevokeToken();
  const session = useSession().data;
  const own = session?.person.role ?? "reader";
  const [name, setName] = useState("");
  const [role, setRole] = useState<Role>("reader");
  const [days, setDays] = useState(90);
  return (
    <section className="sheet flex flex-col gap-3 p-4" aria-label={t("tokens.title")}>
      <div>
        <h2 className="text-base">{t("tokens.title")}</h2>
        <p className="quiet text-xs">{t("tokens.aim")}</p>
      </div>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate({ name, role, days }, { onSuccess: () => setName("") });
        }}
      >
        <label className="flex flex-col gap-1">
          {t("tokens.name")}
          <input className="input input-sm w-64" value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <label className="flex flex-col gap-1">
          {t("tokens.role")}
          <select
            className="select select-sm w-32"
            value={role}
            onChange={(event) => setRole(event.target.value as Role)}
          >
            {ROLES.slice(0, ROLES.indexOf(own as Role) + 1).map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
        <label className="flex flex-col gap-1">
          {t("tokens.days")}
          <input
            className="input input-sm w-28"
            inputMode="numeric"
            value={days}
            onChange={(event) => setDays(Number(event.target.value.replace(/\D/g, "")))}
          />
        </label>
        <button type="submit" className="btn btn-primary btn-sm" disabled={name.trim() === "" || make.isPending}>
          {t("tokens.make")}
        </button>
      </form>
      {make.error && (
        <p className="text-error" role="alert">
          {make.error.message}
        </p>
      )}
      {make.data && (
        <ShownOnce note={t("tokens.once")} text={make.data.token}>
          {make.data.role === "reader" && (
            <div className="mt-3 text-xs">
              <p className="mb-1">{t("tokens.subscribe")}</p>
              <ul className="flex flex-col gap-1">
                {["calendar.ics?field=FIELD&", "contacts.vcf?"].map((feed) => (
                  <li key={feed}>
                    <code className="break-all font-mono">
                      {`${window.location.origin}${address(`/api/tables/TABLE/${feed}token=${make.data.token}`)}`}
                    </code>
                  </li>
                ))}
              </ul>
            </div>
          )}
        </ShownOnce>
      )}
      {own === "builder" && <Versions />}
      {tokens.data && tokens.data.length === 0 && <p className="quiet">{t("tokens.none")}</p>}
      {tokens.data && tokens.data.length > 0 && (
        <ul className="flex flex-col text-[0.8125rem]">
          {tokens.data.map((token) => (
            <li key={token.id} className="flex flex-wrap items-baseline gap-x-4 border-base-300/60 border-t py-1.5">
              <span className="min-w-40 font-semibold">{token.name}</span>
              {token.person.id !== session?.person.id && <span>{t("tokens.of", { name: token.person.name })}</span>}
              <span>{lowerFirst(word(`people.roles.${token.role}`) ?? "")}</span>
              <span className={token.over ? "text-error" : "quiet"}>
                {token.over
                  ? t("tokens.over")
                  : `${t("tokens.ends").toLowerCase()} ${showDay(token.ends_at.slice(0, 10))}`}
              </span>
              <span className="quiet flex-1">
                {t("tokens.used").toLowerCase()}:{" "}
                {token.seen_at ? showDay(token.seen_at.slice(0, 10)) : t("tokens.never")}
              </span>
              <button
                type="button"
                className="link text-error text-xs"
                onClick={() =>
                  revoke.mutate(token.id, { onSuccess: () => toast(t("tokens.revoked", { name: token.name })) })
                }
              >
                {t("tokens.revoke")}
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Whether scripts have to say which version of a record they change. */
function Versions() {
  const settings = useScriptSettings().data;
  const change = useChangeScriptSettings();
  if (!settings) return null;
  return (
    <label className="flex items-start gap-2 text-[0.8125rem]">
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={settings.name_versions}
        disabled={change.isPending}
        onChange={(event) => change.mutate(event.target.checked, { onError: (error) => toast.error(error.message) })}
      />
      <span>
        {t("tokens.versions")}
        <span className="quiet block text-xs">{t("tokens.versionsNote")}</span>
      </span>
    </label>
  );
}
