import { useCombobox } from "downshift";
import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { findMatches } from "../../api/queries";
import { sentences, t } from "../../words";
import { useAfterPause } from "../useAfterPause";
import { keyQueue } from "./keyQueue";

export type Match = { id: number; title: string; details: string[] };

type Props = {
  /** The table whose records are looked for. */
  table: string;
  /** Looks for them in another way than among all. */
  search?: (text: string, signal?: AbortSignal) => Promise<Match[]>;
  /** Offers to make a record of what was typed. */
  onNew?: (text: string) => void;
  value: string;
  /** A keystroke: the text so far. */
  onKey?: ((text: string) => void) | undefined;
  onPick: (match: Match) => void;
  /** The field was left with a text for which nothing was picked; empty means cleared. */
  onLeave: (text: string | null) => void;
  /** Whether Enter goes on to the next field once it has taken a match. */
  goesOn?: boolean;
  /** A search goes on, by whose end something is picked or left. */
  onBusy?: ((work: Promise<unknown>) => void) | undefined;
  input: Record<string, unknown>;
  className: string;
};

/** Milliseconds without a keystroke after which records are looked for. */
const PAUSE = 120;

/**
 * Finds a record by any part of its name, typed slowly or fast, with enough beside it to tell two of one name
 * apart.
 */
