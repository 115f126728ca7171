import { useState } from "react";
import { toast } from "sonner";
import { type Conventions, useChangeConventions, useConventions, useReadings } from "../api/conventions";
import { useArrived } from "../components/Arriving";
import { Dialog } from "../components/Dialog";
import { Failure } from "../components/Failure";
import { Loading } from "../components/Loading";
import { t } from "../words";
import { dateOrders, decimalMarks, groupMarks } from "../words/lists";

type Readings = NonNullable<ReturnType<typeof useReadings>["data"]>["shown"];

/** How the firm writes, with what would read differently before it is changed. */
export default function WritingDialog({ onClose }: { onClose: () => void }) {
  useArrived();
  const found = useConventions();
  return (
    <Dialog title={t("writing.title")} onClose={onClose} wide>
      {found.data ? (
        <Editor
          now={{
            date_order: found.data.date_order as Conventions["date_order"],
            decimal_mark: found.data.decimal_mark,
            group_mark: found.data.group_mark,
            time_zone: found.data.time_zone,
          }}
          zones={found.data.time_zones}
          onClose={onClose}
        />
      ) : found.error ? (
        <Failure error={found.error} retry={found.refetch} />
      ) : (
        <Loading />
      )}
    </Dialog>
  );
}

function Editor({ now, zones, onClose }: { now: Conventions; zones: string[]; onClose: () => void }) {
  const [parts, setParts] = useState(now);
  const dirty = JSON.stringify(parts) !== JSON.stringify(now);
  const readings = useReadings(parts, dirty);
  const change = useChangeConventions();
  const problem = change.error ?? readings.error;
  const pick = <K extends keyof Conventions>(part: K, label: string, options: (readonly [string, string])[]) => (
    <label className="flex flex-col gap-1 font-semibold text-xs">
      {label}
      <select
        className="select select-sm w-full font-normal"
        value={parts[part]}
        onChange={(event) => setParts({ ...parts, [part]: event.target.value as Conventions[K] })}
      >
        {options.map(([value, said]) => (
          <option key={value} value={value}>
            {said}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        {pick("date_order", t("writing.dates"), dateOrders())}
        {pick(
          "time_zone",
          t("writing.zone"),
          zones.map((zone) => [zone, zone] as const),
        )}
        {pick("decimal_mark", t("writing.decimal"), decimalMarks())}
        {pick("group_mark", t("writing.group"), groupMarks())}
      </div>
      <p className="quiet mt-2 text-xs">{t("writing.aim")}</p>
      {dirty && readings.data && (
        <div className="mt-4 grid gap-4 sm:grid-cols-2">
          <Side title={t("writing.shown")} none={t("writing.shownNone")} readings={readings.data.shown} />
          <Side title={t("writing.typed")} none={t("writing.typedNone")} readings={readings.data.typed} />
        </div>
      )}
      {problem && (
        <p className="mt-3 text-error" role="alert">
          {problem.message}
        </p>
      )}
      <div className="mt-5 flex justify-end gap-2">
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("common.cancel")}
        </button>
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={!dirty || change.isPending || Boolean(readings.error)}
          onClick={() =>
            change.mutate(parts, {
              onSuccess: () => {
                toast(t("writing.done"));
                onClose();
              },
            })
          }
        >
          {t("common.save")}
        </button>
      </div>
    </>
  );
}

function Side({ title, none, readings }: { title: string; none: string; readings: Readings }) {
  return (
    <section>
      <h3 className="mb-1 text-base">{title}</h3>
      {readings.length === 0 && <p className="quiet text-xs">{none}</p>}
      <ul className="max-h-56 divide-y divide-base-300/70 overflow-auto text-[0.8125rem]">
        {readings.map((each) => (
          <li key={each.place} className="py-1">
            <p className="quiet text-xs">{each.place}</p>
            <p className="break-words tabular-nums">
              {each.before} <span className="quiet">→</span> <strong>{each.after}</strong>
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
