import { useState } from "react";
import { t } from "../../words";
import type { Draft } from "./useDraft";

/** A warning can be passed with a reason, which goes into the change log. */
export function PassWarning({ rule, draft }: { rule: string; draft: Draft }) {
  const [reason, setReason] = useState(draft.reasons[rule] ?? "");
  const give = () => reason.trim() !== (draft.reasons[rule] ?? "") && draft.pass(rule, reason.trim());
  return (
    <label className="mt-0.5 flex items-center gap-1.5">
      <span className="shrink-0">{t("form.passWith")}</span>
      <input
        data-reason
        className="input input-xs min-w-0 flex-1"
        value={reason}
        maxLength={500}
        placeholder={t("form.reason")}
        onChange={(event) => setReason(event.target.value)}
        onBlur={give}
      />
    </label>
  );
}
