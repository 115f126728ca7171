import { Bar, BarChart, Cell, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { type Question, useHistoryCounts } from "../../api/history";
import { showDay } from "../../components/moments";
import { sentences, t } from "../../words";

type Props = { question: Question; onPick: (from: string | null, to: string | null) => void };
type Count = { from: string; to: string; count: number };

/** Saves over time. A click on a bar, or Enter on its button, shows those of that time alone. */
export function OverTime({ question, onPick }: Props) {
  const found = useHistoryCounts(question).data;
  if (!found || found.counts.length === 0) return null;
  const single = found.counts.length === 1;
  const most = Math.max(...found.counts.map((each) => each.count));
  const total = found.counts.reduce((sum, each) => sum + each.count, 0);
  return (
    <figure className="sheet mb-4 px-4 pt-3 pb-1">
      <figcaption className="mb-1 flex flex-wrap items-baseline gap-x-3 text-xs">
        <span className="font-semibold">{t(`history.overTime.${found.period}`)}</span>
        <span className="quiet">{t("history.saves", { count: total })}</span>
        {(question.from || question.to) && (
          <button type="button" className="link" onClick={() => onPick(null, null)}>
            {t("history.wholeTime")}
          </button>
        )}
      </figcaption>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={110}>
          <BarChart data={found.counts} margin={{ top: 4, right: 0, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <XAxis
              dataKey="from"
              tickFormatter={(from: string) => shortDay(from, found.period)}
              tick={{ fontSize: 11, fill: "currentColor" }}
              tickLine={false}
              axisLine={{ stroke: "var(--color-base-300)" }}
              minTickGap={24}
            />
            <YAxis
              width="auto"
              allowDecimals={false}
              tickFormatter={(count: number) => count.toLocaleString("en")}
              domain={[0, Math.max(most, 4)]}
              tick={{ fontSize: 11, fill: "currentColor" }}
              tickLine={false}
              axisLine={false}
            />
            <Tooltip
              cursor={{ fill: "var(--color-base-200)" }}
              content={({ payload }) => <Tip count={payload?.[0]?.payload as Count | undefined} />}
              isAnimationActive={false}
            />
            <Bar
              dataKey="count"
              isAnimationActive={false}
              maxBarSize={28}
              cursor="pointer"
              onClick={(bar) => pick(bar.payload as Count, single, onPick)}
            >
              {found.counts.map((each) => (
                <Cell key={each.from} fill="var(--color-primary)" fillOpacity={0.85} />
              ))}
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </div>
      {!single && (
        <div className="sr-only">
          {found.counts
            .filter((each) => each.count > 0)
            .map((each) => (
              <button key={each.from} type="button" onClick={() => pick(each, single, onPick)}>
                {sentences.history.barName(showDay(each.from), showDay(each.to), each.count)}
              </button>
            ))}
        </div>
      )}
    </figure>
  );
}

const pick = (count: Count, single: boolean, onPick: Props["onPick"]) =>
  single ? onPick(null, null) : onPick(count.from, count.to);

function Tip({ count }: { count: Count | undefined }) {
  if (!count) return null;
  const days = count.from === count.to ? showDay(count.from) : `${showDay(count.from)} – ${showDay(count.to)}`;
  return (
    <div className="sheet px-2.5 py-1.5 text-xs shadow">
      {days}: <strong>{t("history.saves", { count: count.count })}</strong>
    </div>
  );
}

function shortDay(from: string, period: string) {
  const [, day, month, year] = showDay(from).split(" ");
  return period === "month" ? `${month} ${year}` : `${day} ${month}`;
}
