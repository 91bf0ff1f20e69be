import { UNIT_CODES, unitOfMeasure } from '@nuvar/book';
import { readNumber } from '@nuvar/core';
import { model } from '../book/model.js';

/** The units that the open book knows: those of everybody, and its own. */
export function knownUnits(): readonly string[] {
  const own = model.rows.all('bookUnit');
  return own.length === 0 ? UNIT_CODES : [...UNIT_CODES, ...own.map(({ name }) => name)];
}

/** The code of the unit that a text names, by its code or a word for it: "kg", "kilo", "piece", "tray". */
export function readUnit(text: string): string | undefined {
  const tidy = text.trim();
  const own = tidy === '' ? undefined : model.rows.rowsWith('bookUnit', 'name', tidy)[0];
  if (own !== undefined) return own.name;
  const known = unitOfMeasure(tidy) ?? unitOfMeasure(tidy.toLowerCase());
  const named = known === undefined ? readNumber(`1 ${tidy}`, '.')?.unit : undefined;
  return known?.code ?? (named == null ? undefined : unitOfMeasure(named)?.code);
}
