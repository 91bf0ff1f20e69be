import { nameKey, newId, type Kind, type Operation, type StoredRow } from '@nuvar/book';
import { model } from '../../book/model.js';
import { createOf, nextPosition, updateOf } from '../../book/operations.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { type Column, figureColumn, type GridWriter, type InputColumn } from '../../controls/grid/grid-model.js';
import { readBetween } from '../../controls/grid/number-between.js';
import { rowChoiceColumn } from '../../controls/grid/row-choice-column.js';
import { removalInBook, rowsWriter } from '../../controls/grid/rows-writer.js';
import { typedText } from '../../figures/format.js';

export type MixProductRow = StoredRow<'mixProduct'>;
export type MixResourceRow = StoredRow<'mixResource'>;
type Named = { readonly id: string; readonly name: string };

/** How a product of a plan is called. */
export function nameOfMixProduct({ productId, channelId, name }: MixProductRow): string {
  const of = productId === null ? name : (model.rows.row('product', productId)?.name ?? '');
  const channel = channelId === null ? undefined : model.rows.row('channel', channelId)?.name;
  return channel === undefined ? of : `${of} (${channel})`;
}

const SOURCES = [
  ['gradeId', 'labourGrade'],
  ['equipmentId', 'equipment'],
  ['runId', 'equipmentRun'],
  ['materialId', 'material'],
  ['componentId', 'product'],
] as const satisfies readonly (readonly [keyof MixResourceRow, Kind])[];

/** How a resource of a plan is called. */
export function nameOfMixResource(row: MixResourceRow): string {
  const source = SOURCES.find(([field]) => row[field] !== null);
  if (source === undefined) return row.name;
  return model.rows.row(source[1], row[source[0]] as string)?.name ?? '';
}

const offered = (names: readonly string[]) => names.map((name) => ({ value: name, label: name }));
const named = (rows: readonly Named[], text: string) => rows.find(({ name }) => nameKey(name) === nameKey(text.trim()));

/** A product of the book by its name, or a name of its own. */
function productColumn(products: readonly Named[]): InputColumn<MixProductRow, Partial<MixProductRow>> {
  return {
    id: 'productId',
    header: 'Product',
    type: 'item',
    placeholder: 'A product, or a name of its own',
    place: ({ id }) => `${id}.productId`,
    options: () => offered(products.map(({ name }) => name)),
    text: ({ productId, name }) => (productId === null ? name : (model.rows.row('product', productId)?.name ?? '')),
    read: (text) => {
      const name = text.trim();
      if (name === '') return { refusal: 'Type the name of a product.' };
      const found = named(products, name);
      return found === undefined
        ? { patch: { productId: null, name }, shown: `${name}, not in the book` }
        : { patch: { productId: found.id, name: '' }, shown: found.name };
    },
  };
}

/** The products of a plan with what each leaves and its limits. */
export function productColumns(
  planId: string,
  products: readonly Named[],
  channels: readonly Named[],
  locale: string,
  currency: string,
): {
  readonly columns: Column<MixProductRow, Partial<MixProductRow>>[];
  readonly more: Column<MixProductRow, Partial<MixProductRow>>[];
} {
  const field = (name: keyof MixProductRow & string, header?: string, words?: Readonly<Record<string, string>>) =>
    fieldColumn<MixProductRow>('mixProduct', name, locale, {
      ...(header === undefined ? {} : { header }),
      ...(words === undefined ? {} : { words }),
    });
  const amount = (member: 'contribution' | 'revenue' | 'variableCost' | 'setUpCost', header: string) =>
    figureColumn({
      id: `${member}-figure`,
      header,
      view: 'mix',
      digits: 2,
      of: () => planId,
      pick: (view, { id }: MixProductRow) => view.products.find((each) => each.id === id)?.[member] ?? undefined,
    });
  return {
    columns: [
      productColumn(products),
      rowChoiceColumn<MixProductRow>('channelId', channels, { header: 'Channel', none: 'none' }),
      amount('contribution', `Leaves, ${currency}`),
      field('contribution', 'Leaves, typed'),
      field('minimum'),
      field('maximum'),
      field('agreed'),
      field('lot'),
      field('countedIn'),
      field('setUp'),
      field('setUpCost', 'Set-up cost'),
    ],
    more: [
      field('quantity'),
      amount('setUpCost', `Set-up cost counted, ${currency}`),
      amount('revenue', `Net revenue, ${currency}`),
      field('revenue', 'Net revenue, typed'),
      amount('variableCost', `Variable cost, ${currency}`),
      field('variableCost', 'Variable cost, typed'),
    ],
  };
}

