import { lazy, Suspense, useState } from "react";
import { toast } from "sonner";
import { t } from "../words";
import { useShortcuts } from "./useShortcuts";

const WritersDialog = lazy(() => import("./WritersDialog"));

/** “What writes this?”, in one key: of the field in which the cursor is, else of the one pointed at. */
export function FieldOriginDialog() {
  const [field, setField] = useState<string | null>(null);
  useShortcuts({
    [t("writers.key")]: (event) => {
      event.preventDefault();
      const place = document.activeElement?.closest<HTMLElement>("[data-writes]");
      const pointed = [...document.querySelectorAll<HTMLElement>("[data-writes]:hover")].at(-1);
      const found = (place ?? pointed)?.dataset.writes;
      if (found) setField(found);
      else toast(t("writers.none"));
    },
  });
  if (!field) return null;
  return (
    <Suspense fallback={null}>
      <WritersDialog id={field} onClose={() => setField(null)} />
    </Suspense>
  );
}
