import type { RuleParts } from "../../../api/client";
import { MistakeLines } from "../../../components/MistakeLines";
import { t } from "../../../words";
import { mistakesOf, type PartsProps } from "./shared";

/** The lowest and the highest: values or formulas for limits, numbers of characters for a length. */
export function LimitsParts({ parts, change, mistakes, counts: length = false }: PartsProps & { counts?: boolean }) {
  const ends: [keyof RuleParts, string][] = length
    ? [
        ["least", t("rulePanel.least")],
        ["most", t("rulePanel.most")],
      ]
    : [
        ["low", t("rulePanel.low")],
        ["high", t("rulePanel.high")],
      ];
  const put = (part: keyof RuleParts, text: string) =>
    change({ [part]: length ? (/^\d+$/.test(text) ? Number(text) : null) : text || null });
  return (
    <div>
      <div className="grid grid-cols-2 gap-3">
        {ends.map(([part, label], index) => (
          <label key={part} className="flex flex-col gap-1 font-semibold">
            {label}
            <input
              data-first={index === 0 ? "" : undefined}
              className="input w-full font-mono font-normal"
              inputMode={length ? "numeric" : undefined}
              value={String(parts[part] ?? "")}
              onChange={(event) => put(part, event.target.value)}
            />
          </label>
        ))}
      </div>
      {!length && (
        <MistakeLines
          mistakes={["low", "high"].flatMap((part) => mistakesOf(mistakes, part))}
          hint={t("rulePanel.limitsHint")}
        />
      )}
    </div>
  );
}
