import { CartesianGrid, Legend, Line, LineChart, XAxis, YAxis } from 'recharts';
import { useView } from '../engine/use-view.js';
import { acrossAxis, ChartFrame, roundAxis, upAxis } from '../figures/chart-frame.js';
import { dayText, unitWords, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';

const DASHES = ['', '7 3', '2 3', '9 3 2 3'];

/** The listed prices of a material over time, a line for each supplier. The same figures stand in the grid below. */
export function PriceHistory({ id, baseUnit }: { readonly id: string; readonly baseUnit: string }) {
  const points = useView('priceHistory', id) ?? [];
  const style = useStyle();
  const known = points.filter(({ perBaseUnit }) => perBaseUnit.amount !== null);
  if (known.length < 2) return null;
  const suppliers = [...new Set(known.map(({ supplier }) => supplier))];
  const moment = (day: string) => Date.parse(day);
  const data = known.map(({ day, supplier, perBaseUnit }) => ({
    at: moment(day),
    [supplier]: Number(perBaseUnit.amount),
  }));
  const amounts = known.map(({ perBaseUnit }) => Number(perBaseUnit.amount));
  const [first, last] = [known[0], known.at(-1)];
  const said = (point: typeof first) =>
    `${written(point?.perBaseUnit.amount ?? '0', 4, style)} from ${dayText(point?.day ?? '', style.locale)}`;
  const title = `${style.currency} per ${unitWords(baseUnit)}: ${said(first)}, ${said(last)}`;
  return (
    <ChartFrame title={title} height={170}>
      <LineChart data={data} margin={{ top: 8, right: 34, bottom: 22, left: 0 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
        <XAxis
          {...acrossAxis('valid from')}
          dataKey="at"
          scale="time"
          domain={['dataMin', 'dataMax']}
          tickFormatter={(at: number) => monthWords(new Date(at).toISOString().slice(0, 10), style.locale)}
        />
        <YAxis
          {...upAxis(`${style.currency} per ${unitWords(baseUnit)}`)}
          {...roundAxis(Math.max(...amounts) * 1.1, style)}
        />
        {suppliers.length > 1 && <Legend />}
        {suppliers.map((supplier, index) => (
          <Line
            key={supplier}
            name={supplier || 'no supplier'}
            dataKey={supplier}
            type="stepAfter"
            connectNulls
            stroke="var(--color-primary)"
            strokeDasharray={DASHES[index % DASHES.length] ?? ''}
            strokeWidth={2}
            dot={{ r: 3, fill: 'var(--color-primary)' }}
            isAnimationActive={false}
          />
        ))}
      </LineChart>
    </ChartFrame>
  );
}

const monthWords = (day: string | undefined, locale: string) =>
  day === undefined
    ? ''
    : new Date(day).toLocaleDateString(locale, { month: 'short', year: 'numeric', timeZone: 'UTC' });
