import pages, { type GuidePage } from "virtual:guide";
import { type MouseEvent, useDeferredValue, useState } from "react";
import { Link, NavLink, useNavigate, useParams } from "react-router";
import { MissingPage } from "../../app/MissingPage";
import { t } from "../../words";

/** The guide: a page for each job, with a search over all of them. */
export default function Guide() {
  const { page: name } = useParams();
  const [search, setSearch] = useState("");
  const found = matching(useDeferredValue(search));
  const page = pages.find((each) => each.name === name);
  if (name && !page) return <MissingPage />;
  return (
    <div className="mx-auto flex max-w-6xl gap-8 px-5 pt-6 pb-16 max-md:flex-col max-md:gap-4">
      <nav className="w-64 shrink-0 max-md:w-full" aria-label={t("guide.title")}>
        <input
          type="search"
          className="input input-sm mb-3 w-full"
          placeholder={t("guide.search")}
          aria-label={t("guide.search")}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        {/* On a telephone the list gives way to the page that is read. */}
        <div className={page && search === "" ? "max-md:hidden" : ""} lang="en">
          <Contents pages={found} />
        </div>
        {page && <Index />}
      </nav>
      {page ? <Page page={page} /> : <Overview />}
    </div>
  );
}

function Index() {
  return (
    <Link to="/guide" className="link text-[0.8125rem] md:hidden">
      {t("guide.all")}
    </Link>
  );
}

function Overview() {
  return (
    <div className="max-w-2xl flex-1">
      <h1 className="mb-2 text-2xl">{t("guide.title")}</h1>
      <p className="quiet">{t("guide.aim")}</p>
    </div>
  );
}

function Contents({ pages: shown }: { pages: GuidePage[] }) {
  if (shown.length === 0) return <p className="quiet">{t("shell.nothingFound")}</p>;
  const parts = [...new Set(shown.map((each) => each.part))];
  return parts.map((part) => (
    <section key={part} className="mb-4">
      <h2 className="mb-1 font-semibold text-secondary text-xs uppercase tracking-wide">{part}</h2>
      <ul>
        {shown
          .filter((each) => each.part === part)
          .map((each) => (
            <li key={each.name}>
              <NavLink
                to={`/guide/${each.name}`}
                className={({ isActive }) =>
                  `block rounded px-2 py-1 hover:bg-base-200 ${isActive ? "font-semibold" : ""}`
                }
              >
                {each.title}
              </NavLink>
            </li>
          ))}
      </ul>
    </section>
  ));
}

function Page({ page }: { page: GuidePage }) {
  const navigate = useNavigate();
  const follow = (event: MouseEvent<HTMLElement>) => {
    const path = (event.target as HTMLElement).closest("a")?.getAttribute("href");
    if (!path?.startsWith("/guide/") || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    navigate(path);
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: Enter on a link is a click, too
    <article lang="en" className="guide min-w-0 max-w-2xl flex-1" onClick={follow}>
      <h1 className="mb-3 text-2xl">{page.title}</h1>
      {/* biome-ignore lint/security/noDangerouslySetInnerHtml: our own pages, rendered when the interface was built */}
      <div dangerouslySetInnerHTML={{ __html: page.html }} />
    </article>
  );
}

/** Pages that contain all words of a search, those with them in the title first. */
function matching(search: string) {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const has = (text: string) => words.every((word) => text.toLowerCase().includes(word));
  const found = pages.filter((each) => has(`${each.title} ${each.text}`));
  return [...found.filter((each) => has(each.title)), ...found.filter((each) => !has(each.title))];
}
