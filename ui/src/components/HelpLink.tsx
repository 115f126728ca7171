import { CircleHelp } from "lucide-react";
import { address } from "../api/address";
import { t } from "../words";

/**
 * Opens a page of the guide beside the work, so that nothing that is being edited is left. On a telephone the guide is
 * reached by the bar alone.
 */
export function HelpLink({ page }: { page: string }) {
  return (
    <a
      href={address(`/guide/${page}`)}
      target="_blank"
      rel="noreferrer"
      className="btn btn-ghost btn-sm btn-square max-sm:hidden"
      title={t("guide.explain")}
      aria-label={t("guide.explain")}
    >
      <CircleHelp size={16} aria-hidden />
    </a>
  );
}
