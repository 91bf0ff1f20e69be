import { applyChange, bookRows, newId, type Operation, rowsByKind } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../evaluate/index.js';
import { DAY, demoRows, evaluated } from '../../testing/evaluated.js';
import { layWhatIf } from '../../what-if/index.js';
import { besideBaseline, goalView, isSideViewName, SIDE_VIEWS, sideView, twoInputsView, VIEWS } from '../index.js';

const rows = demoRows();
const whatIf = (name: string) => rows.rowsWith('whatIf', 'name', name)[0]?.id ?? '';

describe('the views of what-ifs in the demo book', () => {
  it('tell what is changed, from what to what, and why', () => {
    const view = VIEWS.whatIf(evaluated(rows), whatIf('Mugs at 20.00 at the market'));
    expect(
      view?.changes.map(({ subject, kindLabel, fieldLabel, before, after, by, note }) => [
        subject,
        kindLabel,
        fieldLabel,
        before,
        after,
        by,
        note,
      ]),
    ).toEqual([
      ['Everyday mug, Weekend market', 'price', 'Price', '18.00', '20', '', ''],
      [
        'Everyday mug, Weekend market',
        'planned volume',
        'Units a month',
        '40',
        '36.8',
        '0.92',
        'a guess: one customer in twelve stays away',
      ],
    ]);
    const added = VIEWS.whatIf(evaluated(rows), whatIf('A second market day'))?.changes.find(
      ({ how }) => how === 'create',
    );
    expect([added?.subject, added?.kindLabel, added?.how]).toEqual(['Stall on Saturdays', 'running cost', 'create']);
    expect(VIEWS.whatIf(evaluated(rows), newId())).toBeNull();
  });

  it('say why a change does not count, which counts in its place, and what the book has moved to since', () => {
    const changed = bookRows(rowsByKind(rows));
    const id = whatIf('Mugs at 20.00 at the market');
    const [first] = changed.rowsWith('whatIfChange', 'whatIfId', id);
    const { rowId = '', rowKind = '' } = first ?? {};
    const change = { whatIfId: id, rowKind, rowId, field: 'price' };
    const operations: Operation[] = [
      { action: 'update', kind: 'pricePoint', id: rowId, before: { price: '18.00' }, after: { price: '18.60' } },
      { action: 'create', kind: 'whatIfChange', row: { id: newId(), position: 5, ...change, value: '"21"' } },
      {
        action: 'create',
        kind: 'whatIfChange',
        row: { id: newId(), position: 6, ...change, rowId: newId(), value: '"21"' },
      },
      {
        action: 'create',
        kind: 'whatIfChange',
        row: { id: newId(), position: 7, ...change, field: 'discountPercent', value: '"-3"' },
      },
    ];
    const applied = applyChange(changed, { id: newId(), operations });
    if (!applied.ok) throw new RangeError(applied.problems[0]?.sentence);
    changed.apply(applied.writes);
    const view = VIEWS.whatIf(evaluate(rowsByKind(changed), DAY), id);
    expect(
      view?.changes.map(({ fieldLabel, refusal, isReplaced, moved }) => [fieldLabel, refusal, isReplaced, moved]),
    ).toEqual([
      ['Price', null, true, { was: '18.00', now: '18.60' }],
      ['Units a month', null, false, null],
      ['Price', null, false, null],
      ['Price', 'This price is no longer in the book.', false, null],
      ['Discount', 'Discount cannot be less than 0.', false, null],
    ]);
    const marks = VIEWS.whatIfMarks(evaluate(rowsByKind(changed), DAY), id);
    expect([marks?.count, marks?.refused, marks?.fields[`${rowId}.price`]]).toEqual([5, 2, '18.60']);
  });

  it('mark each figure that is another in the what-if with what it is in the book, and no other', () => {
    const book = evaluated(rows);
    const fork = book.fork(layWhatIf(rows, whatIf('Clay costs 8 % more')).overrides);
    const [mug] = rows.rowsWith('product', 'name', 'Everyday mug');
    const [point] = rows.rowsWith('pricePoint', 'productId', mug?.id ?? '');
    const shown = besideBaseline(VIEWS.price(fork, point?.id ?? ''), book) as ReturnType<typeof VIEWS.price>;
    const plain = VIEWS.price(book, point?.id ?? '');
    expect(plain.profit.amount).not.toBe(shown.profit.amount);
    expect(shown.profit.before).toBe(plain.profit.amount);
    expect(shown.price.before).toBeUndefined();
    expect(JSON.stringify(besideBaseline(plain, book))).toBe(JSON.stringify(plain));
  });
});

