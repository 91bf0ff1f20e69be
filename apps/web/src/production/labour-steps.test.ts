import type { StoredRow } from '@nuvar/book';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from '../book/model.js';
import { figuresNow, named, openDemo } from '../testing/open-demo.js';
import { typed } from '../testing/typed.js';
import { labourColumns, labourWriter } from './labour-steps.js';

beforeEach(openDemo);

/** Sixty are started in one batch of it. */
const mug = () => named('product', 'Everyday mug');
const workOn =
  (grades: () => readonly StoredRow<'labourGrade'>[], locale = 'en-GB') =>
  () => ({
    columns: labourColumns(grades(), locale, 'EUR'),
    writer: labourWriter(mug().id, grades()),
    row: (id: string) => model.rows.row('labourStep', id),
  });
const allGrades = () => model.rows.all('labourGrade');
const added = (texts: Record<string, string>, locale = 'en-GB') => {
  const { id, refusal } = typed(workOn(allGrades, locale), texts);
  expect(refusal).toBeNull();
  return model.rows.row('labourStep', id) as StoredRow<'labourStep'>;
};
const costOf = ({ id }: { readonly id: string }) => figuresNow().figure(`labourStep/${id}/cost`);
const changedTo = (id: string, texts: Record<string, string>) => {
  expect(typed(workOn(allGrades), texts, id).refusal).toBeNull();
  return costOf({ id })?.amount?.toFixed();
};

describe('a step of the work that is typed', () => {
  // The owner's hour: wage 24.00, nothing on top, four fifths of it productive: 24 / 0.8 = 30.00.
  it('costs its hours at the rate of its grade, with the set-up once a batch, times the people', () => {
    const step = added({ name: 'Sign', grade: "owner's own time", timeBasis: 'min a batch', time: '2 h 30' });
    expect([step.time, step.timeBasis, step.gradeId]).toEqual([
      '150',
      'minutes per batch',
      named('labourGrade', "Owner's own time").id,
    ]);
    expect(costOf(step)?.amount?.toFixed()).toBe('75');
    expect(changedTo(step.id, { setUpMinutes: '30' })).toBe('90');
    expect(changedTo(step.id, { people: '2' })).toBe('180');
    // Sixty at twelve an hour take five hours, and the half hour before.
    expect(changedTo(step.id, { timeBasis: 'units an hour', time: '12' })).toBe('330');
    // Sixty times a minute and a half.
    expect(changedTo(step.id, { timeBasis: 'min a unit', time: '1.5', setUpMinutes: '0', people: '1' })).toBe('45');
  });

  it.each([
    ['1:30', 'en-GB', '90'],
    ['1 h', 'en-GB', '60'],
    ['90 s', 'en-GB', '1.5'],
    ['1,5', 'de-DE', '1.5'],
    ['3/4', 'en-GB', '0.75'],
  ])('takes the time as %s, in %s, for %s minutes', (text, locale, minutes) => {
    expect(added({ name: 'Trim', time: text }, locale).time).toBe(minutes);
  });

  it('comes after the others, and by nobody named has hours and no cost yet', () => {
    const last = Math.max(...model.rows.rowsWith('labourStep', 'productId', mug().id).map(({ position }) => position));
    const step = added({ name: 'Sign', timeBasis: 'min a batch', time: '30' });
    expect([step.position, step.gradeId]).toEqual([last + 1, null]);
    expect(costOf(step)?.gaps.map(({ code }) => code)).toEqual(['no-grade']);
    expect(figuresNow().figure(`labourStep/${step.id}/hours`)?.amount?.toFixed()).toBe('0.5');
  });

  it('makes a grade that is not in the book, once, and says that its wage is missing', () => {
    const [first, second] = [
      added({ name: 'Sign', grade: 'Apprentice', time: '5' }),
      added({ name: 'Sort', grade: 'APPRENTICE', time: '5' }),
    ];
    expect(first.gradeId).toBe(named('labourGrade', 'Apprentice').id);
    expect(second.gradeId).toBe(first.gradeId);
    expect(costOf(first)?.gaps.map(({ code }) => code)).toEqual(['no-wage']);
  });

  it('is done by the only grade there is, without being asked', () => {
    const { id } = typed(
      workOn(() => [named('labourGrade', 'Maker')]),
      { name: 'Sign' },
    );
    expect(model.rows.row('labourStep', id)?.gradeId).toBe(named('labourGrade', 'Maker').id);
  });

  it.each([
    [{ name: 'Sign', grade: '' }, 'Type the name of a labour grade.'],
    [{ name: 'Sign', grade: 'x'.repeat(121) }, 'Type the name of a labour grade.'],
    [
      { name: 'Sign', time: 'soon' },
      '"soon" is not a number that can be read. Type it as 12.50, 3/4, 18.90/24 or 2 h 30.',
    ],
  ])('refuses %o and keeps what was there', (texts, sentence) => {
    const before = model.rows.count('labourGrade');
    expect(typed(workOn(allGrades), texts).refusal).toBe(sentence);
    expect(model.rows.count('labourGrade')).toBe(before);
  });
});
