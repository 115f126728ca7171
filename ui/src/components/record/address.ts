import type { Field } from "../../api/client";

/** Schemes that may be opened; any other stays a plain text. */
const OPEN = ["http:", "https:", "mailto:", "tel:"];
const EMAIL = /^[^\s@<>"(),:;]+@[^\s@<>"(),:;]+\.[^\s@<>"(),:;.]+$/;
const PHONE = /^\+?[\d][\d\s()/.-]{5,}$/;
const CALLED = /\b(phone|telephone|tel|mobile|cell)\b/i;

/**
 * Where a value leads that is a web address, an e-mail or the number of a phone.
 * @returns an address that is safe to open, null for any other text
 */
export function addressOf(field: Field, text: string): string | null {
  const plain = text.trim();
  if (field.kind !== "text" || plain === "" || /\s/.test(plain.replace(PHONE, ""))) return null;
  if (EMAIL.test(plain)) return `mailto:${plain}`;
  // A row of figures is a phone's only where the field says so.
  if (PHONE.test(plain) && (plain.startsWith("+") || CALLED.test(field.label)))
    return `tel:${plain.replace(/[^\d+]/g, "")}`;
  const full = /^www\.\S+\.\S+$/i.test(plain) ? `https://${plain}` : plain;
  if (!/^(https?:\/\/|mailto:|tel:)\S+$/i.test(full)) return null;
  try {
    const { protocol, href } = new URL(full);
    return OPEN.includes(protocol) ? href : null;
  } catch {
    return null;
  }
}
