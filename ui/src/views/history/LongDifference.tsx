import { wordDifferences } from "../../components/differences";

/** Characters of what stayed the same that are shown beside a change. */
const AROUND = 48;

/** What became different inside a long text: what went is struck through, what came is underlined. */
export function LongDifference({ before, after }: { before: string; after: string }) {
  const parts = wordDifferences(before, after);
  return (
    <span className="whitespace-pre-wrap break-words">
      {parts.map((part) => {
        if (part.kind === "removed")
          return (
            <del key={part.at} className="rounded-sm bg-[var(--tint-refused)] px-px text-error decoration-1">
              {part.text}
            </del>
          );
        if (part.kind === "added")
          return (
            <ins key={part.at} className="rounded-sm bg-[var(--tint-lit)] px-px font-semibold decoration-1">
              {part.text}
            </ins>
          );
        return <span key={part.at}>{shortened(part.text, part.at === 0, part.at === parts.length - 1)}</span>;
      })}
    </span>
  );
}

function shortened(text: string, first: boolean, last: boolean) {
  if (text.length <= AROUND * 2 + 3) return text;
  if (first) return `… ${text.slice(-AROUND)}`;
  if (last) return `${text.slice(0, AROUND)} …`;
  return `${text.slice(0, AROUND)} … ${text.slice(-AROUND)}`;
}
