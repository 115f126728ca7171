import type { ReactNode } from "react";
import { toast } from "sonner";
import { t } from "../../words";

type Props = { note: string; text: string; children?: ReactNode };

/** Something secret that can be copied now and is not shown again. */
export function ShownOnce({ note, text, children }: Props) {
  return (
    <div className="rounded border border-secondary border-dashed bg-[var(--tint-lit)] p-3" aria-live="polite">
      <p className="mb-1 text-xs">{note}</p>
      <div className="flex flex-wrap items-center gap-3">
        <code className="min-w-0 break-all font-mono text-[0.8125rem]">{text}</code>
        <button
          type="button"
          className="btn btn-xs"
          onClick={async () => {
            await navigator.clipboard.writeText(text);
            toast(t("tokens.copied"));
          }}
        >
          {t("tokens.copy")}
        </button>
      </div>
      {children}
    </div>
  );
}
