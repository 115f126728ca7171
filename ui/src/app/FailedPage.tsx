import { isRouteErrorResponse, useRouteError } from "react-router";
import { MissingPage } from "./MissingPage";
import { NotShown } from "./NotShown";

/** What stands in the place of a page that can't be shown. */
export function FailedPage() {
  const error = useRouteError();
  return isRouteErrorResponse(error) && error.status === 404 ? <MissingPage /> : <NotShown error={error} />;
}
