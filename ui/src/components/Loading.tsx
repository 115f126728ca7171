import { words } from "../words";

export function Loading() {
  return (
    <p className="quiet p-6" role="status">
      {words.common.loading}
    </p>
  );
}
