import { ArrowUpRight } from "lucide-react";
import type { Field } from "../../api/client";
import { t } from "../../words";
import { addressOf } from "./address";

type Props = { field: Field; text: string };

// Whoever is visited does not learn where somebody came from.
const APART = { target: "_blank", rel: "noopener noreferrer", referrerPolicy: "no-referrer" } as const;

/** A value as it is shown; a web address, an e-mail or a phone can be clicked. */
export function ShownValue({ field, text }: Props) {
  const address = addressOf(field, text);
  if (!address) return <>{text}</>;
  return (
    <a href={address} {...APART} className="link">
      {text}
    </a>
  );
}

/** A sign that opens the address which stands in a field, beside what is typed there. */
export function OpenAddress({ field, text, className = "" }: Props & { className?: string }) {
  const address = addressOf(field, text);
  if (!address) return null;
  return (
    <a
      href={address}
      {...APART}
      tabIndex={-1}
      title={t("form.openAddress", { text })}
      aria-label={t("form.openAddress", { text })}
      onPointerDown={(event) => event.stopPropagation()}
      className={`text-secondary hover:text-base-content ${className}`}
    >
      <ArrowUpRight size={14} aria-hidden />
    </a>
  );
}
