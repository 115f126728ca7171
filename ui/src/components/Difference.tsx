import { differences } from "./differences";

/** Two texts side by side, that which goes and that which comes marked, spaces made visible. */
export function Difference({ before, after }: { before: string; after: string }) {
  const parts = differences(before, after);
  return (
    <span className="flex flex-wrap items-baseline gap-x-2 whitespace-pre-wrap break-words">
      <span>
        {parts.map((part) =>
          part.kind === "added" ? null : (
            <Piece key={part.at} text={part.text} changed={part.kind === "removed"} look="removed" />
          ),
        )}
      </span>
      <span className="quiet">→</span>
      <span>
        {parts.map((part) =>
          part.kind === "removed" ? null : (
            <Piece key={part.at} text={part.text} changed={part.kind === "added"} look="added" />
          ),
        )}
      </span>
    </span>
  );
}

function Piece({ text, changed, look }: { text: string; changed: boolean; look: "removed" | "added" }) {
  if (!changed) return <>{text}</>;
  const shown = text.replaceAll(" ", "␣");
  // A line through a space would make it look like a dash.
  const line = text.trim() === "" ? "no-underline" : "decoration-1";
  return look === "removed" ? (
    <del className={`rounded-sm bg-[var(--tint-refused)] px-px text-error ${line}`}>{shown}</del>
  ) : (
    <ins className="rounded-sm bg-[var(--tint-lit)] px-px font-semibold underline decoration-1">{shown}</ins>
  );
}
