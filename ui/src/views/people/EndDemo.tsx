import { useState } from "react";
import { toast } from "sonner";
import type { Session } from "../../api/client";
import { endDemo, useSecurity } from "../../api/security";
import { Confirm } from "../../components/Confirm";
import { t } from "../../words";
import PasswordDialog from "./PasswordDialog";

/** The way from the demo to work: nobody comes in without a password any more. */
export function EndDemo({ session }: { session: Session }) {
  const [open, setOpen] = useState<"password" | "end" | null>(null);
  const end = useSecurity<void, { ended: { name: string }[] }>(endDemo);
  return (
    <div
      className="mb-4 flex flex-wrap items-center gap-3 rounded border border-secondary border-dashed
      bg-[var(--tint-lit)] px-4 py-3"
    >
      <p className="min-w-60 flex-1">{t("security.demoRuns")}</p>
      <button
        type="button"
        className="btn btn-sm"
        disabled={end.isPending}
        onClick={() => setOpen(session.has_password ? "end" : "password")}
      >
        {t("security.endDemo")}
      </button>
      {end.error && (
        <p role="alert" className="w-full text-error">
          {end.error.message}
        </p>
      )}
      {open === "password" && (
        <PasswordDialog session={session} why={t("security.passwordFirst")} onClose={() => setOpen(null)} />
      )}
      {open === "end" && (
        <Confirm
          title={t("security.endDemoAsk")}
          action={t("security.endDemo")}
          onConfirm={() => {
            setOpen(null);
            end.mutate(undefined, {
              onSuccess: ({ ended }) => toast(t("security.demoEnded", { count: ended.length })),
            });
          }}
          onClose={() => setOpen(null)}
        >
          <p>{t("security.endDemoText")}</p>
        </Confirm>
      )}
    </div>
  );
}
