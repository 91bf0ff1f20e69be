import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { codesOf, signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let person: Person;

beforeAll(async () => {
  app = await testServer();
  person = await signUp(app);
});
afterAll(() => app.close());

const rateOf = async (currency: string, base: string, day = '2026-05-04') =>
  (await person.get(`/api/stand-ins/exchange-rates?currency=${currency}&base=${base}&day=${day}`).expect(200)).body as {
    rate: string;
    simulated: boolean;
  };

it('says that it is simulated, gives the same rate for a day whenever it is asked, and its inverse the other way', async () => {
  const rate = await rateOf('USD', 'EUR');
  expect(rate).toMatchObject({ simulated: true, currency: 'USD', base: 'EUR', day: '2026-05-04' });
  expect(await rateOf('USD', 'EUR')).toEqual(rate);
  expect(await rateOf('USD', 'EUR', '2026-08-04')).not.toEqual(rate);
  expect(Number((await rateOf('EUR', 'USD')).rate) * Number(rate.rate)).toBeCloseTo(1, 4);
});

it('refuses a currency that it does not know and a day that is none, and answers nobody who is not signed in', async () => {
  const strange = await person.get('/api/stand-ins/exchange-rates?currency=XAU&base=EUR&day=2026-05-04').expect(422);
  expect(codesOf(strange)).toEqual(['invalid-field']);
  for (const day of ['soon', '2026-02-30', '31.03.2026'])
    await person.get(`/api/stand-ins/exchange-rates?currency=USD&base=EUR&day=${day}`).expect(422);
  const gone = await signUp(app);
  await gone.delete('/api/session');
  await gone.get('/api/stand-ins/exchange-rates?currency=USD&base=EUR&day=2026-05-04').expect(401);
});
