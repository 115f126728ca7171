import type { Table } from "../../api/client";
import type { BulkWish } from "../../api/records";
import { t } from "../../words";

type Props = {
  table: Table;
  count: number;
  matching: number;
  all: boolean;
  onDo: (kind: BulkWish["do"]) => void;
  onAll: () => void;
  onNone: () => void;
};

/** What can be done with the records that are picked. */
export function BulkBar({ table, count, matching, all, onDo, onAll, onNone }: Props) {
  const has = (kind: string) => table.rules.some((rule) => rule.kind === kind);
  const kinds: [BulkWish["do"], boolean][] = [
    ["change", table.may.edit],
    ["copy", table.may.edit],
    ["number", table.may.edit && has("number")],
    ["tidy", table.may.edit && has("tidy")],
    ["delete", table.may.delete],
  ];
  return (
    <section
      className="mb-2 flex flex-wrap items-center gap-2 rounded border border-secondary border-dashed
        bg-[var(--tint-lit)] px-3 py-1.5"
      aria-label={t("bulk.picked", { count })}
    >
      <span className="font-semibold tabular-nums">{t("bulk.picked", { count })}</span>
      {kinds.map(
        ([kind, may]) =>
          may && (
            <button
              key={kind}
              type="button"
              className={`btn btn-xs ${kind === "delete" ? "text-error" : ""}`}
              onClick={() => onDo(kind)}
            >
              {t(`bulk.${kind}`)}
            </button>
          ),
      )}
      <span className="flex-1" />
      {!all && count < matching && (
        <button type="button" className="link text-xs" onClick={onAll}>
          {t("bulk.allOf", { n: matching })}
        </button>
      )}
      <button type="button" className="link text-xs" onClick={onNone}>
        {t("bulk.unpick")}
      </button>
    </section>
  );
}
