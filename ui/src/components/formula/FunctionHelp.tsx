import { useFunctions } from "../../api/queries";
import { bare } from "./places";

/** One line about the function that the cursor stands in. */
export function FunctionHelp({ text, place }: { text: string; place: number }) {
  const functions = useFunctions().data ?? [];
  const name = functionAt(text, place);
  const found = functions.filter((each) => each.name === name).at(-1);
  if (!found) return null;
  return (
    <p className="quiet mt-1 text-xs" data-function-help={found.name}>
      <code className="font-mono font-semibold">{found.signature}</code> {found.help}{" "}
      <code className="font-mono">
        {found.example}
        {found.result === null ? "" : ` → ${found.result}`}
      </code>
    </p>
  );
}

/** The name of the function under the cursor, or else of the one whose brackets are around it. */
function functionAt(text: string, place: number): string | null {
  const clean = bare(text).toLowerCase();
  const around = /[a-z_]*$/.exec(clean.slice(0, place))?.[0] ?? "";
  const after = /^[a-z_]*(?=\s*\()/.exec(clean.slice(place))?.[0];
  if (after !== undefined && around + after !== "") return around + after;
  let depth = 0;
  for (let at = place - 1; at >= 0; at -= 1) {
    if (clean[at] === ")") depth += 1;
    else if (clean[at] === "(" && depth > 0) depth -= 1;
    else if (clean[at] === "(") {
      const name = /([a-z_]+)\s*$/.exec(clean.slice(0, at))?.[1];
      if (name) return name;
    }
  }
  return null;
}
