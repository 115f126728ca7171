import { Link } from "react-router";
import { useMap } from "../api/queries";
import { Dialog } from "../components/Dialog";
import { OfField } from "../views/map/NodeDetails";
import { t } from "../words";

/** All that writes a field, and what uses it. */
export default function WritersDialog({ id, onClose }: { id: string; onClose: () => void }) {
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
