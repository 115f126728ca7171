import { useEffect, useRef, useState } from "react";
import type { Answer, Table } from "../../api/client";
import { sentences } from "../../words";

type Props = { table: Table; answer: Answer | undefined; visited: Set<string> };

/** Says to whoever can't see the form what rules have filled, changed or refused since the last answer. */
export function Spoken({ table, answer, visited }: Props) {
  const before = useRef<Answer | undefined>(undefined);
  const [said, setSaid] = useState("");
  useEffect(() => {
    const last = before.current;
    before.current = answer;
    if (!answer || !last) return;
    const label = (key: string) => table.fields.find((field) => field.key === key)?.label ?? key;
    const filled = Object.entries(answer.fields).flatMap(([key, now]) => {
      const then = last.fields[key];
      if (now.source !== "rule" || now.text === then?.text) return [];
      return [sentences.form.spokenFilled(label(key), now.text)];
    });
    const known = new Set(last.messages.map((each) => each.message));
    const refused = answer.messages.filter((each) => visited.has(each.field) && !known.has(each.message));
    const all = [...refused.map((each) => `${label(each.field)}: ${each.message}`), ...filled];
    if (all.length > 0) setSaid(all.join(" "));
  }, [answer, table, visited]);
  return (
    <p className="sr-only" aria-live="polite" data-spoken>
      {said}
    </p>
  );
}
