import { DayPicker as Days } from "react-day-picker";
import "react-day-picker/style.css";

/** The calendar itself. Weeks begin on Monday; days are handed on as year-month-day. */
export default function Calendar({ value, onPick }: { value: string; onPick: (day: string) => void }) {
  const shown = value === "" ? undefined : new Date(value);
  const day = shown && !Number.isNaN(shown.getTime()) ? shown : undefined;
  return (
    <Days
      mode="single"
      weekStartsOn={1}
      selected={day}
      defaultMonth={day}
      captionLayout="dropdown"
      onSelect={(picked) => picked && onPick(iso(picked))}
      style={
        {
          "--rdp-accent-color": "var(--color-primary)",
          "--rdp-day-height": "2rem",
          "--rdp-day-width": "2rem",
          "--rdp-day_button-height": "1.9rem",
          "--rdp-day_button-width": "1.9rem",
        } as React.CSSProperties
      }
    />
  );
}

function iso(day: Date) {
  const two = (part: number) => String(part).padStart(2, "0");
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}
