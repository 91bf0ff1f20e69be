import { expect, it } from 'vitest';
import { offersFor } from './offers.js';

it('what begins with the typed words is offered before what holds them', () => {
  const options = ['Speckled clay', 'Clay, white', 'Claymore', 'Glaze'].map((label) => ({ label }));
  expect(offersFor(options, 'clay').map(({ label }) => label)).toEqual(['Clay, white', 'Claymore', 'Speckled clay']);
  expect(offersFor(options, 'whi cla').map(({ label }) => label)).toEqual(['Clay, white']);
});
