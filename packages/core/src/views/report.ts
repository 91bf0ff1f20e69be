import { type Evaluation, WHOLE_BOOK } from '../sheet/index.js';
import { type ViewOf, VIEWS } from './views.js';

/** All figures of a book as one JSON document. Its shape is documented in docs/figures.md and kept stable. */
export interface Report {
  readonly format: 'nuvar-figures';
  readonly version: 1;
  readonly book: { readonly name: string; readonly currency: string };
  readonly asOf: string;
  readonly overview: Omit<ViewOf<'overview'>, 'products' | 'scale'>;
  readonly overhead: ViewOf<'overhead'>;
  readonly materials: readonly ({ readonly id: string; readonly name: string } & ViewOf<'material'>)[];
  readonly products: readonly {
    readonly id: string;
    readonly name: string;
    readonly card: ViewOf<'card'>;
    readonly prices: readonly ({ readonly id: string; readonly channel: string } & ViewOf<'price'>)[];
    readonly breakEven: readonly ({ readonly id: string } & ViewOf<'candidate'>)[];
  }[];
  readonly looseEnds: ViewOf<'looseEnds'>;
}

/** Works out everything that a book says: every product's card, prices and break-even, with what is missing. */
export function reportOf(evaluation: Evaluation): Report {
  const { sheet } = evaluation;
  const settings = sheet.settings();
  const { products: _products, scale: _scale, ...overview } = VIEWS.overview(evaluation, WHOLE_BOOK);
  return {
    format: 'nuvar-figures',
    version: 1,
    book: { name: settings.name, currency: settings.currency },
    asOf: evaluation.asOf,
    overview,
    overhead: VIEWS.overhead(evaluation, WHOLE_BOOK),
    materials: sheet.all('material').map(({ id, name }) => ({ id, name, ...VIEWS.material(evaluation, id) })),
    products: sheet.all('product').map(({ id, name }) => ({
      id,
      name,
      card: VIEWS.card(evaluation, id),
      prices: sheet.rowsOf('pricePoint', 'productId', id).map((point) => ({
        id: point.id,
        channel: sheet.row('channel', point.channelId)?.name ?? '',
        ...VIEWS.price(evaluation, point.id),
      })),
      breakEven: sheet
        .rowsOf('candidatePrice', 'productId', id)
        .map((row) => ({ id: row.id, ...VIEWS.candidate(evaluation, row.id) })),
    })),
    looseEnds: VIEWS.looseEnds(evaluation, WHOLE_BOOK),
  };
}
