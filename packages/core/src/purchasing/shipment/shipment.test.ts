import type { ChargeBasis, ChargeType, DeliveryTerm } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Evaluation } from '../../sheet/index.js';
import { Decimal, decimal } from '../../number/index.js';
import { amount, evaluated, rowsOf } from '../../testing/evaluated.js';
import { VIEWS } from '../../views/index.js';

type Fields = Readonly<Record<string, unknown>>;

interface Example {
  readonly evaluation: Evaluation;
  readonly shipment: string;
  readonly lines: readonly string[];
  readonly charges: readonly string[];
}

/** A book with one shipment: its lines of a material each, and its charges. */
function shipmentOf(
  shipment: Fields,
  lines: readonly Fields[],
  charges: readonly Fields[] = [],
  more: (book: BookBuilder, shipment: string, lines: readonly string[], charges: readonly string[]) => void = () => {},
  profile: Fields | null = null,
): Example {
  let id = '';
  let lineIds: string[] = [];
  let chargeIds: string[] = [];
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Importer', currency: 'EUR', salesTaxPercent: '20' });
    const customsProfileId = profile === null ? null : book.add('customsProfile', { name: 'Customs', ...profile });
    id = book.add('shipment', {
      name: 'Shipment',
      date: '2026-05-01',
      currency: 'EUR',
      customsProfileId,
      ...shipment,
    });
    lineIds = lines.map((fields, position) => {
      const materialId = book.add('material', { name: `Material ${position + 1}`, baseUnit: 'each' });
      return book.add('shipmentLine', { shipmentId: id, position, materialId, unit: 'each', quantity: '1', ...fields });
    });
    chargeIds = charges.map((fields, position) =>
      book.add('shipmentCharge', { shipmentId: id, position, currency: 'EUR', ...fields }),
    );
    more(book, id, lineIds, chargeIds);
  });
  return { evaluation: evaluated(rows), shipment: id, lines: lineIds, charges: chargeIds };
}

const shares = ({ evaluation, lines, charges: [charge = ''] }: Example, basis = '') =>
  lines.map((line) => amount(evaluation, `chargeShares/${charge}${basis === '' ? '' : `@${basis}`}/${line}`));
const ofLine = ({ evaluation, lines: [line = ''] }: Example, member: string, calculation = 'landedLine') =>
  amount(evaluation, `${calculation}/${line}/${member}`);
const ofShipment = ({ evaluation, shipment }: Example, member: string) =>
  amount(evaluation, `landedShipment/${shipment}/${member}`);

