const DAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"];
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

/** "2026-11-23T09:30" as "Mon 23 Nov 2026, 09:30". The hour is the firm's, whatever this machine's zone is. */
export function showMoment(iso: string): string {
  const [day = "", hour = ""] = iso.split("T");
  return `${showDay(day)}${hour ? `, ${hour}` : ""}`;
}

/** "2026-11-23" as "Mon 23 Nov 2026". */
export function showDay(iso: string): string {
  const [year = 0, month = 1, date = 1] = iso.split("-").map(Number);
  return `${DAYS[new Date(year, month - 1, date).getDay()]} ${date} ${MONTHS[month - 1]} ${year}`;
}
