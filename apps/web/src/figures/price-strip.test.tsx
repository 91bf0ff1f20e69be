// @vitest-environment jsdom
import type { StripView } from '@nuvar/core';
import { screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { engine } from '../engine/engine.js';
import { draw, leaveBook, openBook } from '../testing/in-book.js';
import { named } from '../testing/open-demo.js';
import { model } from '../book/model.js';
import { PriceStrip, scaleOf, StripLegend } from './price-strip.js';

/** The strip of a product of the demo book at its price. */
async function stripOf(product: string): Promise<StripView> {
  const point = model.rows.rowsWith('pricePoint', 'productId', named('product', product).id)[0];
  const [view] = await engine.ask('price', [point?.id ?? '']);
  if (view == null) throw new RangeError(`${product} has no price.`);
  return view.strip;
}

const partsOf = (strip: HTMLElement) =>
  [...strip.children].map((part) => ({
    name: (part as HTMLElement).dataset.part ?? 'end',
    from: parseFloat((part as HTMLElement).style.left),
    width: parseFloat((part as HTMLElement).style.width),
  }));

beforeEach(() => openBook());
afterEach(leaveBook);

describe('the price strip', () => {
  it('is cut into its parts without a gap, from zero to the price before tax', async () => {
    const strip = await stripOf('Everyday mug');
    draw(<PriceStrip strip={strip} scale={scaleOf([strip])} />);
    const parts = partsOf(screen.getByRole('img'));
    const end = parts.find(({ name }) => name === 'end');
    const bands = parts.filter(({ name, width }) => name !== 'end' && width > 0);
    expect(bands.map(({ name }) => name)).toEqual(['materials', 'labour', 'equipment', 'overhead', 'fees', 'profit']);
    let reached = 0;
    for (const { from, width } of bands) {
      expect(from).toBeCloseTo(reached, 6);
      reached = from + width;
    }
    // 16.25 before tax is the whole scale.
    expect(reached).toBeCloseTo(100, 6);
    expect(end?.from).toBeCloseTo(100, 6);
    expect(screen.getByRole('img', { name: /^price before tax 16.25, Materials and packaging/ })).toBeDefined();
  });

  it('draws what the costs take beyond the price as a loss, and says so in words', async () => {
    const strip = await stripOf('Serving platter');
    draw(
      <>
        <PriceStrip strip={strip} scale={scaleOf([strip])} />
        <StripLegend strip={strip} />
      </>,
    );
    const parts = partsOf(screen.getByRole('img', { name: /loss 0.54/ }));
    const loss = parts.find(({ name }) => name === 'loss');
    const end = parts.find(({ name }) => name === 'end');
    expect(loss?.from).toBeCloseTo(end?.from ?? 0, 6);
    expect(loss?.width).toBeGreaterThan(0);
    expect(parts.some(({ name }) => name === 'profit' && name.length > 0)).toBe(false);
    expect(screen.getByRole('list', { name: 'Parts of a price' }).textContent).toContain('Loss');
    expect(screen.getByRole('list', { name: 'Parts of a price' }).textContent).not.toContain('Profit');
  });

  it('stands on one scale beside others', async () => {
    const [mug, teapot] = [await stripOf('Everyday mug'), await stripOf('Teapot with cane handle')];
    const scale = scaleOf([mug, teapot]);
    draw(<PriceStrip strip={mug} scale={scale} />);
    const end = partsOf(screen.getByRole('img')).find(({ name }) => name === 'end');
    expect(end?.from).toBeCloseTo((Number(mug.price?.amount) / scale) * 100, 6);
    expect(scale).toBeCloseTo(Number(teapot.price?.amount), 6);
  });
});
