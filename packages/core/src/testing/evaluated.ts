import { type BookRows, type Kind, rowsByKind } from '@nuvar/book';
import { bookBuilder, type BookBuilder, quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate } from '../evaluate/index.js';
import type { BookEvaluation, Evaluation } from '../sheet/index.js';

/** The day on which the examples are worked out. */
export const DAY = '2026-11-25';

/** A book of which every row is held against its class, as the application holds it; in an older format where one is given. */
export function rowsOf(build: (book: BookBuilder) => void, format?: number): BookRows {
  const book = bookBuilder();
  build(book);
  const file = book.file();
  return rowsOfFile(format === undefined ? file : { ...file, version: format });
}

export const demoRows = (): BookRows => rowsOfFile(quillfernPottery());

export function evaluated(rows: BookRows, asOf = DAY): BookEvaluation {
  return evaluate(rowsByKind(rows), asOf);
}

/** The amount of a published figure as a plain decimal, or its first gap. */
export function amount(evaluation: Evaluation, key: string): string {
  const figure = evaluation.figure(key);
  return figure?.amount?.toDecimalPlaces(20).toFixed() ?? figure?.gaps[0]?.code ?? 'no such figure';
}

/** A small workshop: one product of one material, an hour of work, rent, a channel and a price. */
export interface Workshop {
  readonly rows: BookRows;
  readonly product: string;
  readonly material: string;
  readonly price: string;
  readonly line: string;
  readonly point: string;
  readonly channel: string;
  readonly settings: string;
}

type Fields = Record<string, unknown>;

/** Fields of its rows by kind, and the fees of its channel, each with its bands. */
export type WorkshopFields = Partial<Record<Kind, Fields>> & {
  readonly fees?: readonly (Fields & { readonly bands?: readonly Fields[]; readonly sizes?: readonly Fields[] })[];
  /** More rows, of the ids of those that there are. */
  readonly more?: (book: BookBuilder, ids: Omit<Workshop, 'rows'>) => void;
};

/** Builds it, with fields of its rows set otherwise where an example wants it so. */
export function workshop(fields: WorkshopFields = {}): Workshop {
  const ids = {} as Record<'product' | 'material' | 'price' | 'line' | 'point' | 'channel' | 'settings', string>;
  const rows = rowsOf((book) => {
    const add = (kind: Kind, usual: Fields) => book.add(kind, { ...usual, ...fields[kind] });
    ids.settings = add('settings', { name: 'Workshop', openDaysPerMonth: '20' });
    if (fields.taxRegistration !== undefined) add('taxRegistration', {});
    ids.material = add('material', { name: 'Stuff', baseUnit: 'kg' });
    ids.price = add('supplierPrice', {
      materialId: ids.material,
      packQuantity: '10',
      packUnit: 'kg',
      price: '40',
      currency: 'EUR',
      validFrom: '2026-01-01',
    });
    const gradeId = add('labourGrade', { name: 'Maker', wagePerHour: '20' });
    ids.product = add('product', { name: 'Thing' });
    add('plannedVolume', { productId: ids.product, unitsPerMonth: '100' });
    ids.line = add('billLine', { productId: ids.product, materialId: ids.material, quantity: '500', unit: 'g' });
    add('labourStep', { productId: ids.product, name: 'Make', gradeId, timeBasis: 'minutes per unit', time: '15' });
    add('runningCost', { name: 'Rent', amount: '500' });
    ids.channel = add('channel', { name: 'Shop' });
    (fields.fees ?? []).forEach(({ bands = [], sizes = [], ...fee }, position) => {
      const ruleId = book.add('feeRule', { channelId: ids.channel, position, name: `Fee ${position + 1}`, ...fee });
      bands.forEach((each) => book.add('feeBand', { ruleId, ...each }));
      sizes.forEach((each, place) => book.add('sizeTier', { ruleId, position: place, ...each }));
    });
    ids.point = add('pricePoint', { productId: ids.product, channelId: ids.channel, price: '20', taxInside: false });
    fields.more?.(book, ids);
  });
  return { rows, ...ids };
}
