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
    short: 'Batch',
    question: 'How many do you make in one go?',
    why: 'A tray of loaves, a day at the wheel, one group of guests: the batch you really work in.',
    Questions: OneGo,
  },
  {
    id: 'materials',
    short: 'Materials',
    question: 'What goes into it?',
    why: 'All materials in it, and what a pack of each costs.',
    Questions: Materials,
  },
  {
    id: 'time',
    short: 'Your time',
    question: 'Who works on it, and for how long?',
    why: 'Your own time counts too: otherwise you would have to pay somebody for it.',
    Questions: OwnTime,
  },
  {
    id: 'small',
    short: 'Packaging',
    question: 'How is it packed?',
    why: 'Boxes, labels, inserts and filling are small costs, but every unit sold needs them.',
    Questions: SmallThings,
  },
  {
    id: 'lost',
    short: 'Losses',
    question: 'How many come out good?',
    why: 'What breaks, burns or is given away costs as much as what is sold. The good units have to pay for it.',
    Questions: LostPieces,
  },
  {
    id: 'machines',
    short: 'Equipment',
    question: 'Does it need equipment?',
    why: 'A kiln, an oven, a wheel: its electricity and its wear.',
    Questions: EquipmentGrid,
  },
  {
    id: 'bills',
    short: 'Running costs',
    question: 'Which bills do you pay whether or not you make anything?',
    why: 'Rent, insurance, the accountant, the telephone, the website. Yearly bills are easily forgotten.',
    Questions: YearlyBills,
  },
  {
    id: 'price',
    short: 'Price',
    question: 'What does one cost, and what is its price?',
    why: 'You see at once what each sale leaves.',
    Questions: Result,
  },
];
