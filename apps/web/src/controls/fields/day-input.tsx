import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { CalendarDays } from 'lucide-react';
import { lazy, Suspense, useRef } from 'react';
import { useSettings } from '../../book/use-book.js';
import { firstWeekday } from '../../figures/format.js';
import { dayOf } from '../../state/today.js';
import { TypedField, type TypedInputProps } from './typed-input.js';
import { useRefusal } from './use-refusal.js';

const DayPicker = lazy(async () => ({ default: (await import('react-day-picker')).DayPicker }));

interface DayInputProps extends Omit<TypedInputProps, 'numeric'> {
  /** The day in the field, "2026-03-31"; undefined where there is none. */
  readonly day: string | undefined;
}

/** A day: typed as people type it, or picked from a calendar, which Alt and the arrow down open too. */
export function DayInput({ day, ...field }: DayInputProps) {
  const { locale } = useSettings();
  const refusal = useRefusal(field.keptAs ?? field.place, field.label);
  const opener = useRef<HTMLButtonElement>(null);
  const chosen = day === undefined || day === '' ? undefined : new Date(`${day}T00:00:00`);
  const pick = (picked: Date | undefined, close: () => void) => {
    if (picked !== undefined) refusal.take(dayOf(picked), field.commit);
    close();
  };
  return (
    <span
      className="flex w-full min-w-0 items-center [&>input]:pr-6"
      onKeyDown={(event) => {
        if (!event.altKey || event.key !== 'ArrowDown' || field.readOnly) return;
        event.preventDefault();
        event.stopPropagation();
        opener.current?.click();
      }}
    >
      <TypedField {...field} refusal={refusal} />
      {!field.readOnly && (
        <Popover className="-ml-6">
          <PopoverButton
            ref={opener}
            tabIndex={-1}
            className="flex h-6 w-6 items-center justify-center text-soft hover:text-base-content"
            aria-label="Pick a day"
          >
            <CalendarDays size={15} aria-hidden="true" />
          </PopoverButton>
          <PopoverPanel
            anchor="bottom end"
            focus
            className="z-20 border border-rule bg-base-100 p-2"
            aria-label="Calendar"
          >
            {({ close }) => (
              <Suspense fallback={<p className="p-4 text-soft">Opening the calendar</p>}>
                <DayPicker
                  mode="single"
                  className="react-day-picker border-0"
                  weekStartsOn={firstWeekday(locale)}
                  autoFocus
                  {...(chosen === undefined ? {} : { selected: chosen, defaultMonth: chosen })}
                  onSelect={(picked) => pick(picked, close)}
                />
              </Suspense>
            )}
          </PopoverPanel>
        </Popover>
      )}
    </span>
  );
}
