import { Choice, LongText, Name, Reference, Row, Text, WholeNumber } from '../fields/index.js';

/** A named set of changes to inputs of the book, which is worked out beside the book and never in it. */
export class WhatIf extends Row {
  @Name({ label: 'What-if' })
  name!: string;

  @Text({ label: 'Note' })
  note = '';
}

export const WHAT_IF_WAYS = ['set', 'add', 'scale', 'create', 'remove'] as const;
export type WhatIfWay = (typeof WHAT_IF_WAYS)[number];

/**
 * One change of a what-if: a field of a row set to another value, moved by an amount or multiplied; or a whole row that is
 * added or removed. The row is named by its kind and id and not referred to: it may go while the what-if stays.
 */
export class WhatIfChange extends Row {
  @Reference('whatIf', { label: 'What-if', goesWithTarget: true })
  whatIfId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Text({ label: 'Kind of row' })
  rowKind!: string;

  @Text({ label: 'Row' })
  rowId!: string;

  /** Empty where a whole row is added or removed. */
  @Text({ label: 'Field' })
  field = '';

  @Choice(WHAT_IF_WAYS, { label: 'Way' })
  how: WhatIfWay = 'set';

  /** In JSON: the value that is set, or the row that is added; a plain decimal for what is added or multiplied by. */
  @LongText({ label: 'Value' })
  value = '';

  /** In JSON: what the field held in the book when the change was made, so that it is told where that has moved since. */
  @LongText({ label: 'Value in the book' })
  was = '';

  /** What it was changed together with: "Clay, price + 8 %". Empty for a change that was made by itself. */
  @Text({ label: 'Changed together' })
  bulk = '';

  @Text({ label: 'Why' })
  note = '';
}
