import { type Backups, proveRestore, useMaintenance } from "../../api/maintenance";
import { showMoment } from "../../components/moments";
import { t } from "../../words";
import { Mark } from "./Mark";

/** Whether one can rely on the backups: how old the latest is, what a restore of it gave, and the second folder. */
export function Trusted({ backups }: { backups: Backups }) {
  const prove = useMaintenance(proveRestore);
  const { late, proven, second } = backups;
  return (
    <section className="sheet p-4" aria-label={t("care.trusted")}>
      <ul className="flex flex-col gap-2">
        {late && (
          <li className="flex items-baseline gap-2.5">
            <Mark sound={false} />
            <span className="text-error">{t("care.late")}</span>
          </li>
        )}
        <li className="flex flex-wrap items-baseline gap-x-2.5 gap-y-2">
          <Mark sound={proven?.sound} />
          <span className={`min-w-0 flex-1 basis-60 ${proven?.sound === false ? "text-error" : ""}`}>
            {proven
              ? t(proven.sound ? "care.proven" : "care.disproven", { when: showMoment(proven.at) })
              : t("care.unproven")}{" "}
            <span className={proven?.sound === false ? "" : "quiet"}>
              {proven ? (proven.message ?? t("care.provenSound")) : t("care.provenAim")}
            </span>
          </span>
          <button
            type="button"
            className="btn btn-xs"
            disabled={prove.isPending || backups.backups.length === 0}
            onClick={() => prove.mutate()}
          >
            {prove.isPending ? t("care.proving") : t("care.prove")}
          </button>
        </li>
        <li className="flex items-baseline gap-2.5">
          <Mark sound={second ? !second.problem : undefined} />
          <span className={`min-w-0 break-words ${second?.problem ? "text-error" : ""}`}>
            {second
              ? (second.problem ??
                t(second.latest ? "care.second" : "care.secondEmpty", {
                  folder: second.folder,
                  when: second.latest ? showMoment(second.latest) : "",
                }))
              : t("care.noSecond")}
          </span>
        </li>
      </ul>
      {prove.error && (
        <p className="mt-2 text-error" role="alert">
          {prove.error.message}
        </p>
      )}
    </section>
  );
}
