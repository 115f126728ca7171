import { useEffect, useSyncExternalStore } from "react";
import { toast } from "sonner";
import { keyQueue } from "../../components/record/keyQueue";
import { ASTRAY, type Astray } from "../../components/record/playing";
import { words } from "../../words";

const shown = () => JSON.stringify(keyQueue.shown);

/** What was typed and waits for its place: for the server's answer, or for the next record. */
export function TypedAhead() {
  const { held, aside, unplaced } = JSON.parse(
    useSyncExternalStore(keyQueue.subscribe, shown),
  ) as typeof keyQueue.shown;
  useEffect(() => {
    const say = (event: Event) => {
      const { text, choices } = (event as CustomEvent<Astray>).detail;
      const said = choices.length > 0 ? words.form.noChoiceBegins(text, choices) : words.form.astray(text);
      toast.warning(said, { id: ASTRAY, duration: 10_000 });
    };
    window.addEventListener(ASTRAY, say);
    return () => window.removeEventListener(ASTRAY, say);
  }, []);
  return (
    <>
      {(aside || unplaced) !== "" && (
        <p className="flex min-w-0 items-center gap-2 text-sm" role="status">
          <span className="min-w-0 truncate">
            {unplaced ? words.form.unplaced : words.form.aside} <span className="font-mono">{unplaced + aside}</span>
          </span>
          <button type="button" className="link shrink-0" onClick={() => keyQueue.drop()}>
            {words.form.dropAside}
          </button>
        </p>
      )}
      {held !== "" && (
        <p className="typed-ahead min-w-0 truncate text-sm" aria-hidden>
          {words.form.held} <span className="font-mono">{held}</span>
        </p>
      )}
    </>
  );
}
