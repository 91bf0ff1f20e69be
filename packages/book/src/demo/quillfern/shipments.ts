import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

interface Charge {
  readonly type: string;
  readonly amount: string | null;
  readonly currency?: string;
  readonly basis?: string;
  /** The place of the line that alone bears it. */
  readonly onlyLine?: number;
  readonly more?: Readonly<Record<string, unknown>>;
}

interface Line {
  readonly material: string;
  readonly quantity: string;
  readonly price: string;
  readonly weight: string;
  readonly volume: string;
  readonly dutyPercent: string;
  readonly hsCode: string;
  readonly postedDuty?: string;
  readonly postedImportTax?: string;
  readonly postedEntryFee?: string;
}

const HANDLES = { material: 'Cane handle', dutyPercent: '3', hsCode: '4602.12' } as const;
const TRIVETS = { material: 'Cork trivet, round', dutyPercent: '0', hsCode: '4503.90' } as const;

/** What is paid here whichever way the goods come. */
const AT_HOME: readonly Charge[] = [
  { type: 'customs clearance', amount: '65' },
  { type: 'trucking', amount: '120', basis: 'weight' },
];

/**
 * The imports of the studio: handles that came in spring and are settled, trivets that have arrived in part and whose bills
 * come in, and the next order of both, once by sea and once by air. Gives the first line of each that goods were received of.
 */
export function addShipments(book: BookBuilder, materials: Ids, supplierId: string): Ids {
  const customsProfileId = book.add('customsProfile', {
    name: 'Imports to Ireland (check before use)',
    valueKind: 'CIF',
    importTaxPercent: '23',
  });
  const rules = addRules(book, materials, supplierId);
  const add = (fields: Record<string, unknown>, lines: readonly Line[], charges: readonly Charge[]) => {
    const shipmentId = book.add('shipment', {
      supplierId,
      currency: 'USD',
      origin: 'Lumera',
      destination: 'Quillfern Pottery',
      customsProfileId,
      ...fields,
    });
    const lineIds = lines.map(({ material, ...line }, position) =>
      book.add('shipmentLine', { shipmentId, position, materialId: at(materials, material), unit: 'each', ...line }),
    );
    charges.forEach(({ currency = 'EUR', onlyLine, more, ...charge }, position) => {
      const chargeId = book.add('shipmentCharge', { shipmentId, position, currency, ...charge, ...more });
      if (onlyLine !== undefined) book.add('chargedLine', { chargeId, lineId: lineIds[onlyLine] });
    });
    return { shipmentId, lineId: lineIds[0] as string };
  };

  const spring = add(
    {
      name: 'Cane handles, first lot',
      state: 'settled',
      date: '2026-03-20',
      deliveryTerm: 'CIF',
      rate: '0.924',
      postedOn: '2026-03-24',
      postedTaxPercent: '0',
      postedImportTaxPercent: '0',
    },
    [
      {
        ...HANDLES,
        quantity: '400',
        price: '1.98',
        weight: '21',
        volume: '0.16',
        postedDuty: '21.95',
        postedImportTax: '211.25',
      },
    ],
    [
      { type: 'port', amount: '38', more: { billed: '41.50' } },
      { type: 'customs clearance', amount: '65', more: { billed: '65' } },
      { type: 'trucking', amount: '55', more: { billed: '58.20' } },
      { type: 'bank', amount: '15', more: { treatment: 'expense', billed: '15' } },
    ],
  );
  book.add('shipmentPayment', {
    shipmentId: spring.shipmentId,
    date: '2026-02-10',
    amount: '237.60',
    rate: '0.915',
    timing: 'ahead',
  });
  book.add('shipmentPayment', { shipmentId: spring.shipmentId, date: '2026-04-15', amount: '554.40', rate: '0.931' });

  const autumn = add(
    {
      name: 'Cork trivets, new lot',
      state: 'ordered',
      date: '2026-10-12',
      deliveryTerm: 'FOB',
      rate: '0.928',
      postedOn: '2026-10-19',
      postedTaxPercent: '0',
      postedImportTaxPercent: '0',
    },
    [
      {
        ...TRIVETS,
        quantity: '240',
        price: '3.30',
        weight: '62',
        volume: '0.74',
        postedDuty: '0',
        postedImportTax: '272.64',
      },
    ],
    [
      { type: 'freight', amount: '210', currency: 'USD', basis: 'volume', more: { billed: '236', rate: '0.928' } },
      { type: 'insurance', amount: '0.6', currency: 'USD', more: { per: 'percent of value', rate: '0.928' } },
      { type: 'port', amount: '42', onlyLine: 0 },
      ...AT_HOME,
    ],
  );

  const next: readonly Line[] = [
    { ...HANDLES, quantity: '600', price: '1.92', weight: '31', volume: '0.24' },
    { ...TRIVETS, quantity: '160', price: '3.25', weight: '41', volume: '0.49' },
  ];
  const byRule = (type: string, rule: string, more: Pick<Charge, 'currency' | 'basis'> = {}): Charge => ({
    type,
    amount: null,
    more: { ruleId: at(rules, rule) },
    ...more,
  });
  const withRules = [
    byRule('insurance', 'insurance', { currency: 'USD' }),
    byRule('port', 'port', { basis: 'volume' }),
    byRule('customs clearance', 'broker'),
    byRule('trucking', 'trucking', { basis: 'weight' }),
    byRule('inspection', 'inspection'),
  ];
  add({ name: 'Next order, by sea', date: '2026-11-20', deliveryTerm: 'FOB' }, next, [
    byRule('freight', 'seaFreight', { currency: 'USD', basis: 'volume' }),
    ...withRules,
  ]);
  add({ name: 'Next order, by air', date: '2026-11-20', deliveryTerm: 'FCA' }, next, [
    byRule('freight', 'airFreight', { currency: 'USD', basis: 'chargeable weight' }),
    ...withRules,
  ]);
  return { 'Cane handles, first lot': spring.lineId, 'Cork trivets, new lot': autumn.lineId };
}