describe('customs value by delivery term', () => {
  // The same 800 bicycle hubs, invoiced under every term: what the price holds and what the buyer pays.
  const COSTS: readonly (readonly [ChargeType, string])[] = [
    ['pre-carriage', '400'],
    ['loading', '100'],
    ['freight', '1200'],
    ['insurance', '60'],
    ['trucking', '340'],
    ['customs clearance', '72'],
    // Under DDP: the price holds no import tax.
    ['import tax', '0'],
  ];
  const PRICES: Partial<Readonly<Record<DeliveryTerm, readonly [price: string, held: number]>>> = {
    EXW: ['10000', 0],
    FOB: ['10500', 2],
    CFR: ['11700', 3],
    CIF: ['11760', 4],
    DAP: ['12100', 5],
  };
  const hubs = (term: DeliveryTerm, price: string, held: number, profile: Fields) =>
    shipmentOf(
      { deliveryTerm: term },
      [{ quantity: '800', price: decimal(price).div(800).toFixed(), dutyPercent: '5' }],
      COSTS.filter(([type]) => type !== 'import tax' || term === 'DDP').map(([type, cost], place) => ({
        type,
        amount: cost,
        inPrice: place < held,
      })),
      undefined,
      profile,
    );
  const EU = { valueKind: 'CIF', importTaxPercent: '20' };
  const AUSTRALIA = { valueKind: 'FOB', importTaxPercent: '10', taxOnInland: false };
  const CANADA = { ...AUSTRALIA, importTaxPercent: '5', taxOnFreight: false, taxOnInsurance: false };

  it.each(Object.entries(PRICES))('is the same under %s, and so are duty and import tax', (term, [price, held]) => {
    const found = (profile: Fields) => {
      const example = hubs(term as DeliveryTerm, price, held, profile);
      return ['customsValue', 'duty', 'taxBase', 'importTax'].map((member) => ofLine(example, member, 'lineCustoms'));
    };
    expect(found(EU)).toEqual(['11760', '588', '12760', '2552']);
    expect(found(AUSTRALIA)).toEqual(['10500', '525', '12285', '1228.5']);
    expect(found(CANADA)).toEqual(['10500', '525', '11025', '551.25']);
  });

  it('takes the duty out of a price that holds it (DDP), and does not charge it twice', () => {
    const example = hubs('DDP', '12760', 7, EU);
    expect(ofLine(example, 'customsValue', 'lineCustoms')).toBe('11760');
    expect(ofLine(example, 'perUnit')).toBe('15.95');
    expect(ofShipment(example, 'onTop')).toBe('0');
  });

  it('asks how much of a price lies beyond it, where nothing says so', () => {
    const example = shipmentOf({ deliveryTerm: 'DAP' }, [{ price: '12100', dutyPercent: '5' }], [], undefined, EU);
    expect(ofLine(example, 'duty', 'lineCustoms')).toBe('part-of-price-not-stated');
  });

  it('takes the rate of the customs, the entry fee between its limits, and a typed duty before its own', () => {
    const fee = { entryFeePercent: '0.5', entryFeeMinimum: '30', entryFeeMaximum: '500' };
    const goods = [
      { price: '3000', dutyPercent: '4' },
      { price: '1000', dutyPercent: '0' },
    ];
    const terms = { currency: 'USD', rate: '0.94', customsRate: '0.92' };
    const worked = shipmentOf(terms, goods, [], undefined, { ...EU, ...fee });
    expect(ofLine(worked, 'duty', 'lineCustoms')).toBe('110.4');
    expect(amount(worked.evaluation, `entryFee/${worked.shipment}/fee`)).toBe('30');
    expect(ofLine(worked, 'onTop')).toBe('132.9');
    const typed = shipmentOf(terms, goods, [{ type: 'duty', amount: '200' }], undefined, EU);
    expect(typed.lines.map((line) => amount(typed.evaluation, `landedLine/${line}/onTop`))).toEqual(['150', '50']);
  });
});

describe('duty', () => {
  const CIF = { valueKind: 'CIF', importTaxPercent: '0' };
  /** 120 kg of goods at 1,000, with 4 % where nothing else is said. */
  const found = (
    line: Fields,
    member = 'duty',
    shipment: Fields = {},
    charges: readonly Fields[] = [],
    profile: Fields = CIF,
  ) =>
    ofLine(
      shipmentOf(shipment, [{ price: '1000', weight: '120', dutyPercent: '4', ...line }], charges, undefined, profile),
      member,
      'lineCustoms',
    );
  const specific = { specificDuty: '0.50', specificPer: 'kg' };

  it('is of the value, by amount, both together, or the greater of the two', () => {
    expect(found({})).toBe('40');
    expect(found({ dutyForm: 'specific', ...specific })).toBe('60');
    expect(found({ dutyForm: 'specific', specificDuty: '7', specificPer: 'unit', quantity: '3' })).toBe('21');
    expect(found({ dutyForm: 'compound', ...specific })).toBe('100');
    expect(found({ dutyForm: 'greater of', ...specific })).toBe('60');
    expect(found({ dutyForm: 'greater of', ...specific, dutyPercent: '8' })).toBe('80');
    expect(found({ dutyForm: 'specific' })).toBe('no-specific-duty');
    expect(found({ dutyPercent: null })).toBe('no-duty-rate');
  });

  it('against dumping comes on top, of the value and not of value and duty', () => {
    expect(found({ antiDumpingPercent: '20' })).toBe('240');
  });

  it('is preferential only where the proof of origin is at hand', () => {
    expect(found({ preferencePercent: '0' })).toBe('40');
    expect(found({ preferencePercent: '0', hasProofOfOrigin: true })).toBe('0');
  });

  it('counts what the buyer gives beside the price: packing, assists, royalties, selling commission', () => {
    const royalties = [{ type: 'royalties', amount: '50' }];
    expect(found({}, 'customsValue', {}, royalties)).toBe('1050');
    expect(found({}, 'customsValue', {}, royalties, { valueKind: 'FOB', importTaxPercent: '0' })).toBe('1050');
  });

  it('is taken out of a price that holds it, in every form', () => {
    const inPrice = [
      { type: 'trucking', amount: '0', inPrice: true },
      { type: 'customs clearance', amount: '0', inPrice: true },
    ];
    const value = (price: string, line: Fields) =>
      found({ price, ...line }, 'customsValue', { deliveryTerm: 'DDP' }, inPrice);
    expect(value('1040', {})).toBe('1000');
    expect(value('1060', { dutyForm: 'specific', ...specific })).toBe('1000');
    expect(value('1100', { dutyForm: 'compound', ...specific })).toBe('1000');
    expect(value('1060', { dutyForm: 'greater of', ...specific })).toBe('1000');
    expect(value('1080', { dutyForm: 'greater of', ...specific, dutyPercent: '8' })).toBe('1000');
    expect(value('1240', { antiDumpingPercent: '20' })).toBe('1000');
    expect(value('1260', { dutyForm: 'specific', ...specific, antiDumpingPercent: '20' })).toBe('1000');
  });
});

