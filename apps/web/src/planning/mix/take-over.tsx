import type { StoredRow } from '@nuvar/book';
import type { MixView } from '@nuvar/core';
import { newId, type Operation } from '@nuvar/book';
import { useState } from 'react';
import { model } from '../../book/model.js';
import { createOf, updateOf } from '../../book/operations.js';
import { useEdit } from '../../book/use-book.js';
import { Dialog } from '../../controls/dialogs/dialog.js';
import { useView } from '../../engine/use-view.js';
import { useStyle } from '../../figures/use-style.js';
import { amountText } from './words.js';

interface TakeOverProps {
  readonly plan: StoredRow<'mixPlan'>;
  readonly view: MixView;
  readonly onClose: () => void;
}

/** The quantities tried by hand as planned volumes of an average month, by channel: looked at before they are taken over. */
export function TakeOver({ plan, view, onClose }: TakeOverProps) {
  const volumes = useView('mixVolumes', plan.id);
  const edit = useEdit();
  const style = useStyle();
  const [problem, setProblem] = useState<string | null>(null);
  if (volumes === undefined) return null;
  const take = () => {
    const operations = volumes.flatMap(({ productId, channelId, unitsPerMonth }): Operation[] => {
      const known = model.rows
        .rowsWith('plannedVolume', 'productId', productId)
        .find((row) => row.channelId === channelId);
      return known === undefined
        ? [createOf('plannedVolume', newId(), { productId, channelId, unitsPerMonth })]
        : updateOf('plannedVolume', known, { unitsPerMonth });
    });
    const found = edit(operations)[0];
    if (found === undefined) onClose();
    else setProblem(found.sentence);
  };
  const nameOf = (kind: 'product' | 'channel', id: string | null) =>
    (id === null ? undefined : model.rows.row(kind, id)?.name) ?? 'not said where';
  const typedOnly = view.products.filter(({ id }) => model.rows.row('mixProduct', id)?.productId === null);
  return (
    <Dialog title="Take over as planned volumes" onClose={onClose} wide>
      <p className="mt-2">
        The quantities tried by hand become planned units of an average month in Run. A product without a channel is
        shared out over its channels as it is planned now.
      </p>
      {volumes.length === 0 ? (
        <p className="mt-2">No product of this plan is in the book.</p>
      ) : (
        <table className="table mt-2" aria-label="Planned volumes">
          <thead>
            <tr>
              <th scope="col">Product</th>
              <th scope="col">Channel</th>
              <th scope="col" className="text-right">
                Share of the product, %
              </th>
              <th scope="col" className="text-right">
                Units a month now
              </th>
              <th scope="col" className="text-right">
                Units a month then
              </th>
            </tr>
          </thead>
          <tbody>
            {volumes.map(({ productId, channelId, share, now, unitsPerMonth }) => (
              <tr key={`${productId}.${channelId}`}>
                <th scope="row" className="font-normal">
                  {nameOf('product', productId)}
                </th>
                <td>{nameOf('channel', channelId)}</td>
                <td className="figure text-right">{amountText(Number(share), style)}</td>
                <td className="figure text-right">{now === null ? 'none' : amountText(Number(now), style)}</td>
                <td className="figure text-right">{amountText(Number(unitsPerMonth), style)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {typedOnly.length > 0 && (
        <p className="mt-2 text-soft">
          Left out, since not in the book: {typedOnly.map(({ name }) => name).join(', ')}.
        </p>
      )}
      {problem !== null && <p className="mt-2 text-error">{problem}</p>}
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" disabled={volumes.length === 0} onClick={take}>
          Take over
        </button>
      </div>
    </Dialog>
  );
}
