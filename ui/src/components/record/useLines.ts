import { useCallback, useRef, useState } from "react";
import type { Answer } from "../../api/client";
import { answersOf, type LinesTyped, type LineTyped, linesToSend } from "./lines";

export type Lines = ReturnType<typeof useLines>;

/** The lines typed beneath a record, and what the server last said of each. */
export function useLines(begin: LinesTyped) {
  const [typed, setTyped] = useState<LinesTyped>(begin);
  const latest = useRef(typed);
  const answers = useRef(new WeakMap<Answer, Map<string, Answer>>());
  const [visited, setVisited] = useState<Set<string>>(new Set());
  const count = useRef(0);

  const put = useCallback((next: LinesTyped) => {
    latest.current = next;
    setTyped(next);
  }, []);

  /** Changes one line, which begins to be kept here by that. */
  const change = useCallback(
    (group: string, line: LineTyped) => {
      const rows = latest.current[group] ?? [];
      const known = rows.some((row) => row.key === line.key);
      put({
        ...latest.current,
        [group]: known ? rows.map((row) => (row.key === line.key ? line : row)) : [...rows, line],
      });
    },
    [put],
  );

  /**
   * Types one value of a line, over what else was typed in it by now: a fast hand leaves two before a line is drawn
   * anew.
   */
  const type = useCallback(
    (group: string, line: LineTyped, field: string, value: LineTyped["typed"][string]) => {
      inCell.current = null;
      const now = (latest.current[group] ?? []).find((row) => row.key === line.key) ?? line;
      const { [field]: _before, ...others } = now.typed;
      change(group, { ...now, typed: { ...others, [field]: value } });
    },
    [change],
  );

  const inCell = useRef<{ group: string; line: LineTyped; field: string; text: string } | null>(null);
  /** A key in a cell that is not left yet: the text so far, null once it is left. */
  const typing = useCallback((group: string, line: LineTyped, field: string, text: string | null) => {
    inCell.current = text === null ? null : { group, line, field, text };
  }, []);

  /** What is typed by now, the cell that is not left yet included. */
  const soFar = useCallback((): LinesTyped => {
    const now = inCell.current;
    if (!now) return latest.current;
    const rows = latest.current[now.group] ?? [];
    const known = rows.find((row) => row.key === now.line.key);
    const line = { ...(known ?? now.line), typed: { ...(known ?? now.line).typed, [now.field]: now.text } };
    return {
      ...latest.current,
      [now.group]: known ? rows.map((row) => (row === known ? line : row)) : [...rows, line],
    };
  }, []);

  const drop = useCallback(
    (group: string, key: string) =>
      put({ ...latest.current, [group]: (latest.current[group] ?? []).filter((row) => row.key !== key) }),
    [put],
  );

  const fresh = useCallback((): LineTyped => {
    count.current += 1;
    return { key: `new-${Date.now()}-${count.current}`, id: null, version: null, typed: {}, gone: false };
  }, []);

  /** What is sent now; whoever gets the answer notes it with `note`. */
  const sending = useCallback(() => {
    const sent = latest.current;
    return { lines: linesToSend(sent), note: (answer: Answer) => answers.current.set(answer, answersOf(sent, answer)) };
  }, []);

  const of = (answer: Answer | undefined, key: string) => (answer ? answers.current.get(answer)?.get(key) : undefined);
  const visit = (key: string) => setVisited((before) => new Set(before).add(key));
  const visitAll = () =>
    setVisited(new Set(Object.values(latest.current).flatMap((rows) => rows.map(({ key }) => key))));
  const reset = useCallback(() => {
    inCell.current = null;
    put({});
    setVisited(new Set());
  }, [put]);

  return { typed, change, type, typing, soFar, drop, fresh, sending, of, visited, visit, visitAll, reset };
}
