import { useState } from "react";
import { api, data, type Session } from "../../api/client";
import { TextLine } from "../../components/TextLine";
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
        <TextLine label={t("security.code")} value={parts.code} onChange={set("code")} />
        <p className="quiet -mt-2 text-xs">{t("security.codeHint")}</p>
        <TextLine label={t("signIn.project")} value={parts.project} onChange={set("project")} />
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
        <TextLine label={t("people.name")} value={parts.name} onChange={set("name")} />
        <TextLine label={t("signIn.name")} value={parts.sign_in} onChange={set("sign_in")} />
        <TextLine label={t("signIn.password")} value={parts.password} onChange={set("password")} secret />
        <p className="quiet text-xs">{t("people.passwordHint")}</p>
        <button type="submit" className="btn btn-primary self-start" disabled={busy || !complete}>
          {t("signIn.begin")}
        </button>
      </Sheet>
    </div>
  );
}
