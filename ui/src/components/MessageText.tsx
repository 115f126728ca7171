/** A message of the server, in which names and signs of a formula stand between backticks. */
export function MessageText({ text }: { text: string }) {
  return text.split("`").map((part, index) =>
    index % 2 === 1 ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a sentence never move
      <code key={index} className="rounded bg-base-200 px-1 font-mono text-[0.92em]">
        {part}
      </code>
    ) : (
      part
    ),
  );
}
