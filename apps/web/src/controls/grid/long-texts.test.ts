import { fieldsOf, KIND_NAMES } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { LONG_TEXTS } from '@nuvar/core/testing';
import { readPriceText } from '../../purchasing/price-text.js';
import { readPasted } from '../../purchasing/import/read-file.js';
import { alike } from '../fields/alike.js';
import { csvOf } from './csv.js';
import { readUnit } from '../fields/known-units.js';
import { matches } from './matches.js';
import { offersFor } from '../fields/offers.js';
import { isRefusal, readAnyQuantity, readField } from '../fields/read-field.js';

const names = Array.from({ length: 500 }, (_none, index) => ({ value: String(index), label: `Clay number ${index}` }));

/** Of fields that read alike, one: those of a type, with the same bounds and choices. */
const ONE_OF_EACH = [
  ...new Map(
    KIND_NAMES.flatMap(fieldsOf).map((spec) => [JSON.stringify({ ...spec, name: '', label: '', target: '' }), spec]),
  ).values(),
];

// A pattern that takes more than linear time over a million letters does not come back: then these run into the time limit.
describe.each(Object.entries(LONG_TEXTS))('a million letters: %s', (_kind, text) => {
  it('typed into a field are refused, or a text that the rules of the field refuse', () => {
    for (const spec of ONE_OF_EACH) {
      const reading = readField(spec, text, 'en-IE');
      const isNumber = spec.type === 'decimal' || spec.type === 'integer';
      if (isNumber && text.trim() !== '') expect(isRefusal(reading), spec.label).toBe(true);
    }
    expect(readAnyQuantity(text, 'en-IE')).toHaveProperty('refusal');
    readPriceText(text, 'en-IE', 'EUR');
    readUnit(text);
  });

  it('looked for in a list find what they find', () => {
    offersFor(names, text);
    alike(names, ['label'])(text, 5);
    matches({ name: 'Clay', code: '', category: '', tags: '', archived: false }, text);
  });

  it('pasted are a table or refused in a sentence, and go out again', () => {
    try {
      const [table] = readPasted(text).tables;
      csvOf(table?.table ?? [], ',');
    } catch (refusal) {
      expect(String(refusal)).toMatch(/reaches over/);
    }
  });
});
