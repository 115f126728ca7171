import { Clock } from "lucide-react";
import { showMoment } from "../components/moments";
import { usePretendClock } from "../views/bench/pretendClock";
import { t } from "../words";

/** The day and hour by which everything is worked out; dashed when the bench pretends another. */
export function ClockChip({ now, zone }: { now: string; zone: string }) {
  const pretend = usePretendClock();
  return (
    <span
      title={t("shell.clock", { zone })}
      className={`flex items-center gap-1.5 rounded px-2 py-0.5 text-xs tabular-nums max-md:hidden
        ${pretend ? "border border-accent border-dashed text-accent" : "border border-transparent opacity-85"}`}
    >
      <Clock size={13} aria-hidden />
      {showMoment(pretend ?? now)}
      {pretend && ` · ${t("bench.pretend")}`}
    </span>
  );
}
