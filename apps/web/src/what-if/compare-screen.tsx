import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useSettings } from '../book/use-book.js';
import { DayInput } from '../controls/fields/day-input.js';
import { readDayText } from '../controls/fields/read-day-text.js';
import { dayNamed } from '../engine/view-key.js';
import { Sides, useSide } from '../controls/layout/sides.js';
import { Empty } from '../figures/empty.js';
import { PlanPage } from '../planning/plan-page.js';
import { BridgeOfSides } from './bridge.js';
import { SideTable } from './side-table.js';
import { labelOfSide, MOST_SIDES, sidesOfAddress, useAllSides, type Side } from './sides.js';
import { useKeptSides } from './use-kept-sides.js';
import { ProblemLine } from '../controls/dialogs/problem-line.js';

const SIDES = { beside: 'Side by side', bridge: 'Bridge' };

/** Plan: the book today, what-ifs, baselines and other days side by side, and what leads from one to the other. */
export function CompareScreen() {
  const [parameters, setParameters] = useSearchParams();
  const sides = sidesOfAddress(parameters.get('sides'));
  const all = useAllSides();
  const { locale } = useSettings();
  const side = useSide(SIDES);
  const { isThere, problem } = useKeptSides(sides);
  const choose = (next: readonly string[]) =>
    setParameters((known) => {
      const changed = new URLSearchParams(known);
      changed.set('sides', [...new Set(next)].join(','));
      return changed;
    });
  const chosen = sides.map((name): Side => ({ name, label: labelOfSide(name, all, locale) }));
  return (
    <PlanPage>
      <div className="h-full overflow-auto print:overflow-visible">
        <ChosenSides chosen={chosen} all={all} choose={choose} />
        <ProblemLine problem={problem} />
        {sides.length < 2 ? (
          <Empty>
            Choose what to compare: the first side is what the others are measured against. A what-if, a baseline that
            you froze, or the book on another day can stand on either side.
          </Empty>
        ) : (
          <>
            <Sides sides={SIDES} label="Comparison" />
            {isThere && side === 'beside' && <SideTable sides={chosen} />}
            {isThere && side === 'bridge' && <BridgeOfSides sides={chosen} />}
          </>
        )}
      </div>
    </PlanPage>
  );
}

interface ChosenProps {
  readonly chosen: readonly Side[];
  readonly all: readonly Side[];
  readonly choose: (sides: readonly string[]) => void;
}

/** The sides in their order; the first is what the others are compared with. */
function ChosenSides({ chosen, all, choose }: ChosenProps) {
  const names = chosen.map(({ name }) => name);
  const offered = all.filter(({ name }) => !names.includes(name));
  return (
    <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 print:hidden">
      {chosen.map(({ name, label }, index) => (
        <span key={name} className="flex items-center gap-1.5">
          <span className="text-soft">{index === 0 ? 'Compare' : index === 1 ? 'with' : 'and'}</span>
          <select
            className="select w-auto"
            aria-label={`Side ${index + 1}`}
            value={name}
            onChange={(event) => choose(names.map((each) => (each === name ? event.target.value : each)))}
          >
            <option value={name}>{label}</option>
            {offered.map((side) => (
              <option key={side.name} value={side.name}>
                {side.label}
              </option>
            ))}
          </select>
          {chosen.length > 1 && (
            <button
              type="button"
              className="link text-note"
              onClick={() => choose(names.filter((each) => each !== name))}
            >
              remove
            </button>
          )}
        </span>
      ))}
      {chosen.length < MOST_SIDES && offered.length > 0 && (
        <select
          className="select w-auto"
          aria-label="Add a side"
          value=""
          onChange={(event) => choose([...names, event.target.value])}
        >
          <option value="">add ...</option>
          {offered.map((side) => (
            <option key={side.name} value={side.name}>
              {side.label}
            </option>
          ))}
        </select>
      )}
      {chosen.length < MOST_SIDES && <OtherDay add={(day) => choose([...names, dayNamed(day)])} />}
      {chosen.length > 1 && (
        <button type="button" className="link" onClick={() => choose([...names].reverse())}>
          The other way round
        </button>
      )}
    </div>
  );
}

/** The book as of another day, as one more side. */
function OtherDay({ add }: { readonly add: (day: string) => void }) {
  const { locale } = useSettings();
  const [count, setCount] = useState(0);
  return (
    <span className="flex w-60 items-center gap-1.5">
      <span className="whitespace-nowrap text-soft">or the book on</span>
      <DayInput
        key={count}
        label="The book on another day"
        value=""
        day={undefined}
        commit={(text) => {
          const reading = readDayText(text, locale);
          if ('refusal' in reading) return reading.refusal;
          if (reading.value !== null) add(reading.value);
          setCount(count + 1);
          return null;
        }}
      />
    </span>
  );
}
