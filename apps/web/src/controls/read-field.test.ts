import { fieldsOf, type FieldSpec, type Kind } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { readAnyQuantity, readField, readQuantity } from './read-field.js';
import { readUnit } from './known-units.js';

const spec = (kind: Kind, field: string) => fieldsOf(kind).find(({ name }) => name === field) as FieldSpec;

describe('what is typed into a field', () => {
  it.each<[typed: string, kind: Kind, field: string, value: unknown]>([
    ['18.90/24', 'supplierPrice', 'price', '0.7875'],
    ['12,50', 'supplierPrice', 'price', '12.50'],
    ['', 'supplierPrice', 'price', null],
    ['15 %', 'channel', 'feePercent', '15'],
    ['1 h 30', 'labourStep', 'time', '90'],
    ['6', 'settings', 'openDaysPerWeek', 6],
    ['gbp', 'settings', 'currency', 'GBP'],
    ['Packaging', 'material', 'kind', 'packaging'],
    ['kilo', 'material', 'baseUnit', 'kg'],
    ['piece', 'material', 'baseUnit', 'each'],
    ['yes', 'labourGrade', 'ownersTime', true],
  ])('"%s" in %s.%s is read', (typed, kind, field, value) => {
    expect(readField(spec(kind, field), typed, 'en-IE')).toMatchObject({ value });
  });

  it.each<[typed: string, kind: Kind, field: string, sentence: RegExp]>([
    ['a lot', 'supplierPrice', 'price', /not a number that can be read/],
    ['', 'channel', 'feePercent', /cannot be empty/],
    ['5 kg', 'supplierPrice', 'price', /takes a number without "kg"/],
    ['furlong', 'material', 'baseUnit', /not a unit that is known/],
    ['food', 'material', 'kind', /is one of: ingredient, packaging, resale/],
  ])('"%s" in %s.%s is refused with a sentence', (typed, kind, field, sentence) => {
    expect(readField(spec(kind, field), typed, 'en-IE')).toEqual({
      refusal: expect.stringMatching(sentence) as string,
    });
  });

  it('a quantity brings its unit along where that can be reached', () => {
    expect(readQuantity('450 g', 'en-IE', ['kg', 'g'])).toEqual({ value: '450', unit: 'g' });
    expect(readQuantity('0,5', 'de-DE', ['kg'])).toEqual({ value: '0.5', unit: null });
    expect(readQuantity('2 l', 'en-IE', ['kg', 'g'])).toEqual({
      refusal: expect.stringContaining('no way from l to kg') as string,
    });
    expect(readAnyQuantity('25 kilos', 'en-IE')).toEqual({ value: '25', unit: 'kg' });
    expect(readUnit('US gal')).toBe('US gal');
  });
});
