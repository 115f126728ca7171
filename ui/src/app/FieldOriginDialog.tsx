import { useState } from "react";
import { Link } from "react-router";
import { toast } from "sonner";
import { useMap } from "../api/queries";
import { Dialog } from "../components/Dialog";
import { OfField } from "../views/map/NodeDetails";
import { t } from "../words";
import { useShortcuts } from "./useShortcuts";

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
  return <WritersDialog id={field} onClose={() => setField(null)} />;
}

function WritersDialog({ id, onClose }: { id: string; onClose: () => void }) {
  const map = useMap().data;
  const field = map?.fields.find((each) => each.id === id);
  if (!map || !field) return null;
  return (
    <Dialog title={t("writers.title", { label: field.label, table: field.table_label })} onClose={onClose} wide>
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: a link inside that is followed closes the dialog too */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: see above */}
      <div onClick={(event) => (event.target as HTMLElement).closest("a") && onClose()}>
        <OfField graph={map} field={field} bare />
        <Link className="btn btn-sm mt-3" to={`/t/${field.table}/map?pick=${field.id}`}>
          {t("map.onMap")}
        </Link>
      </div>
    </Dialog>
  );
}
