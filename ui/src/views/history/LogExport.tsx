import { Download, ShieldCheck } from "lucide-react";
import { exportAddress, type Question, useVerifyLog, type Verdict } from "../../api/history";
import { t } from "../../words";

/** Takes out what is shown as a file, and has the whole log verified. */
export function LogExport({ question }: { question: Question }) {
  const verify = useVerifyLog();
  return (
    <div className="mb-4 flex flex-wrap items-center gap-2">
      {(["csv", "json"] as const).map((kind) => (
        <a key={kind} className="btn btn-ghost btn-sm" href={exportAddress(question, kind)} download>
          <Download size={14} aria-hidden />
          {t(`history.export.${kind}`)}
        </a>
      ))}
      <button
        type="button"
        className="btn btn-ghost btn-sm"
        disabled={verify.isPending}
        onClick={() => verify.mutate()}
      >
        <ShieldCheck size={15} aria-hidden />
        {t("history.verify")}
      </button>
      <span role="status" className="min-w-0 flex-1">
        {verify.data && <VerdictText verdict={verify.data} />}
        {verify.error && <span className="text-error">{verify.error.message}</span>}
      </span>
    </div>
  );
}

function VerdictText({ verdict }: { verdict: Verdict }) {
  if (!verdict.sound)
    return (
      <span className="font-semibold text-error">
        {verdict.broken !== null && t("history.broken", { n: verdict.broken })} {verdict.faults.slice(0, 3).join(" ")}
      </span>
    );
  return (
    <span className="text-success">
      {t("history.sound", { n: verdict.entries })}{" "}
      {verdict.set_back.map((each) => (
        <span key={each.entry} className="text-secondary">
          {t("history.setBackAt", { n: each.entry, span: each.span })}{" "}
        </span>
      ))}
    </span>
  );
}
