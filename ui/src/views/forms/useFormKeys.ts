import { inDialog, useShortcuts } from "../../app/useShortcuts";

/** Ctrl S saves, Ctrl Enter saves and goes on; the field that is being typed in counts. */
export function useFormKeys({ save, saveNext }: { save: () => void; saveNext: () => void }) {
  const alone = (action: () => void) => (event: KeyboardEvent) => {
    if (inDialog()) return;
    event.preventDefault();
    action();
  };
  useShortcuts({ "mod+s": alone(save), "mod+Enter": alone(saveNext) });
}