export const productsWriter = (planId: string): GridWriter<MixProductRow, Partial<MixProductRow>> => {
  const plain = rowsWriter<MixProductRow>('mixProduct', {
    needs: [],
    fixed: (before) => ({
      planId,
      position: nextPosition('mixProduct', model.rows.rowsWith('mixProduct', 'planId', planId), before),
    }),
  });
  return {
    ...plain,
    create: (id, patch, before) =>
      patch.productId == null && (patch.name ?? '') === ''
        ? null
        : plain.create(
            id,
            { ...(patch.channelId === undefined ? firstChannel(patch.productId) : {}), ...patch },
            before,
          ),
  };
};

/** A product begins in the one channel in which it has a price; with several, one has to be chosen. */
function firstChannel(productId: string | null | undefined): Partial<MixProductRow> {
  if (productId == null) return {};
  const priced = model.rows.rowsWith('pricePoint', 'productId', productId).filter(({ price }) => price !== null);
  const [only] = priced;
  return only === undefined || priced.length > 1 ? {} : { channelId: only.channelId };
}

/** What runs short: a grade, a machine, a load, a material, a component by its name, or a name of its own. */
function resourceColumn(sources: ResourceSources): InputColumn<MixResourceRow, Partial<MixResourceRow>> {
  const all = SOURCES.flatMap(([field, kind]) => sources[kind].map((row) => ({ ...row, field })));
  const none = Object.fromEntries(SOURCES.map(([field]) => [field, null]));
  return {
    id: 'name',
    header: 'Resource',
    type: 'item',
    placeholder: 'Work, a machine, a material',
    place: ({ id }) => `${id}.name`,
    options: () => offered(all.map(({ name }) => name)),
    text: nameOfMixResource,
    read: (text) => {
      const name = text.trim();
      if (name === '') return { refusal: 'Type what runs short.' };
      const found = all.find((each) => nameKey(each.name) === nameKey(name));
      return found === undefined
        ? { patch: { ...none, name }, shown: `${name}, one of its own` }
        : { patch: { ...none, name: '', [found.field]: found.id }, shown: found.name };
    },
  };
}

export type ResourceSources = Readonly<Record<(typeof SOURCES)[number][1], readonly Named[]>>;

/** The resources of a plan, with how much there is and what more of it costs. */
export function resourceColumns(
  planId: string,
  sources: ResourceSources,
  locale: string,
  currency: string,
): Column<MixResourceRow, Partial<MixResourceRow>>[] {
  const field = (name: keyof MixResourceRow & string, header?: string) =>
    fieldColumn<MixResourceRow>('mixResource', name, locale, header === undefined ? {} : { header });
  const figure = (member: 'available' | 'normalPrice' | 'premium', header: string) =>
    figureColumn({
      id: `${member}-figure`,
      header,
      view: 'mix',
      digits: 2,
      of: () => planId,
      pick: (view, { id }: MixResourceRow) => view.supplies.find((each) => each.id === id)?.[member] ?? undefined,
    });
  const isOwn = (row: MixResourceRow | null) => row === null || SOURCES.every(([source]) => row[source] === null);
  return [
    resourceColumn(sources),
    { ...field('unit'), type: 'text', applies: isOwn },
    { ...figure('available', 'Available'), withUnit: true },
    field('available', 'Available, typed'),
    { ...field('countsOnOrder', 'With what is on order'), applies: (row) => row?.materialId != null },
    { ...field('madeWhenShort', 'Made when it runs out'), applies: (row) => row?.componentId != null },
    { ...field('isKept'), applies: isOwn },
    field('extra'),
    field('extraPrice', `Price of extra, ${currency}`),
    figure('normalPrice', `Normal price, ${currency}`),
    figure('premium', `Premium, ${currency}`),
    field('normalPrice', `Normal price, typed`),
  ];
}

