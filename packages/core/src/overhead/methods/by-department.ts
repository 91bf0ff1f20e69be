import type { RowOf } from '@nuvar/book';
import type { Sheet } from '../../sheet/index.js';
import { MONTH } from '../../sheet/index.js';
import { type DepartmentCost, departmentCost, departmentCosts } from '../department-cost.js';
import { type Driver, hoursIn, unitOfDriver } from '../driver.js';
import { overheadGap } from '../gaps.js';
import type { Lot } from '../lot.js';
import { absorptionBasis, lotRate, noBasis } from '../lot-rate.js';
import { actualBasis } from '../overhead-actual.js';
import type { MethodRow, OverheadMethod } from './method.js';
import { nonProductionLot } from './single-rate.js';

/**
 * Absorption by department: each production department has a rate of its own, over the hours that are worked in it or
 * another basis; service departments pass on theirs first. Overhead that is not for production goes by one rate.
 */
export const byDepartment: OverheadMethod = {
  type: 'by department',
  strayDrivers: hoursInNoDepartment,
  shareOut(sheet, method) {
    const { departments, unassigned } = sheet.read(departmentCosts, method.id);
    const lots = departments
      .filter(({ type }) => type === 'production')
      .map((department) => departmentLot(sheet, method, department));
    const other = nonProductionLot(sheet, method);
    return { lots: other === null ? lots : [...lots, other], unassigned };
  },
};

/** Hours in no department, of each kind by which some department absorbs; of labour where there is no department yet. */
function hoursInNoDepartment(sheet: Sheet): Driver[] {
  const production = sheet.all('department').filter(({ type }) => type === 'production');
  const kinds = (['labour hours', 'machine hours'] as const).filter((kind) =>
    production.length === 0 ? kind === 'labour hours' : production.some(({ basis }) => basis === kind),
  );
  return kinds.map((kind) => hoursIn(kind, ''));
}

function departmentLot(sheet: Sheet, method: MethodRow, { id, name }: DepartmentCost): Lot {
  const row = sheet.row('department', id) as RowOf<'department'>;
  const driver = driverOf(row);
  const counted = unitOfDriver(sheet, driver);
  const place = { kind: 'department', id, field: 'basis' } as const;
  const basis = absorptionBasis(sheet, {
    subject: name,
    driver,
    capacity: method.capacity,
    normal:
      row.normalCapacity === null
        ? null
        : sheet.input('department', row, 'normalCapacity', {
            name: 'Normal capacity',
            subject: name,
            unit: counted.per(MONTH),
          }),
    actual: actualBasis(sheet, id, counted),
    noActual: overheadGap('no-actual-basis', place, { basis: row.basis, subject: name }),
  });
  const cost = sheet.read(departmentCost, `${method.id}@${id}`).total;
  const rate = lotRate('Absorption rate', name, cost, basis, noBasis(sheet, row.basis, name, place));
  const lotId = `department.${id}`;
  const bearings = [{ id: lotId, label: name, driver }];
  return { id: lotId, label: name, use: 'production', isVariable: false, cost, basis, rate, bearings };
}

/** Hours count where they are worked; any other basis is that of the whole product. */
export function driverOf({ id, basis }: Pick<RowOf<'department'>, 'id' | 'basis'>): Driver {
  return basis === 'labour hours' || basis === 'machine hours' ? hoursIn(basis, id) : basis;
}
