import { type LedgerStates, newId, type Operation } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { movementsOf, positionsByDay } from '@nuvar/core';
import fc from 'fast-check';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
});
afterAll(() => app.close());

type Moved = readonly [date: string, type: string, quantity: string | null, cost?: string | null, of?: string];

interface Kept {
  readonly bookId: string;
  readonly materialId: string;
  move(...moved: readonly Moved[]): Promise<string[]>;
  /** Quantity, average value and value by layers on a day. */
  on(day: string): Promise<readonly [string, string, string] | null>;
}

const creation = (
  materialId: string,
  [date, type, quantity, cost = null, of]: Moved,
): Operation & { row: { id: string } } => ({
  action: 'create',
  kind: 'stockMovement',
  row: { id: newId(), materialId, date, type, quantity, unit: 'kg', cost, ofMovementId: of ?? null } as never,
});

async function ledger(name: string): Promise<Kept> {
  const bookId = await owner.makeBook(name);
  const { id: materialId, operation } = material('Vanilla');
  await owner.change(bookId, [operation]).expect(200);
  return {
    bookId,
    materialId,
    async move(...moved) {
      const operations = moved.map((each) => creation(materialId, each));
      await owner.change(bookId, operations).expect(200);
      return operations.map(({ row }) => row.id);
    },
    async on(day) {
      const { stockPosition } = (await owner.get(`/api/books/${bookId}/ledgers?asOf=${day}`).expect(200))
        .body as LedgerStates;
      const [row] = stockPosition;
      return row === undefined ? null : [row.quantity, row.averageValue, row.fifoValue];
    },
  };
}