export const resourcesWriter = (planId: string): GridWriter<MixResourceRow, Partial<MixResourceRow>> => {
  const plain = rowsWriter<MixResourceRow>('mixResource', {
    needs: [],
    isCopied: false,
    fixed: (before) => ({
      planId,
      position: nextPosition('mixResource', model.rows.rowsWith('mixResource', 'planId', planId), before),
    }),
  });
  const isSomething = (patch: Partial<MixResourceRow>) =>
    (patch.name ?? '') !== '' || SOURCES.some(([field]) => patch[field] != null);
  return { ...plain, create: (id, patch, before) => (isSomething(patch) ? plain.create(id, patch, before) : null) };
};

/** What is typed into a cell of a use: of which resource, and how much. */
export interface UsePatch {
  readonly resourceId: string;
  readonly field: UseField;
  readonly amount: string | null;
}
export type UseField = 'perUnit' | 'forSetUp';

const knownUse = (mixProductId: string, resourceId: string) =>
  model.rows.rowsWith('mixUse', 'mixProductId', mixProductId).find((row) => row.resourceId === resourceId);

/** Writes what a product takes of a resource; what is left empty follows from the bill again. */
export function writeUse(mixProductId: string, { resourceId, field, amount }: UsePatch): Operation[] {
  const known = knownUse(mixProductId, resourceId);
  if (known === undefined)
    return amount === null ? [] : [createOf('mixUse', newId(), { mixProductId, resourceId, [field]: amount })];
  const other = field === 'perUnit' ? known.forSetUp : known.perUnit;
  return amount === null && other === null
    ? removalInBook('mixUse', known.id)
    : updateOf('mixUse', known, { [field]: amount });
}

export const usesWriter: GridWriter<MixProductRow, { readonly use?: UsePatch }> = {
  update: (row, { use }) => (use === undefined ? [] : writeUse(row.id, use)),
  create: () => null,
  remove: () => [],
};

/** The products against the resources: what each takes, by its bill or typed over it. */
export function usesColumns(
  resources: readonly MixResourceRow[],
  field: UseField,
  locale: string,
): Column<MixProductRow, { readonly use?: UsePatch }>[] {
  return [
    { id: 'product', header: 'Product', type: 'shown', text: nameOfMixProduct, cell: nameOfMixProduct },
    ...resources.flatMap((resource): Column<MixProductRow, { readonly use?: UsePatch }>[] => {
      const header = nameOfMixResource(resource);
      return [
        figureColumn({
          id: `figure-${resource.id}`,
          header,
          view: 'mixUse',
          of: ({ id }: MixProductRow) => `${id}@${resource.id}`,
          // What takes nothing stays empty.
          pick: (view) => (Number(view[field]?.amount ?? 1) === 0 ? undefined : (view[field] ?? undefined)),
        }),
        {
          id: `typed-${resource.id}`,
          header: `${header}, typed`,
          type: 'number',
          place: ({ id }) => `${id}.${field}-${resource.id}`,
          text: ({ id }) => typedText(knownUse(id, resource.id)?.[field] ?? '', locale),
          read: (text) =>
            readBetween({ kind: 'mixUse', field }, text, { header, locale }, (amount) => ({
              use: { resourceId: resource.id, field, amount },
            })),
        },
      ];
    }),
  ];
}
