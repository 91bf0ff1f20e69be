import { newId, type Operation } from '@nuvar/book';
import type { ReceiptView } from '@nuvar/core';
import { createOf } from '../../book/operations.js';
import { model } from '../../book/model.js';
import { useLedger } from '../../book/ledger-rows.js';
import { useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { dayText } from '../../figures/format.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { today } from '../../state/today.js';
import { materialName } from './line-grid.js';
import { ofLine, type PartsProps } from './received-parts.js';

/** Bills that came after the goods: each receipt is brought up to its landed cost of today by an entry of its own. */
export function LateCharges({ lines, received }: PartsProps) {
  const { currency, locale } = useSettings();
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const late = lines.flatMap((line) =>
    (ofLine(received, line)?.receipts ?? [])
      .filter(({ lateCharge }) => lateCharge !== null)
      .map((receipt) => ({ line, receipt })),
  );
  if (late.length === 0 || !mayEdit) return null;
  const post = () => {
    const operations = late.flatMap(({ line, receipt }): Operation[] => {
      const material = model.rows.row('material', line.materialId);
      if (material === undefined || receipt.lateCharge === null) return [];
      const date = dayOfCharge(receipt);
      return [
        createOf('stockMovement', newId(), {
          materialId: line.materialId,
          date,
          unit: material.baseUnit,
          lineId: line.id,
          type: 'late charge',
          cost: receipt.lateCharge,
          ofMovementId: receipt.movementId,
          remark: 'bills after receipt',
        }),
      ];
    });
    const [problem] = edit(operations);
    const done = 'Posted: what is left goes to stock, what was used since to cost of sales. The ledger shows both.';
    dispatch(noticed(problem === undefined ? { sentence: done } : { sentence: problem.sentence, tone: 'problem' }));
  };
  return (
    <section aria-label="Late charges" className="mt-4">
      <DetailHeading>Bills after receipt</DetailHeading>
      <div className="overflow-x-auto">
        <table className="table mt-1.5 w-auto">
          <thead>
            <tr>
              <th scope="col">Receipt</th>
              {[`Posted, ${currency}`, 'Not posted yet', 'Stays in stock', 'To cost of sales', 'Still there'].map(
                (label) => (
                  <th key={label} scope="col" className="text-right">
                    {label}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {late.map(({ line, receipt }) => (
              <LateCharge key={receipt.movementId} materialId={line.materialId} receipt={receipt} locale={locale} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2">
        <button type="button" className="btn" onClick={post}>
          Post as late charges
        </button>
      </p>
    </section>
  );
}

/** A late charge is posted today, and not before its receipt. */
const dayOfCharge = ({ date }: ReceiptView): string => (today() < date ? date : today());

interface LateChargeProps {
  readonly materialId: string;
  readonly receipt: ReceiptView;
  readonly locale: string;
}

/** One receipt that cost more, or less, than was posted: how the late charge would be split. */
function LateCharge({ materialId, receipt, locale }: LateChargeProps) {
  const day = dayOfCharge(receipt);
  const { begun } = useLedger('stockMovement', materialId, receipt.date, day);
  return (
    <tr>
      <th scope="row" className="font-normal">
        {materialName(materialId)}, received {dayText(receipt.date, locale)}
      </th>
      <td className="text-right">
        <Amount figure={receipt.posted} digits={2} />
      </td>
      <td className="text-right">
        <Amount figure={receipt.notPosted} digits={2} />
      </td>
      {begun !== null && <SplitCells id={`${receipt.movementId}@${day}@${begun}`} />}
    </tr>
  );
}

/** What would stay in stock, what would go to cost of sales, and how much of the receipt is still there. */
function SplitCells({ id }: { readonly id: string }) {
  const split = useView('lateCharge', id);
  return (
    <>
      {(['toStock', 'toCostOfSales'] as const).map((member) => (
        <td key={member} className="text-right">
          <Amount figure={split?.[member]} digits={2} />
        </td>
      ))}
      <td className="text-right">
        <Amount figure={split?.stillInStock} digits={2} withUnit />
      </td>
    </>
  );
}
