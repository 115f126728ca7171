import type { components } from "../../../api/generated";
import { MaskedInput } from "../../../components/record/MaskedInput";
import { t } from "../../../words";

type Props = {
  read: components["schemas"]["ReadMask"];
  text: string;
  onText: (text: string) => void;
  bare: boolean;
};

/** The mask at work, to be typed into. */
export function MaskTry({ read, text, onText, bare }: Props) {
  if (!read.compiled) return null;
  return (
    <div className="rounded border border-base-300 px-2.5 py-2">
      <label htmlFor="mask-try" className="mb-0.5 block text-xs">
        {t("mask.tryIt")}
      </label>
      <div className="line-typed rounded-t bg-base-200/70 focus-within:bg-base-100">
        <MaskedInput
          key={read.mask}
          id="mask-try"
          mask={read.compiled}
          value={text}
          placeholder={read.sample ?? undefined}
          className="w-full bg-transparent px-2.5 py-1.5 font-mono outline-none"
          onType={onText}
          onLeave={() => undefined}
        />
      </div>
      <p className="min-h-5 pt-0.5 text-xs" aria-live="polite">
        {text !== "" &&
          read.fit &&
          (read.fit.complete ? (
            <span className="text-success">
              {bare ? t("mask.storedAs", { text: read.stored ?? "" }) : t("mask.complete")}
            </span>
          ) : (
            <span className="text-error">{t("mask.refused", { why: read.fit.message ?? "" })}</span>
          ))}
      </p>
    </div>
  );
}
