import { useQueryClient } from "@tanstack/react-query";
import {
  Braces,
  DatabaseBackup,
  Globe,
  Keyboard,
  KeyRound,
  LogOut,
  Moon,
  ScrollText,
  Send,
  Sun,
  Users,
} from "lucide-react";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import type { Session } from "../api/client";
import { signOut } from "../api/people";
import { queryKeys } from "../api/queryKeys";
import { Confirm } from "../components/Confirm";
import { lowerFirst } from "../components/lowerFirst";
import { Popover } from "../components/Popover";
import { forgetAll, unsavedHere } from "../components/record/tabs";
import { lasting } from "../storage";
import { t, word } from "../words";
import { leave } from "./AuthGate";
import { usePermissions } from "./usePermissions";

type Props = { session: Session; onShortcuts: () => void; onPassword: () => void; onWriting: () => void };
type Theme = "calico" | "lamplight";
const STORED = "up-tack-theme";

/** Whoever acts; opens what belongs to them: the light, the keyboard, the password, signing out. */
export function PersonMenu({ session, onShortcuts, onPassword, onWriting }: Props) {
  const may = usePermissions();
  const client = useQueryClient();
  /** How many things are not saved, while it is asked whether they may go. */
  const [unsaved, setUnsaved] = useState(0);
  const goOut = async () => {
    setUnsaved(0);
    leave();
    await signOut();
    // Once nothing of this person is shown any more.
    await client.resetQueries({ queryKey: queryKeys.session() });
    forgetAll();
  };
  const ask = () => (unsavedHere() > 0 ? setUnsaved(unsavedHere()) : goOut());
  const [theme, setTheme] = useState<Theme>(() => (lasting.get(STORED) === "lamplight" ? "lamplight" : "calico"));
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
    lasting.set(STORED, theme);
  }, [theme]);

  const item = "flex w-full items-center gap-2 rounded px-2 py-1.5 text-left hover:bg-base-200";
  return (
    <>
      <Popover
        align="right"
        name={t("shell.you")}
        className="rounded px-1 py-0.5 text-xs hover:bg-white/10"
        label={`${session.person.name} · ${lowerFirst(word(`people.roles.${session.person.role}`) ?? "")}`}
      >
        {(close) => (
          <div className="w-60">
            <p className="quiet px-2 py-1 text-xs">{t("people.signedInAs")}</p>
            <p className="px-2 pb-1.5">
              <strong>{session.person.name}</strong>{" "}
              <span className="quiet text-xs">{word(`people.roles.${session.person.role}`)}</span>
            </p>
            <div className="my-1 border-t border-base-300" />
            {may.design && (
              <Link to="/people" className={item} onClick={close}>
                <Users size={15} aria-hidden />
                {t("people.title")}
              </Link>
            )}
            <Link to="/sheet" className={item} onClick={close}>
              <ScrollText size={15} aria-hidden />
              {t("sheet.name")}
            </Link>
            {may.design && (
              <Link to="/backups" className={item} onClick={close}>
                <DatabaseBackup size={15} aria-hidden />
                {t("care.title")}
              </Link>
            )}
            {may.design && (
              <button
                type="button"
                className={item}
                onClick={() => {
                  close();
                  onWriting();
                }}
              >
                <Globe size={15} aria-hidden />
                {t("writing.title")}
              </button>
            )}
            <Link to="/api" className={item} onClick={close}>
              <Braces size={15} aria-hidden />
              {t("docs.link")}
            </Link>
            <Link to="/outbox" className={item} onClick={close}>
              <Send size={15} aria-hidden />
              {t("outbox.title")}
            </Link>
            <button
              type="button"
              className={item}
              onClick={() => setTheme(theme === "calico" ? "lamplight" : "calico")}
            >
              {theme === "calico" ? <Moon size={15} aria-hidden /> : <Sun size={15} aria-hidden />}
              {t(`shell.theme.${theme}`)}
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
              <span className="flex-1">{t("shell.shortcuts")}</span>
              <kbd className="key">?</kbd>
            </button>
            <div className="my-1 border-t border-base-300" />
            <button
              type="button"
              className={item}
              onClick={() => {
                close();
                onPassword();
              }}
            >
              <KeyRound size={15} aria-hidden />
              {t("people.ownPassword")}
            </button>
            <button
              type="button"
              className={item}
              onClick={() => {
                close();
                ask();
              }}
            >
              <LogOut size={15} aria-hidden />
              {t("people.signOut")}
            </button>
          </div>
        )}
      </Popover>
      {unsaved > 0 && (
        <Confirm
          title={t("people.signOutAsk")}
          action={t("people.signOutDo")}
          onConfirm={goOut}
          onClose={() => setUnsaved(0)}
        >
          <p>{t("people.signOutLoses", { count: unsaved })}</p>
        </Confirm>
      )}
    </>
  );
}
