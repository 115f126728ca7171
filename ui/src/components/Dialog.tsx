import { type ReactNode, useEffect, useRef } from "react";
import { t } from "../words";

type Props = {
  title: string;
  onClose: () => void;
  children: ReactNode;
  wide?: boolean;
  /** Whether its last row is a button that closes it, for one that has no other. */
  closable?: boolean;
};

/** A modal sheet on the browser's own dialog element, which keeps the focus inside and hears Escape. */
export function Dialog({ title, onClose, children, wide = false, closable = false }: Props) {
  const element = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    if (!element.current?.open) element.current?.showModal();
    // The browser would put the focus on the first thing that can have it, which need not be what is typed into.
    element.current?.querySelector<HTMLElement>("input:not([type=radio]), textarea")?.focus();
    // Who was typing before goes on where they were, unless something else has the focus by now.
    return () => {
      if (document.activeElement === document.body && before instanceof HTMLElement) before.focus();
    };
  }, []);
  return (
    <dialog
      ref={element}
      onClose={onClose}
      aria-label={title}
      className={`sheet m-auto max-h-[85vh] w-full overflow-auto p-5 text-base-content shadow-xl
        backdrop:bg-black/40 ${wide ? "max-w-3xl" : "max-w-lg"}`}
    >
      <h2 className="mb-3 text-xl">{title}</h2>
      {children}
      {closable && (
        <div className="mt-4 flex justify-end">
          <button type="button" className="btn btn-sm" onClick={onClose}>
            {t("common.close")}
          </button>
        </div>
      )}
    </dialog>
  );
}
