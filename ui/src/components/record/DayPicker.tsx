import { CalendarDays } from "lucide-react";
import { lazy, Suspense } from "react";
import { Popover } from "../Popover";

const Calendar = lazy(() => import("./Calendar"));

type Props = { value: string; label: string; onPick: (text: string) => void };

/**
 * A small calendar for those who would rather point than type. The keyboard passes it over: typing a date is
 * quicker.
 */
export function DayPicker({ value, label, onPick }: Props) {
  return (
    <div className="-translate-y-1/2 absolute top-1/2 right-1">
      <Popover
        align="right"
        passed
        name={label}
        className="quiet rounded p-1 hover:bg-base-200"
        label={<CalendarDays size={15} aria-label={label} />}
      >
        {(close) => (
          <Suspense fallback={null}>
            <Calendar
              value={value}
              onPick={(day) => {
                close();
                onPick(day);
              }}
            />
          </Suspense>
        )}
      </Popover>
    </div>
  );
}
