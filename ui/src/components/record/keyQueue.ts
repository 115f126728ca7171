import { ofTab, readJson } from "../../storage";
import { t } from "../../words";
import { astray, playText, press } from "./playing";
import { onForgetting } from "./tabs";

/** A key as it was pressed, or a text as it came from an input method or a paste. */
export type Stroke = { key: string; text: boolean; shift: boolean; ctrl: boolean };

/** Keys that mean something in a form beside those that write a character. */
const MEANT =
  /^(Tab|Enter|Escape|Backspace|Delete|Insert|Home|End|PageUp|PageDown|ArrowUp|ArrowDown|ArrowLeft|ArrowRight)$/;
/** Combinations with Ctrl that a form takes; all others stay the browser's. */
const WITH_CTRL = /^(s|enter|a|z|y|backspace|delete|home|end|arrowleft|arrowright)$/;

/** Milliseconds without a key after which hands have stopped. */
const PAUSE = 600;

/**
 * While it is not known where the cursor goes (the server is asked, a record is saved) keys belong to
 * where it is going. They are held here in their order and played there: letters, Tab and its way
 * back, arrows, deletions and the next save alike. There is one keyboard, so there is one queue.
 */
class KeyQueue {
  private strokes: Stroke[] = [];
  private aside: Stroke[] = recalled().aside;
  /** What was held when the page went: where it belonged is no longer known, so it is only shown. */
  private unplaced = recalled().held;
  private waiting = false;
  private until: "move" | "save" = "save";
  private turn = 0;
  /** When the last key was held, in milliseconds of the page. */
  private lastHeld = 0;
  private readonly listeners = new Set<() => void>();
  private catcher: HTMLInputElement | null = null;

  /** Key of the field to which the cursor comes back when the form is drawn again. */
  resumeAt: string | null = null;

  /** Whether keys are held. */
  get held() {
    return this.waiting;
  }

  /** What is held or waits for the next record, for people: a sign for each key that writes nothing. */
  get shown() {
    return {
      held: describe(this.strokes.slice(0, 200)),
      aside: describe(this.aside),
      unplaced: describe(this.unplaced),
    };
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  };

  /**
   * From now on keys are held. The field that has the cursor is left by that.
   * @param until a "move" ends as well when a hand puts the cursor elsewhere; a "save" does not, since what
   *   is typed then would fall into the record that is being saved
   * @returns the turn, by which a release is told from that of an earlier hold
   */
  hold(until: "move" | "save" = "save") {
    if (this.waiting && until === "move") return this.turn;
    this.begin(until);
    this.focusCatcher();
    this.tell();
    return this.turn;
  }

  /** What was being saved is saved: from here on only the cursor is on its way. */
  arriving() {
    this.until = "move";
  }

  private begin(until: "move" | "save") {
    this.waiting = true;
    this.until = until;
    // A save takes the keys over from a move that is still going on.
    this.turn += 1;
    window.addEventListener("keydown", this.onKeyDown, true);
    window.addEventListener("focusin", this.onFocus, true);
  }

  private end() {
    this.waiting = false;
    window.removeEventListener("keydown", this.onKeyDown, true);
    window.removeEventListener("focusin", this.onFocus, true);
  }

  // Somebody clicked into another field: that is where the cursor is now, whatever was waited for.
  private readonly onFocus = (event: FocusEvent) => {
    const target = event.target;
    if (this.until !== "move" || target === this.catcher || !(target instanceof HTMLElement)) return;
    if (!target.matches("input, textarea, select, [contenteditable='true']")) return;
    this.giveUp();
  };

  /** The cursor is free again; what was held is shown, since where it belonged is no longer known. */
  private giveUp() {
    this.end();
    if (document.activeElement === this.catcher) this.catcher?.blur();
    this.unplaced.push(...this.strokes.splice(0));
    this.tell();
  }

  /** The cursor stands where it was to go: what was held is played there, key by key. */
  release(target?: HTMLElement | null, turn = this.turn) {
    if (turn !== this.turn) return;
    // The keys are free again already; only a cursor that stands nowhere is put somewhere.
    if (!this.waiting) {
      if (target && document.activeElement === document.body) land(target);
      return;
    }
    this.end();
    if (target) land(target);
    else if (document.activeElement === this.catcher) this.catcher?.blur();
    this.play();
  }

  /** Holds a key that came too early for what it was pressed on, before all that follow. */
  holdFrom(stroke: Stroke) {
    this.strokes.unshift(stroke);
    if (!this.waiting) this.begin("move");
  }

  /**
   * Hands do not stop the moment something is said: whoever types on without a pause still means the next
   * record.
   * @returns once no key was held for a while; at once where none was
   */
  async calm() {
    while (this.strokes.length > 0 && performance.now() - this.lastHeld < PAUSE)
      await new Promise((resolve) => window.setTimeout(resolve, PAUSE - (performance.now() - this.lastHeld) + 1));
  }

  /** Whether any key waits to be played. */
  get any() {
    return this.strokes.length > 0;
  }

