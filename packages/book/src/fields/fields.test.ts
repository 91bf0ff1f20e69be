import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fieldsOf, KIND_NAMES, KINDS } from '../kinds.js';
import { newId } from '../new-id.js';
import { completeRow, validateRow } from '../validate-row.js';
import { compareDecimalText, daysOfMonth, gtinCheckDigit, isDay, isDecimalText, isGtin, UNITS } from './index.js';

describe('decimals as rows hold them', () => {
  it('have one form: no exponent, no plus, no leading zeros, no minus zero', () => {
    for (const right of ['0', '0.0', '-1', '12.50', '999999999999999.999999999999'])
      expect(isDecimalText(right), right).toBe(true);
    for (const wrong of [
      '',
      '+1',
      '01',
      '-0',
      '-0.00',
      '1.',
      '.5',
      '1e3',
      '1,5',
      'NaN',
      ' 1',
      '1000000000000000',
      '0.1234567890123',
      1,
      null,
    ]) {
      expect(isDecimalText(wrong), String(wrong)).toBe(false);
    }
  });

  it('are compared as the numbers that they are', () => {
    const cents = fc.integer({ min: -10_000_000, max: 10_000_000 });
    const text = (value: number) =>
      value === 0
        ? '0'
        : `${value < 0 ? '-' : ''}${Math.trunc(Math.abs(value) / 100)}.${String(Math.abs(value) % 100).padStart(2, '0')}`;
    fc.assert(
      fc.property(cents, cents, (one, other) => {
        expect(Math.sign(compareDecimalText(text(one), text(other)))).toBe(Math.sign(one - other));
      }),
      // Chance seldom draws two that are the same.
      { examples: [-9, 0, 9].map((same): [number, number] => [same, same]) },
    );
  });
});

describe('every kind of row', () => {
  it('refuses what it does not know, and what is of another type', () => {
    for (const kind of KIND_NAMES) {
      const row = completeRow(kind, { id: newId() });
      expect(
        validateRow(kind, { ...row, strange: 1 }).map(({ code }) => code),
        kind,
      ).toContain('unknown-field');
      for (const { name, type } of fieldsOf(kind)) {
        const wrong = type === 'flag' ? 'yes' : type === 'integer' ? '3' : 3;
        const found = validateRow(kind, { ...row, [name]: wrong });
        expect(
          found.some((each) => each.field === name && each.code === 'invalid-field'),
          `${kind}.${name}`,
        ).toBe(true);
      }
    }
  });

  it('says of each reference what it points to, and the target is a kind', () => {
    const references = KIND_NAMES.flatMap((kind) => fieldsOf(kind).filter(({ type }) => type === 'reference'));
    expect(references.length).toBeGreaterThan(12);
    for (const { target } of references) expect(Object.keys(KINDS)).toContain(target);
  });

  it('refuses a day that is none, a currency that is none, and text beyond its length', () => {
    const price = completeRow('supplierPrice', {
      id: newId(),
      materialId: newId(),
      packUnit: 'kg',
      currency: 'EUR',
      validFrom: '2026-02-28',
    });
    expect(validateRow('supplierPrice', price)).toEqual([]);
    for (const change of [
      { validFrom: '2026-02-30' },
      { validFrom: '26-02-01' },
      { currency: 'EURO' },
      { currency: 'XXY' },
      { packUnit: '' },
    ]) {
      expect(validateRow('supplierPrice', { ...price, ...change }), JSON.stringify(change)).toHaveLength(1);
    }
    expect(validateRow('supplier', { id: newId(), name: 'x'.repeat(121) })).toHaveLength(1);
  });
});

it('no two units share a code, and each has a size', () => {
  expect(new Set(UNITS.map(({ code }) => code)).size).toBe(UNITS.length);
  for (const { code, size } of UNITS) expect(Number(size), code).toBeGreaterThan(0);
});

it('a GTIN is known by its check digit', () => {
  // GS1 General Specifications, section 7.9; the number is that of GS1's own worked example, as remembered. By hand, from
  // the right: 1x3 + 2 + 0x3 + 0 + 5x3 + 1 + 4x3 + 0 + 1x3 + 9 + 2x3 + 6 = 57, and 3 are missing to 60.
  expect(gtinCheckDigit('629104150021')).toBe('3');
  expect(['6291041500213', '96385074', '036000291452'].map(isGtin)).toEqual([true, true, true]);
  expect(['6291041500214', '6291041500231', '629104150021', ''].map(isGtin)).toEqual([false, false, false, false]);
});

describe('a day of the calendar', () => {
  it('is what the Gregorian calendar has, written as year, month and day', () => {
    for (const text of ['31.03.2026', '2026-3-31', '2026-02-30', '2026-13-01', '2026-00-10', '0000-01-01', '', null])
      expect(isDay(text), String(text)).toBe(false);
    for (const text of ['2026-03-31', '2024-02-29', '2000-02-29', '0001-01-01']) expect(isDay(text)).toBe(true);
    expect([1900, 2000, 2023, 2024].map((year) => daysOfMonth(year, 2))).toEqual([28, 29, 28, 29]);
  });

  it('is the same that the language itself knows (ECMAScript Date as reference)', () => {
    const part = (least: number, most: number) => fc.integer({ min: least, max: most });
    fc.assert(
      fc.property(part(1, 9999), part(0, 14), part(0, 33), (year, month, day) => {
        const text = [String(year).padStart(4, '0'), ...[month, day].map((each) => String(each).padStart(2, '0'))].join(
          '-',
        );
        const made = new Date(Date.UTC(2000, month - 1, day));
        made.setUTCFullYear(year, month - 1, day);
        expect(isDay(text)).toBe(made.toISOString().startsWith(text) && month >= 1 && day >= 1);
      }),
    );
  });
});
