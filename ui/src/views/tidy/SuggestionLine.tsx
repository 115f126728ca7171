import { Check, X } from "lucide-react";
import { Link } from "react-router";
import { Difference } from "../../components/Difference";
import { t } from "../../words";

export type Suggestion = { id: number; title: string; field: string; label: string; before: string; after: string };

type Props = {
  table: string;
  suggestion: Suggestion;
  picked: boolean;
  onPick: () => void;
  onAccept: () => void;
  onIgnore: () => void;
};

/** One text and what it would become. */
export function SuggestionLine({ table, suggestion, picked, onPick, onAccept, onIgnore }: Props) {
  const name = `${suggestion.label}: ${suggestion.before}`;
  return (
    <li
      className={`grid grid-cols-[1.25rem_minmax(0,9rem)_minmax(0,1fr)_auto] items-center gap-x-3 px-4 py-1.5
        max-sm:grid-cols-[1.25rem_minmax(0,1fr)_auto] ${picked ? "bg-[var(--tint-lit)]" : ""}`}
    >
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={picked}
        aria-label={t("tidyReview.pick", { name })}
        onChange={onPick}
      />
      <span className="min-w-0 max-sm:hidden">
        <Link
          to={`/t/${table}/forms/${suggestion.id}`}
          className="block truncate underline-offset-2 hover:underline"
        >{`${t("records.number")} ${suggestion.id}`}</Link>
        <span className="quiet block truncate text-xs">{suggestion.label}</span>
      </span>
      <Difference before={suggestion.before} after={suggestion.after} />
      <span className="flex gap-1">
        <button
          type="button"
          className="btn btn-ghost btn-sm btn-square text-success"
          title={t("tidyReview.accept")}
          aria-label={`${t("tidyReview.accept")}: ${name}`}
          onClick={onAccept}
        >
          <Check size={16} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-sm btn-square"
          title={t("tidyReview.ignore")}
          aria-label={`${t("tidyReview.ignore")}: ${name}`}
          onClick={onIgnore}
        >
          <X size={16} aria-hidden />
        </button>
      </span>
    </li>
  );
}
