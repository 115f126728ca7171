import { useCallback, useEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { type Answer, type Field, ProblemError } from "../../api/client";
import type { Typed } from "../../api/queries";

export type Draft = {
  /** Raw input of the fields filled or cleared by hand, in the order in which they were typed. */
  typed: Typed;
  /** Why warnings are passed, by rule. */
  reasons: { [rule: string]: string };
  /** Gives the reason for which a warning is passed. */
  pass: (rule: string, reason: string) => void;
  /** What the server last made of the draft. */
  answer: Answer | undefined;
  /** Whether that answer was made from the field's present input. */
  isAnswered: (field: string) => boolean;
  /** Fields that were left since; only these show messages. */
  visited: Set<string>;
  /** Why the last question got no answer. */
  failure: string | null;
  /** A key in a field that is not left yet: the text so far, null once it is left. */
  typing: (field: string, text: string | null) => void;
  /** What is typed by now, the field that is not left yet included. */
  soFar: () => Typed;
  /** Takes a field's input and asks the server. */
  leave: (field: string, text: string | number | null) => void;
  /** Asks the server anew, since something beside the typed fields is another. */
  again: () => void;
  /** Something, such as a search for what was typed, that is still to become a field's input. */
  wait: (work: Promise<unknown>) => void;
  /** Ends when everything typed so far is answered: with that answer, and what counts as typed by then. */
  answered: () => Promise<{ typed: Typed; reasons: { [rule: string]: string }; answer: Answer | undefined }>;
  /** Shows the messages of every field, from this answer on. */
  showAll: (answer: Answer, fields: Field[]) => void;
  reset: (typed?: Typed) => void;
};

/** Milliseconds after which a server that could not be reached is asked again. */
const RETRY = 2_000;

/**
 * A record being typed. The browser works nothing out: each time a field is left,
 * everything typed goes to the server, which says what the record would be.
 */
export function useDraft(
  ask: (typed: Typed, reasons: { [rule: string]: string }) => Promise<Answer>,
  begin: Typed = {},
): Draft {
  const [typed, setTyped] = useState<Typed>(begin);
  const [{ answer, of }, setAnswer] = useState<{ answer?: Answer; of: Typed }>({ of: {} });
  const [visited, setVisited] = useState<Set<string>>(() => new Set(Object.keys(begin)));
  const [failure, setFailure] = useState<string | null>(null);
  const question = useRef(0);
  const latest = useRef(typed);
  const latestAnswer = useRef<Answer | undefined>(undefined);
  const pending = useRef<Promise<unknown>>(Promise.resolve());
  const [reasons, setReasons] = useState<{ [rule: string]: string }>({});
  const latestReasons = useRef(reasons);

  const take = useCallback((found: Answer) => {
    latestAnswer.current = found;
    setAnswer({ answer: found, of: latest.current });
  }, []);

  const send = useCallback(
    (all: Typed) => {
      question.current += 1;
      const mine = question.current;
      const work = async () => {
        try {
          const found = await ask(all, latestReasons.current);
          // A later question has been asked meanwhile; its answer will do.
          if (mine !== question.current) return;
          // What a rule replaced counts as typed no longer.
          if (found.overtaken.length > 0) {
            latest.current = Object.fromEntries(
              Object.entries(latest.current).filter(([key]) => !found.overtaken.includes(key)),
            );
          }
          // Drawn before whoever waits for the answer goes on: keys are played into what stands there then.
          flushSync(() => {
            setTyped(latest.current);
            take(found);
            setFailure(null);
          });
        } catch (error) {
          if (mine !== question.current || !(error instanceof ProblemError)) return;
          setFailure(error.message);
          // The server may be back soon; what was typed is asked about again then.
          if (error.problem.status === 0) setTimeout(() => mine === question.current && send(latest.current), RETRY);
        }
      };
      pending.current = work();
    },
    [ask, take],
  );

  useEffect(() => {
    send(latest.current);
  }, [send]);

  const inField = useRef<{ field: string; text: string } | null>(null);
  const typing = useCallback((field: string, text: string | null) => {
    inField.current = text === null ? null : { field, text };
  }, []);
  const soFar = useCallback(() => {
    const now = inField.current;
    return now ? { ...latest.current, [now.field]: now.text } : latest.current;
  }, []);

  const leave = (field: string, text: string | number | null) => {
    if (inField.current?.field === field) inField.current = null;
    setVisited((before) => new Set(before).add(field));
    if (text === null) return;
    const { [field]: _before, ...others } = latest.current;
    latest.current = { ...others, [field]: text };
    setTyped(latest.current);
    send(latest.current);
  };

  const pass = (rule: string, reason: string) => {
    latestReasons.current = { ...latestReasons.current, [rule]: reason };
    setReasons(latestReasons.current);
    send(latest.current);
  };

  const wait = useCallback((work: Promise<unknown>) => {
    pending.current = Promise.all([pending.current, work.catch(() => undefined)]);
  }, []);

  const answered = useCallback(async () => {
    let seen: Promise<unknown>;
    do {
      seen = pending.current;
      await seen;
    } while (seen !== pending.current);
    return { typed: latest.current, reasons: latestReasons.current, answer: latestAnswer.current };
  }, []);

  const showAll = (found: Answer, fields: Field[]) => {
    question.current += 1;
    take(found);
    setVisited(new Set(fields.map((field) => field.key)));
  };

  const reset = (next: Typed = {}) => {
    inField.current = null;
    latest.current = next;
    latestReasons.current = {};
    setReasons({});
    setTyped(next);
    setVisited(new Set(Object.keys(next)));
    send(next);
  };

  const again = useCallback(() => send(latest.current), [send]);
  const isAnswered = (field: string) => of[field] === typed[field];

  return {
    typed,
    reasons,
    pass,
    answer,
    isAnswered,
    visited,
    failure,
    typing,
    soFar,
    leave,
    again,
    wait,
    answered,
    showAll,
    reset,
  };
}
