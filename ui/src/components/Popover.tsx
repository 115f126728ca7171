import { type ReactNode, useEffect, useRef, useState } from "react";

type Props = {
  label: ReactNode;
  name: string;
  className?: string;
  align?: "left" | "right";
  /** Whether Tab passes the button over. */
  passed?: boolean;
  children: (close: () => void) => ReactNode;
};

/** A button that opens a small sheet beneath itself. Escape or a click elsewhere closes it. */
export function Popover({ label, name, className = "", align = "left", passed = false, children }: Props) {
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLDivElement>(null);
  const button = useRef<HTMLButtonElement>(null);

  useEffect(() => {
    if (!open) return;
    const outside = (event: PointerEvent) => !box.current?.contains(event.target as Node) && setOpen(false);
    window.addEventListener("pointerdown", outside);
    return () => window.removeEventListener("pointerdown", outside);
  }, [open]);

  const close = () => {
    setOpen(false);
    button.current?.focus();
  };

  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: Escape is heard for the whole sheet
    <div
      ref={box}
      className="relative"
      onKeyDown={(event) => {
        if (event.key !== "Escape" || !open) return;
        event.stopPropagation();
        close();
      }}
    >
      <button
        ref={button}
        type="button"
        title={name}
        aria-expanded={open}
        tabIndex={passed ? -1 : undefined}
        className={className}
        onClick={() => setOpen(!open)}
      >
        {label}
      </button>
      {open && (
        <div
          className={`sheet absolute top-full z-40 mt-1 p-2 text-base-content shadow-lg
            ${align === "right" ? "right-0" : "left-0"}`}
        >
          {children(close)}
        </div>
      )}
    </div>
  );
}