describe('exchange rates of a shipment', () => {
  // 1,600 brake pads for USD 8,000: 30 % paid ahead, the rest recognised at another rate and paid at a third.
  const brakePads = (more: Fields = {}) =>
    shipmentOf(
      { deliveryTerm: 'CIF', currency: 'USD', rate: '0.94', customsRate: '0.92', ...more },
      [{ quantity: '1600', price: '5', dutyPercent: '4' }],
      [
        { type: 'port', amount: '0' },
        { type: 'customs clearance', amount: '0' },
        { type: 'trucking', amount: '0' },
      ],
      (book, shipmentId) => {
        book.add('shipmentPayment', {
          shipmentId,
          date: '2026-03-01',
          amount: '2400',
          rate: '0.90',
          timing: 'ahead',
        });
        book.add('shipmentPayment', { shipmentId, date: '2026-06-01', amount: '5600', rate: '0.95' });
      },
      { valueKind: 'CIF', importTaxPercent: '0' },
    );

  it('count at the payment ahead, at recognition and at the customs; the difference at settlement is no cost', () => {
    const example = brakePads();
    expect(ofLine(example, 'goods')).toBe('7424');
    expect(ofLine(example, 'duty', 'lineCustoms')).toBe('294.4');
    expect(ofShipment(example, 'landed')).toBe('7718.4');
    expect(ofLine(example, 'perUnit')).toBe('4.824');
    expect(ofShipment(example, 'exchangeDifference')).toBe('-56');
  });

  it('are those of the book on the day of the shipment where it states none', () => {
    const at = (validFrom: string) =>
      shipmentOf({ currency: 'USD', date: '2026-05-01' }, [{ price: '100' }], [], (book) => {
        book.add('exchangeRate', { currency: 'USD', validFrom, rate: '0.9' });
      });
    expect(ofShipment(at('2026-04-30'), 'landed')).toBe('90');
    expect(ofShipment(at('2026-05-02'), 'landed')).toBe('no-exchange-rate');
  });

  it('that pay more ahead than is owed are asked about', () => {
    const example = shipmentOf({ currency: 'USD', rate: '0.9' }, [{ price: '100' }], [], (book, shipmentId) => {
      book.add('shipmentPayment', { shipmentId, date: '2026-03-01', amount: '101', rate: '1', timing: 'ahead' });
    });
    expect(ofShipment(example, 'landed')).toBe('paid-more-than-owed');
  });

  it('tell what of a dearer bill is the amount and what the rate', () => {
    const example = shipmentOf(
      {},
      [{ price: '100' }],
      [{ type: 'freight', currency: 'USD', amount: '1000', rate: '0.90', billed: '1100', billedRate: '0.95' }],
    );
    const found = ['estimate', 'bill', 'difference', 'byAmount', 'byRate', 'amount'].map((member) =>
      amount(example.evaluation, `chargeAmount/${example.charges[0] ?? ''}/${member}`),
    );
    expect(found).toEqual(['900', '1045', '145', '90', '55', '1045']);
    expect(ofShipment(example, 'againstEstimate')).toBe('145');
    expect(ofLine(example, 'estimatedPerUnit')).toBe('1000');
    expect(ofLine(example, 'perUnitAgainstEstimate')).toBe('145');
  });
});

