import { address } from "./address";
import { type Preview, type RuleParts, writeHeaders } from "./client";

/** Tells what a rule would do as it is found out: each line of the answer is a Preview of more records. */
export async function streamEffect(
  table: string,
  body: RuleParts & { look_at: number | null; most: number },
  onPreview: (preview: Preview) => void,
  signal: AbortSignal,
) {
  const response = await fetch(address(`/api/tables/${encodeURIComponent(table)}/rules/effect`), {
    method: "POST",
    headers: writeHeaders(),
    body: JSON.stringify(body),
    signal,
  });
  if (!response.ok || !response.body) throw new Error(response.statusText);
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split("\n");
    rest = lines.pop() ?? "";
    // Of several lines that came at once the last says the most.
    const last = lines.filter(Boolean).at(-1);
    if (last) onPreview(JSON.parse(last));
  }
}
