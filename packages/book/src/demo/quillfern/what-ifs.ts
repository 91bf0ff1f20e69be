import type { Kind } from '../../kinds.js';
import { type Override, writtenOverride } from '../../what-if/index.js';
import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

type Row = Readonly<Record<string, unknown>>;

const CLAYS = ['White stoneware clay', 'Speckled stoneware clay', 'Porcelain body'];

/** What the studio wonders about before the new year: dearer clay, a dearer mug, a second market day. */
export function addWhatIfs(
  book: BookBuilder,
  { materials, products, channels, pools }: Readonly<Record<'materials' | 'products' | 'channels' | 'pools', Ids>>,
): void {
  const rows = (kind: Kind) => (book.file().rows[kind] ?? []) as readonly Row[];
  const found = (kind: Kind, fields: Row) =>
    rows(kind).filter((row) => Object.entries(fields).every(([field, value]) => row[field] === value));
  const whatIf = (name: string, note: string, changes: readonly (readonly [Override, Row?])[]) => {
    const whatIfId = book.add('whatIf', { name, note });
    changes.forEach(([override, more = {}], position) => {
      const base = found(override.kind, { id: override.id })[0];
      const was = 'field' in override && base !== undefined ? JSON.stringify(base[override.field] ?? null) : '';
      book.add('whatIfChange', { whatIfId, position, ...writtenOverride(override), was, ...more });
    });
  };
  const idOf = (row: Row | undefined) => String(row?.id ?? '');
  const clayPrices = CLAYS.flatMap((name) => found('supplierPrice', { materialId: at(materials, name) }));
  whatIf(
    'Clay costs 8 % more',
    'Harrowmere Clays has written that prices rise in January.',
    clayPrices.map((row) => [
      { kind: 'supplierPrice', id: idOf(row), field: 'price', how: 'scale', by: '1.08' },
      { bulk: 'Material prices, Harrowmere Clays: + 8 %' },
    ]),
  );
  const [mug, market] = [at(products, 'Everyday mug'), at(channels, 'Weekend market')];
  const atMarket = { productId: mug, channelId: market };
  whatIf('Mugs at 20.00 at the market', 'Two stalls nearby ask 21.00 and 22.50.', [
    [{ kind: 'pricePoint', id: idOf(found('pricePoint', atMarket)[0]), field: 'price', how: 'set', value: '20' }],
    [
      {
        kind: 'plannedVolume',
        id: idOf(found('plannedVolume', atMarket)[0]),
        field: 'unitsPerMonth',
        how: 'scale',
        by: '0.92',
      },
      { note: 'a guess: one customer in twelve stays away' },
    ],
  ]);
  const stall = '0192f000-0000-7000-9000-000000000001';
  const cost = { id: stall, name: 'Stall on Saturdays', amount: '140', poolId: at(pools, 'Selling and office') };
  whatIf('A second market day', 'The market has a place free on Saturdays.', [
    [{ kind: 'runningCost', id: stall, how: 'create', row: { ...cost, position: 90, rhythm: 'month' } }],
    ...found('plannedVolume', { channelId: market }).map((row): readonly [Override, Row] => [
      { kind: 'plannedVolume', id: idOf(row), field: 'unitsPerMonth', how: 'scale', by: '1.45' },
      { bulk: 'Planned volumes, Weekend market: + 45 %' },
    ]),
  ]);
}
