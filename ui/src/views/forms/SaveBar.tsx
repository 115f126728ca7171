import { type ReactNode, type RefObject, useEffect, useRef } from "react";
import { astray, writes } from "../../components/record/playing";
import { t } from "../../words";
import { TypedAhead } from "./TypedAhead";

type Props = {
  isNew: boolean;
  saving: boolean;
  /** Whether the server has not answered a save, which is sent again. */
  silent: boolean;
  /** Saves; true goes on to the next new record. */
  save: (next: boolean) => void;
  button: RefObject<HTMLButtonElement | null>;
  /** Whether the form goes on to the next record too. */
  next?: boolean;
  width: string;
  /** What keeps the record from being saved, where it has no place in the form. */
  children?: ReactNode;
};

/** Always in sight: the two ways to save, that which is usual here first. */
export function SaveBar({ isNew, saving, silent, save, button, next: goesOn = true, width, children }: Props) {
  const here = { label: t("form.save"), keys: "Ctrl S", next: false };
  const next = { label: t("form.saveNext"), keys: "Ctrl Enter", next: true };
  const [usual, other] = isNew && goesOn ? [next, here] : [here, next];
  // Whatever must not be covered, or cover it, keeps as far away as it is high.
  const bar = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const root = document.documentElement.style;
    const watch = new ResizeObserver(() => root.setProperty("--save-bar", `${bar.current?.offsetHeight ?? 0}px`));
    if (bar.current) watch.observe(bar.current);
    return () => {
      watch.disconnect();
      root.removeProperty("--save-bar");
    };
  }, []);
  return (
    <div ref={bar} className="fixed inset-x-0 bottom-0 border-base-300 border-t bg-base-100">
      <div className={`mx-auto ${width} px-5 empty:hidden [&>*]:pt-2`}>
        {saving && !silent && (
          <p className="typed-ahead quiet text-sm" role="status">
            {t("form.saving")}
          </p>
        )}
        {silent && (
          <p role="alert" className="text-error text-sm">
            {t("form.silent")}
          </p>
        )}
        {children}
        <TypedAhead />
      </div>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: letters on the buttons have no place, which is said */}
      <div
        className={`mx-auto flex ${width} flex-wrap items-center gap-2 px-5 py-2.5`}
        onKeyDown={(event) => {
          if (!writes(event) || event.key === " ") return;
          event.preventDefault();
          astray(event.key);
        }}
      >
        <button
          ref={button}
          type="button"
          className="btn btn-primary btn-sm"
          onClick={() => save(usual.next)}
          disabled={saving}
        >
          {usual.label}
          <kbd className="text-[0.6875rem] opacity-75 max-sm:hidden">{usual.keys}</kbd>
        </button>
        {goesOn && (
          <button type="button" className="btn btn-sm" onClick={() => save(other.next)} disabled={saving}>
            {other.label}
            <kbd className="text-[0.6875rem] opacity-75 max-sm:hidden">{other.keys}</kbd>
          </button>
        )}
        <span className="quiet ml-auto flex items-center gap-1.5 text-xs max-sm:hidden">
          <kbd className="key">Enter</kbd>
          {t("form.moveOn")}
        </span>
      </div>
    </div>
  );
}
