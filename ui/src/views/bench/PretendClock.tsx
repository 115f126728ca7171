import { useState } from "react";
import { showMoment } from "../../components/moments";
import { DayPicker } from "../../components/record/DayPicker";
import { t } from "../../words";
import { usePretendClock } from "./pretendClock";

type Props = { now: string; at: string | null; setAt: (at: string | null) => void };

/** The day and hour of the trial, typed as freely as a date in a form; the server reads it. */
export function PretendClock({ now, at, setAt }: Props) {
  const [text, setText] = useState<string | null>(null);
  const understood = usePretendClock();
  const shown = showMoment(understood ?? now).replace(/^\w+ /, "");
  const leave = () => {
    if (text !== null && text !== shown) setAt(text.trim() === "" ? null : text);
    setText(null);
  };
  return (
    <div className="flex min-w-0 flex-col gap-0.5">
      <label htmlFor="pretend-clock" className="quiet flex gap-2 text-xs">
        {t("bench.clock")}
        {at && (
          <button type="button" className="link ml-auto" onClick={() => setAt(null)}>
            {t("bench.backToNow")}
          </button>
        )}
      </label>
      <div className="relative">
        <input
          id="pretend-clock"
          className={`input input-sm w-full pr-8 ${at ? "border-secondary border-dashed" : ""}`}
          value={text ?? (at && !understood ? at : shown)}
          autoComplete="off"
          title={at ? t("bench.pretend") : t("bench.realClock")}
          onChange={(event) => setText(event.target.value)}
          onBlur={leave}
          onKeyDown={(event) => event.key === "Enter" && leave()}
        />
        <DayPicker value={(understood ?? now).split("T")[0] ?? ""} label={t("form.pickDay")} onPick={setAt} />
      </div>
    </div>
  );
}
