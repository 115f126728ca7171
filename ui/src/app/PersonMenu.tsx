import { Keyboard, Moon, Send, Sun } from "lucide-react";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import type { Session } from "../api/client";
import { useActAs } from "../api/queries";
import { Popover } from "../components/Popover";
import { words } from "../words";

type Theme = "calico" | "lamplight";
const STORED = "up-tack-theme";

/** Whoever acts; opens what belongs to them: going on as somebody else, the light, the keyboard. */
export function PersonMenu({ session, onShortcuts }: { session: Session; onShortcuts: () => void }) {
  const actAs = useActAs();
  const [theme, setTheme] = useState<Theme>(() =>
    localStorage.getItem(STORED) === "lamplight" ? "lamplight" : "calico",
  );
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
    localStorage.setItem(STORED, theme);
  }, [theme]);

  const item = "flex w-full items-center gap-2 rounded px-2 py-1.5 text-left hover:bg-base-200";
  return (
    <Popover
      align="right"
      name={words.shell.actingAs}
      className="rounded px-1 py-0.5 text-xs hover:bg-white/10"
      label={`${session.person.name} · ${session.person.role}`}
    >
      {(close) => (
        <div className="w-60">
          <p className="quiet px-2 py-1 text-xs">{words.shell.actingAs}</p>
          {session.people.map((person) => (
            <button
              key={person.id}
              type="button"
              aria-pressed={person.id === session.person.id}
              className={`${item} ${person.id === session.person.id ? "font-semibold" : ""}`}
              onClick={() => {
                actAs.mutate(person.id);
                close();
              }}
            >
              <span className="flex-1">{person.name}</span>
              <span className="quiet text-xs font-normal">{person.role}</span>
            </button>
          ))}
          <div className="my-1 border-t border-base-300" />
          <Link to="/outbox" className={item} onClick={close}>
            <Send size={15} aria-hidden />
            {words.outbox.title}
          </Link>
          <button type="button" className={item} onClick={() => setTheme(theme === "calico" ? "lamplight" : "calico")}>
            {theme === "calico" ? <Moon size={15} aria-hidden /> : <Sun size={15} aria-hidden />}
            {words.shell.theme[theme]}
          </button>
          <button
            type="button"
            className={item}
            onClick={() => {
              close();
              onShortcuts();
            }}
          >
            <Keyboard size={15} aria-hidden />
            <span className="flex-1">{words.shell.shortcuts}</span>
            <kbd className="key">?</kbd>
          </button>
        </div>
      )}
    </Popover>
  );
}
