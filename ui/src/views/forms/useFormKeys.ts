import { useEffect } from "react";

/** Ctrl S saves, Ctrl Enter saves and goes on. The field that is being typed in is left first, so that it counts. */
export function useFormKeys({ save, saveNext }: { save: () => void; saveNext: () => void }) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey)) return;
      const action = { s: save, enter: saveNext }[event.key.toLowerCase()];
      if (!action || document.querySelector("dialog[open]")) return;
      event.preventDefault();
      const field = document.activeElement as HTMLElement | null;
      field?.blur();
      // Only after the render that the blur brings about is the field's text in the draft.
      setTimeout(() => window.dispatchEvent(new CustomEvent("up-tack-save", { detail: event.key.toLowerCase() })));
    };
    const onSave = (event: Event) => ((event as CustomEvent).detail === "s" ? save() : saveNext());
    window.addEventListener("keydown", onKey);
    window.addEventListener("up-tack-save", onSave);
    return () => {
      window.removeEventListener("keydown", onKey);
      window.removeEventListener("up-tack-save", onSave);
    };
  });
}
