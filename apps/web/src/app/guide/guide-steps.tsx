import type { StoredRow } from '@nuvar/book';
import type { ComponentType } from 'react';
import { BillGrid } from '../../production/bill-grid.js';
import { EquipmentGrid } from '../../production/equipment-grid.js';
import { LostPieces, OneGo, Result, YearlyBills } from './guide-answers.js';
import { OwnTime } from './own-time.js';
import { SmallThings } from './small-things.js';
import { UnpricedItems } from './unpriced-items.js';

interface Answering {
  readonly product: StoredRow<'product'>;
}

interface GuideStep {
  readonly id: string;
  /** What the step is called in the list of steps. */
  readonly short: string;
  readonly question: string;
  readonly why: string;
  readonly Questions: ComponentType<Answering>;
}

function Materials({ product }: Answering) {
  return (
    <>
      <BillGrid product={product} />
      <UnpricedItems product={product} />
    </>
  );
}

/** The questions of the guide, in the order in which a maker thinks of them, and then of what makers forget. */
export const GUIDE_STEPS: readonly GuideStep[] = [
  {
    id: 'go',
    short: 'One go',
    question: 'How many do you make in one go?',
    why: 'A tray of loaves, a day at the wheel, one group of guests: the batch in which you really work.',
    Questions: OneGo,
  },
  {
    id: 'materials',
    short: 'What goes in',
    question: 'What goes into it?',
    why: 'Everything that ends up in the piece, and what a pack of it costs you.',
    Questions: Materials,
  },
  {
    id: 'time',
    short: 'Your time',
    question: 'Who works on it, and for how long?',
    why: 'Your own time counts too: if you did not do it, somebody would have to be paid for it.',
    Questions: OwnTime,
  },
  {
    id: 'small',
    short: 'Boxes and labels',
    question: 'What does it leave the house in?',
    why: 'Boxes, labels, inserts and filling are small, and stand beside every single piece that is sold.',
    Questions: SmallThings,
  },
  {
    id: 'lost',
    short: 'Lost pieces',
    question: 'How many come out good?',
    why: 'What breaks, burns or is given away has cost as much as what is sold; the good ones carry it.',
    Questions: LostPieces,
  },
  {
    id: 'machines',
    short: 'Electricity',
    question: 'Does a machine run for it?',
    why: 'A kiln, an oven, a wheel: the electricity it draws, and that it wears out.',
    Questions: EquipmentGrid,
  },
  {
    id: 'bills',
    short: 'Yearly bills',
    question: 'Which bills come whether or not you make anything?',
    why: 'Rent, insurance, the accountant, the telephone, the website: the ones that come once a year are forgotten most.',
    Questions: YearlyBills,
  },
  {
    id: 'price',
    short: 'Price',
    question: 'What does one really cost, and what do you ask for it?',
    why: 'What is left of each sale shows at once.',
    Questions: Result,
  },
];
