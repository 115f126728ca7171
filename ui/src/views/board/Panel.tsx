import { X } from "lucide-react";
import { type ReactNode, useEffect, useRef } from "react";
import { HelpLink } from "../../components/HelpLink";
import { MessageText } from "../../components/MessageText";
import { t } from "../../words";

type Refused = { part?: string | null; message: string };
type Props = {
  title: ReactNode;
  above: string;
  name: string;
  onClose: () => void;
  onSave: () => void;
  children: ReactNode;
  footer: ReactNode;
  /** What stands right above the footer, such as that it is a draft. */
  note?: ReactNode;
  /** Why it was not saved: said at the button that saves, and its place is brought into sight. */
  refused?: Refused[];
  /** What stands beside the rest where there is room, else beneath it. */
  beside?: ReactNode;
  wide?: boolean;
  /** Whether it stands beneath even where there is room. */
  stacked?: boolean;
  /** The page of the guide that explains it. */
  guide?: string | undefined;
};

/** The editor at the side of the board. Escape closes it, Ctrl Enter saves. */
export function Panel({
  title,
  above,
  name,
  onClose,
  onSave,
  children,
  footer,
  note,
  refused = [],
  beside,
  wide = false,
  stacked = false,
  guide,
}: Props) {
  const panel = useRef<HTMLElement>(null);
  const split = wide && !stacked;
  useEffect(() => {
    const first = panel.current?.querySelector<HTMLElement>("[data-first]");
    (first ?? panel.current)?.focus();
  }, []);
  const said = refused.map((each) => each.message).join("\n");
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever something else is refused
  useEffect(() => {
    if (said !== "") showFault(panel.current, refused);
  }, [said]);
  return (
    <aside
      ref={panel}
      tabIndex={-1}
      aria-label={name}
      className={`flex max-w-full shrink-0 flex-col border-base-300 border-l bg-base-100 max-lg:fixed
        max-lg:inset-y-0 max-lg:right-0 max-lg:z-30 max-lg:shadow-xl
        ${stacked ? "w-[56rem]" : wide ? "w-[52rem] max-xl:w-[29rem]" : "w-[29rem]"}`}
      onKeyDown={(event) => {
        if (event.key === "Escape" && !event.defaultPrevented) onClose();
        if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) {
          event.preventDefault();
          onSave();
        }
      }}
    >
      <div className="flex items-start gap-2 border-base-300 border-b px-4 py-3">
        <div className="min-w-0 flex-1">
          <p className="font-semibold text-secondary text-xs uppercase tracking-wide">{above}</p>
          <h2 className="truncate text-lg">{title}</h2>
        </div>
        {guide && <HelpLink page={guide} />}
        <button
          type="button"
          className="btn btn-ghost btn-sm btn-square"
          title={`${t("common.close")} (Esc)`}
          aria-label={t("common.close")}
          onClick={onClose}
        >
          <X size={16} aria-hidden />
        </button>
      </div>
      <div className={`min-h-0 flex-1 overflow-auto ${split ? "xl:grid xl:grid-cols-2 xl:overflow-hidden" : ""}`}>
        <div data-faults className={`flex flex-col gap-4 px-4 py-4 ${split ? "xl:overflow-auto" : ""}`}>
          {children}
        </div>
        {beside && (
          <div className={`px-4 pb-4 ${split ? "xl:overflow-auto xl:border-base-300 xl:border-l xl:pt-4" : ""}`}>
            {beside}
          </div>
        )}
      </div>
      {note}
      {refused.length > 0 && (
        <div className="flex items-start gap-3 border-error border-t bg-[var(--tint-refused)] px-4 py-2" role="alert">
          <div className="min-w-0 flex-1 text-error">
            {refused.slice(0, 3).map((each) => (
              <p key={each.message}>
                <MessageText text={each.message} />
              </p>
            ))}
          </div>
          <button type="button" className="link shrink-0 text-xs" onClick={() => showFault(panel.current, refused)}>
            {t("rulePanel.showFault")}
          </button>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-2 border-base-300 border-t px-4 py-2.5">{footer}</div>
    </aside>
  );
}

/** Brings into sight, and under the cursor, what a refusal is about. */
function showFault(panel: HTMLElement | null, refused: Refused[]) {
  const named = refused.flatMap(({ part }) => {
    const [first] = (part ?? "").split(".");
    return first ? [panel?.querySelector<HTMLElement>(`[data-part="${first}"]`)] : [];
  });
  const place = named.find((each) => each) ?? panel?.querySelector<HTMLElement>("[data-faults] [role=alert]");
  place?.scrollIntoView({ block: "center" });
  place?.querySelector<HTMLElement>("input, select, textarea, [contenteditable=true]")?.focus({ preventScroll: true });
}
