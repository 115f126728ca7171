import { t } from "../../words";

type Props = { keys: string[]; onChange: (kept: string[]) => void };

/** Keys from before a renaming, by which programs still know a field or table, until they are dropped. */
export function FormerKeys({ keys, onChange }: Props) {
  if (keys.length === 0) return null;
  return (
    <ul className="quiet flex flex-col gap-0.5 font-normal text-xs" aria-label={t("fieldPanel.formerKeys")}>
      {keys.map((key) => (
        <li key={key}>
          {t("fieldPanel.formerKey")} <code className="font-mono">{key}</code>.{" "}
          <button
            type="button"
            className="link"
            aria-label={t("fieldPanel.dropFormerKey", { key })}
            onClick={() => onChange(keys.filter((each) => each !== key))}
          >
            {t("fieldPanel.dropKey")}
          </button>
        </li>
      ))}
    </ul>
  );
}
