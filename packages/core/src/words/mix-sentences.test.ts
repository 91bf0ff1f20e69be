import type { Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../planning/mix/highs/index.js';
import { exampleModel } from '../planning/mix/solver/mix-examples.js';
import { findMix, type MixFindings, type MixModel, rankedMixes, type RankedMix } from '../planning/index.js';
import { mixReasons, rankingWords } from './mix-reasons.js';
import { endWords, limitWords, moneyDigits, type MixWriting } from './mix-sentences.js';

let highs: Highs;
beforeAll(async () => {
  highs = await loadSolver();
});

const WRITING: MixWriting = {
  currency: 'EUR',
  amount: (value) => String(Math.round(value * 1000) / 1000),
  money: (value) => value.toFixed(moneyDigits(value)),
};

function findingsOf(model: MixModel): MixFindings {
  const last = [...findMix(highs, model)].at(-1);
  if (last === undefined) throw new RangeError('a search always finds something to say');
  return last;
}

const reasonsOf = (model: MixModel) => mixReasons(findingsOf(model), WRITING).map(({ sentence }) => sentence);

const bakery = (oven: number, step: number | null = null) =>
  exampleModel(
    [
      { name: 'Bread', gain: 6, uses: [2, 3], step },
      { name: 'Cake', gain: 10, uses: [4, 2], step },
    ],
    [
      { name: 'Oven', available: oven, normalPrice: 1.5 },
      { name: 'Hands', available: 360 },
    ],
  );

describe('the reasons for a mix', () => {
  it('say what binds, what it is worth, and while what it holds', () => {
    expect(reasonsOf(bakery(400))).toEqual([
      'Oven: nothing to spare. One hour more is worth 2.25 EUR above the normal price of 1.50 EUR, so pay at most 3.75 EUR for it. This holds from 240 to 720 h; ten more bring 22.50 EUR in all.',
      'Hands: nothing to spare. One hour more is worth 0.50 EUR, and that is the most to pay for it. This holds from 200 to 600 h; ten more bring 5.00 EUR in all.',
      'Bread: 80 as long as a unit brings 5.00 EUR to 15.00 EUR (6.00 EUR now).',
      'Cake: 60 as long as a unit brings 4.00 EUR to 12.00 EUR (10.00 EUR now).',
      'No other mix is as good.',
    ]);
  });

  it('say both values at a turning point, and what a product would have to bring', () => {
    const sentences = reasonsOf(bakery(720));
    expect(sentences[0]).toBe(
      'Oven: nothing to spare, and the mix stands at a turning point. One hour more brings 0.00 EUR, one less costs 2.25 EUR down to 240 h.',
    );
    expect(sentences).toContain('Bread is not made: a unit would have to bring 9.00 EUR more.');
  });

  it('claim no prices of limits where something is counted whole', () => {
    const sentences = reasonsOf(bakery(401, 1));
    expect(sentences[0]).toMatch(/^Something is counted whole or has a set-up/);
    expect(sentences[1]).toMatch(
      /^Oven: .* to spare. One hour more brings .* EUR, ten more bring .* EUR above the normal price of 1.50 EUR each\.$/,
    );
  });

  it('count units where units are the goal, and never speak of money then', () => {
    const units = { ...bakery(400), goal: 'units' as const };
    const model = { ...units, products: units.products.map((product) => ({ ...product, gain: 1 })) };
    expect(reasonsOf(model).join(' ')).not.toMatch(/EUR|pay/);
  });
});

it('a limit is said with its field', () => {
  const model = exampleModel(
    [{ name: 'A', gain: 1, uses: [1], least: 4, most: 9, lot: 2, step: 3 }],
    [{ name: 'Clay', unit: 'kg', available: 5, extra: 1 }],
  );
  const said = (of: 'resource' | 'least' | 'most' | 'lot' | 'whole') => limitWords(model, { of, at: 0 }, WRITING);
  expect(said('resource')).toEqual({
    sentence: 'Clay: 6 kg in all',
    place: { kind: 'mixResource', id: 'r0', field: 'available' },
  });
  expect((['least', 'most', 'lot', 'whole'] as const).map((of) => said(of).sentence)).toEqual([
    'A: at least 4',
    'A: at most 9',
    'A: 2 or none',
    'A: made in steps of 3',
  ]);
});

it('an end of the search is said in a sentence, with how far it can be from the best', () => {
  const { answer, model } = findingsOf(bakery(400));
  expect(endWords(answer, model, WRITING)).toBe('');
  expect(endWords({ ...answer, status: 'time limit', gapPercent: 2.5 }, model, WRITING)).toContain(
    'at most 2.5 % short',
  );
  expect(endWords({ ...answer, status: 'unlimited', unlimited: [0, 1] }, model, WRITING)).toContain('Bread and Cake');
  expect(endWords({ ...answer, status: 'best', gapPercent: 0.8 }, model, WRITING)).toBe(
    'Within 0.8 % of the best possible, as the plan allows.',
  );
});

it('the ranking says which other resource it forgets', () => {
  const model = bakery(400);
  const ranked = rankedMixes(model)[0] as RankedMix;
  expect(rankingWords(model, 0, ranked, 1080, WRITING)).toBe(
    'The ranking looks at Oven alone. By it Hands runs out first, and what is left of the rest cannot be used: 360.00 EUR less than the best mix.',
  );
  expect(rankingWords(model, 0, ranked, 720, WRITING)).toContain('is as good as the best mix');
});

it('the ranking says which limits it cannot keep to', () => {
  const lot = exampleModel([{ name: 'A', gain: 1, uses: [1], least: 9 }], [{ name: 'Oven', available: 5 }]);
  expect(rankingWords(lot, 0, rankedMixes(lot)[0] as RankedMix, 0, WRITING)).toBe(
    'The ranking by Oven cannot keep to these limits: Oven: 5 h in all. It is no mix that can be made.',
  );
});

it('small worths have the digits that they need', () => {
  expect([0, 2.345, 0.5, 0.05, 0.0033, 0.000123].map((value) => value.toFixed(moneyDigits(value)))).toEqual([
    '0.00',
    '2.35',
    '0.50',
    '0.05',
    '0.0033',
    '0.00012',
  ]);
  const gram = exampleModel(
    [{ name: 'Glaze', gain: 0.33, uses: [100] }],
    [{ name: 'Cobalt', unit: 'g', available: 900 }],
  );
  expect(reasonsOf(gram)[0]).toBe(
    'Cobalt: nothing to spare. One gram more is worth 0.0033 EUR, and that is the most to pay for it. This holds however much of it there is; ten more bring 0.033 EUR in all.',
  );
});

it('whole plans say of each limit what binds and what is to spare, and what is not known', () => {
  const model = exampleModel(
    [
      { name: 'Mug', gain: 10, uses: [1, 1], step: 1, most: 12 },
      { name: 'Bowl', gain: 3, uses: [1, 0], step: 1, least: 4 },
    ],
    [
      { name: 'Hands', available: 20 },
      { name: 'Kiln', unit: 'place', available: 40 },
    ],
    {
      totals: [
        {
          id: 't',
          name: 'Both',
          rule: 'at most',
          units: 16,
          stated: 16,
          measure: 'units',
          terms: [
            [0, 1],
            [1, 1],
          ],
        },
      ],
    },
  );
  expect(reasonsOf(model).slice(1)).toEqual([
    'Hands: 4 h to spare. One or ten more bring nothing.',
    'Kiln: 28 places to spare. One or ten more bring nothing.',
    '"Both", at most 16: nothing to spare. One more brings 3.00 EUR.',
    'Mug: at its maximum of 12. One more, if sold, brings nothing.',
    'Bowl: at its minimum of 4. One less brings nothing.',
  ]);
  const findings = findingsOf(model);
  const gains = findings.gains.map((gain) => ({ ...gain, ofOne: 'not known', ofTen: null }) as const);
  expect(mixReasons({ ...findings, gains }, WRITING).map(({ sentence }) => sentence)).toContain(
    'What more brings could not be proven in the time there was for Hands, Kiln, "Both", the maximum of Mug and the minimum of Bowl.',
  );
});