describe('the stock ledger', () => {
  it('is kept by day, and is worked out again from the day of a movement that comes late', async () => {
    const stock = await ledger('Kept by day');
    await stock.move(
      ['2026-01-05', 'opening', '10', '40'],
      ['2026-01-20', 'issue', '16'],
      ['2026-02-01', 'receipt', '30', '150'],
    );
    expect(await stock.on('2026-01-04')).toBeNull();
    expect(await stock.on('2026-01-19')).toEqual(['10', '40', '40']);
    expect(await stock.on('2026-01-31')).toEqual(['-6', '-24', '-24']);
    expect(await stock.on('2026-03-01')).toEqual(['24', '120', '120']);
    await stock.move(['2026-01-10', 'receipt', '10', '60']);
    expect(await stock.on('2026-01-10')).toEqual(['20', '100', '100']);
    expect(await stock.on('2026-01-31')).toEqual(['4', '20', '24']);
    expect(await stock.on('2026-03-01')).toEqual(['34', '170', '174']);
  });

  it('comes to the same in whatever order its movements were entered, changed and taken back', async () => {
    const day = fc.integer({ min: 1, max: 80 }).map((at) => new Date(Date.UTC(2026, 0, at)).toISOString().slice(0, 10));
    const quantity = fc.integer({ min: 1, max: 900 }).map((tenths) => String(tenths / 10));
    const entry = fc.record({
      date: day,
      // Issues go below zero at times; a receipt is never taken back, so that nothing is refused.
      type: fc.constantFrom('receipt', 'receipt', 'issue', 'write-off', 'count'),
      quantity,
      cost: fc.integer({ min: 0, max: 500 }).map(String),
      lateCharge: fc.option(fc.record({ after: fc.nat(40), cost: fc.integer({ min: 0, max: 90 }).map(String) })),
      becomes: fc.option(fc.oneof(fc.record({ date: day }), fc.record({ quantity }), fc.constant('removed' as const))),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(entry, { minLength: 2, maxLength: 9 }), async (entries) => {
        const stock = await ledger(`Any order ${newId()}`);
        for (const { date, type, quantity: moved, cost, lateCharge, becomes } of entries) {
          const isReceipt = type === 'receipt';
          const [id = ''] = await stock.move([date, type, moved, isReceipt ? cost : null]);
          if (isReceipt && lateCharge !== null) {
            const late = new Date(Date.parse(date) + lateCharge.after * 86_400_000).toISOString().slice(0, 10);
            await stock.move([late, 'late charge', null, lateCharge.cost, id]);
          } else if (!isReceipt && becomes !== null) {
            const at = { kind: 'stockMovement', id } as const;
            const before = 'date' in Object(becomes) ? { date } : { quantity: moved };
            const operation: Operation =
              becomes === 'removed'
                ? { action: 'remove', ...at, version: 1 }
                : { action: 'update', ...at, before, after: becomes };
            await owner.change(stock.bookId, [operation]).expect(200);
          }
        }
        const whole = (
          await owner.get(`/api/books/${stock.bookId}/ledgers/stockMovement/${stock.materialId}`).expect(200)
        ).body as { rows: Parameters<typeof movementsOf>[0]; begun: string; opening: unknown };
        expect([whole.begun, whole.opening]).toEqual(['0001-01-01', null]);
        for (const { day: on, kept } of positionsByDay(null, movementsOf(whole.rows)))
          expect(await stock.on(on)).toEqual([kept.quantity, kept.averageValue, kept.fifoValue]);
      }),
      { numRuns: 12, interruptAfterTimeLimit: 100_000 },
    );
  });

  it('goes back to the receipt when a charge comes late for it, and once more when another does', async () => {
    const stock = await ledger('Late charges');
    const [, receipt] = await stock.move(
      ['2026-01-05', 'opening', '40', '360'],
      ['2026-01-06', 'receipt', '100', '1200'],
      ['2026-02-10', 'issue', '90'],
    );
    await stock.move(['2026-03-01', 'late charge', null, '84', receipt as string]);
    const [quantity, average, fifo] = (await stock.on('2026-03-01')) ?? [];
    expect([quantity, Number(average).toFixed(6), fifo]).toEqual(['50', '587.142857', '642']);
    // Days before the charge stay as they were posted.
    expect(Number((await stock.on('2026-02-20'))?.[1]).toFixed(6)).toBe('557.142857');
    await stock.move(['2026-03-02', 'late charge', null, '-84', receipt as string]);
    expect(Number((await stock.on('2026-03-02'))?.[1]).toFixed(6)).toBe('557.142857');
  });

  it('tells a period with what there was before, from the beginning of the month to which its entries belong', async () => {
    const stock = await ledger('A period');
    const [, receipt] = await stock.move(['2026-01-05', 'opening', '4', '8'], ['2026-02-05', 'receipt', '6', '18']);
    await stock.move(['2026-03-10', 'return to supplier', '1', null, receipt as string]);
    const of = async (query: string) =>
      (await owner.get(`/api/books/${stock.bookId}/ledgers/stockMovement/${stock.materialId}?${query}`).expect(200))
        .body as {
        begun: string;
        opening: { id: string; quantity: string } | null;
        rows: { date: string }[];
      };
    const march = await of('from=2026-03-01&to=2026-03-31');
    expect([march.begun, march.opening?.quantity, march.rows.map(({ date }) => date)]).toEqual([
      '2026-02-01',
      '4',
      ['2026-02-05', '2026-03-10'],
    ]);
    expect(march.opening?.id).toBe(`${stock.materialId}@2026-02-01`);
    expect(await of('from=2026-04-01&to=2026-04-30')).toMatchObject({
      begun: '2026-04-01',
      opening: { quantity: '9' },
      rows: [],
    });
    await owner.get(`/api/books/${stock.bookId}/ledgers/stockMovement/${stock.materialId}?from=soon`).expect(422);
  });

  it('is told by no more than 5,000 movements at once', async () => {
    const stock = await ledger('Long');
    const first = creation(stock.materialId, ['2026-01-05', 'receipt', '10', '40']);
    await owner.change(stock.bookId, [first]).expect(200);
    await app.get(DataSource).query(
      `INSERT INTO row_stock_movement (book_id, id, version, material_id, date, type, quantity, unit, cost, remark)
       SELECT $1, gen_random_uuid(), 1, $2, '2026-01-06', 'issue', 0.001, 'kg', NULL, '' FROM generate_series(1, 5000)`,
      [stock.bookId, stock.materialId],
    );
    const long = await owner.get(
      `/api/books/${stock.bookId}/ledgers/stockMovement/${stock.materialId}?from=2026-01-01&to=2026-01-31`,
    );
    expect(codesOf(long)).toEqual(['too-many-movements']);
  });

  it('keeps a receipt that has been used since, and lets go of one that has not', async () => {
    const stock = await ledger('Used receipts');
    const [first, second] = await stock.move(
      ['2026-01-05', 'receipt', '10', '40'],
      ['2026-01-06', 'receipt', '10', '60'],
    );
    const [use] = await stock.move(['2026-01-20', 'issue', '8']);
    const remove = (id: string | undefined): Operation => ({
      action: 'remove',
      kind: 'stockMovement',
      id: id ?? '',
      version: 1,
    });
    await owner.change(stock.bookId, [remove(first)]).expect(200);
    expect(await stock.on('2026-01-31')).toEqual(['2', '12', '12']);
    const refused = await owner.change(stock.bookId, [remove(second)]).expect(422);
    expect(codesOf(refused)).toEqual(['receipt-used']);
    expect((refused.body as { problems: { sentence: string }[] }).problems[0]?.sentence).toContain(
      '-8 kg in stock on 2026-01-20',
    );
    // Nothing of it is half done: taken back with its use, it goes.
    expect(await stock.on('2026-01-31')).toEqual(['2', '12', '12']);
    await owner.change(stock.bookId, [remove(second), remove(use)]).expect(200);
    expect(await stock.on('2026-01-31')).toBeNull();
  });

  it('is no part of the snapshot nor of the book file, but for what came with shipments', async () => {
    const stock = await ledger('Not in the snapshot');
    await stock.move(['2026-01-05', 'opening', '10', '40']);
    const shipmentId = newId();
    const lineId = newId();
    const create = (kind: string, row: object): Operation => ({ action: 'create', kind, row }) as unknown as Operation;
    await owner
      .change(stock.bookId, [
        create('shipment', { id: shipmentId, name: 'One', date: '2026-01-10', state: 'ordered', currency: 'EUR' }),
        create('shipmentLine', { id: lineId, shipmentId, materialId: stock.materialId, quantity: '5', unit: 'kg' }),
      ])
      .expect(200);
    const receive = (ofLine: string, date = '2026-01-12') =>
      owner.change(stock.bookId, [
        create('stockMovement', {
          id: newId(),
          materialId: stock.materialId,
          date,
          type: 'receipt',
          unit: 'kg',
          quantity: ofLine,
          cost: '9',
          lineId,
          ofLine,
        }),
      ]);
    await receive('3').expect(200);
    expect(codesOf(await receive('2.5').expect(422))).toEqual(['received-more-than-ordered']);
    expect(codesOf(await receive('2', '2026-01-09').expect(422))).toEqual(['received-before-its-date']);
    const file = (await owner.get(`/api/books/${stock.bookId}/file`).expect(200)).body as {
      rows: Record<string, unknown[]>;
    };
    expect(file.rows.stockMovement).toHaveLength(1);
    expect(file.rows).not.toHaveProperty('stockPosition');
    const { id } = (await owner.post('/api/book-files', file).expect(201)).body as { id: string };
    const taken = (await owner.get(`/api/books/${id}/ledgers?asOf=2026-02-01`).expect(200)).body as LedgerStates;
    expect(taken.stockPosition.map(({ quantity }) => quantity)).toEqual(['3']);
  });

  it('goes out as a file of its own, in which no text is a formula', async () => {
    const stock = await ledger('As a file');
    const [receipt] = await stock.move(['2026-01-05', 'receipt', '10', '40']);
    await stock.move(['2026-01-06', 'late charge', null, '-2.5', receipt as string]);
    const remark = {
      kind: 'stockMovement',
      id: receipt ?? '',
      before: { remark: '' },
      after: { remark: '=1+1' },
    } as const;
    await owner.change(stock.bookId, [{ action: 'update', ...remark }]).expect(200);
    const file = await owner.get(`/api/books/${stock.bookId}/ledgers/stockMovement/rows.csv`).expect(200);
    const [headings, first, second] = file.text.replace('\ufeff', '').trimEnd().split('\r\n');
    expect(headings).toBe('date,material,code,movement,quantity,unit,cost,belongs to,shipment,remark,id');
    expect(first).toBe(`2026-01-05,Vanilla,,receipt,10,kg,40,,,"'=1+1",${receipt}`);
    expect(second?.startsWith(`2026-01-06,Vanilla,,late charge,,kg,-2.5,${receipt},,,`)).toBe(true);
  });

  it('is written in the base unit, with what each movement needs, and positions are not written at all', async () => {
    const stock = await ledger('Refused');
    const code = async (moved: Moved, more: object = {}) => {
      const operation = creation(stock.materialId, moved);
      Object.assign(operation.row, more);
      return codesOf(await owner.change(stock.bookId, [operation]).expect(422));
    };
    expect(await code(['2026-01-05', 'receipt', '10'])).toEqual(['movement-lacks']);
    expect(await code(['2026-01-05', 'issue', null])).toEqual(['movement-lacks']);
    expect(await code(['2026-01-05', 'issue', '0'])).toEqual(['movement-lacks']);
    expect(await code(['2026-01-05', 'late charge', null, '5'])).toEqual(['movement-lacks']);
    expect(await code(['2026-01-05', 'issue', '1'], { unit: 'g' })).toEqual(['movement-not-in-base-unit']);
    const [receipt] = await stock.move(['2026-02-01', 'receipt', '1', '2']);
    expect(await code(['2026-01-31', 'late charge', null, '5', receipt as string])).toEqual(['movement-of-another']);
    const position = { action: 'create', kind: 'stockPosition', row: { id: newId(), materialId: stock.materialId } };
    expect(codesOf(await owner.change(stock.bookId, [position as unknown as Operation]).expect(422))).toEqual([
      'derived-row',
    ]);
    const rename: Operation = {
      action: 'update',
      kind: 'material',
      id: stock.materialId,
      before: { baseUnit: 'kg' },
      after: { baseUnit: 'g' },
    };
    expect(codesOf(await owner.change(stock.bookId, [rename]).expect(422))).toEqual(['base-unit-in-use']);
  });
});
