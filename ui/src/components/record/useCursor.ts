import { type KeyboardEvent, type RefObject, useRef } from "react";
import type { Answer, Form } from "../../api/client";
import type { Draft } from "./useDraft";

type Props = {
  box: RefObject<HTMLDivElement | null>;
  catcher: RefObject<HTMLInputElement | null>;
  form: Form;
  draft: Draft;
  prefix: string;
  onEnd?: (() => void) | undefined;
};

/** What was caught: texts, with a step of the cursor after each but the last. */
type Caught = string[];

/**
 * Moves the cursor through a form as the server says. Where to may depend on what was just typed, so
 * the answer is waited for; what a fast hand types meanwhile is caught and put where it belongs.
 */
export function useCursor({ box, catcher, form, draft, prefix, onEnd }: Props) {
  const caught = useRef<Caught>([]);
  const moving = useRef(false);

  const input = (key: string) => document.getElementById(`input-${prefix}${key}`);

  const land = (target: HTMLElement, text: string) => {
    target.focus();
    if (target instanceof HTMLInputElement) target.select();
    if (text !== "") put(target, text);
  };

  const next = (from: string, answer: Answer | undefined) => {
    const following = answer?.following[from];
    if (following !== undefined) return following;
    const stops = form.stops;
    return stops.slice(stops.indexOf(from) + 1).find((key) => input(key)?.matches("[data-input]")) ?? null;
  };

  const move = async (from: string) => {
    moving.current = true;
    (document.activeElement as HTMLElement | null)?.blur();
    if (catcher.current) catcher.current.value = "";
    catcher.current?.focus({ preventScroll: true });
    const { answer } = await draft.settled();
    // What the answer shows for the first time is there only after the next drawing.
    await new Promise(requestAnimationFrame);
    const texts: Caught = [...caught.current, catcher.current?.value ?? ""];
    caught.current = [];
    moving.current = false;
    const key = next(from, answer);
    const target = key === null ? null : input(key);
    if (key !== null && target) {
      land(target, texts[0] ?? "");
      if (texts.length === 1) return;
      caught.current = texts.slice(1, -1);
      const left = texts.at(-1) ?? "";
      const going = move(key);
      if (catcher.current) catcher.current.value = left;
      await going;
      return;
    }
    const line = box.current?.querySelector<HTMLElement>("[data-line-input], [data-line-add]");
    if (line) land(line, texts[0] ?? "");
    else onEnd?.();
  };

  const back = (from: string) => {
    const stops = form.stops.slice(0, form.stops.indexOf(from)).reverse();
    const target = stops.map(input).find((each) => each?.matches("[data-input]"));
    if (target) land(target, "");
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
    if (event.key === "Tab" && reason && reason !== target && !event.shiftKey) return;
    if (event.shiftKey) {
      if (back(from)) event.preventDefault();
      return;
    }
    event.preventDefault();
    move(from);
  };

  const onCaught = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== "Tab" && event.key !== "Enter") return;
    event.stopPropagation();
    if (!moving.current || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    caught.current.push(event.currentTarget.value);
    event.currentTarget.value = "";
  };

  return { onKeyDown, onCaught };
}

/** Types a text into an input, or picks the choice that begins with it, as if by hand. */
function put(target: HTMLElement, text: string) {
  if (target instanceof HTMLSelectElement) {
    const option = [...target.options].find((each) => each.text.toLowerCase().startsWith(text.toLowerCase()));
    if (!option) return;
    const { set } = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value") ?? {};
    set?.call(target, option.value);
    target.dispatchEvent(new Event("change", { bubbles: true }));
    return;
  }
  // The one way that goes through everything that listens to typing, masks included.
  document.execCommand("insertText", false, text);
}
