import type { ChargeType } from '@nuvar/book';
import type { ShipmentLineView } from '@nuvar/core';
import { partKey, partLook } from '../../figures/part-looks.js';
import { written } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';

/** The parts of a landed cost as they are drawn, in their order: what they are called, and whose look they have. */
const PARTS = {
  goods: ['Goods', 'materials'],
  carriage: ['Carriage', 'landed'],
  insurance: ['Insurance', 'other'],
  customs: ['Port, customs and duty', 'fees'],
  inland: ['Trucking and handling', 'equipment'],
  rest: ['Other charges', 'packaging'],
} as const;
type Part = keyof typeof PARTS;

const PART_OF: Partial<Readonly<Record<ChargeType, Part>>> = {
  loading: 'carriage',
  'pre-carriage': 'carriage',
  'export clearance': 'carriage',
  'loading on board': 'carriage',
  freight: 'carriage',
  insurance: 'insurance',
  port: 'customs',
  'customs clearance': 'customs',
  duty: 'customs',
  'import tax': 'customs',
  trucking: 'inland',
  handling: 'inland',
};

/** What of a line each part is. Chart geometry: binary floats are right here. */
function sizesOf({ goods, parts }: ShipmentLineView): Record<Part, number> {
  const sizes = { goods: Number(goods.amount ?? 0), carriage: 0, insurance: 0, customs: 0, inland: 0, rest: 0 };
  for (const { type, treatment, figure } of parts)
    if (treatment === 'stock value') sizes[PART_OF[type] ?? 'rest'] += Number(figure.amount ?? 0);
  return sizes;
}

interface LandedStripProps {
  readonly view: ShipmentLineView;
  /** The amount that the full width stands for. */
  readonly scale: number;
}

/** The landed cost of a line as one band: the goods, and what came on top. */
export function LandedStrip({ view, scale }: LandedStripProps) {
  const style = useStyle();
  const sizes = sizesOf(view);
  const names = Object.keys(PARTS) as Part[];
  const said = names
    .filter((part) => sizes[part] > 0)
    .map((part) => `${PARTS[part][0]} ${written(String(sizes[part]), 2, style)}`);
  return (
    <div className="flex h-3.5 w-full min-w-12" role="img" aria-label={said.join(', ')}>
      {names.map((part) => (
        <div
          key={part}
          className={`h-full ${partLook(PARTS[part][1])}`}
          style={{ width: `${Math.max(0, (sizes[part] / Math.max(scale, 1e-9)) * 100)}%` }}
          title={PARTS[part][0]}
        />
      ))}
    </div>
  );
}

/** What the parts of the strips mean. */
export function LandedLegend() {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-note text-soft" aria-label="Parts of a landed cost">
      {Object.values(PARTS).map(([label, look]) => (
        <li key={label}>
          <span className={partKey(look)} />
          {label}
        </li>
      ))}
    </ul>
  );
}
