import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** Adds three decisions that the studio thinks about: a quoted bowl, a restaurant's order, and the platter. */
export function addDecisions(
  book: BookBuilder,
  {
    products,
    grades,
    machines,
    shortWeek,
  }: { readonly products: Ids; readonly grades: Ids; readonly machines: Ids; readonly shortWeek: string },
): void {
  const bowl = book.add('decision', {
    name: 'Buy the bowls in from a jobbing thrower',
    type: 'buy in',
    productId: at(products, 'Breakfast bowl'),
    price: '8.90',
    oneTimeCost: '180',
    months: 12,
    gradeId: at(grades, 'maker'),
    hourEarns: '6',
  });
  book.add('decisionCost', {
    decisionId: bowl,
    position: 0,
    name: 'Third wheel on hire',
    amountPerMonth: '35',
    fate: 'goes',
  });
  book.add('decisionCost', {
    decisionId: bowl,
    position: 1,
    name: 'Share of the studio rent',
    amountPerMonth: '140',
    fate: 'stays',
  });
  book.add('decision', {
    name: 'Forty mugs for a guest house',
    type: 'special order',
    productId: at(products, 'Everyday mug'),
    units: '40',
    price: '9.50',
    oneTimeCost: '25',
    equipmentId: at(machines, 'kiln'),
    hourEarns: '7.60',
    mixPlanId: shortWeek,
  });
  const platter = book.add('decision', {
    name: 'Drop the serving platter',
    type: 'drop',
    productId: at(products, 'Serving platter'),
    equipmentId: at(machines, 'kiln'),
    hourEarns: '7.60',
  });
  book.add('decisionCost', {
    decisionId: platter,
    position: 0,
    name: 'Slab roller on hire',
    amountPerMonth: '28',
    fate: 'goes',
  });
}
