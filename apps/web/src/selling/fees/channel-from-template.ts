import { type ChannelTemplate, newId, type Operation } from '@nuvar/book';
import { createOf } from '../../book/operations.js';
import { freeName } from '../../controls/grid/rows-writer.js';

/** The rows of a channel that is begun from a template, as one change. */
export function channelFrom({ name, channel, fees, chain = [] }: ChannelTemplate, channelId: string): Operation[] {
  return [
    createOf('channel', channelId, { name: freeName('channel', name), ...channel }),
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
