import type { BookBuilder } from '@nuvar/book/demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../../number/index.js';
import { amount, evaluated, rowsOf } from '../../testing/evaluated.js';
import { readFormula } from './formula.js';
import { ruleFits } from './rule-fits.js';

type Fields = Readonly<Record<string, unknown>>;

interface Ruled {
  readonly shipment?: Fields;
  readonly lines: readonly Fields[];
  readonly rule: Fields;
  readonly brackets?: readonly Fields[];
}

/** The estimate of a charge that follows one rule. */
function estimated({ shipment = {}, lines, rule, brackets = [] }: Ruled): string {
  let chargeId = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Importer', currency: 'EUR' });
    const ruleId = book.add('chargeRule', { name: 'Sea freight', currency: 'EUR', ...rule });
    for (const bracket of brackets) book.add('ruleBracket', { ruleId, ...bracket });
    const shipmentId = book.add('shipment', { name: 'Shipment', date: '2026-05-01', currency: 'EUR', ...shipment });
    lines.forEach((line, position) => {
      const materialId = book.add('material', { name: `Material ${position}`, baseUnit: 'each' });
      book.add('shipmentLine', { shipmentId, position, materialId, unit: 'each', quantity: '1', price: '1', ...line });
    });
    chargeId = book.add('shipmentCharge', { shipmentId, currency: 'EUR', type: 'freight', ruleId });
  });
  return amount(evaluated(rows), `chargeAmount/${chargeId}/estimate`);
}

describe('a charge rule', () => {
  const goods = (weight: string, quantity = '1') => [{ quantity, price: '10', weight, volume: '0.5' }];
  const rule = (fields: Fields, lines = goods('120', '50')) => estimated({ lines, rule: fields });

  it('is a fixed amount, a percentage of the value, or so much per unit, weight or volume', () => {
    expect(rule({ amount: '80' })).toBe('80');
    expect(rule({ amount: '1.5', per: 'percent of value' })).toBe('7.5');
    expect(rule({ amount: '0.4', per: 'unit' })).toBe('20');
    expect(rule({ amount: '0.5', per: 'kg' })).toBe('60');
    expect(rule({ amount: '90', per: 'm³' })).toBe('45');
  });

  const steps = [
    { upTo: '100', amount: '2' },
    { upTo: '500', amount: '1.5' },
    { upTo: null, amount: '1' },
  ];
  const bracketed = (weight: string, bracketMode: string, brackets: readonly Fields[] = steps) =>
    estimated({ lines: goods(weight), rule: { method: 'brackets', bracketsBy: 'weight', bracketMode }, brackets });

  it('has brackets with their upper limit included: an amount, a rate on the whole, or on each slice', () => {
    expect(['100', '100.01', '500', '800'].map((weight) => bracketed(weight, 'amount'))).toEqual([
      '2',
      '1.5',
      '1.5',
      '1',
    ]);
    expect(['100', '400', '800'].map((weight) => bracketed(weight, 'rate on the whole'))).toEqual([
      '200',
      '600',
      '800',
    ]);
    expect(['100', '400', '800'].map((weight) => bracketed(weight, 'rate on the slice'))).toEqual([
      '200',
      '650',
      '1100',
    ]);
    const byValue = { method: 'brackets', bracketsBy: 'value', bracketMode: 'rate on the slice' };
    expect(estimated({ lines: goods('1', '60'), rule: byValue, brackets: steps })).toBe('9');
  });

  it('with holes or overlaps in its brackets, or none, is asked about', () => {
    expect(bracketed('10', 'amount', [])).toBe('no-brackets');
    expect(
      bracketed('10', 'amount', [
        { upTo: '100', amount: '1' },
        { upTo: '100.0', amount: '2' },
      ]),
    ).toBe('brackets-overlap');
    expect(bracketed('101', 'amount', [{ upTo: '100', amount: '1' }])).toBe('beyond-brackets');
    expect(bracketed('10', 'amount', [{ upTo: null, amount: null }])).toBe('no-charge-amount');
  });

  it('slice by slice is the sum of what each unit costs where it lies', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), (kilograms) => {
        const unitByUnit = Array.from({ length: kilograms }, (_each, index) =>
          index < 100 ? 2 : index < 500 ? 1.5 : 1,
        );
        const total = unitByUnit.reduce((sum, each) => sum + each, 0);
        expect(bracketed(String(kilograms), 'rate on the slice')).toBe(decimal(String(total)).toFixed());
      }),
      { numRuns: 25 },
    );
  });

  it('is a formula in plain arithmetic whose working is the formula', () => {
    const formula = (text: string) => rule({ method: 'formula', formula: text });
    expect(formula('max(45, 0.35 * weight)')).toBe('45');
    expect(formula('max(40, 0.35 * weight) + 2 * lines')).toBe('44');
    expect(formula('(value - 100) / 4 - -volume')).toBe('100.5');
    expect(formula('min(quantity, 12.5)')).toBe('12.5');
    expect(formula('100 / (weight - 120)')).toBe('formula-divides-by-zero');
    expect(formula('weight *')).toBe('no-formula');
  });

  it('no longer fits where its conditions are not met, and says so', () => {
    expect(estimated({ lines: goods('1'), rule: { amount: '9', deliveryTerm: 'FOB' } })).toBe('rule-fits-no-more');
    expect(
      estimated({ shipment: { deliveryTerm: 'FOB' }, lines: goods('1'), rule: { amount: '9', deliveryTerm: 'FOB' } }),
    ).toBe('9');
    expect(rule({ amount: '9', currency: 'USD' })).toBe('rule-in-another-currency');
  });
});

