import type { PoolUse, RowOf } from '@nuvar/book';
import { type Figure, gapSentence, ofMissingRow, multiplied, quotient, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { overheadGap } from './gaps.js';
import type { Unassigned } from './lot.js';
import { type Pool, poolCost, poolsOf } from './pool-cost.js';
import { passedOn, type PassedOn } from './services/service-allocation.js';
import { serviceMethodOf } from './methods/method-of.js';

/** The production overhead of one department. */
export interface DepartmentCost {
  readonly id: string;
  readonly name: string;
  readonly type: RowOf<'department'>['type'];
  /** What the pools bring it, before services are passed on. */
  readonly primary: Figure;
  /** What it bears of services. */
  readonly received: Figure;
  /** Both; of a service department, what it passes on. */
  readonly total: Figure;
  /** Of a service department, what goes to other services. */
  readonly toServices: Figure | null;
}

export interface DepartmentCosts {
  readonly departments: readonly DepartmentCost[];
  readonly services: readonly PassedOn[];
  readonly unassigned: readonly Unassigned[];
}

const USE: PoolUse = 'production';

/**
 * Production overhead by department, under a method: pools go to their department, or to all by their apportionment basis;
 * then services pass on theirs. What reaches no production department is named. The id is that of the method, or the way in which services pass on.
 */
export const departmentCosts: Calculation<DepartmentCosts> = {
  name: 'departmentCosts',
  meanings: {},
  work(sheet, methodId) {
    const departments = sheet.all('department');
    const pools = poolsOf(sheet).filter(({ use }) => use === USE);
    const brought = new Map<string, Figure[]>(departments.map(({ id }) => [id, []]));
    const unassigned: Unassigned[] = [];
    for (const pool of pools) {
      const shares = departmentShares(sheet, pool, departments);
      if (shares === null) unassigned.push(withoutDepartment(sheet, pool));
      else for (const [id, share] of shares) brought.get(id)?.push(share);
    }
    const perMonth = money(sheet).per(MONTH);
    const primary = new Map(
      departments.map(({ id, name: subject }) => [
        id,
        sum({ name: 'Own overhead', subject }, perMonth, brought.get(id) ?? []),
      ]),
    );
    const services = passedOn(sheet, serviceMethodOf(sheet, methodId), departments, primary);
    return {
      departments: departments.map((row) => costOf(sheet, row, primary, services)),
      services,
      unassigned: [...unassigned, ...services.flatMap((service) => stuckIn(sheet, service))],
    };
  },
};

function costOf(
  sheet: Sheet,
  { id, name, type }: RowOf<'department'>,
  primary: ReadonlyMap<string, Figure>,
  services: readonly PassedOn[],
): DepartmentCost {
  const own = primary.get(id) as Figure;
  const shares = services.flatMap((service) => service.shares.get(id) ?? []);
  const received = sum({ name: 'Services received', subject: name }, own.unit, shares);
  const passes = services.find(({ serviceId }) => serviceId === id)?.cost;
  const total = passes ?? sum({ name: 'Overhead of the department', subject: name }, own.unit, [own, received]);
  return { id, name, type, primary: own, received, total, toServices: givenToServices(sheet, id, services) };
}

/** What of a service goes to other services; null for a production department. */
function givenToServices(sheet: Sheet, id: string, services: readonly PassedOn[]): Figure | null {
  const passed = services.find(({ serviceId }) => serviceId === id);
  if (passed === undefined) return null;
  const given = [...passed.shares].filter(([receiver]) => sheet.row('department', receiver)?.type === 'service');
  const called = { name: 'To other services', subject: sheet.row('department', id)?.name ?? '' };
  return sum(
    called,
    passed.cost.unit,
    given.map(([, share]) => share),
  );
}

/** A pool goes to its one department, or is shared by its apportionment basis; null where neither is chosen. */
function departmentShares(sheet: Sheet, { row, id, name }: Pool, departments: readonly RowOf<'department'>[]) {
  const cost = sheet.read(poolCost, id).toShareOut;
  if (row?.departmentId != null) return new Map([[row.departmentId, cost]]);
  const basis =
    row?.apportionmentBasisId == null ? undefined : sheet.row('apportionmentBasis', row.apportionmentBasisId);
  if (basis === undefined || departments.length === 0) return null;
  const counted = unit(basis.countedIn === '' ? 'measure' : basis.countedIn);
  const measures = departments.map((department) => measureOf(sheet, basis, department, counted));
  const all = sum({ name: `${basis.name} in all`, subject: '' }, counted, measures);
  const place = { kind: 'apportionmentBasis', id: basis.id, field: 'measures' } as const;
  const none = overheadGap('apportionment-of-zero', place, { basis: basis.name, subject: name });
  return new Map(
    departments.map((department, index) => {
      const called = { name: `From ${name}`, subject: department.name };
      const part = quotient(
        { name: `Share of ${basis.name}`, subject: department.name },
        measures[index] as Figure,
        all,
        none,
      );
      return [department.id, multiplied(called, cost, part)];
    }),
  );
}

function measureOf(
  sheet: Sheet,
  basis: RowOf<'apportionmentBasis'>,
  { id, name: subject }: RowOf<'department'>,
  counted: Figure['unit'],
): Figure {
  const leaf = { name: basis.name, subject, unit: counted };
  const row = sheet
    .rowsOf('departmentMeasure', 'departmentId', id)
    .find((each) => each.apportionmentBasisId === basis.id);
  if (row !== undefined) return sheet.input('departmentMeasure', row, 'amount', leaf);
  const place = { kind: 'department', id, field: `measure-${basis.id}` } as const;
  return {
    ...ofMissingRow(leaf, subject),
    gaps: [overheadGap('no-measure', place, { basis: basis.name.toLowerCase(), subject })],
  };
}

function withoutDepartment(sheet: Sheet, { id, name, row }: Pool): Unassigned {
  const place = row === null ? null : ({ kind: 'costPool', id, field: 'departmentId' } as const);
  const gap = overheadGap('pool-without-department', place, { subject: name });
  return {
    id: `pool.${id}`,
    label: name,
    cost: sheet.read(poolCost, id).toShareOut,
    why: gapSentence(gap),
    gap,
    lotId: null,
  };
}

/** What a service passes on to nobody. */
function stuckIn(sheet: Sheet, { serviceId, cost, shares }: PassedOn): Unassigned[] {
  if (shares.size > 0) return [];
  const service = sheet.row('department', serviceId);
  const place = { kind: 'department', id: serviceId, field: 'uses' } as const;
  const gap = cost.gaps[0] ?? overheadGap('service-unused', place, { subject: service?.name ?? '' });
  return [{ id: `service.${serviceId}`, label: service?.name ?? '', cost, why: gapSentence(gap), gap, lotId: null }];
}

/** The overhead of a department for whoever wants to open it; the id is "method@department". */
export const departmentCost: Calculation<Pick<DepartmentCost, 'primary' | 'received' | 'total' | 'toServices'>> = {
  name: 'departmentCost',
  meanings: {
    primary: 'What the cost pools bring this department, before services are passed on.',
    received: 'What this department bears of the service departments.',
    total: 'All overhead of this department; of a service department, what it passes on.',
    toServices: 'What a service department passes on to other services.',
  },
  work(sheet, id) {
    const [methodId = '', departmentId = ''] = id.split('@');
    const found = sheet.read(departmentCosts, methodId).departments.find((each) => each.id === departmentId);
    if (found !== undefined) {
      const { primary, received, total, toServices } = found;
      return { primary, received, total, toServices };
    }
    const gone = ofMissingRow({ name: 'Overhead of the department', unit: money(sheet).per(MONTH) }, 'a department');
    return { primary: gone, received: gone, total: gone, toServices: null };
  },
};

/** What one department bears of one service; the id is "method@service@department". */
export const serviceShare: Calculation<{ share: Figure }> = {
  name: 'serviceShare',
  meanings: { share: 'What this department bears of the service.' },
  work(sheet, id) {
    const [methodId = '', serviceId, departmentId = ''] = id.split('@');
    const passed = sheet.read(departmentCosts, methodId).services.find((each) => each.serviceId === serviceId);
    const share = passed?.shares.get(departmentId);
    const none = { name: 'From the service', unit: money(sheet).per(MONTH) };
    return { share: share ?? ofMissingRow(none, 'a department that uses the service') };
  },
};
