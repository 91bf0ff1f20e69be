import { expect, it } from 'vitest';
import { billOffers } from './bill-offers.js';

const items = [
  { id: 'slip', label: 'White slip', words: 'S-1 clay Harrowmere' },
  { id: 'clay', label: 'White clay', words: 'C-1 clay Harrowmere' },
  { id: 'tape', label: 'Paper tape', words: 'Fennwick' },
];
const labels = (typed: string, isLinking: boolean) => billOffers(items)(typed, isLinking).map(({ value }) => value);

it('a text that is linked is offered what is spelt like it first; a name that is typed is offered as new before', () => {
  expect(labels('whte slip', true)[0]).toBe('slip');
  expect(labels('whte slip', false)[0]).toBe('new material');
  expect(labels('white', false).slice(0, 2)).toEqual(['slip', 'clay']);
  expect(labels('White slip', false)).not.toContain('new material');
});

it('finds by code and supplier', () => {
  expect(labels('C-1', true)[0]).toBe('clay');
  expect(labels('Fennwick', true)[0]).toBe('tape');
});
