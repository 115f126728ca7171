import { useCallback, useEffect, useRef } from "react";
import { forgetDraft, keepDraft, type Sent } from "./draftStorage";
import type { Draft } from "./useDraft";
import type { Lines } from "./useLines";

/** Milliseconds after a key within which it is kept. */
const SOON = 300;

/**
 * Keeps what is typed in this browser: each field as it is left, the one that is being typed in a moment
 * after the last key and when the page goes. Once it was saved it is gone for good.
 */
export function useKeptDraft(table: string, id: number | null, draft: Draft, lines: Lines, version: number | null) {
  const sent = useRef<Sent | undefined>(undefined);
  const closed = useRef(false);
  const { soFar, typed } = draft;

  const keep = useCallback(() => {
    if (!closed.current)
      keepDraft(table, id, {
        typed: soFar(),
        version,
        lines: lines.soFar(),
        ...(sent.current ? { sent: sent.current } : {}),
      });
  }, [table, id, soFar, version, lines.soFar]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever something typed was taken in
  useEffect(keep, [keep, typed, lines.typed]);
  useEffect(() => {
    let timer = 0;
    const soon = () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(keep, SOON);
    };
    window.addEventListener("input", soon, true);
    window.addEventListener("pagehide", keep);
    document.addEventListener("visibilitychange", keep);
    return () => {
      window.clearTimeout(timer);
      window.removeEventListener("input", soon, true);
      window.removeEventListener("pagehide", keep);
      document.removeEventListener("visibilitychange", keep);
    };
  }, [keep]);

  return {
    /** A write is on its way. */
    sending: (write: Sent) => {
      sent.current = write;
      keep();
    },
    /** It was answered with a refusal. */
    answered: () => {
      sent.current = undefined;
      keep();
    },
    /** What was typed is saved: nothing of it may come back. */
    saved: () => {
      sent.current = undefined;
      closed.current = true;
      forgetDraft(table, id);
    },
    /** Another record is typed from now on. */
    begin: () => {
      closed.current = false;
    },
  };
}
