import { t } from "../words";

export function Loading() {
  return (
    <p className="quiet p-6" role="status">
      {t("common.loading")}
    </p>
  );
}