export function MatchInput({
  table,
  search,
  onNew,
  value,
  onKey,
  onPick,
  onLeave,
  onBusy,
  goesOn = false,
  input,
  className,
}: Props) {
  const look = search ?? ((words: string, signal?: AbortSignal) => findMatches(table, words, signal));
  const latest = useRef(look);
  latest.current = look;
  const [text, draw] = useState<string | null>(null);
  // Read when the field is left, which may be before what was typed is drawn.
  const typedNow = useRef(text);
  const setText = (now: string | null) => {
    typedNow.current = now;
    draw(now);
  };
  const [matches, setMatches] = useState<Match[]>([]);
  const [found, setFound] = useState<string | null>(null);
  const [failed, setFailed] = useState(false);
  const leaving = useRef(false);
  const making = useRef(false);
  // Whether what stands in the field was picked since it was last typed in.
  const picked = useRef(false);
  const moved = useRef(false);

  const pick = (match: Match) => {
    picked.current = true;
    setText(null);
    onPick(match);
  };

  const box = useCombobox<Match>({
    items: matches,
    inputValue: text ?? value,
    itemToString: (match) => match?.title ?? "",
    defaultHighlightedIndex: 0,
    selectedItem: null,
    onStateChange: ({ type, selectedItem }) => {
      const { InputKeyDownEnter, ItemClick } = useCombobox.stateChangeTypes;
      if ((type === InputKeyDownEnter || type === ItemClick) && selectedItem) pick(selectedItem);
    },
    stateReducer: (_state, { type, changes }) =>
      // Leaving is decided below, where it is known whether the matches are those of the text.
      type === useCombobox.stateChangeTypes.InputBlur
        ? { ...changes, selectedItem: null, inputValue: text ?? value }
        : changes,
  });

  const highlight = useRef(box.setHighlightedIndex);
  highlight.current = box.setHighlightedIndex;

  // An open list without a keystroke shows everybody; what stands in the field stays.
  const query = text ?? (box.isOpen ? "" : null);
  const seek = (text: string, signal: AbortSignal) =>
    latest.current(text, signal).then(
      (answer) => {
        setMatches(answer);
        setFound(text);
        setFailed(false);
        highlight.current(answer.length > 0 ? 0 : -1);
      },
      () => {
        if (!signal.aborted) setFailed(true);
      },
    );
  useAfterPause(query === null ? null : (signal) => seek(query, signal), PAUSE, query ?? "");

  const leave = async () => {
    if (leaving.current) return;
    // The cursor went to the dialog for a new record; nothing is decided yet.
    if (making.current) {
      making.current = false;
      return;
    }
    const typed = picked.current ? null : typedNow.current;
    picked.current = false;
    setText(null);
    if (typed === null || typed === value) return onLeave(null);
    if (typed.trim() === "") return onLeave("");
    leaving.current = true;
    const current = found === typed ? matches : await latest.current(typed).catch(() => []);
    leaving.current = false;
    const highlighted = found === typed ? current[Math.max(0, box.highlightedIndex)] : undefined;
    const only = current.length === 1 ? current[0] : undefined;
    const same = current.filter((each) => each.title.toLowerCase() === typed.trim().toLowerCase());
    const meant =
      highlighted && box.highlightedIndex > 0 ? highlighted : (only ?? (same.length === 1 ? same[0] : undefined));
    if (meant) onPick(meant);
    else onLeave(typed);
  };

  const open = box.isOpen && found === query;

  // What was pressed for a list that is still looked for: it is played once the list is there.
  const early = useRef<HTMLElement | null>(null);
  useEffect(() => {
    if (!early.current || (found !== text && !failed)) return;
    const there = early.current;
    early.current = null;
    keyQueue.playOn(there);
  }, [found, failed, text]);
  const tooEarly = (event: KeyboardEvent<HTMLInputElement> & { preventDownshiftDefault?: boolean }) => {
    if (!onBusy || typedNow.current === null || typedNow.current.trim() === "" || found === typedNow.current || failed)
      return false;
    if (!/^(ArrowDown|ArrowUp|Enter)$/.test(event.key) || event.ctrlKey || event.metaKey) return false;
    (event.nativeEvent as Event & { preventDownshiftDefault?: boolean }).preventDownshiftDefault = true;
    event.preventDefault();
    event.stopPropagation();
    early.current = event.currentTarget;
    keyQueue.holdFrom({ key: event.key, text: false, shift: event.shiftKey, ctrl: false });
    return true;
  };
  const twins = matches.length > 1 && matches[0]?.title === matches[1]?.title;

  /** With the list open Enter takes a match; without it, it goes on like Tab. */
  const onEnter = (event: KeyboardEvent) => {
    const leaveItBe = () => {
      (event.nativeEvent as Event & { preventDownshiftDefault?: boolean }).preventDownshiftDefault = true;
    };
    // The list is that of an earlier text, or has none that could be meant: leaving finds out.
    if (!open || matches.length === 0) return leaveItBe();
    leaveItBe();
    event.preventDefault();
    // Of two of one name only a hand can tell which is meant.
    const unclear = twins && !moved.current;
    const match = matches[Math.max(0, box.highlightedIndex)];
    // Taken at once: the cursor may go on before the list has told of it.
    if (!unclear && match) {
      pick(match);
      box.closeMenu();
    }
    if (!goesOn || unclear) event.stopPropagation();
  };

  return (
    <div className="relative">
      <input
        {...box.getInputProps({
          ...input,
          // Taken at once, not when the list has been shown: a fast hand must not outrun it.
          onChange: (event) => {
            picked.current = false;
            moved.current = false;
            setText(event.currentTarget.value);
            onKey?.(event.currentTarget.value);
          },
          onBlur: () => {
            const work = leave();
            onBusy?.(work);
          },
          onKeyDown: (event) => {
            if (tooEarly(event)) return;
            if (event.key.startsWith("Arrow")) moved.current = true;
            if (event.key === "Enter" && box.isOpen) onEnter(event);
            if (event.key === "Escape" && open) event.stopPropagation();
            if (event.key === "Insert" && onNew) {
              event.preventDefault();
              making.current = true;
              box.closeMenu();
              onNew(text ?? "");
            }
          },
        })}
        autoComplete="off"
        className={className}
      />
      <ul
        {...box.getMenuProps()}
        className={`sheet absolute top-full right-0 left-0 z-30 mt-0.5 max-h-64 overflow-auto text-base-content
          shadow-lg ${open ? "" : "hidden"}`}
      >
        {open &&
          matches.map((match, index) => (
            <li
              key={match.id}
              {...box.getItemProps({ item: match, index })}
              className={`cursor-pointer px-2.5 py-1 ${box.highlightedIndex === index ? "bg-[var(--tint-lit)]" : ""}`}
            >
              <span className="font-semibold">{match.title}</span>{" "}
              <span className="quiet text-xs">
                {[`${t("records.number")} ${match.id}`, ...match.details].join(" · ")}
              </span>
            </li>
          ))}
        {open && twins && <li className="quiet px-2.5 py-1 text-xs">{t("form.twins")}</li>}
        {open && matches.length === 0 && <li className="quiet px-2.5 py-1">{t("form.noMatch")}</li>}
        {open && onNew && (
          <li className="sticky bottom-0 border-base-300 border-t bg-base-100">
            <button
              type="button"
              tabIndex={-1}
              className="flex w-full items-center gap-2 px-2.5 py-1 text-left hover:bg-base-200"
              onPointerDown={(event) => {
                event.preventDefault();
                making.current = true;
                box.closeMenu();
                onNew(text ?? "");
              }}
            >
              <span className="flex-1">{sentences.form.makeNew(text ?? "")}</span>
              <kbd className="key">Ins</kbd>
            </button>
          </li>
        )}
      </ul>
    </div>
  );
}