  /** What was waited for is there, in the input that still has the cursor: it is played on. */
  playOn(target: HTMLElement) {
    if (!this.waiting) return;
    this.end();
    if (document.activeElement !== target) target.focus();
    this.play();
  }

  /** The next record does not come yet: what was held for it waits aside. */
  putAside() {
    this.aside.push(...this.strokes.splice(0));
    this.tell();
  }

  /** The next record is here: what waited aside is played before anything else. */
  takeUp() {
    this.strokes.unshift(...this.aside.splice(0));
    this.tell();
  }

  /** Whether anything waits for the next record. */
  get waitsAside() {
    return this.aside.length > 0;
  }

  /** What waited aside is not wanted. */
  drop() {
    this.aside = [];
    this.unplaced = [];
    this.tell();
  }

  private focusCatcher() {
    if (!this.catcher) {
      this.catcher = document.createElement("input");
      this.catcher.className = "sr-only";
      this.catcher.tabIndex = -1;
      this.catcher.autocomplete = "off";
      this.catcher.setAttribute("aria-label", t("form.typeOn"));
      // Whoever listens is told what has the cursor in the meantime; nobody comes upon it otherwise.
      // It is told of a blur, too, while it moves into a dialog and while another window is in front.
      this.catcher.addEventListener("blur", () =>
        queueMicrotask(() => document.activeElement !== this.catcher && this.catcher?.remove()),
      );
      this.catcher.addEventListener("input", this.onInput);
      this.catcher.addEventListener("compositionend", this.onInput);
    }
    // Beneath an open dialog nothing can have the cursor.
    const place = document.querySelector("dialog[open]") ?? document.body;
    if (this.catcher.parentElement !== place) place.append(this.catcher);
    this.catcher.focus({ preventScroll: true });
  }

  private readonly onKeyDown = (event: KeyboardEvent) => {
    // An input method writes into the catcher, whole words at a time.
    if (event.isComposing || event.key === "Dead" || event.key === "Process") return this.focusCatcher();
    if (event.key === "Escape" && this.until === "move") return this.giveUp();
    const ctrl = event.ctrlKey || event.metaKey;
    const writes = [...event.key].length === 1 && (!ctrl || event.getModifierState("AltGraph"));
    if (!writes && (event.altKey || (ctrl ? !WITH_CTRL.test(event.key.toLowerCase()) : !MEANT.test(event.key)))) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    this.lastHeld = performance.now();
    this.strokes.push({ key: event.key, text: writes, shift: event.shiftKey, ctrl: ctrl && !writes });
    this.tell();
  };

  private readonly onInput = (event: Event) => {
    if (!this.catcher || (event as InputEvent).isComposing) return;
    const text = this.catcher.value;
    this.catcher.value = "";
    if (text === "") return;
    if (!this.waiting) return astray(text);
    this.lastHeld = performance.now();
    this.strokes.push({ key: text, text: true, shift: false, ctrl: false });
    this.tell();
  };

  private play() {
    while (!this.waiting) {
      const stroke = this.strokes.shift();
      if (!stroke) break;
      if (!stroke.text) press(stroke);
      else {
        let text = stroke.key;
        while (this.strokes[0]?.text) text += this.strokes.shift()?.key ?? "";
        playText(text);
      }
    }
    this.tell();
  }

  private timer: number | undefined;
  private frame: number | undefined;
  /** Not with each key: a long queue takes its time to be written down. */
  readonly remember = () => {
    window.clearTimeout(this.timer);
    this.timer = undefined;
    remember({ held: [...this.unplaced, ...this.strokes], aside: this.aside });
  };

  private tell() {
    this.timer ??= window.setTimeout(this.remember, 200);
    document.documentElement.toggleAttribute("data-waiting", this.waiting || this.strokes.length > 0);
    // What is shown keeps up with the screen, not with the keys.
    this.frame ??= window.requestAnimationFrame(() => {
      this.frame = undefined;
      for (const listener of this.listeners) listener();
    });
  }
}

const PLACE = "up-tack-keys";

/** Keys that wait outlive a reload of their tab. */
function remember(keys: { held: Stroke[]; aside: Stroke[] }) {
  ofTab.set(PLACE, keys.held.length + keys.aside.length === 0 ? null : JSON.stringify(keys));
}

function recalled(): { held: Stroke[]; aside: Stroke[] } {
  return readJson(ofTab, PLACE) ?? { held: [], aside: [] };
}

/** The keys of this page that wait for their place. */
export const keyQueue = new KeyQueue();
onForgetting(() => keyQueue.drop());
window.addEventListener("pagehide", keyQueue.remember);

/** Puts the cursor into an input, over what stands there: typing replaces it. */
export function land(target: HTMLElement) {
  target.focus();
  if (target instanceof HTMLInputElement && target.type !== "checkbox") target.select();
}

const SIGNS: { [key: string]: string } = { Tab: "⇥", Enter: "↵", Backspace: "⌫", Delete: "⌦" };

const describe = (strokes: Stroke[]) =>
  strokes.map((stroke) => (stroke.text ? stroke.key : stroke.ctrl ? "" : (SIGNS[stroke.key] ?? ""))).join("");
