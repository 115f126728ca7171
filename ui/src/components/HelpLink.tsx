import { CircleHelp } from "lucide-react";
import { t } from "../words";

/** Opens a page of the guide beside the work, so that nothing that is being edited is left. */
export function HelpLink({ page }: { page: string }) {
  return (
    <a
      href={`/guide/${page}`}
      target="_blank"
      rel="noreferrer"
      className="btn btn-ghost btn-sm btn-square"
      title={t("guide.explain")}
      aria-label={t("guide.explain")}
    >
      <CircleHelp size={16} aria-hidden />
    </a>
  );
}
