import { Undo2 } from "lucide-react";
import { useState } from "react";
import type { Act, Table, Trial } from "../../api/client";
import { showMoment } from "../../components/moments";
import { Popover } from "../../components/Popover";
import { sentences, t } from "../../words";
import type { BenchTrial } from "./useTrial";

/** What was done with the record so far, each save to be looked at; and what can be done next. */
export function Acts({ table, bench }: { table: Table; bench: BenchTrial }) {
  const { acts, trial, act, back, look, lookAt } = bench;
  const stored = (trial?.record ?? null) !== null;
  const state = trial?.acts.at(-1)?.state;
  const gone = state === "deleted";
  return (
    <div className="sticky bottom-0 -mx-5 mt-3 flex flex-col gap-2 border-base-300 border-t bg-base-100 px-5 py-2.5">
      {acts.length > 0 && (
        <ol className="flex flex-wrap items-center gap-1 text-xs" aria-label={t("bench.acts")}>
          {groups(acts).map(({ index, act: each, typed }) => (
            <li key={index} className="flex items-center gap-1">
              {typed > 0 && <span className="quiet">{t("bench.typedCount", { n: typed })} →</span>}
              <Chip
                act={each}
                result={trial?.acts[index]}
                chosen={lookAt === index + 1}
                onLook={() => look(lookAt === index + 1 ? null : index + 1)}
              />
            </li>
          ))}
          <li className="ml-auto">
            <button type="button" className="btn btn-ghost btn-xs" onClick={back}>
              <Undo2 size={13} aria-hidden />
              {t("bench.takeBack")}
            </button>
          </li>
        </ol>
      )}
      <div className="flex flex-wrap items-center gap-2">
        {gone ? (
          <button type="button" className="btn btn-primary btn-sm" onClick={() => act({ do: "put_back" })}>
            {t("bench.putBack")}
          </button>
        ) : (
          <button type="button" className="btn btn-primary btn-sm" onClick={() => act({ do: "save" })}>
            {t("bench.save")}
          </button>
        )}
        <button type="button" className="btn btn-sm" onClick={() => act({ do: "copy" })} disabled={!stored || gone}>
          {t("bench.copy")}
        </button>
        <button type="button" className="btn btn-sm" onClick={() => act({ do: "delete" })} disabled={!stored || gone}>
          {t("bench.remove")}
        </button>
        <button type="button" className="btn btn-sm" onClick={() => act({ do: "new" })} disabled={!stored && !gone}>
          {t("bench.another", { one: table.one.toLowerCase() })}
        </button>
        <Popover label={t("bench.leaveOpen")} name={t("bench.leaveOpenHint")} className="btn btn-sm">
          {(close) => (
            <Wait
              onWait={(days, hours) => {
                close();
                act({ do: "wait", days, hours });
              }}
            />
          )}
        </Popover>
      </div>
    </div>
  );
}

function Chip({
  act,
  result,
  chosen,
  onLook,
}: {
  act: Act;
  result?: Trial["acts"][number];
  chosen: boolean;
  onLook: () => void;
}) {
  const refused = result?.state === "refused";
  const told = sentences.bench.did(act, result?.state ?? "done");
  const look =
    `rounded border px-1.5 py-0.5 ` +
    `${chosen ? "border-secondary bg-[var(--tint-lit)]" : refused ? "border-error text-error" : "border-base-300"}`;
  const title = [result?.message, result?.at && showMoment(result.at)].filter(Boolean).join("\n");
  if (act.do !== "save")
    return (
      <span className={look} title={title}>
        {told}
      </span>
    );
  return (
    <button type="button" className={look} title={title || undefined} aria-pressed={chosen} onClick={onLook}>
      {told}
    </button>
  );
}

function Wait({ onWait }: { onWait: (days: number, hours: number) => void }) {
  const [days, setDays] = useState("3");
  const [hours, setHours] = useState("0");
  return (
    <form
      className="flex w-56 flex-col gap-2 p-1"
      onSubmit={(event) => {
        event.preventDefault();
        onWait(Number(days) || 0, Number(hours) || 0);
      }}
    >
      <p className="quiet text-xs">{t("bench.leaveOpenHint")}</p>
      <div className="flex items-end gap-2">
        <label className="flex flex-col gap-0.5 text-xs">
          {t("bench.days")}
          <input
            type="number"
            min={0}
            max={36500}
            className="input input-sm w-20"
            value={days}
            onChange={(event) => setDays(event.target.value)}
          />
        </label>
        <label className="flex flex-col gap-0.5 text-xs">
          {t("bench.hours")}
          <input
            type="number"
            min={0}
            max={23}
            className="input input-sm w-16"
            value={hours}
            onChange={(event) => setHours(event.target.value)}
          />
        </label>
        <button type="submit" className="btn btn-primary btn-sm">
          {t("bench.wait")}
        </button>
      </div>
    </form>
  );
}

/** Acts that are more than typing, with how many fields were typed before each. */
function groups(acts: Act[]) {
  const found: { index: number; act: Act; typed: number }[] = [];
  let typed = 0;
  acts.forEach((act, index) => {
    if (act.do === "type") typed += 1;
    else if (act.do === "fill_in") typed += Object.keys(act.values ?? {}).length;
    else if (act.do === "lines") typed += act.rows?.length ?? 0;
    else if (act.do !== "pass") {
      found.push({ index, act, typed });
      typed = 0;
    }
  });
  return found;
}
