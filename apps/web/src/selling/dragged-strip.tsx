import { numberText, type StoredRow } from '@nuvar/book';
import { steppedPrice, type PriceView } from '@nuvar/core';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { bookActions } from '../state/book-slice.js';
import { useMayEdit, useSettings } from '../book/use-book.js';
import { useAcceptTrial, useTried, useTry } from '../book/use-trial.js';
import { PriceStrip, scaleOf } from '../figures/price-strip.js';
import { useAppDispatch } from '../state/store.js';

const STEPS: Readonly<Record<string, string>> = {
  ArrowRight: '0.10',
  ArrowUp: '0.10',
  ArrowLeft: '-0.10',
  ArrowDown: '-0.10',
  PageUp: '1',
  PageDown: '-1',
};

interface DraggedStripProps {
  readonly point: StoredRow<'pricePoint'>;
  readonly view: PriceView;
}

/**
 * The strip of one price, with a handle at the price end. Dragging or stepping it tries another price: all figures
 * follow, nothing is kept until it is accepted with Enter.
 */
export function DraggedStrip({ point, view }: DraggedStripProps) {
  const { locale, currency } = useSettings();
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const tryOut = useTry();
  const accept = useAcceptTrial();
  const tried = useTried(point.id, 'price');
  const band = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<{ x: number; price: string; perPixel: number; scale: number } | null>(null);
  const price = String(tried ?? point.price ?? '0');
  const scale = drag?.scale ?? scaleOf([view.strip]) * 1.25;
  const shownPrice = numberText(price, locale);
  const move = (from: string, by: string) => tryOut('pricePoint', point.id, 'price', steppedPrice(from, by, currency));

  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step !== undefined) {
      event.preventDefault();
      move(price, event.shiftKey && Math.abs(Number(step)) < 1 ? String(Number(step) * 10) : step);
    } else if (event.key === 'Enter' && tried !== undefined) {
      event.preventDefault();
      accept();
    } else if (event.key === 'Escape' && tried !== undefined) {
      event.preventDefault();
      dispatch(bookActions.trialDropped());
    }
  };
  const onPointerDown = (event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const [beforeTax, seen] = [Number(view.strip.price?.amount ?? 0), Number(view.price.amount ?? 0)];
    const perAmount = beforeTax > 0 ? seen / beforeTax : 1;
    setDrag({
      x: event.clientX,
      price,
      scale,
      perPixel: ((scale / (band.current?.offsetWidth ?? 1)) * perAmount) as number,
    });
  };
  const onPointerMove = (event: PointerEvent) => {
    if (drag !== null) move(drag.price, ((event.clientX - drag.x) * drag.perPixel).toFixed(2));
  };
  const handle = `${Math.min(100, (Number(view.strip.price?.amount ?? 0) / scale) * 100)}%`;
  return (
    <div ref={band} className="pt-8 pr-2 pb-2.5">
      <PriceStrip strip={view.strip} scale={scale} height={44} />
      <div className="pointer-events-none relative -mt-11 h-11">
        {mayEdit && (
          <button
            type="button"
            role="slider"
            className="pointer-events-auto absolute -inset-y-2 flex w-4.5 -translate-x-1/2 cursor-ew-resize touch-none justify-center before:w-1.5 before:rounded-full before:bg-primary"
            style={{ left: handle }}
            aria-label="Price, to be tried"
            aria-valuemin={0}
            aria-valuemax={1_000_000}
            aria-valuenow={Number(price)}
            aria-valuetext={`${shownPrice} ${currency}`}
            title="Drag to try another price; arrow keys step it, Enter keeps it, Esc discards it"
            onKeyDown={onKeyDown}
            onPointerDown={onPointerDown}
            onPointerMove={onPointerMove}
            onPointerUp={() => setDrag(null)}
            onPointerCancel={() => setDrag(null)}
          >
            <span className="absolute bottom-full font-serif text-lg whitespace-nowrap text-primary">{shownPrice}</span>
          </button>
        )}
      </div>
    </div>
  );
}
