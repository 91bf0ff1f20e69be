import { fieldsOf, type FieldSpec, type Kind } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { readAnyQuantity, readField, readInUnit } from './read-field.js';
import { readUnit } from './known-units.js';

const spec = (kind: Kind, field: string) => fieldsOf(kind).find(({ name }) => name === field) as FieldSpec;

describe('what is typed into a field', () => {
  it.each<[typed: string, kind: Kind, field: string, value: unknown]>([
    ['18.90/24', 'supplierPrice', 'price', '0.7875'],
    ['12,50', 'supplierPrice', 'price', '12.50'],
    ['', 'supplierPrice', 'price', null],
    ['15 %', 'feeRule', 'percent', '15'],
    ['1 h 30', 'labourStep', 'time', '90'],
    ['6', 'settings', 'openDaysPerWeek', 6],
    ['gbp', 'settings', 'currency', 'GBP'],
    ['Packaging', 'material', 'kind', 'packaging'],
    ['kilo', 'material', 'baseUnit', 'kg'],
    ['piece', 'material', 'baseUnit', 'each'],
    ['115 W', 'equipment', 'powerKilowatts', '0.115'],
    ['2,4 kW', 'equipment', 'powerKilowatts', '2.4'],
    ['6', 'equipment', 'powerKilowatts', '6'],
    ['yes', 'labourGrade', 'ownersTime', true],
  ])('"%s" in %s.%s is read', (typed, kind, field, value) => {
    expect(readField(spec(kind, field), typed, 'en-IE')).toMatchObject({ value });
  });

  it.each<[typed: string, kind: Kind, field: string, sentence: RegExp]>([
    ['a lot', 'supplierPrice', 'price', /not a number that can be read/],
    ['', 'settings', 'salesTaxPercent', /cannot be empty/],
    ['5 kg', 'supplierPrice', 'price', /takes a number without "kg"/],
    ['furlong', 'material', 'baseUnit', /"furlong" is not a unit in this book yet/],
    ['2 furlongs', 'supplierPrice', 'price', /takes a number without "furlongs"/],
    ['115 V', 'equipment', 'powerKilowatts', /Type it as 1\.5 or 115 W/],
    ['food', 'material', 'kind', /is one of: ingredient, packaging, resale/],
  ])('"%s" in %s.%s is refused with a sentence', (typed, kind, field, sentence) => {
    expect(readField(spec(kind, field), typed, 'en-IE')).toEqual({
      refusal: expect.stringMatching(sentence) as string,
    });
  });

  it('an amount takes the unit that it is measured in, and converts another one that fits', () => {
    const size = spec('product', 'batchSize');
    expect(readInUnit(size, '10 kg', 'en-IE', 'kg')).toMatchObject({ value: '10' });
    expect(readInUnit(size, '2,5 kg', 'de-DE', 'g')).toMatchObject({ value: '2500' });
    expect(readInUnit(size, '24', 'en-IE', 'each')).toMatchObject({ value: '24' });
    expect(readInUnit(size, '24 Stück', 'de-DE', 'each')).toMatchObject({ value: '24' });
    expect(readInUnit(size, '5 l', 'en-IE', 'kg')).toEqual({
      refusal: 'Batch size is in kg: l cannot be converted to it.',
    });
  });

  it('a quantity brings its unit along; a word that is no unit is what is refused, and not the quantity', () => {
    expect(readAnyQuantity('450 g', 'en-IE')).toEqual({ value: '450', unit: 'g' });
    expect(readAnyQuantity('0,5', 'de-DE')).toEqual({ value: '0.5', unit: null });
    expect(readAnyQuantity('25 kilos', 'en-IE')).toEqual({ value: '25', unit: 'kg' });
    expect(readAnyQuantity('3 slices', 'en-IE')).toEqual({ refusal: '"slices" is not a unit in this book yet.' });
    expect(readAnyQuantity('some', 'de-DE')).toEqual({
      refusal: expect.stringContaining('Type it as 12,5, 3/4 or 450 g.') as string,
    });
    expect(readUnit('US gal')).toBe('US gal');
  });
});
