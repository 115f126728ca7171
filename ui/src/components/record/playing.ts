import { flushSync } from "react-dom";
import type { Stroke } from "./keyQueue";

/** Told to the window when keys were pressed where they mean nothing. */
export const ASTRAY = "up-tack-astray";

/** What was typed, and the choices where it is none of them. */
export type Astray = { text: string; choices: string[] };

/** Says that keys had no place; none may vanish silently. */
export const astray = (text: string, choices: string[] = []) =>
  window.dispatchEvent(new CustomEvent<Astray>(ASTRAY, { detail: { text, choices } }));

type Keys = Pick<KeyboardEvent, "key" | "ctrlKey" | "metaKey" | "altKey">;

/** Whether a key writes a letter, a figure or a sign. */
export const writes = (event: Keys) => [...event.key].length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;

const CONTROLS =
  "input, select, textarea, button, a[href], summary, [tabindex]:not([tabindex='-1']), [contenteditable='true']";

/** Types a text where the cursor is, as if by hand: all that listens to typing hears it, masks included. */
export function playText(text: string) {
  const target = document.activeElement;
  if (target instanceof HTMLSelectElement || target?.matches("[role=grid]")) return pressEach(target, text);
  if (target instanceof HTMLElement && target.matches("[data-line-add]")) return startLine(target, text);
  if (writable(target)) {
    document.execCommand("insertText", false, text);
    return;
  }
  astray(text);
}

/** Presses a key where the cursor is; what the browser would do with it is done here, since it does not. */
export function press(stroke: Stroke) {
  const target = (document.activeElement as HTMLElement | null) ?? document.body;
  const event = new KeyboardEvent("keydown", {
    key: stroke.key,
    shiftKey: stroke.shift,
    ctrlKey: stroke.ctrl,
    bubbles: true,
    cancelable: true,
  });
  flushSync(() => target.dispatchEvent(event));
  if (event.defaultPrevented) return;
  if (stroke.key === "Tab") tab(target, stroke.shift);
  else if (target instanceof HTMLSelectElement) step(target, stroke.key);
  else if (target instanceof HTMLButtonElement && stroke.key === "Enter") target.click();
  else if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) edit(target, stroke);
}

/** Where each letter is a key of its own: a list picks by it, a grid begins to type with it. */
function pressEach(target: Element, text: string) {
  const [first = "", ...others] = text;
  const event = new KeyboardEvent("keydown", { key: first, bubbles: true, cancelable: true });
  flushSync(() => target.dispatchEvent(event));
  if (!event.defaultPrevented && target instanceof HTMLSelectElement) choose(target, first);
  if (others.length > 0) playText(others.join(""));
}

function writable(target: Element | null) {
  if (target instanceof HTMLTextAreaElement) return !target.readOnly && !target.disabled;
  if (target instanceof HTMLInputElement)
    return !target.readOnly && !target.disabled && !/^(checkbox|radio|button|submit)$/.test(target.type);
  return target instanceof HTMLElement && target.isContentEditable;
}

/** The choice that begins with what was typed; a text that begins none is said, not swallowed. */
function choose(select: HTMLSelectElement, text: string) {
  const begins = (option: HTMLOptionElement) => option.text.toLowerCase().startsWith(text.trim().toLowerCase());
  const option = [...select.options].find((each) => each.value !== "" && begins(each));
  if (option) pick(select, option);
  else
    astray(
      text,
      [...select.options].filter((each) => each.value !== "").map((each) => each.text),
    );
}

function step(select: HTMLSelectElement, key: string) {
  const by = { ArrowDown: 1, ArrowUp: -1, Home: -select.options.length, End: select.options.length }[key];
  if (by === undefined) return;
  const place = Math.min(Math.max(select.selectedIndex + by, 0), select.options.length - 1);
  const option = select.options[place];
  if (option) pick(select, option);
}

function pick(select: HTMLSelectElement, option: HTMLOptionElement) {
  const { set } = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value") ?? {};
  set?.call(select, option.value);
  select.dispatchEvent(new Event("change", { bubbles: true }));
}

/** Whoever types on where the next line would begin means the next line. */
function startLine(button: HTMLElement, text: string) {
  button.click();
  if (document.activeElement !== button) playText(text);
}

function tab(from: HTMLElement, back: boolean) {
  const all = [...document.querySelectorAll<HTMLElement>(CONTROLS)].filter(
    (each) =>
      each === from || (each.tabIndex >= 0 && !each.hasAttribute("disabled") && each.getClientRects().length > 0),
  );
  const next = all[all.indexOf(from) + (back ? -1 : 1)];
  next?.focus();
  if (next instanceof HTMLInputElement) next.select();
}

function edit(target: HTMLInputElement | HTMLTextAreaElement, { key, ctrl, shift }: Stroke) {
  const [from, to] = [target.selectionStart ?? 0, target.selectionEnd ?? 0];
  const end = target.value.length;
  if (ctrl && key.toLowerCase() === "a") return target.select();
  if (key === "Backspace" || key === "Delete") {
    if (ctrl && from === to) extendByWord(target, key === "Delete");
    document.execCommand(key === "Backspace" ? "delete" : "forwardDelete");
    return;
  }
  if (key === "Enter" && target instanceof HTMLTextAreaElement) {
    document.execCommand("insertText", false, "\n");
    return;
  }
  const place = {
    ArrowLeft: ctrl ? wordBefore(target.value, from) : from === to || shift ? from - 1 : from,
    ArrowRight: ctrl ? wordAfter(target.value, to) : from === to || shift ? to + 1 : to,
    Home: 0,
    End: end,
  }[key];
  if (place === undefined) return;
  const there = Math.min(Math.max(place, 0), end);
  if (!shift) target.setSelectionRange(there, there);
  else if (key === "ArrowLeft" || key === "Home") target.setSelectionRange(there, to, "backward");
  else target.setSelectionRange(from, there, "forward");
}

function extendByWord(target: HTMLInputElement | HTMLTextAreaElement, forward: boolean) {
  const place = target.selectionStart ?? 0;
  if (forward) target.setSelectionRange(place, wordAfter(target.value, place));
  else target.setSelectionRange(wordBefore(target.value, place), place);
}

const wordBefore = (text: string, place: number) => text.slice(0, place).replace(/\S+\s*$/u, "").length;
const wordAfter = (text: string, place: number) => text.length - text.slice(place).replace(/^\s*\S+/u, "").length;