describe('views over several sides', () => {
  const book = evaluated(rows);
  const dearer = book.fork(layWhatIf(rows, whatIf('Clay costs 8 % more')).overrides);

  it('name the parts of a bridge by product and channel, with the inputs that differ', () => {
    const view = SIDE_VIEWS.bridge([book, dearer], 'month@');
    expect(view?.parts.map(({ cause }) => cause)).toEqual(['material price']);
    const [part] = view?.parts ?? [];
    expect(part?.inputs.map(({ subject }) => subject)).toContain('Porcelain body, from 15/06/2026');
    expect(part?.lines.some(({ product, channel }) => product === 'Everyday mug' && channel === 'Weekend market')).toBe(
      true,
    );
    const [channel] = rows.rowsWith('channel', 'name', 'Weekend market');
    const ofChannel = SIDE_VIEWS.bridge([book, dearer], `channel/${channel?.id ?? ''}@price,no such cause`);
    expect(ofChannel?.parts[0]?.lines.every((line) => line.channel === 'Weekend market')).toBe(true);
    expect(SIDE_VIEWS.bridge([book], 'month@')).toBeNull();
  });

  it('open the working of a difference', () => {
    const view = SIDE_VIEWS.difference([book, dearer], 'coverage/book/resultPerMonth');
    const alone = (view?.inputs ?? []).reduce((sum, { effect }) => sum + Number(effect), 0) + Number(view?.together);
    expect(alone).toBeCloseTo(Number(view?.difference), 8);
    expect(SIDE_VIEWS.difference([book], 'coverage/book/resultPerMonth')).toBeNull();
    expect(SIDE_VIEWS.difference([book, dearer], 'nothing/like/this')).toMatchObject({
      before: null,
      after: null,
      difference: null,
    });
  });

  it('are asked for by name, with the usual measure where none is named', () => {
    expect(isSideViewName('sides') && !isSideViewName('card')).toBe(true);
    expect(sideView('sides', [book, dearer], 'no measure')).toEqual(
      SIDE_VIEWS.sides([book, dearer], 'contribution per month'),
    );
  });
});

describe('a goal', () => {
  it('is sought within the bounds of the field, to its step, for the better', () => {
    const book = evaluated(rows);
    const [mug] = rows.rowsWith('product', 'name', 'Everyday mug');
    const [point] = rows.rowsWith('pricePoint', 'productId', mug?.id ?? '');
    const asked = {
      key: `pricePoint/${point?.id ?? ''}/contribution`,
      goal: '6',
      kind: 'pricePoint',
      id: point?.id ?? '',
      field: 'price',
    } as const;
    const view = goalView(book, asked);
    expect(view?.values.length).toBe(1);
    const [found] = view?.values ?? [];
    expect(Number(found?.figure)).toBeGreaterThanOrEqual(6);
    expect(found?.value).toMatch(/^\d+\.\d{1,2}$/);
    const fork = book.fork([{ ...asked, how: 'set', value: found?.value ?? '' }]);
    expect(fork.figure(asked.key)?.amount?.toFixed()).toBe(found?.figure);
    // A cost is met from above: 92 % is the yield today, and no yield is over 100 %.
    const cost = goalView(book, {
      ...asked,
      key: `fullCost/${mug?.id ?? ''}/fullCost`,
      goal: '1',
      kind: 'product',
      id: mug?.id ?? '',
      field: 'yieldPercent',
    });
    expect([cost?.values, Number(cost?.nearest?.value)]).toEqual([[], 100]);
    expect(goalView(book, { ...asked, key: 'nothing/like/this' })).toBeNull();
  });

  it('is read by the names of the figure alone, whatever its id spells', () => {
    const copy = bookRows(rowsByKind(rows));
    const [mug] = copy.rowsWith('product', 'name', 'Everyday mug');
    const [point] = copy.rowsWith('pricePoint', 'productId', mug?.id ?? '');
    const id = '0192f000-0000-7000-8fee-000000000001';
    copy.put('pricePoint', point?.id ?? '', null);
    copy.put('pricePoint', id, { ...point, id } as never);
    const asked = { key: `pricePoint/${id}/contribution`, goal: '6', kind: 'pricePoint', id, field: 'price' } as const;
    const view = goalView(evaluate(rowsByKind(copy), DAY), asked);
    expect(Number(view?.values[0]?.figure)).toBeGreaterThanOrEqual(6);
  });
});

it('a figure over two inputs is worked out about the values of today, and within the bounds of its fields', () => {
  const book = evaluated(rows);
  const [mug] = rows.rowsWith('product', 'name', 'Everyday mug');
  const [point] = rows.rowsWith('pricePoint', 'productId', mug?.id ?? '');
  const key = `pricePoint/${point?.id ?? ''}/contribution`;
  const price = { kind: 'pricePoint', id: point?.id ?? '', field: 'price' } as const;
  const yieldOf = { kind: 'product', id: mug?.id ?? '', field: 'yieldPercent' } as const;
  const view = twoInputsView(book, { key, down: price, across: yieldOf, percent: '5' });
  expect(view?.down).toEqual({ values: ['16.58', '17.55', '18.53', '19.5', '20.48', '21.45', '22.43'], today: 3 });
  // 92 % today: no yield is over 100 %.
  expect(view?.across).toEqual({ values: ['78.2', '82.8', '87.4', '92', '96.6'], today: 3 });
  expect(view?.figures[3]?.[3]?.amount).toBe(book.figure(key)?.amount?.toFixed());
  const corner = book.fork([
    { ...price, how: 'set', value: '22.43' },
    { ...yieldOf, how: 'set', value: '96.6' },
  ]);
  expect(view?.figures.at(-1)?.at(-1)?.amount).toBe(corner.figure(key)?.amount?.toFixed());
  expect(twoInputsView(book, { key, down: price, across: { ...yieldOf, field: 'name' }, percent: '5' })).toBeNull();
});
