import type { BookBuilder } from './demo-book.js';

/** How much overhead the bench book has. */
export interface BenchOverhead {
  /** A third of them serve the others and each other. */
  readonly departments: number;
  readonly pools: number;
  readonly activities: number;
}

const DRIVERS = ['batches', 'labour hours', 'orders', 'bill lines', 'units'] as const;

/** Departments, pools with a bill in each, activities that take from three pools each, and the four methods. The production departments. */
export function addBenchOverhead(book: BookBuilder, size: BenchOverhead): readonly string[] {
  const floor = book.add('apportionmentBasis', { name: 'Floor area', countedIn: 'm²' });
  const services = Math.floor(size.departments / 3);
  const departments = range(size.departments).map((index) => {
    const type = index < services ? 'service' : 'production';
    const departmentId = book.add('department', { name: `Department ${index + 1}`, position: index, type });
    book.add('departmentMeasure', { apportionmentBasisId: floor, departmentId, amount: String(20 + index * 7) });
    return departmentId;
  });
  for (const [index, serviceId] of departments.slice(0, services).entries())
    departments.forEach((departmentId, position) => {
      if (departmentId !== serviceId)
        book.add('serviceUse', { serviceId, departmentId, amount: String(5 + ((index + position) % 9)) });
    });
  const pools = range(size.pools).map((index) => {
    const isShared = index % 2 === 0;
    const poolId = book.add('costPool', {
      name: `Pool ${index + 1}`,
      position: index,
      use: index % 5 === 4 ? 'non-production' : 'production',
      departmentId: isShared ? null : departments[index % size.departments],
      apportionmentBasisId: isShared ? floor : null,
      practicalMinutes: '14400',
    });
    book.add('runningCost', { name: `Bill of pool ${index + 1}`, position: 100 + index, amount: '400', poolId });
    return poolId;
  });
  range(size.activities).forEach((index) => {
    const activityId = book.add('activity', {
      name: `Activity ${index + 1}`,
      position: index,
      driver: DRIVERS[index % DRIVERS.length],
      resourcePoolId: pools[index % size.pools],
      minutes: '6',
      practicalVolume: '90000',
    });
    for (const poolId of [0, 1, 2].map((step) => pools[(index + step * 11) % size.pools]))
      book.add('poolActivity', { poolId, activityId, percent: '30' });
    book.add('timeTerm', { activityId, name: 'For each line', minutes: '0.5', times: 'bill line', condition: 'all' });
  });
  [
    { name: 'Single rate', type: 'single rate', role: 'book' },
    { name: 'By department', type: 'by department', serviceMethod: 'reciprocal' },
    { name: 'By activity', type: 'activities' },
    { name: 'By time', type: 'time-driven activities' },
  ].forEach((method, position) => book.add('costingMethod', { ...method, position }));
  return departments.slice(services);
}

const range = (length: number) => Array.from({ length }, (_none, index) => index);
