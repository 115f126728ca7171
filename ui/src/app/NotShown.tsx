import { Component, type ReactNode, useEffect } from "react";
import { ofTab } from "../storage";
import { t } from "../words";

const RELOADED = "up-tack-reloaded-at";
/** Milliseconds within which a page is not loaded again automatically. */
const AGAIN = 20_000;

/** What stands in the place of something that can't be shown. */
export function NotShown({ error }: { error: unknown }) {
  const cut = isCut(error);
  // A part that did not arrive is asked for again automatically: whatever was typed is kept in the browser.
  const retry = cut && Date.now() - Number(ofTab.get(RELOADED) ?? 0) > AGAIN;
  useEffect(() => {
    console.error(error);
    if (!retry) return;
    ofTab.set(RELOADED, String(Date.now()));
    window.location.reload();
  }, [retry, error]);
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

/** Shows that where what is inside can't be shown, outside the pages, which do so themselves. */
export class Shown extends Component<{ children: ReactNode }, { error: unknown }> {
  state = { error: null };

  static getDerivedStateFromError(error: unknown) {
    return { error };
  }

  render() {
    return this.state.error === null ? this.props.children : <NotShown error={this.state.error} />;
  }
}
