import { Download } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { toast } from "sonner";
import { address } from "../../api/address";
import { SIGNED_OUT } from "../../api/client";
import {
  type Backup,
  checkUp,
  deleteBackup,
  type Findings,
  makeBackup,
  restoreBackup,
  type Schedule,
  scheduleBackups,
  useBackups,
  useMaintenance,
} from "../../api/maintenance";
import { Confirm } from "../../components/Confirm";
import { Failure } from "../../components/Failure";
import { HelpLink } from "../../components/HelpLink";
import { Loading } from "../../components/Loading";
import { showMoment } from "../../components/moments";
import { group, sentences, t } from "../../words";
import { Mark } from "./Mark";
import { Trusted } from "./Trusted";

/** A restore ends all sessions. */
const signedOut = (why: string) => window.dispatchEvent(new CustomEvent(SIGNED_OUT, { detail: why }));

/** Copies of the database and when they are made, and whether all of it holds. */
export default function Maintenance() {
  const backups = useBackups();
  const make = useMaintenance(makeBackup);
  const restore = useMaintenance(restoreBackup);
  const drop = useMaintenance(deleteBackup);
  const check = useMaintenance<void, Findings>(checkUp);
  const [asked, setAsked] = useState<{ what: "restore" | "drop"; copy: Backup } | null>(null);
  if (!backups.data) return backups.error ? <Failure error={backups.error} retry={backups.refetch} /> : <Loading />;
  const failure = make.error ?? restore.error ?? drop.error ?? check.error;
  const copies = backups.data.backups;
  const confirm = () => {
    if (!asked) return;
    const { what, copy } = asked;
    setAsked(null);
    if (what === "drop") drop.mutate(copy.name);
    else restore.mutate(copy.name, { onSuccess: ({ before }) => signedOut(t("care.restored", { name: before })) });
  };
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-5 px-5 py-6">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">{t("care.title")}</h1>
        <p className="quiet flex-1 basis-60 text-xs">{t("care.aim")}</p>
        <HelpLink page="backup" />
        <Link to="/space" className="btn btn-sm">
          {t("space.link")}
        </Link>
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={make.isPending}
          onClick={() => make.mutate(undefined, { onSuccess: () => toast.success(t("care.made")) })}
        >
          {t("care.make")}
        </button>
      </div>
      {failure && (
        <p className="text-error" role="alert">
          {failure.message}
        </p>
      )}
      <section className="sheet overflow-auto" aria-label={t("care.link")}>
        {copies.length === 0 ? (
          <p className="p-5">{t("care.none")}</p>
        ) : (
          <table className="w-full text-[0.8125rem]">
            <thead>
              <tr className="border-base-300 border-b text-left text-secondary text-xs">
                <th className="px-4 py-2 font-semibold">{t("care.when")}</th>
                <th className="px-4 py-2 font-semibold">{t("care.why")}</th>
                <th className="px-4 py-2 text-right font-semibold">{t("care.size")}</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {copies.map((copy) => (
                <tr key={copy.name} className="border-base-300/60 border-b last:border-0">
                  <td className="px-4 py-1.5 tabular-nums" title={copy.name}>
                    {showMoment(copy.made_at)}
                  </td>
                  <td className="px-4 py-1.5">{copy.why}</td>
                  <td className="px-4 py-1.5 text-right tabular-nums">{sentences.care.size(copy.bytes)}</td>
                  <td className="px-4 py-1.5">
                    <div className="flex justify-end gap-1.5">
                      <a className="btn btn-ghost btn-xs" href={address(`/api/backups/${copy.name}`)} download>
                        <Download size={13} aria-hidden />
                        {t("care.get")}
                      </a>
                      <button type="button" className="btn btn-xs" onClick={() => setAsked({ what: "restore", copy })}>
                        {t("care.restore")}
                      </button>
                      <button
                        type="button"
                        className="btn btn-ghost btn-xs text-error"
                        onClick={() => setAsked({ what: "drop", copy })}
                      >
                        {t("care.drop")}
                      </button>
                    </div>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      <Trusted backups={backups.data} />
      <Scheduled key={JSON.stringify(backups.data.settings)} settings={backups.data.settings} />
      <section className="sheet p-4" aria-label={t("care.check")}>
        <div className="flex flex-wrap items-center gap-3">
          <p className="quiet flex-1">{t("care.checkAim")}</p>
          <button type="button" className="btn btn-sm" disabled={check.isPending} onClick={() => check.mutate()}>
            {t("care.check")}
          </button>
        </div>
        {check.data && (
          <ul className="mt-3 flex flex-col gap-1.5" aria-live="polite">
            {check.data.findings.map((each) => (
              <li key={each.what} className="flex items-baseline gap-2.5">
                <Mark sound={each.sound} />
                <span className={each.sound ? "" : "text-error"}>{each.message}</span>
              </li>
            ))}
          </ul>
        )}
      </section>
      {asked && (
        <Confirm
          title={t(asked.what === "restore" ? "care.restoreTitle" : "care.dropTitle", {
            when: showMoment(asked.copy.made_at),
          })}
          action={asked.what === "restore" ? t("care.restore") : t("care.drop")}
          onConfirm={confirm}
          onClose={() => setAsked(null)}
        >
          <p>{asked.what === "restore" ? t("care.restoreText") : t("care.dropText")}</p>
        </Confirm>
      )}
    </div>
  );
}

function Scheduled({ settings }: { settings: Schedule }) {
  const [now, setNow] = useState(settings);
  const save = useMaintenance(scheduleBackups);
  const number = (part: "keep" | "days", label: string) => (
    <label className="flex flex-col gap-1">
      {label}
      <input
        className="input input-sm w-24"
        inputMode="numeric"
        value={now[part]}
        onChange={(event) => setNow({ ...now, [part]: Number(event.target.value.replace(/\D/g, "")) })}
      />
    </label>
  );
  return (
    <section className="sheet flex flex-wrap items-end gap-x-5 gap-y-3 p-4" aria-label={t("care.schedule")}>
      <label className="flex flex-col gap-1">
        {t("care.every")}
        <select
          className="select select-sm w-40"
          value={now.every}
          onChange={(event) => setNow({ ...now, every: event.target.value as Schedule["every"] })}
        >
          {group("care.everies").map(([every, name]) => (
            <option key={every} value={every}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {(now.every === "day" || now.every === "week") && (
        <label className="flex flex-col gap-1">
          {t("care.hour")}
          <select
            className="select select-sm w-28"
            value={now.hour}
            onChange={(event) => setNow({ ...now, hour: Number(event.target.value) })}
          >
            {Array.from({ length: 24 }, (_, hour) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: hours of the day
              <option key={hour} value={hour}>{`${String(hour).padStart(2, "0")}:00`}</option>
            ))}
          </select>
        </label>
      )}
      {number("keep", t("care.keep"))}
      {number("days", t("care.days"))}
      <span className="flex-1">
        {save.error && (
          <span className="text-error text-xs" role="alert">
            {save.error.message}
          </span>
        )}
      </span>
      <button
        type="button"
        className="btn btn-sm"
        disabled={save.isPending || JSON.stringify(now) === JSON.stringify(settings)}
        onClick={() => save.mutate(now, { onSuccess: () => toast(t("care.saved")) })}
      >
        {t("care.save")}
      </button>
    </section>
  );
}
