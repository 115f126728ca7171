import { Eye, TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import { CoverageIcon } from "../../components/CoverageIcon";
import { HelpLink } from "../../components/HelpLink";
import { Mark } from "../../components/Mark";
import { Popover } from "../../components/Popover";
import { t } from "../../words";

/** What each sign on the board means. */
export function Legend() {
  return (
    <Popover label={t("legend.title")} name={t("legend.title")} className="btn btn-ghost btn-sm" align="right">
      {() => (
        <div className="w-88 p-2 text-[0.8125rem]">
          <div className="mb-1 flex items-center justify-between">
            <h2 className="font-semibold">{t("legend.title")}</h2>
            <HelpLink page="board" />
          </div>
          <dl className="flex flex-col gap-1.5">
            {signs().map(([name, sign]) => (
              <div key={name} className="flex items-center gap-3">
                <dt className="flex w-20 shrink-0 items-center justify-center">{sign}</dt>
                <dd>{t(`legend.${name}`)}</dd>
              </div>
            ))}
          </dl>
        </div>
      )}
    </Popover>
  );
}

type Sign =
  | "tack"
  | "shared"
  | "used"
  | "proven"
  | "partly"
  | "untried"
  | "broken"
  | "notice"
  | "unchecked"
  | "draft"
  | "empty";

const signs = (): [Sign, ReactNode][] => [
  ["tack", <Mark key="tack" size={13} className="text-primary" />],
  ["shared", <Mark key="shared" size={13} className="text-secondary" />],
  ["used", <Eye key="used" size={13} className="text-secondary" aria-hidden />],
  ["proven", <CoverageIcon key="proven" state="proven" />],
  ["partly", <CoverageIcon key="partly" state="partly" />],
  ["untried", <CoverageIcon key="untried" state="untried" />],
  ["broken", <CoverageIcon key="broken" state="broken" />],
  ["notice", <TriangleAlert key="notice" size={13} className="text-secondary" aria-hidden />],
  [
    "unchecked",
    <span
      key="unchecked"
      className="whitespace-nowrap rounded-full border border-secondary border-dashed px-1 text-[0.625rem]
        text-secondary"
    >
      {t("board.openShort", { n: 4 })}
    </span>,
  ],
  [
    "draft",
    <span key="draft" className="text-secondary text-xs italic">
      {t("drafts.short")}
    </span>,
  ],
  ["empty", <span key="empty" className="thread block h-2 w-12" />],
];
