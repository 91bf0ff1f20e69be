import { type ChannelTemplate, newId, type Operation } from '@nuvar/book';
import { model } from '../book/model.js';
import { createOf } from '../book/operations.js';

/** A name that no channel of the book has yet. */
function freeName(name: string): string {
  const isTaken = (wanted: string) => model.rows.rowsWith('channel', 'name', wanted).length > 0;
  let made = name;
  for (let count = 2; isTaken(made); count += 1) made = `${name} ${count}`;
  return made;
}

/** The rows of a channel that is begun from a template, as one change. */
export function channelFrom({ name, channel, fees, chain = [] }: ChannelTemplate, channelId: string): Operation[] {
  return [
    createOf('channel', channelId, { name: freeName(name), ...channel }),
    ...fees.flatMap(({ sizes = [], ...fee }, position) => {
      const ruleId = newId();
      return [
        createOf('feeRule', ruleId, { channelId, position, ...fee }),
        ...sizes.map((size, place) => createOf('sizeTier', newId(), { ruleId, position: place, ...size })),
      ];
    }),
    ...chain.map((step, position) => createOf('chainStep', newId(), { channelId, position, ...step })),
  ];
}
