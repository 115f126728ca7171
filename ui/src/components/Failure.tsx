import { t } from "../words";

/** Says why something could not be shown, and lets it be tried again. */
export function Failure({ error, retry }: { error: Error; retry: () => void }) {
  return (
    <div className="m-6 flex max-w-lg flex-col items-start gap-3" role="alert">
      <p className="text-error">{error.message}</p>
      <button type="button" className="btn btn-sm" onClick={() => retry()}>
        {t("common.retry")}
      </button>
    </div>
  );
}
