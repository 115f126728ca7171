import { t } from "../words";

/** Spaces that nobody would see: at the edges, and more than one in a row. */
const UNSEEN = /(^\s+|\s+$|\s{2,})/;

/** A text with the spaces shown that would not be seen otherwise. */
export function Spaces({ text }: { text: string }) {
  if (!UNSEEN.test(text)) return <>{text}</>;
  return (
    <>
      {text.split(UNSEEN).map((part, place) =>
        place % 2 === 0 ? (
          part
        ) : (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: the parts of one text stand where they are
            key={place}
            className="whitespace-pre rounded-sm bg-[var(--tint-lit)] text-secondary"
            title={t("common.spaces", { count: part.length })}
          >
            {"·".repeat(part.length)}
          </span>
        ),
      )}
    </>
  );
}
