import { useEffect, useRef } from "react";
import { tinykeys } from "tinykeys";

/** What is done when keys are pressed, by the keys: "mod+k", "F2". `mod` is Ctrl, or Command. */
export type Shortcuts = { [keys: string]: ((event: KeyboardEvent) => void) | undefined };

/** The same keys as the library wants them: for both keys that `mod` stands for. */
export const bindings = (keys: string): string[] =>
  keys.includes("mod+") ? [keys.replace("mod+", "Control+"), keys.replace("mod+", "Meta+")] : [keys];

/**
 * Keys that are heard wherever the cursor is, also where a list of choices has taken them already: Ctrl Enter
 * chooses there and saves too. Whoever handles one keeps the browser from doing so (`event.preventDefault()`).
 */
export function useShortcuts(shortcuts: Shortcuts) {
  const latest = useRef(shortcuts);
  latest.current = shortcuts;
  const known = Object.keys(shortcuts).sort().join(" ");
  useEffect(() => {
    const map = Object.fromEntries(
      known
        .split(" ")
        .flatMap((keys) =>
          bindings(keys).map((each) => [each, (event: KeyboardEvent) => latest.current[keys]?.(event)]),
        ),
    );
    return tinykeys(window, map);
  }, [known]);
}

/** Whether a dialog is open, whose keys are its own. */
export const inDialog = () => document.querySelector("dialog[open]") !== null;
