import { newId } from '../new-id.js';

type Row = Readonly<Record<string, unknown>>;

const isSome = (value: unknown): boolean => typeof value === 'string' && !/^-?0*\.?0*$/.test(value);

/**
 * The rows of a book of format 7 as format 8 has them: the percentage and the fixed fee of a channel become fees of their
 * own. Zero, which says that there is none, becomes nothing.
 */
export function withFeeRules(rows: Readonly<Record<string, readonly Row[]>>): Readonly<Record<string, readonly Row[]>> {
  const { channel = [], feeRule = [] } = rows ?? {};
  if (!Array.isArray(channel) || !channel.every((row) => typeof row === 'object' && row !== null)) return rows;
  const made = channel.flatMap(({ id, feePercent, feeBasis = 'price paid', feePerOrder }: Row) => [
    ...(isSome(feePercent)
      ? [{ id: newId(), channelId: id, name: 'Percentage fee', takenOf: feeBasis, percent: feePercent }]
      : []),
    ...(isSome(feePerOrder)
      ? [{ id: newId(), channelId: id, position: 1, name: 'Fixed fee', takenOf: 'order', amount: feePerOrder }]
      : []),
  ]);
  return {
    ...rows,
    channel: channel.map(({ feePercent: _percent, feeBasis: _basis, feePerOrder: _order, ...row }: Row) => row),
    feeRule: [...feeRule, ...made],
  };
}
