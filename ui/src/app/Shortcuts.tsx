import { useArrived } from "../components/Arriving";
import { Dialog } from "../components/Dialog";
import { t } from "../words";
import { keyGroups } from "../words/lists";

/** All keys in one list. */
export default function Shortcuts({ onClose }: { onClose: () => void }) {
  useArrived();
  return (
    <Dialog title={t("keys.title")} onClose={onClose} wide>
      <div className="grid gap-6 sm:grid-cols-3">
        {keyGroups().map((group) => (
          <section key={group.name}>
            <h3 className="mb-2 text-base">{group.name}</h3>
            <dl className="flex flex-col gap-1.5">
              {group.keys.map(([keys, does]) => (
                <div key={keys} className="flex flex-wrap items-baseline gap-2">
                  <dt>
                    <kbd className="key">{keys}</kbd>
                  </dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
      <div className="mt-5 text-right">
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("keys.close")}
        </button>
      </div>
    </Dialog>
  );
}
