import { CurrencyCode, DecimalText, Name, Reference, Row, Text, WholeNumber } from '../fields/index.js';

/** One line of a frozen card: so much of something in one good unit, at a price. Nothing in it moves any more. */
export class FrozenLine extends Row {
  @Reference('frozenCard', { label: 'Saved cost card', goesWithTarget: true })
  frozenCardId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  /** The component in a unit of which the line goes, as the line of that component names it; empty for the product itself. */
  @Text({ label: 'Inside' })
  within = '';

  /** What the line was of, so that a later card finds it again: "material/0192...", "overhead/production". */
  @Name({ label: 'Of' })
  source!: string;

  @Name({ label: 'Element' })
  element!: string;

  @Name({ label: 'Line' })
  label!: string;

  /** In one good unit. */
  @DecimalText({ label: 'Quantity', from: '-1000000000', to: '1000000000' })
  quantity!: string;

  /** Of the quantity; empty where it is a plain number. */
  @Text({ label: 'Unit' })
  unit = '';

  @DecimalText({ label: 'Price', from: '-1000000000', to: '1000000000' })
  price!: string;

  @CurrencyCode({ label: 'Currency' })
  currency!: string;
}
