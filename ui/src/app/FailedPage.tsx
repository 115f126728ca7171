import { useEffect } from "react";
import { isRouteErrorResponse, useRouteError } from "react-router";
import { ofTab } from "../storage";
import { t } from "../words";
import { MissingPage } from "./MissingPage";

const RELOADED = "up-tack-reloaded-at";
/** Milliseconds within which a page is not loaded again automatically. */
const AGAIN = 20_000;

/** What stands in the place of a page that can't be shown. */
export function FailedPage() {
  const error = useRouteError();
  const missing = isRouteErrorResponse(error) && error.status === 404;
  const cut = isCut(error);
  // A part that did not arrive is asked for again automatically: whatever was typed is kept in the browser.
  const retry = cut && Date.now() - Number(ofTab.get(RELOADED) ?? 0) > AGAIN;
  useEffect(() => {
    if (!missing) console.error(error);
    if (!retry) return;
    ofTab.set(RELOADED, String(Date.now()));
    window.location.reload();
  }, [retry, missing, error]);
  if (missing) return <MissingPage />;
  if (retry) return null;
  return (
    <div role="alert" className="mx-auto mt-24 flex max-w-md flex-col items-start gap-4 px-6">
      <h1 className="text-2xl">{cut ? t("errors.notLoaded") : t("errors.notShown")}</h1>
      <p>{t("errors.notLoadedText")}</p>
      <button type="button" className="btn btn-primary" onClick={() => window.location.reload()}>
        {t("errors.loadAgain")}
      </button>
    </div>
  );
}

/** Whether a part of the application did not arrive, as browsers say it. */
function isCut(error: unknown) {
  return error instanceof Error && /dynamically imported|import.*module|preload/i.test(error.message);
}
