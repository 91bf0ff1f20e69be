import { KIND_NAMES } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { placePath, SCREEN_IDS, screenOf, screenPath } from './screens.js';

const at = (field: string, isOfMaterial = false) => ({ field, owner: 'own', isOfMaterial });

describe('the table of screens', () => {
  it('has a screen on which each kind of row is edited', () => {
    const nowhere = KIND_NAMES.filter((kind) => placePath(kind, 'row', at('name')) === null);
    expect(nowhere).toEqual([]);
  });

  it('leads from a field to the screen, the row and the side where it stands', () => {
    expect(placePath('material', 'm', at('packUnit'))).toBe('/buy/own?at=m.packUnit');
    expect(placePath('material', 'm', at('name'))).toBe('/buy/own?at=m.name&side=about');
    expect(placePath('itemConversion', 'c', at('factor', true))).toBe('/buy/own?at=c.factor&side=units');
    expect(placePath('itemConversion', 'c', at('factor'))).toBe('/make/own?at=c.factor&side=about');
    expect(placePath('settings', 's', at('electricityPerKilowattHour'))).toBe(
      '/make/equipment?at=s.electricityPerKilowattHour',
    );
    expect(placePath('settings', 's', at('openDaysPerWeek'))).toBe('/run/year?at=s.openDaysPerWeek');
    expect(placePath('settings', 's', at('currency'))).toBe('/settings?at=s.currency');
    expect(placePath('supplier', 's', at('name'))).toBe('/buy?at=s.name');
    expect(placePath('settings', 's', at('costPerOrder'))).toBe('/buy?at=s.costPerOrder&side=order');
    expect(placePath('pricePoint', 'p', at('marketPrice'))).toBe('/sell/own?at=p.marketPrice&side=target');
    expect(placePath('inputRange', 'r', at('lowPercent'))).toBe('/sell/own?at=r.lowPercent&side=moves');
    expect(placePath('quoteOption', 'o', at('actualHours'))).toBe('/sell/quotes/own?at=o.actualHours&side=needed');
    expect(placePath('quoteOption', 'o', at('price'))).toBe('/sell/quotes/own?at=o.price');
    expect(placePath('candidateBatch', 'b', at('batchSize'))).toBe('/make/own?at=b.batchSize&side=batches');
  });

  it('names every screen, and no letter or address twice', () => {
    const letters = SCREEN_IDS.flatMap((id) => screenOf(id).letter ?? []);
    const paths = SCREEN_IDS.map((id) => screenPath(id, 'row'));
    expect(new Set(letters).size).toBe(letters.length);
    expect(new Set(paths).size).toBe(paths.length);
    for (const id of SCREEN_IDS) expect(screenOf(id).name).not.toBe('');
  });
});
