import type { BookFile } from '../file/index.js';
import { addBenchOverhead, type BenchOverhead } from './bench-overhead.js';
import { bookBuilder, type BookBuilder } from './demo-book.js';

/** How large the bench book is. */
export interface BenchSize {
  readonly materials: number;
  readonly products: number;
  readonly linesPerProduct: number;
  readonly channels: number;
  /** Overhead in full: nothing of it where it is left out. */
  readonly overhead?: BenchOverhead;
}

const BENCH_SIZE: BenchSize = { materials: 1500, products: 2000, linesPerProduct: 25, channels: 12 };

/**
 * The book on which speed is measured: products of many lines, three levels deep (a fifth are components of components,
 * a quarter are components, the rest are sold), each sold one priced in every channel. The same figures at every build.
 */
export function benchBook(asked: Partial<BenchSize> = {}): BookFile {
  const size = { ...BENCH_SIZE, ...asked };
  const book = bookBuilder();
  const next = numbers();
  book.add('settings', { name: 'Bench book', salesTaxPercent: '20', normalLabourHoursPerMonth: '50000' });
  const departments = size.overhead === undefined ? [] : addBenchOverhead(book, size.overhead);
  const materials = range(size.materials).map((index) => addMaterial(book, index, next));
  const gradeId = book.add('labourGrade', {
    name: 'Maker',
    wagePerHour: '17.40',
    onCostPercent: '21',
    productivePercent: '85',
  });
  const channels = range(size.channels).map((index) => {
    const channelId = book.add('channel', { name: `Channel ${index + 1}`, unitsPerOrder: '2' });
    book.add('feeRule', { channelId, name: 'Commission', percent: String(index) });
    book.add('feeRule', { channelId, position: 1, name: 'Order fee', takenOf: 'order', amount: '0.35' });
    return channelId;
  });
  const [deepest, middle] = [Math.floor(size.products / 5), Math.floor(size.products / 4)];
  const levels: string[][] = [[], [], []];
  for (const index of range(size.products)) {
    const level = index < deepest ? 0 : index < deepest + middle ? 1 : 2;
    const components = pick(levels[level - 1] ?? [], 3, next);
    const productId = addProduct(book, index, level, next);
    const bought = pick(materials, size.linesPerProduct - components.length, next);
    bought.forEach((materialId, position) => addLine(book, { productId, position, materialId, unit: 'g' }, next));
    components.forEach((componentId, position) =>
      addLine(book, { productId, position: 100 + position, componentId, unit: 'each' }, next),
    );
    const departmentId = departments[index % departments.length] ?? null;
    book.add('labourStep', { productId, name: 'Make', gradeId, departmentId, time: String(2 + (next() % 20)) });
    if (level === 2)
      channels.forEach((channelId) =>
        book.add('pricePoint', { productId, channelId, price: `${60 + (next() % 60)}.95` }),
      );
    levels[level]?.push(productId);
  }
  range(20).forEach((index) =>
    book.add('runningCost', { name: `Running cost ${index + 1}`, position: index, amount: String(500 + index) }),
  );
  return book.file();
}

function addMaterial(book: BookBuilder, index: number, next: () => number): string {
  const materialId = book.add('material', { name: `Material ${index + 1}`, baseUnit: 'kg' });
  const price = `${1 + (next() % 40)}.${10 + (next() % 90)}`;
  book.add('supplierPrice', {
    materialId,
    packQuantity: '25',
    packUnit: 'kg',
    price,
    currency: 'EUR',
    validFrom: '2026-01-01',
  });
  return materialId;
}

function addProduct(book: BookBuilder, index: number, level: number, next: () => number): string {
  const planned = level === 2 ? String(10 + (next() % 90)) : null;
  const productId = book.add('product', {
    name: `Product ${index + 1}`,
    batchSize: '40',
    yieldPercent: String(85 + (next() % 15)),
  });
  if (planned !== null) book.add('plannedVolume', { productId, unitsPerMonth: planned });
  return productId;
}

function addLine(book: BookBuilder, fields: Record<string, unknown>, next: () => number): void {
  const quantity = fields.unit === 'each' ? '1' : String(20 + (next() % 400));
  book.add('billLine', { ...fields, quantity, lossPercent: String(next() % 6) });
}

const range = (length: number) => Array.from({ length }, (_none, index) => index);

/** Numbers that look random and are the same every time (a linear congruential generator). */
function numbers(): () => number {
  let state = 20_261_125;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor(state / 65_536);
  };
}

function pick(from: readonly string[], count: number, next: () => number): string[] {
  if (from.length === 0) return [];
  const chosen = new Set<string>();
  while (chosen.size < Math.min(count, from.length)) chosen.add(from[next() % from.length] as string);
  return [...chosen];
}
