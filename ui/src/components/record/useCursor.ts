import { type KeyboardEvent, type RefObject, useEffect, useRef } from "react";
import type { Answer, Form } from "../../api/client";
import { keyQueue, land } from "./keyQueue";
import type { Draft } from "./useDraft";

type Props = {
  box: RefObject<HTMLDivElement | null>;
  form: Form;
  draft: Draft;
  prefix: string;
  onEnd?: (() => void) | undefined;
};

/**
 * Moves the cursor through a form as the server says. Where to may depend on what was just typed, so
 * the answer is waited for; keys pressed meanwhile are held and played where the cursor comes to stand.
 */
export function useCursor({ box, form, draft, prefix, onEnd }: Props) {
  const gone = useRef(false);
  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
    };
  }, []);

  const input = (key: string) => document.getElementById(`input-${prefix}${key}`);
  const stop = (key: string) => {
    const found = input(key);
    return found?.matches("[data-input]") ? found : null;
  };

  const next = (from: string, answer: Answer | undefined) => {
    const following = answer?.following[from];
    if (following !== undefined) return following;
    const stops = form.stops;
    return stops.slice(stops.indexOf(from) + 1).find(stop) ?? null;
  };

  const move = async (from: string) => {
    const turn = keyQueue.hold("move");
    const { answer } = await draft.answered();
    await drawn();
    // The form was left meanwhile; whatever stands there now takes the keys.
    if (gone.current) return keyQueue.release(null, turn);
    const key = next(from, answer);
    const target = key === null ? null : stop(key);
    const line = box.current?.querySelector<HTMLElement>("[data-line-input], [data-line-add]");
    if (target) keyQueue.release(target, turn);
    else if (line) keyQueue.release(line, turn);
    else if (keyQueue.held) {
      onEnd?.();
      keyQueue.release(onEnd ? (document.activeElement as HTMLElement) : null, turn);
    }
  };

  const back = (from: string) => {
    const target = form.stops
      .slice(0, form.stops.indexOf(from))
      .reverse()
      .map(stop)
      .find((each) => each !== null);
    if (target) land(target);
    return Boolean(target);
  };

  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    const target = event.target as HTMLElement;
    const from = target.matches("[data-input], [data-reason]")
      ? target.closest<HTMLElement>("[data-field-box]")?.dataset.fieldBox
      : undefined;
    // A link's list has taken Enter for picking; that is a reason to go on, not to stay.
    const taken = event.defaultPrevented && !target.matches("[role=combobox]");
    if (!from || taken || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key !== "Tab" && !(event.key === "Enter" && target.matches("input, select"))) return;
    // A warning asks for its reason where it stands.
    const reason = target.closest("[data-field-box]")?.querySelector<HTMLElement>("[data-reason]");
    if (event.key === "Tab" && reason && reason !== target && !event.shiftKey) {
      event.preventDefault();
      land(reason);
      return;
    }
    if (event.shiftKey) {
      if (back(from)) event.preventDefault();
      return;
    }
    event.preventDefault();
    move(from);
  };

  return { onKeyDown };
}

/** Until what an answer shows for the first time is drawn; a page in the background draws nothing. */
export const drawn = () =>
  new Promise<void>((resolve) => {
    requestAnimationFrame(() => resolve());
    setTimeout(resolve, 100);
  });
