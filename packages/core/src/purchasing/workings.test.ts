import { fieldsOf, isKind, rowsByKind, type StoredRow } from '@nuvar/book';
import { beforeAll, expect, it } from 'vitest';
import { evaluate } from '../evaluate/index.js';
import { type Figure, figureKey, type Place } from '../figure/index.js';
import type { Evaluation } from '../sheet/index.js';
import { DAY, demoRows } from '../testing/evaluated.js';
import { PURCHASING_CALCULATIONS } from './index.js';
import { movementsOf, positionsByDay } from './stock/index.js';

/** The rows that figures of purchasing are of. */
const ASKED_OF = ['shipment', 'shipmentLine', 'shipmentCharge', 'material', 'supplierPrice', 'stockMovement'] as const;

/** The demo book with what its stock ledgers have come to, and every method of valuing stock in it. */
function stocked(): Evaluation {
  const rows = demoRows();
  const stockPosition = rows.all('material').flatMap((material): StoredRow<'stockPosition'>[] => {
    const moved = movementsOf(rows.rowsWith('stockMovement', 'materialId', material.id));
    const last = positionsByDay(null, moved).at(-1);
    const { id, baseUnit } = material;
    return last === undefined ? [] : [{ id, materialId: id, unit: baseUnit, day: last.day, version: 1, ...last.kept }];
  });
  return evaluate({ ...rowsByKind(rows), stockPosition }, DAY);
}

const figures = new Map<string, Figure>();

beforeAll(() => {
  const evaluation = stocked();
  const take = (figure: Figure, path: string) => {
    const key = figureKey(figure) || `${path} > ${figure.name}`;
    if (figures.has(key)) return;
    figures.set(key, figure);
    for (const part of figure.parts) take(part, key);
  };
  const materials = evaluation.sheet.all('material').map(({ id }) => id);
  const periods = materials.flatMap((id) => {
    const period = `${id}@2026-01-01@2026-11-25@0001-01-01`;
    return [period, ...['moving average', 'first in, first out', 'standard'].map((method) => `${period}@${method}`)];
  });
  const rows = ASKED_OF.flatMap((kind) => evaluation.sheet.all(kind).map(({ id }) => id));
  const underTerms = evaluation.sheet.all('shipment').flatMap(({ id }) => [`${id}@FOB`, `${id}@DDP`]);
  const idsOf = (name: string) =>
    name === 'priceUnderTerm' ? underTerms : /^stock(Period|Entry|Method)$/.test(name) ? periods : rows;
  for (const { name, meanings } of PURCHASING_CALCULATIONS)
    for (const id of idsOf(name))
      for (const member of Object.keys(meanings ?? {})) {
        const figure = evaluation.figure(`${name}/${id}/${member}`);
        if (figure !== null) take(figure, name);
      }
});

const isField = ({ kind, field }: Place) => isKind(kind) && fieldsOf(kind).some(({ name }) => name === field);
const told = (wrong: (figure: Figure) => boolean) =>
  [...figures].flatMap(([key, figure]) => (wrong(figure) ? key : []));

it('a working leads from each figure of purchasing to inputs that are fields of rows, and all of it is named', () => {
  expect(figures.size).toBeGreaterThan(1000);
  expect(told(({ name }) => name === '' || name === undefined)).toEqual([]);
  expect(told(({ operation, place }) => operation === 'input' && (place === null || !isField(place)))).toEqual([]);
  expect(told(({ gaps }) => gaps.some(({ place }) => place !== null && !isKind(place.kind)))).toEqual([]);
  expect(told(({ operation, subject }) => operation === 'input' && subject === '')).toEqual([]);
});
