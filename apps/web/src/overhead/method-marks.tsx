import type { MethodsView } from '@nuvar/core';
import { useStyle } from '../figures/use-style.js';
import { written } from '../figures/format.js';

const MARKS = ['A', 'B', 'C', 'D'] as const;

/** The letter by which a method is told apart in a picture. */
export const markOf = (index: number): string => MARKS[index] ?? '';

/** The least that the scale goes to either side, in percent. */
const LEAST = 5;

/** As many products as a picture can hold: the table below has them all. */
const DRAWN = 24;

/** How far two marks have to lie apart, in percent of the width, so that each can be read. */
const CLOSE = 4;

interface Mark {
  readonly place: number;
  readonly methods: readonly number[];
}

/** The marks of a product from left to right; those that would lie over each other are one mark. */
function togetherWhereClose(percents: readonly (string | null)[], at: (percent: number) => number): Mark[] {
  const known = percents.flatMap((each, index) =>
    each === null ? [] : [{ place: at(Number(each)), methods: [index] }],
  );
  return known
    .sort((one, other) => one.place - other.place)
    .reduce<Mark[]>((marks, mark) => {
      const last = marks.at(-1);
      if (last === undefined || mark.place - last.place >= CLOSE) return [...marks, mark];
      const methods = [...last.methods, ...mark.methods].sort((one, other) => one - other);
      return [...marks.slice(0, -1), { place: last.place, methods }];
    }, []);
}

/**
 * Each product as a line: how far each method lies from the first, in percent of its cost, with the methods as letters on
 * one common scale. The longest stands first.
 */
export function MethodMarks({ view }: { readonly view: MethodsView }) {
  const style = useStyle();
  const [first] = view.methods;
  if (first === undefined || view.methods.length < 2) return null;
  const all = view.products.flatMap(({ morePercent }) =>
    morePercent.flatMap((each) => (each === null ? [] : [Number(each)])),
  );
  const most = Math.max(LEAST, ...all.map(Math.abs));
  const at = (percent: number) => 50 + (percent / most) * 48;
  return (
    <figure aria-label="How far the methods lie apart" className="mt-1">
      <figcaption className="text-soft">
        Percent above or below {markOf(0)} {first.name}:{' '}
        {view.methods
          .slice(1)
          .map(({ name }, index) => `${markOf(index + 1)} ${name}`)
          .join(', ')}
      </figcaption>
      <div className="mt-1 grid grid-cols-[minmax(8rem,13rem)_minmax(0,1fr)] gap-x-3">
        {view.products.slice(0, DRAWN).map(({ id, name, morePercent }) => {
          const marks = togetherWhereClose(morePercent, at);
          const places = marks.map(({ place }) => place);
          const [low, high] = [Math.min(...places), Math.max(...places)];
          return (
            <div key={id} className="contents">
              <span className="truncate leading-7">{name}</span>
              <span className="relative h-7 border-b border-base-300">
                <span className="absolute inset-y-0 border-l border-base-300" style={{ left: '50%' }} />
                {marks.length > 1 && (
                  <span
                    className="absolute top-1/2 border-t-2 border-base-content/40"
                    style={{ left: `${low}%`, width: `${high - low}%` }}
                  />
                )}
                {marks.map(({ place, methods }) => (
                  <span
                    key={methods.join()}
                    className={`absolute top-1/2 -translate-x-1/2 -translate-y-1/2 border bg-base-100 px-1 text-note leading-4 whitespace-nowrap ${methods.includes(0) ? 'border-base-content font-semibold' : 'border-primary text-primary'}`}
                    style={{ left: `${place}%` }}
                    title={methods
                      .map(
                        (index) =>
                          `${view.methods[index]?.name ?? ''}: ${written(morePercent[index] ?? '0', 1, style)} %`,
                      )
                      .join(', ')}
                  >
                    {methods.map(markOf).join(' ')}
                  </span>
                ))}
              </span>
            </div>
          );
        })}
        <span />
        <span className="flex justify-between text-note text-soft">
          <span>−{written(String(most), 0, style)} %</span>
          <span>0</span>
          <span>+{written(String(most), 0, style)} %</span>
        </span>
      </div>
    </figure>
  );
}
