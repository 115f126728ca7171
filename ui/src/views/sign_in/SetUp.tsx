import { useState } from "react";
import { api, data, type Session } from "../../api/client";
import { t } from "../../words";
import { Sheet, useSending } from "./Sheet";

type Props = { zones: string[]; onSession: (session: Session) => void };

/** An empty project and its first builder. */
export function SetUp({ zones, onSession }: Props) {
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const [parts, setParts] = useState({
    code: "",
    project: "",
    time_zone: zones.includes(here) ? here : "Etc/UTC",
    name: "",
    sign_in: "",
    password: "",
  });
  const { send, problem, busy } = useSending(onSession);
  const set = (part: keyof typeof parts) => (value: string) => setParts({ ...parts, [part]: value });
  const complete = Object.values(parts).every((value) => value.trim() !== "");
  return (
    <div className="max-w-md">
      <Sheet
        title={t("signIn.firstBuilder")}
        problem={problem}
        onSubmit={() => send(() => data(api.POST("/api/set-up", { body: parts })))}
      >
        <Line label={t("security.code")} value={parts.code} onChange={set("code")} />
        <p className="quiet -mt-2 text-xs">{t("security.codeHint")}</p>
        <Line label={t("signIn.project")} value={parts.project} onChange={set("project")} />
        <label className="flex flex-col gap-1">
          <span className="font-semibold text-xs">{t("signIn.zone")}</span>
          <select
            className="select w-full"
            value={parts.time_zone}
            onChange={(event) => set("time_zone")(event.target.value)}
          >
            {[...new Set(["Etc/UTC", ...zones])].map((zone) => (
              <option key={zone}>{zone}</option>
            ))}
          </select>
        </label>
        <Line label={t("people.name")} value={parts.name} onChange={set("name")} />
        <Line label={t("signIn.name")} value={parts.sign_in} onChange={set("sign_in")} />
        <Line label={t("signIn.password")} value={parts.password} onChange={set("password")} secret />
        <p className="quiet text-xs">{t("people.passwordHint")}</p>
        <button type="submit" className="btn btn-primary self-start" disabled={busy || !complete}>
          {t("signIn.begin")}
        </button>
      </Sheet>
    </div>
  );
}

type LineProps = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  secret?: boolean;
  /** Whether a secret is the one there is, which the browser may know. */
  current?: boolean;
};

export function Line({ label, value, onChange, secret = false, current = false }: LineProps) {
  return (
    <label className="flex flex-col gap-1">
      <span className="font-semibold text-xs">{label}</span>
      <input
        className="input w-full"
        type={secret ? "password" : "text"}
        autoComplete={secret ? (current ? "current-password" : "new-password") : "off"}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
