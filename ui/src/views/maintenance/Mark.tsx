import { t } from "../../words";

/** A dot for what is sound, a rhomb for what is not, a ring for what nobody knows yet. */
export function Mark({ sound }: { sound: boolean | undefined }) {
  const shape =
    sound === undefined
      ? "rounded-full border border-secondary"
      : sound
        ? "rounded-full bg-success"
        : "rotate-45 bg-error";
  const name = sound === undefined ? t("care.unknown") : sound ? t("care.sound") : t("care.broken");
  return <span role="img" aria-label={name} className={`inline-block size-2.5 shrink-0 ${shape}`} />;
}
