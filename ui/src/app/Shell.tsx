import { CircleHelp } from "lucide-react";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { Link, NavLink, Outlet, useParams } from "react-router";
import { useSession, useTable } from "../api/queries";
import { Arriving } from "../components/Arriving";
import { Loading } from "../components/Loading";
import { Mark } from "../components/Mark";
import { group, t } from "../words";
import { ClockChip } from "./ClockChip";
import { FieldOriginDialog } from "./FieldOriginDialog";
import { JobProgress } from "./JobProgress";
import { NoticesWaiting } from "./NoticesWaiting";
import { PasswordAgain } from "./PasswordAgain";
import { PersonMenu } from "./PersonMenu";
import { TableSwitcher } from "./TableSwitcher";
import { typingInto } from "./typingInto";
import { useAstray } from "./useAstray";
import { useDesignUndo } from "./useDesignUndo";
import { usePermissions } from "./usePermissions";
import { useShortcuts } from "./useShortcuts";
import { useUnanswered } from "./useUnanswered";
import { Waiting } from "./Waiting";

const Palette = lazy(() => import("./Palette"));
const PasswordDialog = lazy(() => import("../views/people/PasswordDialog"));
const Shortcuts = lazy(() => import("./Shortcuts"));
const WritingDialog = lazy(() => import("./WritingDialog"));

const VIEWS = group("views");
/** The bench is where rules are tried, by those who write them. */
const BUILDERS_ONLY = ["bench"];

export function Shell() {
  const { table } = useParams();
  const session = useSession();
  const may = usePermissions();
  const here = useTable(table ?? "");
  const [open, setOpen] = useState<"palette" | "shortcuts" | "password" | "writing" | null>(null);
  const { undo, redo } = useDesignUndo();
  useAstray();
  useUnanswered();

  const place = useRef<Element | null>(null);
  const find = () => {
    if (open !== "palette") place.current = document.activeElement;
    setOpen("palette");
  };

  const outside = (action: () => void) => (event: KeyboardEvent) => {
    if (typingInto(event.target)) return;
    event.preventDefault();
    action();
  };
  const help = outside(() => setOpen("shortcuts"));
  useShortcuts({
    "mod+k": (event) => {
      event.preventDefault();
      find();
    },
    // Where a keyboard has it, with the shift key and without.
    "Shift+?": help,
    "?": help,
    "mod+z": may.design ? outside(undo) : undefined,
    "mod+Shift+z": may.design ? outside(redo) : undefined,
  });

  useEffect(() => {
    const parts = [here.data?.label, session.data?.project.name, t("name")];
    document.title = parts.filter(Boolean).join(" · ");
  }, [here.data?.label, session.data?.project.name]);

  return (
    <div className="relative flex h-full flex-col overflow-hidden">
      <a href="#content" className="btn btn-sm absolute -top-12 left-2 z-50 focus:top-2">
        {t("shell.skip")}
      </a>
      <header
        className="flex min-h-12 shrink-0 flex-wrap items-center gap-x-3 gap-y-1 bg-neutral px-4 py-1
        text-neutral-content print:hidden"
      >
        <Link to="/" className="flex items-center gap-2 font-title text-lg font-semibold" title={t("shell.allTables")}>
          <Mark />
          <span className="max-sm:sr-only">{t("name")}</span>
        </Link>
        <span className="opacity-40 max-lg:hidden">/</span>
        <Link to="/" className="max-w-56 truncate hover:underline max-lg:hidden" title={t("shell.allTables")}>
          {session.data?.project.name}
        </Link>
        {here.data && (
          <>
            <span className="opacity-40">/</span>
            <TableSwitcher table={here.data} />
            <nav
              className="flex gap-0.5 max-sm:order-last max-sm:-mx-2 max-sm:w-[calc(100%+1rem)] max-sm:overflow-x-auto"
              aria-label={here.data.label}
            >
              {VIEWS.filter(([view]) => may.design || !BUILDERS_ONLY.includes(view)).map(([view, label]) => (
                <NavLink
                  key={view}
                  to={`/t/${here.data.key}/${view}`}
                  className={({ isActive }) =>
                    `rounded px-2.5 py-1 ` +
                    `${isActive ? "bg-base-100 font-semibold text-base-content" : "opacity-80 hover:opacity-100"}`
                  }
                >
                  {label}
                </NavLink>
              ))}
            </nav>
          </>
        )}
        <div className="ml-auto flex items-center gap-3">
          <button
            type="button"
            onClick={find}
            className="flex items-center gap-2 rounded border border-white/25 px-2 py-0.5 text-xs opacity-85
              hover:opacity-100 max-md:hidden"
          >
            {t("shell.find")}
            <kbd className="font-sans opacity-75">Ctrl K</kbd>
          </button>
          <Link
            to="/guide"
            className="flex min-h-8 min-w-8 items-center justify-center gap-1 text-xs opacity-85 hover:opacity-100"
            title={t("guide.title")}
          >
            <CircleHelp size={14} aria-hidden />
            <span className="max-sm:sr-only">{t("shell.help")}</span>
          </Link>
          {session.data && <NoticesWaiting person={session.data.person.name} />}
          {session.data && <ClockChip now={session.data.clock.now} zone={session.data.project.time_zone} />}
          {session.data && (
            <PersonMenu
              session={session.data}
              onShortcuts={() => setOpen("shortcuts")}
              onPassword={() => setOpen("password")}
              onWriting={() => setOpen("writing")}
            />
          )}
        </div>
      </header>
      <main id="content" className="relative min-h-0 flex-1 overflow-auto">
        <Suspense fallback={<Loading />}>
          <Outlet />
        </Suspense>
      </main>
      <JobProgress />
      <Waiting />
      <FieldOriginDialog />
      <PasswordAgain />
      <Arriving>
        {open === "palette" && <Palette onClose={() => setOpen(null)} from={place.current} />}
        {open === "password" && session.data && <PasswordDialog session={session.data} onClose={() => setOpen(null)} />}
        {open === "writing" && <WritingDialog onClose={() => setOpen(null)} />}
        {open === "shortcuts" && <Shortcuts onClose={() => setOpen(null)} />}
      </Arriving>
    </div>
  );
}