describe('a charge', () => {
  const AIR = [
    { price: '1', weight: '120', volume: '0.30' },
    { price: '1', weight: '40', volume: '1.20' },
    { price: '1', weight: '80', volume: '0.24' },
  ];

  it('by chargeable weight is that of the consignment, not of each line', () => {
    const example = shipmentOf({}, AIR, [
      { type: 'freight', amount: '3.10', per: 'chargeable kg', basis: 'chargeable weight', volumeDivisor: '6000' },
    ]);
    expect(shares(example)).toEqual(['155', '620', '124']);
    expect(shares(example, 'weight')).toEqual(['449.5', '149.83', '299.67']);
    expect(ofShipment(example, 'onTop')).toBe('899');
  });

  it('is shared with credits in whole cents: 10.00 over 5 : 3 : -1', () => {
    const example = shipmentOf(
      {},
      ['5', '3', '-1'].map((price) => ({ price })),
      [{ amount: '10' }],
    );
    expect(shares(example)).toEqual(['7.14', '4.29', '-1.43']);
  });

  it('by value, weight, quantity and equally, worked by hand', () => {
    const example = shipmentOf(
      {},
      [
        { quantity: '200', price: '3', weight: '10' },
        { quantity: '50', price: '8', weight: '30' },
      ],
      [{ amount: '100' }],
    );
    expect(shares(example)).toEqual(['60', '40']);
    expect(shares(example, 'weight')).toEqual(['25', '75']);
    expect(shares(example, 'quantity')).toEqual(['80', '20']);
    expect(shares(example, 'equal')).toEqual(['50', '50']);
  });

  it('of chosen lines is borne by these alone', () => {
    const example = shipmentOf(
      {},
      [{ price: '10' }, { price: '30' }],
      [{ amount: '8' }],
      (book, _id, lines, [chargeId]) => {
        book.add('chargedLine', { chargeId, lineId: lines[1] });
      },
    );
    expect(shares(example)).toEqual(['no such figure', '8']);
    expect(ofLine(example, 'landed')).toBe('10');
  });

  it('that is so much per cent of the value, or per unit, follows the lines', () => {
    const goods = [{ quantity: '4', price: '250' }];
    const charged = (fields: Fields, shipment: Fields = {}) =>
      ofShipment(shipmentOf(shipment, goods, [fields]), 'onTop');
    expect(charged({ type: 'insurance', per: 'percent of value', amount: '0.5' })).toBe('5');
    expect(charged({ per: 'unit', amount: '1.25' })).toBe('5');
    const inDollars = { currency: 'USD', rate: '0.9' };
    expect(charged({ per: 'percent of value', amount: '1' }, inDollars)).toBe('9');
    expect(charged({ per: 'percent of value', amount: '1', currency: 'GBP', rate: '1.2' }, inDollars)).toBe(
      'percentage-in-third-currency',
    );
  });

  it('is never shared evenly in secret: a missing weight and a basis of nothing are gaps of every line', () => {
    const charge = [{ amount: '10', basis: 'weight' }];
    expect(shares(shipmentOf({}, [{ price: '1', weight: '5' }, { price: '1' }], charge))).toEqual([
      'no-line-measure',
      'no-line-measure',
    ]);
    const nothing = shipmentOf(
      {},
      [
        { price: '1', weight: '0' },
        { price: '1', weight: '0' },
      ],
      charge,
    );
    expect(shares(nothing)).toEqual(['basis-not-positive', 'basis-not-positive']);
    expect(ofShipment(nothing, 'landed')).toBe('2');
    expect(nothing.evaluation.figure(`landedShipment/${nothing.shipment}/landed`)?.gaps).toHaveLength(1);
  });

  it('goes to stock value, to expense, or is recovered; what the price holds costs nothing more', () => {
    const example = shipmentOf(
      {},
      [{ price: '100' }],
      [
        { amount: '10' },
        { amount: '20', treatment: 'expense' },
        { amount: '30', treatment: 'recovered' },
        { amount: '40', inPrice: true },
      ],
    );
    expect(['landed', 'expense', 'recovered', 'onTopPercent'].map((member) => ofShipment(example, member))).toEqual([
      '110',
      '20',
      '30',
      '10',
    ]);
  });

  it('costs what is left of it after the tax that is recovered', () => {
    const freight = { amount: '120', taxPercent: '20', taxInside: true };
    const registeredFrom = (validFrom: string) =>
      shipmentOf({}, [{ price: '100' }], [freight], (book) => {
        book.add('taxRegistration', { validFrom });
      });
    expect(ofShipment(registeredFrom('2026-05-01'), 'onTop')).toBe('100');
    // The status is that of the day of the shipment, whatever the day on which it is looked at.
    expect(ofShipment(registeredFrom('2026-05-02'), 'onTop')).toBe('120');
  });

  it('of the buyer by the delivery term is asked for until it is stated', () => {
    const missing = (deliveryTerm: DeliveryTerm, charges: readonly Fields[] = []) => {
      const { evaluation, shipment } = shipmentOf({ deliveryTerm }, [{ price: '1' }], charges);
      return evaluation.figure(`landedShipment/${shipment}/landed`)?.gaps.map(({ values }) => values.charge);
    };
    expect(missing('FOB')).toEqual(['freight', 'insurance', 'port charges', 'customs clearance', 'trucking']);
    expect(missing('CIF', [{ type: 'port', amount: '0' }])).toEqual(['customs clearance', 'trucking']);
    expect(missing('CIP')).toEqual(['customs clearance']);
    expect(missing('DDP')).toEqual([]);
  });
});

