import type { RowOf } from '@nuvar/book';
import { type Decimal, decimal, ZERO } from '../../number/index.js';
import type { Sheet } from '../../sheet/index.js';

/** Who uses how much of which service, by the ids of departments; what a service uses of itself is left out. */
export type ServiceUses = ReadonlyMap<string, ReadonlyMap<string, Decimal>>;

/** The uses of the services of the book. */
export function serviceUses(sheet: Sheet, services: readonly RowOf<'department'>[]): ServiceUses {
  return new Map(
    services.map(({ id, variablePercent }) => {
      const isUsed = ({ amount, actualAmount }: RowOf<'serviceUse'>) =>
        Number(amount) > 0 || (variablePercent !== null && Number(actualAmount ?? 0) > 0);
      const uses = sheet
        .rowsOf('serviceUse', 'serviceId', id)
        .filter((row) => row.departmentId !== id && isUsed(row))
        .map(({ departmentId, amount }) => [departmentId, decimal(amount)] as const);
      return [id, new Map(uses)];
    }),
  );
}

/** What is used of a service by the departments that are asked about. */
export function usedBy(uses: ServiceUses, serviceId: string, isReceiver: (departmentId: string) => boolean): Decimal {
  let total = ZERO;
  for (const [departmentId, amount] of uses.get(serviceId) ?? [])
    if (isReceiver(departmentId)) total = total.plus(amount);
  return total;
}

/**
 * The services in the order in which they pass on their cost under step-down: by their turn where it is stated, else those
 * first that serve other services most, by the share of their service; among equals in their own order.
 */
export function stepOrder(services: readonly RowOf<'department'>[], uses: ServiceUses): RowOf<'department'>[] {
  const isService = new Set(services.map(({ id }) => id));
  const toServices = ({ id }: RowOf<'department'>) => {
    const all = usedBy(uses, id, () => true);
    return all.isZero() ? ZERO : usedBy(uses, id, (each) => isService.has(each)).div(all);
  };
  const ranked = services.map((row) => ({ row, turn: row.turn ?? Number.POSITIVE_INFINITY, share: toServices(row) }));
  return ranked
    .sort((one, other) => (one.turn === other.turn ? other.share.comparedTo(one.share) : one.turn - other.turn))
    .map(({ row }) => row);
}

/** The services that serve only each other: somebody uses them, and no way leads from them to a production department. */
export function inCircles(services: readonly RowOf<'department'>[], uses: ServiceUses): RowOf<'department'>[] {
  const isService = new Set(services.map(({ id }) => id));
  const reaching = new Set<string>();
  const receiversOf = (id: string) => [...(uses.get(id)?.keys() ?? [])];
  for (let before = -1; before < reaching.size;) {
    before = reaching.size;
    for (const { id } of services)
      if (receiversOf(id).some((each) => !isService.has(each) || reaching.has(each))) reaching.add(id);
  }
  return services.filter(({ id }) => receiversOf(id).length > 0 && !reaching.has(id));
}
