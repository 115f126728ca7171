import { Link } from "react-router";
import { t } from "../words";

export function MissingPage({ message = t("errors.missingPage") }: { message?: string }) {
  return (
    <div className="mx-auto mt-24 flex max-w-md flex-col items-start gap-4 px-6">
      <h1 className="text-2xl">{message}</h1>
      <Link to="/" className="btn btn-primary">
        {t("errors.backToTables")}
      </Link>
    </div>
  );
}
