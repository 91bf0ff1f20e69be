import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../../testing/evaluated.js';

/** A service with its own cost, the part of it that varies, and what each department uses of it: budgeted, and really. */
interface Service {
  readonly cost: number;
  readonly variablePercent: string | null;
  readonly uses: Readonly<Record<string, readonly [budgeted: number, actual: number | null]>>;
}

/** What each department bears in all, by a method. */
function borne(services: Readonly<Record<string, Service>>, method: string, names: readonly string[]): number[] {
  const ids: Record<string, string> = {};
  const rows = rowsOf((made) => {
    made.add('settings', { name: 'Example' });
    Object.entries(services).forEach(([name, { cost, variablePercent }], position) => {
      ids[name] = made.add('department', { name, type: 'service', position, variablePercent, turn: position + 1 });
      const poolId = made.add('costPool', { name: `Pool ${name}`, departmentId: ids[name] });
      made.add('runningCost', { name: `Cost ${name}`, amount: String(cost), poolId });
    });
    for (const name of names) ids[name] ??= made.add('department', { name, type: 'production', position: 99 });
    for (const [name, { uses }] of Object.entries(services))
      for (const [by, [budgeted, actual]] of Object.entries(uses))
        made.add('serviceUse', {
          serviceId: ids[name],
          departmentId: ids[by],
          amount: String(budgeted),
          actualAmount: actual === null ? null : String(actual),
        });
  });
  const evaluation = evaluated(rows);
  return names.map((name) => Number(amount(evaluation, `departmentCost/${method}@${ids[name]}/total`)));
}

describe('a service at two rates', () => {
  // Horngren, Datar & Rajan, Cost Accounting (the computer department), from memory, recomputed: fixed 3,000,000 by budgeted
  // hours 800 and 400; 200 an hour for the 900 and 300 hours really used: 2,180,000 and 1,060,000. At one rate of 2,700 an
  // hour by actual use it would be 2,430,000 and 810,000.
  it('charges its fixed part by budgeted use and its variable part by actual use', () => {
    const computer = (variablePercent: string | null): Service => ({
      cost: 3_240_000,
      variablePercent,
      uses: { Micro: [800, 900], Peripheral: [400, 300] },
    });
    for (const method of ['direct', 'step-down', 'reciprocal']) {
      const [micro, peripheral] = borne({ Computer: computer('7.407407407407') }, method, ['Micro', 'Peripheral']);
      expect(micro).toBeCloseTo(2_180_000, 2);
      expect(peripheral).toBeCloseTo(1_060_000, 2);
      expect(borne({ Computer: computer(null) }, method, ['Micro', 'Peripheral'])).toEqual([2_160_000, 1_080_000]);
    }
  });

  const use = fc.tuple(fc.integer({ min: 0, max: 30 }), fc.oneof(fc.constant(null), fc.integer({ min: 0, max: 30 })));
  const service = fc.record({
    cost: fc.integer({ min: 1, max: 9000 }),
    percent: fc.oneof(fc.constant(null), fc.integer({ min: 0, max: 100 })),
    other: use,
    shop: fc.tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 })),
    bakery: use,
  });

  it('is solved as going round and round comes to, and nothing is lost', () => {
    fc.assert(
      fc.property(service, service, (one, two) => {
        const of = ({ cost, percent, other, shop, bakery }: typeof one, name: string): Service => ({
          cost,
          variablePercent: percent === null ? null : String(percent),
          uses: { [name]: other, Shop: shop, Bakery: bakery },
        });
        const services = { One: of(one, 'Two'), Two: of(two, 'One') };
        const names = ['One', 'Two', 'Shop', 'Bakery'];
        const found = borne(services, 'reciprocal', names);
        const totals: Record<string, number> = { One: one.cost, Two: two.cost, Shop: 0, Bakery: 0 };
        for (let round = 0; round < 400; round += 1) {
          const next: Record<string, number> = { One: one.cost, Two: two.cost, Shop: 0, Bakery: 0 };
          for (const [name, { cost, variablePercent, uses }] of Object.entries(services)) {
            const variable = (cost * Number(variablePercent ?? 0)) / 100;
            const really = (each: readonly [number, number | null]) => each[1] ?? each[0];
            const all = Object.values(uses);
            const [budget, actual] = [
              all.reduce((sum, each) => sum + each[0], 0),
              all.reduce((sum, each) => sum + really(each), 0),
            ];
            for (const [by, each] of Object.entries(uses))
              next[by] =
                (next[by] ?? 0) +
                (((totals[name] ?? 0) - variable) * each[0]) / budget +
                (variable * really(each)) / actual;
          }
          Object.assign(totals, next);
        }
        names.forEach((name, index) => expect(found[index]).toBeCloseTo(totals[name] ?? 0, 5));
        expect((found[2] ?? 0) + (found[3] ?? 0)).toBeCloseTo(one.cost + two.cost, 6);
      }),
      { numRuns: 60 },
    );
  });
});
