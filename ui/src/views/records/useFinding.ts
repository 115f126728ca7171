import { type RefObject, useEffect, useState } from "react";

/** Whether the bar that looks for a text is open: Ctrl F opens it from anywhere on the page. */
export function useFinding(grid: RefObject<HTMLElement | null>) {
  const [isOpen, setOpen] = useState(false);
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const wanted = (event.ctrlKey || event.metaKey) && !event.altKey && !event.shiftKey && event.key === "f";
      if (!wanted || event.defaultPrevented || document.querySelector("dialog[open]")) return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, []);
  return {
    isOpen,
    open: () => setOpen(true),
    close: () => {
      setOpen(false);
      grid.current?.focus({ preventScroll: true });
    },
  };
}
