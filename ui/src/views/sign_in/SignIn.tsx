import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, data, type Session } from "../../api/client";
import { queryKeys } from "../../api/queryKeys";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { Mark } from "../../components/Mark";
import { t, word } from "../../words";
import { SetUp } from "./SetUp";
import { Sheet, useSending } from "./Sheet";

type Props = { reason: string | null; onSession: (session: Session) => void };

/** What stands before everything: signing in, the demo's people, or the first set-up. */
export default function SignIn({ reason, onSession }: Props) {
  const welcome = useQuery({ queryKey: queryKeys.welcome(), queryFn: () => data(api.GET("/api/welcome")) });
  if (!welcome.data) return welcome.error ? <Failure error={welcome.error} retry={welcome.refetch} /> : <Loading />;
  const { set_up, project, demo, time_zones } = welcome.data;
  return (
    <div className="flex h-full flex-col overflow-auto">
      <header
        className="flex min-h-12 shrink-0 items-center gap-2 bg-neutral px-4 font-semibold font-title text-lg
        text-neutral-content"
      >
        <Mark />
        {t("name")}
      </header>
      <main className="mx-auto flex w-full max-w-3xl flex-col gap-6 px-5 py-10">
        <div>
          <h1 className="text-3xl">{set_up ? t("signIn.setUp") : project}</h1>
          <p className="quiet mt-1">{set_up ? t("signIn.setUpAim") : t("signIn.aim")}</p>
        </div>
        {reason && (
          <p role="status" className="sheet border-accent px-4 py-3">
            {reason}
          </p>
        )}
        {set_up ? (
          <SetUp zones={time_zones} onSession={onSession} />
        ) : (
          <div className={`grid items-start gap-6 ${demo.length > 0 ? "md:grid-cols-2" : "max-w-sm"}`}>
            <WithPassword onSession={onSession} />
            {demo.length > 0 && <DemoPeople people={demo} onSession={onSession} />}
          </div>
        )}
      </main>
    </div>
  );
}

function WithPassword({ onSession }: { onSession: (session: Session) => void }) {
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const { send, problem, busy } = useSending(onSession);
  return (
    <Sheet
      title={t("signIn.title")}
      problem={problem}
      onSubmit={() => send(() => data(api.POST("/api/session", { body: { name, password } })))}
    >
      <label className="flex flex-col gap-1">
        <span className="font-semibold text-xs">{t("signIn.name")}</span>
        <input
          className="input w-full"
          autoComplete="username"
          autoCapitalize="none"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="flex flex-col gap-1">
        <span className="font-semibold text-xs">{t("signIn.password")}</span>
        <input
          className="input w-full"
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-primary self-start" disabled={busy || !name || !password}>
        {t("signIn.submit")}
      </button>
    </Sheet>
  );
}

function DemoPeople({ people, onSession }: { people: Session["people"]; onSession: (session: Session) => void }) {
  const { send, problem, busy } = useSending(onSession);
  return (
    <Sheet title={t("signIn.demo")} problem={problem} onSubmit={() => undefined}>
      <p className="quiet -mt-2 text-xs">{t("signIn.demoAim")}</p>
      <ul className="flex flex-col gap-1.5">
        {people.map((person) => (
          <li key={person.id}>
            <button
              type="button"
              disabled={busy}
              className="flex w-full items-baseline gap-3 rounded border border-base-300 bg-base-100 px-3 py-2
                text-left hover:border-primary"
              onClick={() => send(() => data(api.POST("/api/session/demo", { body: { person_id: person.id } })))}
            >
              <span className="flex-1 font-semibold">{person.name}</span>
              <span className="quiet text-xs">{word(`signIn.does.${person.role}`)}</span>
            </button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
