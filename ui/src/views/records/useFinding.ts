import { type RefObject, useState } from "react";
import { inDialog, useShortcuts } from "../../app/useShortcuts";

/** Whether the bar that looks for a text is open: Ctrl F opens it from anywhere on the page. */
export function useFinding(grid: RefObject<HTMLElement | null>) {
  const [isOpen, setOpen] = useState(false);
  useShortcuts({
    "mod+f": (event) => {
      if (event.defaultPrevented || inDialog()) return;
      event.preventDefault();
      setOpen(true);
    },
  });
  return {
    isOpen,
    open: () => setOpen(true),
    close: () => {
      setOpen(false);
      grid.current?.focus({ preventScroll: true });
    },
  };
}
