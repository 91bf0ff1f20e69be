import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../../testing/evaluated.js';

type Fields = Readonly<Record<string, unknown>>;

interface Import {
  readonly shipment?: Fields;
  readonly line?: Fields;
  readonly charges?: readonly Fields[];
  readonly payments?: readonly Fields[];
  readonly profile?: Fields;
  readonly settings?: Fields;
}

/** One line of 1,000 in dollars at 0.9 in the shipment and 0.8 at the customs, with 10 % duty. */
function imported({ shipment = {}, line = {}, charges = [], payments = [], profile = {}, settings = {} }: Import) {
  let [shipmentId, lineId] = ['', ''];
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Importer', currency: 'EUR', salesTaxPercent: '20', ...settings });
    const customsProfileId = book.add('customsProfile', { name: 'Customs', importTaxPercent: '0', ...profile });
    shipmentId = book.add('shipment', {
      name: 'Goods',
      date: '2026-05-01',
      currency: 'USD',
      rate: '0.9',
      customsRate: '0.8',
      customsProfileId,
      ...shipment,
    });
    const materialId = book.add('material', { name: 'Hub', baseUnit: 'each' });
    lineId = book.add('shipmentLine', {
      shipmentId,
      materialId,
      unit: 'each',
      quantity: '1',
      price: '1000',
      dutyPercent: '10',
      ...line,
    });
    charges.forEach((charge, position) =>
      book.add('shipmentCharge', { shipmentId, position, type: 'freight', currency: 'EUR', ...charge }),
    );
    payments.forEach((payment) => book.add('shipmentPayment', { shipmentId, date: '2026-05-02', ...payment }));
  });
  const evaluation = evaluated(rows);
  return {
    customs: (member: string) => amount(evaluation, `lineCustoms/${lineId}/${member}`),
    line: (member: string) => amount(evaluation, `landedLine/${lineId}/${member}`),
    shipment: (member: string) => amount(evaluation, `landedShipment/${shipmentId}/${member}`),
    gapsOf: (key: 'lineCustoms' | 'landedLine', member: string) =>
      evaluation
        .figure(`${key}/${lineId}/${member}`)
        ?.gaps.map(({ code, values }) => `${code} ${values.charge ?? ''}`.trim()),
  };
}

describe('the customs value', () => {
  it('takes goods and charges at the rate of the customs, whatever was paid ahead', () => {
    const freight = { currency: 'USD', amount: '100', rate: '0.95' };
    const ahead = { amount: '500', rate: '1.1', timing: 'ahead' };
    // (1,000 + 100) x 0.8; the goods cost 500 x 1.1 + 500 x 0.9, the freight 95.
    const example = imported({ charges: [freight], payments: [ahead] });
    expect(['customsValue', 'duty'].map(example.customs)).toEqual(['880', '88']);
    expect(example.line('goods')).toBe('1000');
    expect(example.line('landed')).toBe('1183');
    // Without a rate of the customs, that of the shipment, and of a charge its own.
    const own = imported({ shipment: { customsRate: null }, charges: [freight], payments: [ahead] });
    expect(own.customs('customsValue')).toBe('995');
    // Another currency than that of the goods has its own rate there too.
    expect(imported({ charges: [{ ...freight, currency: 'GBP' }] }).customs('customsValue')).toBe('895');
  });

  it('holds no tax on the freight, which costs what is not recovered of it', () => {
    const taxed = { amount: '120', taxPercent: '20', taxInside: true };
    const unregistered = { salesTaxPercent: '0' };
    const example = imported({ charges: [taxed], settings: unregistered });
    expect([example.customs('customsValue'), example.customs('duty'), example.line('landed')]).toEqual([
      '900',
      '90',
      '1110',
    ]);
  });

  it('lacks the freight that nobody has stated, and with it duty and the unit cost', () => {
    const example = imported({ shipment: { deliveryTerm: 'FOB' } });
    for (const member of ['customsValue', 'duty'])
      expect(example.gapsOf('lineCustoms', member)).toEqual(['no-charge freight', 'no-charge insurance']);
    expect(example.gapsOf('landedLine', 'perUnit')).toEqual(
      ['freight', 'insurance', 'port charges', 'customs clearance', 'trucking'].map((charge) => `no-charge ${charge}`),
    );
  });

  it('of the FOB kind asks how much of a CIF price is freight and insurance', () => {
    const example = imported({ shipment: { deliveryTerm: 'CIF' }, profile: { valueKind: 'FOB' } });
    expect(example.gapsOf('lineCustoms', 'customsValue')).toEqual([
      'part-of-price-not-stated freight',
      'part-of-price-not-stated insurance',
    ]);
  });

  it('of a price that holds duty (DDP) asks whether import tax is inside, and takes it out', () => {
    const held = (importTax: string | null) =>
      ['trucking', 'customs clearance', 'import tax'].flatMap((type) =>
        type === 'import tax' && importTax === null
          ? []
          : [{ type, inPrice: true, amount: type === 'import tax' ? importTax : '0' }],
      );
    const ddp = {
      shipment: { deliveryTerm: 'DDP', currency: 'EUR', customsRate: null },
      profile: { importTaxPercent: '20' },
    };
    expect(imported({ ...ddp, charges: held(null) }).gapsOf('lineCustoms', 'customsValue')).toEqual([
      'part-of-price-not-stated import tax',
    ]);
    // 1,320 = 1,000 + 10 % duty + 20 % import tax on both.
    const inside = imported({ ...ddp, line: { price: '1320' }, charges: held('220') });
    expect([inside.customs('customsValue'), inside.line('landed')]).toEqual(['1000', '1320']);
    // Where the price holds none, the buyer owes it.
    const outside = imported({
      ...ddp,
      line: { price: '1100' },
      charges: held('0'),
      settings: { salesTaxPercent: '0' },
    });
    expect([outside.customs('customsValue'), outside.line('landed')]).toEqual(['1000', '1320']);
  });
});

