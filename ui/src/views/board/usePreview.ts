import { useEffect, useState } from "react";
import type { Preview, RuleParts, Table } from "../../api/client";
import { streamEffect } from "../../api/effect";
import { isBegun, kindOf } from "./parts/shared";

/** Milliseconds without a keystroke after which the rule is looked at. */
const PAUSE = 180;

/** What the rule as it stands would do, growing as records are looked at; asked again shortly after each change. */
export function usePreview(table: Table, parts: RuleParts, lookAt: number | null, most: number) {
  const [data, setData] = useState<Preview | undefined>();
  const [pending, setPending] = useState(false);
  const { name: _name, note: _note, ...what } = parts;
  const question = JSON.stringify(what);
  const begun = isBegun(kindOf(table, parts.kind), parts);
  const { key } = table;
  // A choice that is added may be what a mistake was about.
  const choices = JSON.stringify(table.fields.map((field) => field.choices));

  // biome-ignore lint/correctness/useExhaustiveDependencies: other choices are a reason to look again
  useEffect(() => {
    if (!begun) {
      setData(undefined);
      return;
    }
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      setPending(true);
      try {
        await streamEffect(key, { ...JSON.parse(question), look_at: lookAt, most }, setData, stop.signal);
      } catch {
        // Either something newer was asked, or the server can't be reached; what is shown stays.
      } finally {
        if (!stop.signal.aborted) setPending(false);
      }
    }, PAUSE);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [key, question, lookAt, most, begun, choices]);

  return { data: begun ? data : undefined, pending };
}
