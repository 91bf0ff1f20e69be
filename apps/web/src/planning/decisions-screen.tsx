import { DECISION_TYPES, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings, useUnarchived } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { NamedList } from '../controls/grid/named-list.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { DecisionDetail } from './decision-detail.js';
import { PlanPage } from './plan-page.js';

type Decision = StoredRow<'decision'>;

const TYPE_WORDS = Object.fromEntries(DECISION_TYPES.map((type) => [type, type]));

/** Plan: whether to buy a product in, to take a special order, or to drop it, by what really changes. */
export function DecisionsScreen() {
  const decisions = useAll('decision');
  const products = useUnarchived('product');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Decision>('decision', 'name', locale, { placeholder: 'Buy the mugs in' }),
      rowChoiceColumn<Decision>('productId', products, { header: 'Product' }),
      fieldColumn<Decision>('decision', 'type', locale, { words: TYPE_WORDS }),
    ],
    [products, locale],
  );
  const writer = useMemo(
    () => rowsWriter<Decision>('decision', { needs: 'name', fixed: () => ({ productId: products[0]?.id }) }),
    [products],
  );
  return (
    <PlanPage>
      <NamedList
        screen="decisions"
        title="Decisions"
        rows={decisions}
        columns={columns}
        writer={writer}
        narrow="30rem"
        empty="A supplier quotes for what you make, a customer asks for a special price, a product earns little: name the decision, and see what really changes with it."
        detail={(id) => <DecisionDetail key={id} id={id} />}
      />
    </PlanPage>
  );
}
