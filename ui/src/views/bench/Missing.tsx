import type { Covered, Table } from "../../api/client";
import { CoverageIcon } from "../../components/CoverageIcon";
import { Dialog } from "../../components/Dialog";
import { t } from "../../words";
import type { EdgeWish } from "./Edges";

type Props = { table: Table; covered: Covered[]; onMake: (wish: EdgeWish) => void; onClose: () => void };

/** What no proof shows of the rules yet, each with the record that would. */
export function Missing({ table, covered, onMake, onClose }: Props) {
  const open = covered.filter((each) => each.missing.length > 0);
  return (
    <Dialog title={t("proofs.missingTitle", { table: table.label })} onClose={onClose} closable wide>
      {open.length === 0 ? (
        <p>{t("proofs.allSeen")}</p>
      ) : (
        <ul className="flex max-h-[60vh] flex-col gap-3 overflow-auto">
          {open.map((each) => (
            <li key={each.rule}>
              <p className="flex items-baseline gap-2">
                <CoverageIcon state={each.state} className="size-2.5" />
                <span className="font-semibold">{labelOf(table, each.field)}</span>
                <span className="min-w-0 flex-1 break-words">{each.tack}</span>
                <span className="quiet shrink-0 text-xs tabular-nums">
                  {t("proofs.seenOf", { n: each.seen, of: each.of })}
                </span>
              </p>
              <ul className="mt-0.5 ml-4.5">
                {each.missing.map((point) => (
                  <li key={point.key} className="flex items-baseline gap-3 py-0.5">
                    <span className="quiet min-w-0 flex-1 break-words">{point.words}</span>
                    <button
                      type="button"
                      className="btn btn-ghost btn-xs shrink-0"
                      onClick={() => onMake({ rule: each.rule, point: point.key })}
                    >
                      {t("proofs.make")}
                    </button>
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ul>
      )}
    </Dialog>
  );
}

const labelOf = (table: Table, key: string) => table.fields.find((field) => field.key === key)?.label ?? key;
