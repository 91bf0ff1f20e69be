import { constant, type Figure, quotient, shareOf } from '../../figure/index.js';
import { compared } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import type { Calculation } from '../../sheet/index.js';
import { shipmentGoods } from './shipment-goods.js';

/** What goods are carried in: how much room it has, and how much it may carry. */
interface Carrier {
  readonly code: string;
  readonly label: string;
  readonly cubicMetres: string;
  readonly kilograms: string;
}

/**
 * Usual inner volume and payload of the containers of ISO 668, and of a pallet of 1.2 m x 0.8 m loaded to 1.8 m. Common
 * practice; the plate on the door of a container says what holds for it.
 */
export const CARRIERS: readonly Carrier[] = [
  { code: 'pallet', label: 'pallet', cubicMetres: '1.728', kilograms: '1000' },
  { code: '20', label: "20' container", cubicMetres: '33.2', kilograms: '28200' },
  { code: '40', label: "40' container", cubicMetres: '67.7', kilograms: '26600' },
  { code: '40HC', label: "40' high cube", cubicMetres: '76.3', kilograms: '26500' },
];

const SOURCE = 'usual size; common practice';
const ONE = Object.fromEntries(
  CARRIERS.map(({ code, label, cubicMetres, kilograms }) => [
    code,
    {
      volume: constant(`Room in one ${label}`, cubicMetres, unit('m³'), SOURCE),
      weight: constant(`Payload of one ${label}`, kilograms, unit('kg'), SOURCE),
    },
  ]),
);

/** How full a shipment makes a carrier. */
export interface LoadFigures {
  readonly byVolume: Figure;
  readonly byWeight: Figure;
  /** By which of the two it is full first; null while either is not known. */
  readonly fullBy: 'volume' | 'weight' | null;
  /** How many it takes, by the larger of the two, unrounded. */
  readonly carriers: Figure;
}

/**
 * How much of a container or pallet a shipment fills: volume / inner volume and weight / payload; the larger of the two
 * says how many it takes. The id is that of the shipment and the code of the carrier, "id@20".
 */
export const load: Calculation<LoadFigures> = {
  name: 'load',
  meanings: {
    byVolume: 'How much of the room the shipment takes.',
    byWeight: 'How much of the payload the shipment takes.',
    carriers: 'How many the shipment fills.',
  },
  work(sheet, id) {
    const [shipmentId = '', code = ''] = id.split('@');
    const { weight, volume } = sheet.read(shipmentGoods, shipmentId);
    const one = ONE[code] ?? (ONE['20'] as (typeof ONE)[string]);
    const byVolume = shareOf('Room taken', volume, one.volume);
    const byWeight = shareOf('Payload taken', weight, one.weight);
    const [room, payload] = [byVolume.amount, byWeight.amount];
    const fullBy = room === null || payload === null ? null : compared(room, payload) >= 0 ? 'volume' : 'weight';
    const carriers =
      fullBy === 'weight' ? quotient('Carriers', weight, one.weight) : quotient('Carriers', volume, one.volume);
    return { byVolume, byWeight, fullBy, carriers };
  },
};