/** What the forwarder, the broker and the insurer usually charge, and when which of them holds. */
function addRules(book: BookBuilder, materials: Ids, supplierId: string): Ids {
  const rule = (name: string, fields: Record<string, unknown>) =>
    book.add('chargeRule', { name, currency: 'EUR', ...fields });
  const seaFreight = rule('Sea freight, small lots', {
    type: 'freight',
    method: 'brackets',
    bracketsBy: 'volume',
    bracketMode: 'amount',
    currency: 'USD',
    basis: 'volume',
    deliveryTerm: 'FOB',
  });
  for (const [upTo, amount] of [
    ['0.5', '190'],
    ['1', '290'],
    ['3', '560'],
    [null, '1150'],
  ] as const)
    book.add('ruleBracket', { ruleId: seaFreight, upTo, amount });
  const airFreight = rule('Air freight', {
    type: 'freight',
    per: 'chargeable kg',
    amount: '3.10',
    currency: 'USD',
    basis: 'chargeable weight',
    deliveryTerm: 'FCA',
  });
  const insurance = rule('Cargo insurance', {
    type: 'insurance',
    per: 'percent of value',
    amount: '0.6',
    currency: 'USD',
  });
  const port = rule('Port fees', { type: 'port', method: 'formula', formula: 'max(38, 65 * volume)', basis: 'volume' });
  const broker = rule('Customs broker', { type: 'customs clearance', amount: '65' });
  const trucking = rule('Trucking from the port', {
    type: 'trucking',
    method: 'formula',
    formula: '85 + 0.48 * weight',
    basis: 'weight',
  });
  rule('Bank transfer abroad', { type: 'bank', amount: '15', treatment: 'expense', supplierId });
  const inspection = rule('Plant health check', {
    type: 'inspection',
    amount: '30',
    materialId: at(materials, TRIVETS.material),
  });
  return { seaFreight, airFreight, insurance, port, broker, trucking, inspection };
}
