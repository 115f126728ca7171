import { Link } from "react-router";
import { useFunctions } from "../../api/queries";
import { Loading } from "../../components/Loading";
import { t } from "../../words";
import { languageLines } from "../../words/lists";

/** The formula language on one page: its signs and words, then every function with an example. */
export default function LanguageHelp() {
  const functions = useFunctions().data;
  if (!functions) return <Loading />;
  const groups = [...new Set(functions.map((each) => each.group))];
  return (
    <div className="mx-auto max-w-5xl px-5 pt-6 pb-16">
      <div className="mb-1 flex items-end gap-4">
        <h1 className="flex-1 text-2xl">{t("language.title")}</h1>
        <Link to="/" className="link text-[0.8125rem]">
          {t("errors.backToTables")}
        </Link>
      </div>
      <p className="quiet mb-5 max-w-2xl">{t("language.aim")}</p>
      <section className="sheet mb-6 p-4">
        <h2 className="mb-2 text-lg">{t("language.signs")}</h2>
        <dl className="grid grid-cols-[minmax(14rem,2fr)_3fr] gap-x-6 gap-y-1.5 max-sm:grid-cols-1">
          {languageLines().map(([code, says]) => (
            <div key={code} className="contents">
              <dt className="font-mono text-[0.8125rem]" translate="no">
                {code}
              </dt>
              <dd>{says}</dd>
            </div>
          ))}
        </dl>
      </section>
      {groups.map((group) => (
        <section key={group} className="mb-6">
          <h2 className="mb-2 text-lg">{group}</h2>
          <ul className="sheet divide-y divide-base-300/70">
            {functions
              .filter((each) => each.group === group)
              .map((each) => (
                <li
                  key={each.signature}
                  className="grid grid-cols-[minmax(12rem,1fr)_2fr] items-baseline gap-x-6 px-4 py-2 max-sm:grid-cols-1"
                >
                  <code className="font-mono font-semibold text-[0.8125rem]">{each.signature}</code>
                  <div>
                    <p>{each.help}</p>
                    <p className="quiet break-words font-mono text-xs" translate="no">
                      {each.example}
                      {each.result === null ? "" : ` → ${each.result}`}
                    </p>
                  </div>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