describe('a formula', () => {
  it.each([
    ['alert(1)', 'it can call min and max only, not "alert"'],
    ['constructor', 'there is no "constructor"; it can name value, weight, volume, quantity, lines'],
    ['weight.constructor', 'it is more than plain arithmetic'],
    ['weight["constructor"]("x")', 'it can call min and max only, not "something"'],
    ['this', 'it is more than plain arithmetic'],
    ['"2" + 2', '""2"" is no number'],
    ['true', '"true" is no number'],
    ['1e400', '"1e400" is no number'],
    ['weight % 2', 'it cannot take "%"'],
    ['weight ? 1 : 2', 'it is more than plain arithmetic'],
    ['a = 2', 'it cannot be read as arithmetic'],
    ['1; 2', 'it is more than plain arithmetic'],
    ['max()', 'max needs something to choose from'],
    ['', 'it is empty'],
    [`${'('.repeat(60)}1${')'.repeat(60)} + ${'-'.repeat(60)}1`, 'it is nested too deep'],
    ['1+'.repeat(200), 'it has more than 300 characters'],
  ])('that says %s is refused', (text, reason) => {
    const read = readFormula(text);
    expect(read.ok ? 'taken' : read.reason).toBe(reason);
  });

  it('is read or refused in bounded time and never run, whatever it says', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (text) => {
        const read = readFormula(text);
        expect(typeof (read.ok ? '' : read.reason)).toBe('string');
      }),
    );
  });
});

describe('of several rules for one charge', () => {
  /** Which lines each rule wins, and to what it loses the others. */
  function won(
    build: (book: BookBuilder, ids: { supplier: string; clay: string }) => Record<string, string>,
    clayFrom = '',
  ) {
    let rules: Record<string, string> = {};
    let shipment = '';
    let lines: string[] = [];
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Importer', currency: 'EUR' });
      const supplier = book.add('supplier', { name: 'Lumera', ruleSet: 'far' });
      const clay = book.add('material', { name: 'Clay', baseUnit: 'kg', category: 'Clays' });
      const cane = book.add('material', { name: 'Cane', baseUnit: 'kg', category: 'Handles' });
      rules = build(book, { supplier, clay });
      shipment = book.add('shipment', {
        name: 'Shipment',
        date: '2026-05-01',
        currency: 'EUR',
        supplierId: supplier,
        origin: 'Lumera Bay',
      });
      lines = [clay, cane].map((materialId, position) =>
        book.add('shipmentLine', {
          shipmentId: shipment,
          position,
          materialId,
          unit: 'kg',
          quantity: '1',
          price: '1',
          origin: materialId === clay ? clayFrom : '',
        }),
      );
    });
    const { fits } = evaluated(rows).read(ruleFits, shipment);
    const nameOf = (id: string) => Object.keys(rules).find((name) => rules[name] === id);
    return Object.fromEntries(
      fits.map(({ ruleId, lineIds, lostTo }) => [
        nameOf(ruleId),
        { lines: lineIds.map((id) => lines.indexOf(id)), lostTo: lostTo.map(nameOf) },
      ]),
    );
  }

  it('the more specific wins line by line, else the later made; what does not fit stays away', () => {
    const found = won((book, { supplier, clay }) => {
      const add = (name: string, fields: Fields) => book.add('chargeRule', { name, currency: 'EUR', ...fields });
      return {
        any: add('any', {}),
        supplier: add('supplier', { supplierId: supplier }),
        later: add('later', { supplierId: supplier }),
        clay: add('clay', { materialId: clay }),
        elsewhere: add('elsewhere', { origin: 'Oldport' }),
        insurance: add('insurance', { type: 'insurance', origin: 'lumera bay' }),
      };
    });
    expect(found).toEqual({
      any: { lines: [], lostTo: ['supplier', 'later', 'clay'] },
      supplier: { lines: [], lostTo: ['later', 'clay'] },
      later: { lines: [1], lostTo: ['clay'] },
      clay: { lines: [0], lostTo: [] },
      insurance: { lines: [0, 1], lostTo: [] },
    });
  });

  it('a line of another origin than its shipment is of its own', () => {
    const rules = (book: BookBuilder) => {
      const add = (name: string, origin: string) => book.add('chargeRule', { name, currency: 'EUR', origin });
      return { near: add('near', 'Lumera Bay'), far: add('far', 'Oldport') };
    };
    expect(won(rules, 'Oldport')).toEqual({ near: { lines: [1], lostTo: [] }, far: { lines: [0], lostTo: [] } });
  });

  it('a set fits where it was given: to the shipment, to its supplier or to the material', () => {
    const found = won((book) => ({
      far: book.add('chargeRule', { name: 'far', currency: 'EUR', ruleSet: 'Far', category: 'handles' }),
      near: book.add('chargeRule', { name: 'near', currency: 'EUR', ruleSet: 'near' }),
    }));
    expect(found).toEqual({ far: { lines: [1], lostTo: [] } });
  });
});