describe('what the customs take', () => {
  it('keeps the entry fee where the duty is typed', () => {
    const fee = { entryFeePercent: '1' };
    const typed = { type: 'duty', amount: '50' };
    const shipment = { currency: 'EUR', customsRate: null, rate: null };
    expect(imported({ shipment, profile: fee, charges: [typed] }).line('onTop')).toBe('60');
    expect(imported({ shipment, profile: fee }).line('onTop')).toBe('110');
  });

  it('has its tax base from inland costs, but for unloading', () => {
    const shipment = { currency: 'EUR', customsRate: null, rate: null };
    const inland = [
      { type: 'trucking', amount: '40' },
      { type: 'handling', amount: '7' },
    ];
    const base = (profile: Fields) => imported({ shipment, charges: inland, profile }).customs('taxBase');
    expect(base({})).toBe('1140');
    expect(base({ taxOnInland: false })).toBe('1100');
  });

  it('follows the estimate in an estimate: a billed freight moves both', () => {
    const shipment = { currency: 'EUR', customsRate: null, rate: null };
    const example = imported({ shipment, charges: [{ amount: '100', billed: '200' }] });
    // (1,000 + 200) x 1.1 against (1,000 + 100) x 1.1.
    expect([example.line('perUnit'), example.line('estimatedPerUnit')]).toEqual(['1320', '1210']);
  });

  it('of a line with tax of its own country counts what is not recovered, and shares charges by the value before tax', () => {
    const shipment = { currency: 'EUR', customsRate: null, rate: null, customsProfileId: null };
    const line = { taxPercent: '20', taxInside: true, price: '1200' };
    const goods = (settings: Fields) => imported({ shipment, line, settings }).line('landed');
    expect([goods({}), goods({ salesTaxPercent: '0' })]).toEqual(['1000', '1200']);
  });
});

describe('payments', () => {
  it('in full ahead ask for no rate of the rest', () => {
    const shipment = { rate: null, customsRate: null, customsProfileId: null };
    const payments = [
      { amount: '600', rate: '0.9', timing: 'ahead' },
      { amount: '400', rate: '1', timing: 'ahead' },
    ];
    expect(imported({ shipment, payments }).line('landed')).toBe('940');
    expect(imported({ shipment, payments: payments.slice(1) }).gapsOf('landedLine', 'landed')).toEqual([
      'no-exchange-rate',
    ]);
  });

  it('above what is owed are refused in words, ahead or at settlement', () => {
    const shipment = { customsProfileId: null };
    const paid = (amounts: readonly Fields[]) =>
      imported({ shipment, payments: amounts.map((each) => ({ rate: '1', ...each })) });
    expect(paid([{ amount: '1500' }]).shipment('exchangeDifference')).toBe('paid-more-than-owed');
    expect(paid([{ amount: '600', timing: 'ahead' }, { amount: '401' }]).shipment('exchangeDifference')).toBe(
      'paid-more-than-owed',
    );
    expect(
      imported({ shipment: { ...shipment, currency: 'EUR' }, payments: [{ amount: '1001' }] }).shipment(
        'exchangeDifference',
      ),
    ).toBe('paid-more-than-owed');
    expect(paid([{ amount: '600', timing: 'ahead' }, { amount: '400' }]).shipment('exchangeDifference')).toBe('-40');
  });
});
