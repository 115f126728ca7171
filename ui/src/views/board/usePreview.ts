import { useEffect, useState } from "react";
import type { Preview, RuleParts, Table } from "../../api/client";
import { streamEffect } from "../../api/effect";
import { useAfterPause } from "../../components/useAfterPause";
import { isBegun, kindOf } from "./parts/shared";

/** Milliseconds without a keystroke after which the rule is looked at. */
const PAUSE = 180;

/** What the rule as it stands would do, growing as records are looked at; asked again shortly after each change. */
export function usePreview(table: Table, parts: RuleParts, lookAt: number | null, most: number) {
  const [data, setData] = useState<Preview | undefined>();
  const [pending, setPending] = useState(false);
  const [failed, setFailed] = useState(false);
  const { name: _name, note: _note, ...what } = parts;
  const begun = isBegun(kindOf(table, parts.kind), parts);
  const { key } = table;
  // A choice that is added may be what a mistake was about.
  const choices = JSON.stringify(table.fields.map((field) => field.choices));

  useEffect(() => {
    if (!begun) setData(undefined);
  }, [begun]);

  const look = async (signal: AbortSignal) => {
    setPending(true);
    try {
      await streamEffect(key, { ...what, look_at: lookAt, most }, setData, signal);
      setFailed(false);
    } catch {
      // What is shown stays; only where nothing newer was asked is it a failure.
      if (!signal.aborted) setFailed(true);
    } finally {
      if (!signal.aborted) setPending(false);
    }
  };
  useAfterPause(begun ? look : null, PAUSE, JSON.stringify([key, what, lookAt, most, choices]));

  return { data: begun ? data : undefined, pending, failed: begun && failed };
}
