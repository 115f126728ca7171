import { FormulaEditor } from "../../../components/formula/FormulaEditor";
import { SegmentedControl } from "../../../components/SegmentedControl";
import { t } from "../../../words";
import { mistakesOf, type PartsProps } from "./shared";

/** What a clerk is told: the usual sentence, the builder's own, or one with values of the record in it. */
export function MessageParts({ table, parts, change, mistakes, usual }: PartsProps & { usual: string }) {
  const worked = parts.saying !== null && parts.saying !== undefined;
  return (
    <div className="flex flex-col gap-1.5">
      <div className="flex items-center gap-2">
        <span className="flex-1 font-semibold">{t("rulePanel.message")}</span>
        <SegmentedControl
          name={t("rulePanel.message")}
          value={worked ? "worked" : "fixed"}
          options={[
            ["fixed", t("rulePanel.fixedMessage")],
            ["worked", t("rulePanel.withValues")],
          ]}
          onChange={(way) =>
            change(
              way === "worked"
                ? { saying: `"${(parts.message || usual).replaceAll('"', '""')}"`, message: null }
                : { saying: null },
            )
          }
        />
      </div>
      {worked ? (
        <FormulaEditor
          table={table.key}
          label={t("rulePanel.message")}
          value={parts.saying ?? ""}
          onChange={(saying) => change({ saying })}
          mistakes={mistakesOf(mistakes, "saying")}
        />
      ) : (
        <input
          aria-label={t("rulePanel.message")}
          className="input w-full"
          value={parts.message ?? ""}
          placeholder={usual}
          onChange={(event) => change({ message: event.target.value || null })}
        />
      )}
    </div>
  );
}
