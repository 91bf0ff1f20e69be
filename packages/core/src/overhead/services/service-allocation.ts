import type { RowOf, ServiceMethod } from '@nuvar/book';
import { constant, difference, type Figure, missing, multiplied, sum } from '../../figure/index.js';
import { NUMBER } from '../../quantity/index.js';
import { money, MONTH, type Sheet } from '../../sheet/index.js';
import { overheadGap } from '../gaps.js';
import { fractionOf, type Fraction, dividedBy, lessThan, NONE, toDecimal, WHOLE } from './fraction.js';
import { chargeOf, variablePartOf } from './service-charge.js';
import { inCircles, type ServiceUses, serviceUses, stepOrder, usedBy } from './service-shares.js';
import { inverse } from './solve.js';

/** What a service department passes on, and what each receiver bears of it. */
export interface PassedOn {
  readonly serviceId: string;
  /** All that it passes on: its own cost and what it has received before. */
  readonly cost: Figure;
  /** By the id of the receiver. */
  readonly shares: ReadonlyMap<string, Figure>;
  /** The services whose use of it is left out, since they have passed on their cost already. */
  readonly leftOut: readonly string[];
}

type Departments = readonly RowOf<'department'>[];
type Costs = ReadonlyMap<string, Figure>;

/**
 * What the service departments pass on to the others. Direct: to production departments only. Step-down: in turn, to those
 * that have not passed on theirs yet. Reciprocal: each bears its share of the others, by simultaneous equations that are
 * solved in exact fractions. What a department uses of its own service leaves the denominator. At two rates,
 * the fixed part goes by budgeted use and the variable part by actual use. Source: Horngren, Datar & Rajan, Cost Accounting. Gaps: a service that nobody uses; services that serve only each other.
 */
export function passedOn(sheet: Sheet, method: ServiceMethod, departments: Departments, primary: Costs): PassedOn[] {
  const services = departments.filter(({ type }) => type === 'service');
  const uses = serviceUses(sheet, services);
  if (method === 'reciprocal') return reciprocal(sheet, services, uses, primary);
  const order = method === 'step-down' ? stepOrder(services, uses) : services;
  const isService = new Set(services.map(({ id }) => id));
  const received = new Map<string, Figure[]>();
  const closed = new Set<string>();
  return order.map((service) => {
    closed.add(service.id);
    const isReceiver = (id: string) => (method === 'direct' ? !isService.has(id) : !closed.has(id));
    const got = received.get(service.id) ?? [];
    const own = primary.get(service.id) as Figure;
    const cost = got.length === 0 ? own : sum({ name: 'To pass on', subject: service.name }, own.unit, [own, ...got]);
    const shares = chargeOf(sheet, service, uses, { cost, own }, isReceiver);
    for (const [id, share] of shares) received.set(id, [...(received.get(id) ?? []), share]);
    const used = [...(uses.get(service.id)?.keys() ?? [])];
    return { serviceId: service.id, cost, shares, leftOut: used.filter((id) => isService.has(id) && !isReceiver(id)) };
  });
}

/**
 * Services that reach a production department, solved together as if those that serve only each other were not there; these are
 * named as a circle.
 */
function reciprocal(sheet: Sheet, all: Departments, uses: ServiceUses, primary: Costs): PassedOn[] {
  const circle = inCircles(all, uses);
  const isInCircle = new Set(circle.map(({ id }) => id));
  const outside = new Map(
    [...uses].map(([id, of]) => [id, new Map([...of].filter(([departmentId]) => !isInCircle.has(departmentId)))]),
  );
  const solved = solvedTogether(
    sheet,
    all.filter(({ id }) => !isInCircle.has(id)),
    outside,
    primary,
  );
  return all.map((service): PassedOn => {
    const called = { name: 'To pass on', subject: service.name };
    const left = [...isInCircle].filter((id) => uses.get(service.id)?.has(id));
    const found = solved.find(({ serviceId }) => serviceId === service.id);
    if (found !== undefined) return { ...found, leftOut: left };
    return { serviceId: service.id, cost: inACircle(sheet, circle, called), shares: new Map(), leftOut: [] };
  });
}

function solvedTogether(sheet: Sheet, services: Departments, uses: ServiceUses, primary: Costs): PassedOn[] {
  const share = (of: RowOf<'department'>, by: RowOf<'department'>): Fraction => {
    const amount = uses.get(of.id)?.get(by.id);
    return amount === undefined ? NONE : dividedBy(fractionOf(amount), fractionOf(usedBy(uses, of.id, () => true)));
  };
  const matrix = services.map((by) =>
    services.map((of) => lessThan(by.id === of.id ? WHOLE : NONE, by.id === of.id ? NONE : share(of, by))),
  );
  const solved = inverse(matrix);
  const toSolve = new Map(services.map((by) => [by.id, withVariableParts(sheet, by, services, uses, primary)]));
  return services.map((service, index) => {
    const called = { name: 'To pass on', subject: service.name };
    const cost =
      solved === null
        ? inACircle(sheet, services, called)
        : sum(
            called,
            money(sheet).per(MONTH),
            services.flatMap((other, place) => weighted(solved[index]?.[place] as Fraction, other, toSolve)),
          );
    const own = primary.get(service.id) as Figure;
    const shares =
      solved === null ? new Map<string, Figure>() : chargeOf(sheet, service, uses, { cost, own }, () => true);
    return { serviceId: service.id, cost, shares, leftOut: [] };
  });
}

/**
 * The own cost of a service for the equations, which go by budgeted use: with what actual use brings it more of the variable
 * parts of others than budgeted use would.
 */
function withVariableParts(
  sheet: Sheet,
  by: RowOf<'department'>,
  services: Departments,
  uses: ServiceUses,
  primary: Costs,
): Figure {
  const own = primary.get(by.id) as Figure;
  const more = services.flatMap((service) => {
    const parts = variablePartOf(sheet, service, uses, primary.get(service.id) as Figure, () => true);
    const charged = parts?.byActualUse.get(by.id);
    const budgeted = parts?.byBudgetedUse.get(by.id);
    if (charged === undefined && budgeted === undefined) return [];
    const none = constant('Not used', '0', own.unit, 'no use of it');
    const called = { name: `More of ${service.name} by actual use`, subject: by.name };
    return [difference(called, charged ?? none, budgeted ?? none)];
  });
  return more.length === 0 ? own : sum({ name: 'Own cost, by actual use', subject: by.name }, own.unit, [own, ...more]);
}

function weighted(factor: Fraction, service: RowOf<'department'>, primary: Costs): Figure[] {
  const own = primary.get(service.id) as Figure;
  if (factor.numerator === 0n) return [];
  const times = constant('Factor', toDecimal(factor), NUMBER, 'solved from the simultaneous equations of the services');
  return [multiplied({ name: 'Own cost, by its factor', subject: service.name }, own, times)];
}

function inACircle(sheet: Sheet, services: Departments, called: { name: string; subject: string }): Figure {
  const place = { kind: 'department', id: services[0]?.id ?? '', field: 'uses' } as const;
  const subject = services.map(({ name }) => name).join(', ');
  return missing({ ...called, unit: money(sheet).per(MONTH) }, overheadGap('services-in-a-circle', place, { subject }));
}