describe('the landed cost of a shipment', () => {
  it('is asked for in five fields: 200 handles at 3 USD, freight 180, customs 40', () => {
    const example = shipmentOf(
      { currency: 'USD', rate: '0.9' },
      [{ quantity: '200', price: '3' }],
      [
        { type: 'freight', amount: '180', currency: 'USD', rate: '0.9' },
        { type: 'duty', amount: '40' },
      ],
    );
    expect(ofLine(example, 'landed')).toBe('742');
    expect(ofLine(example, 'perUnit')).toBe('3.71');
  });

  it('is the sum of its goods and of the charges that go into stock, under any mix of bases, currencies and credits', () => {
    const cents = (least: number) =>
      fc.integer({ min: least, max: 500_000 }).map((each) => new Decimal(each).div(100).toFixed());
    const line = fc.record({
      quantity: fc.integer({ min: 1, max: 999 }).map(String),
      price: cents(1),
      weight: cents(1),
      volume: cents(1),
    });
    const charge = fc.record({
      amount: cents(-5_000),
      currency: fc.constantFrom('EUR', 'USD'),
      rate: fc.constant('0.917'),
      basis: fc.constantFrom<ChargeBasis>('value', 'weight', 'volume', 'chargeable weight', 'quantity', 'equal'),
      treatment: fc.constantFrom('stock value', 'expense'),
    });
    fc.assert(
      fc.property(
        fc.array(line, { minLength: 1, maxLength: 7 }),
        fc.array(charge, { maxLength: 5 }),
        fc.constantFrom('EUR', 'USD'),
        (lines, charges, currency) => {
          const example = shipmentOf({ currency, rate: '0.93' }, lines, charges);
          const figure = (key: string) => decimal(amount(example.evaluation, key));
          const inStock = example.charges.filter((_id, index) => charges[index]?.treatment === 'stock value');
          const total = inStock.reduce(
            (so, id) => so.plus(figure(`chargeAmount/${id}/amount`)),
            figure(`shipmentGoods/${example.shipment}/inBookCurrency`),
          );
          const landed = example.lines.reduce((so, id) => so.plus(figure(`landedLine/${id}/landed`)), decimal('0'));
          expect(landed.toDecimalPlaces(15).toFixed()).toBe(total.toDecimalPlaces(15).toFixed());
          for (const [place, id] of example.charges.entries()) {
            const all = example.lines.reduce((so, each) => so.plus(figure(`chargeShares/${id}/${each}`)), decimal('0'));
            expect([place, all.toFixed()]).toEqual([place, figure(`chargeAmount/${id}/amount`).toFixed()]);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('fills a container by volume or by weight, whichever is full first', () => {
    const filled = (weight: string, volume: string) => {
      const { evaluation, shipment } = shipmentOf({}, [{ price: '1', weight, volume }]);
      return ['byVolume', 'byWeight', 'carriers'].map((member) => amount(evaluation, `load/${shipment}@20/${member}`));
    };
    expect(filled('14100', '8.3')).toEqual(['25', '50', '0.5']);
    expect(filled('2820', '66.4')).toEqual(['200', '10', '2']);
  });
});

describe('what is paid for a shipment in all', () => {
  const paidFor = (example: Example) =>
    ['taxOnGoods', 'taxOnCharges', 'recovered', 'paid'].map((member) =>
      Number(amount(example.evaluation, `shipmentPaid/${example.shipment}/${member}`)),
    );
  const half = (book: BookBuilder) =>
    void book.add('taxRegistration', { validFrom: '2020-01-01', recoveredPercent: '50' });

  it('is landed cost, expense and what is recovered', () => {
    // Goods 1,000 with 20 % of tax, trucking 100 with 20 % on top, a bank charge of 15 to expense, import tax of 80 recovered.
    const charges = [
      { type: 'trucking', amount: '100', taxPercent: '20' },
      { type: 'bank', amount: '15', treatment: 'expense' },
      { type: 'import tax', amount: '80', treatment: 'recovered' },
    ];
    expect(paidFor(shipmentOf({}, [{ quantity: '10', price: '100', taxPercent: '20' }], charges))).toEqual([
      200, 20, 300, 1415,
    ]);
    // Of which half is a cost: landed 1,100 + 110, recovered 100 + 10 + 80.
    const halved = shipmentOf({}, [{ quantity: '10', price: '100', taxPercent: '20' }], charges, half);
    expect(ofShipment(halved, 'landed')).toBe('1210');
    expect(paidFor(halved)).toEqual([100, 10, 190, 1415]);
  });

  it('takes tax inside a charge, a charge in the price and another currency as they are', () => {
    const example = shipmentOf(
      { currency: 'USD', rate: '0.5' },
      [{ quantity: '10', price: '100', taxPercent: '20' }],
      [
        { type: 'freight', amount: '120', currency: 'USD', rate: '0.5', taxPercent: '20', taxInside: true },
        { type: 'insurance', amount: '30', inPrice: true, taxPercent: '20' },
      ],
    );
    // 1,000 USD at 0.50 and 200 of tax; 100 USD of freight before tax and 20 of tax.
    expect(paidFor(example)).toEqual([100, 10, 110, 660]);
  });

  it('is the same whoever recovers how much of it', () => {
    // Goods of no value cannot bear a charge by value.
    const money = fc.integer({ min: 1, max: 5000 }).map((cents) => String(cents / 100));
    const share = fc.integer({ min: 0, max: 100 });
    fc.assert(
      fc.property(money, money, share, fc.integer({ min: 0, max: 25 }), (price, freight, recovered, tax) => {
        const taxPercent = String(tax);
        const lines = [{ quantity: '3', price, taxPercent }];
        const example = shipmentOf({}, lines, [{ type: 'freight', amount: freight, taxPercent }], (book) => {
          book.add('taxRegistration', {
            validFrom: '2020-01-01',

            recoveredPercent: String(recovered),
          });
        });
        const whole = (3 * Number(price) + Number(freight)) * (1 + tax / 100);
        // What counts of a charge is in whole cents.
        expect(Math.abs((paidFor(example)[3] ?? 0) - whole)).toBeLessThan(0.0051);
      }),
      { numRuns: 60 },
    );
  });
});

describe('the price under another delivery term', () => {
  const CHARGES = [
    { type: 'loading', amount: '10' },
    { type: 'pre-carriage', amount: '40' },
    { type: 'export clearance', amount: '25' },
    { type: 'loading on board', amount: '15' },
    { type: 'freight', amount: '300' },
    { type: 'insurance', amount: '12' },
    { type: 'port', amount: '60' },
    { type: 'customs clearance', amount: '70' },
    { type: 'trucking', amount: '90' },
    { type: 'handling', amount: '20' },
    { type: 'duty', amount: '50' },
    { type: 'import tax', amount: '200' },
  ];
  // Incoterms 2020, rules A9 and B9, written down once more by hand: what the seller pays of those under each term.
  const BY_SELLER: readonly (readonly [DeliveryTerm, number])[] = [
    ['EXW', 0],
    ['FCA works', 35],
    ['FCA', 75],
    ['FAS', 75],
    ['FOB', 90],
    ['CFR', 390],
    ['CIF', 402],
    ['CPT', 540],
    ['CIP', 552],
    ['DAP', 552],
    ['DPU', 572],
    ['DDP', 872],
  ];
  const under = (example: Example, term: string, member = 'price') =>
    amount(example.evaluation, `priceUnderTerm/${example.shipment}@${term}/${member}`);

  it.each(BY_SELLER)('under %s holds what the seller then pays', (term, held) => {
    const exWorks = shipmentOf({ deliveryTerm: 'EXW' }, [{ quantity: '10', price: '100' }], CHARGES);
    expect(under(exWorks, term)).toBe(String(1000 + held));
    expect(under(exWorks, term, 'more')).toBe(String(held));
    // Back from a price that holds them all.
    const inPrice = shipmentOf(
      { deliveryTerm: 'DDP' },
      [{ quantity: '10', price: '187.2' }],
      CHARGES.map((charge) => ({ ...charge, inPrice: charge.type !== 'handling' })),
    );
    expect(under(inPrice, term)).toBe(String(1000 + held));
  });

  it('asks for a charge that moves and is not stated, and for the term', () => {
    const goods = [{ quantity: '10', price: '100' }];
    const asksFor = (from: string, to: string) => {
      const { evaluation, shipment } = shipmentOf({ deliveryTerm: from }, goods);
      return evaluation
        .figure(`priceUnderTerm/${shipment}@${to}/price`)
        ?.gaps.map(({ code, values }) => [code, values.charge]);
    };
    expect(asksFor('FOB', 'CIF')).toEqual([
      ['no-charge', 'freight'],
      ['no-charge', 'insurance'],
    ]);
    expect(asksFor('CIF', 'FOB')).toEqual([
      ['no-charge-in-price', 'freight'],
      ['no-charge-in-price', 'insurance'],
    ]);
    expect(asksFor('DDP', 'DAP')).toEqual([
      ['no-charge-in-price', 'customs clearance'],
      ['no-charge-in-price', 'duty'],
      ['no-charge-in-price', 'import tax'],
    ]);
    expect(asksFor('CIF', 'CIF')).toEqual([]);
    expect(under(shipmentOf({}, goods), 'CIF')).toBe('no-delivery-term');
    expect(under(shipmentOf({ deliveryTerm: 'FOB' }, goods), 'ABC')).toBe('row-missing');
  });
});

describe('what is left to pay', () => {
  it('is what is owed less what was paid, for the goods and for each charge in its own currency', () => {
    const example = shipmentOf(
      { currency: 'USD', rate: '0.9' },
      [{ quantity: '10', price: '100' }],
      [{ type: 'freight', amount: '80', billed: '90' }],
      (book, shipmentId, _lines, [chargeId]) => {
        const pay = (amount: string | null, more: Fields = {}) =>
          book.add('shipmentPayment', { shipmentId, date: '2026-05-02', amount, ...more });
        pay('300', { timing: 'ahead', rate: '0.8' });
        pay('150.50');
        pay(null);
        pay('90', { chargeId });
      },
    );
    const { evaluation, shipment, charges } = example;
    const view = VIEWS.payments(evaluation, shipment);
    expect(view.owed.map(({ owed, paid, left }) => [owed, paid, left].map(({ amount }) => amount))).toEqual([
      ['1000', '450.5', '549.5'],
      ['90', '90', '0'],
    ]);
    // What each payment can be at most: what is owed less the others.
    expect(Object.values(view.most).map(({ amount }) => amount)).toEqual(['849.5', '700', '549.5', '90']);
    expect(amount(evaluation, `paymentRoom/${shipment}@${charges[0]}/left`)).toBe('0');
    expect(view.mostOfAny).toBe('549.5');
  });
});
