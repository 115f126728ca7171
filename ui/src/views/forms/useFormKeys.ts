import { useEffect } from "react";

/** Ctrl S saves, Ctrl Enter saves and goes on; the field that is being typed in counts. */
export function useFormKeys({ save, saveNext }: { save: () => void; saveNext: () => void }) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey)) return;
      const action = { s: save, enter: saveNext }[event.key.toLowerCase()];
      if (!action || document.querySelector("dialog[open]")) return;
      event.preventDefault();
      action();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
