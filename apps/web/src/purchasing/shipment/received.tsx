import { newId, type Operation, type StoredRow } from '@nuvar/book';
import type { ReceiptToPostView } from '@nuvar/core';
import { useState } from 'react';
import { createOf, updateOf } from '../../book/operations.js';
import { model } from '../../book/model.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../../book/use-book.js';
import { DayInput } from '../../controls/fields/day-input.js';
import { readDayText } from '../../controls/fields/read-day-text.js';
import { isRefusal, readAnyQuantity } from '../../controls/fields/read-field.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { engine } from '../../engine/engine.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { Empty } from '../../figures/empty.js';
import { dayText, typedText, unitWords } from '../../figures/format.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { today } from '../../state/today.js';
import { type PartsProps, ofLine } from './received-parts.js';
import { LateCharges } from './late-charges.js';
import { materialName } from './line-grid.js';
import { postingOperations } from './posting-operations.js';

type Shipment = StoredRow<'shipment'>;
type Line = StoredRow<'shipmentLine'>;

/** What is entered of a line that arrived, in the unit of the line. */
interface Arrived {
  readonly good: string;
  readonly lost: string;
  readonly abnormal: string;
}

const NOTHING: Arrived = { good: '0', lost: '0', abnormal: '0' };

/** What has arrived of a shipment: posted into stock at its landed cost, in as many parts as it takes; late charges after. */
export function Received({ shipment }: { readonly shipment: Shipment }) {
  const lines = useRowsOf('shipmentLine', 'shipmentId', shipment.id);
  const received = useView('received', shipment.id) ?? [];
  if (lines.length === 0) return <Empty>No lines yet. Enter what is bought under Goods and charges.</Empty>;
  if (shipment.state === 'estimate')
    return (
      <Empty>
        Still an estimate. Mark the shipment as ordered under Goods and charges; then its goods can be received here.
      </Empty>
    );
  return (
    <>
      <ReceiptForm shipment={shipment} lines={lines} received={received} />
      <ReceivedTable lines={lines} received={received} />
      <LateCharges lines={lines} received={received} />
    </>
  );
}

function ReceiptForm({ shipment, lines, received }: PartsProps & { readonly shipment: Shipment }) {
  const [date, setDate] = useState(today() < shipment.date ? shipment.date : today());
  const [entered, setEntered] = useState<Readonly<Record<string, Arrived>>>({});
  const { locale } = useSettings();
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const open = lines.filter((line) => ofLine(received, line)?.left != null);
  if (!mayEdit || open.length === 0) return null;
  const arrivedOf = (line: Line): Arrived =>
    entered[line.id] ?? { ...NOTHING, good: ofLine(received, line)?.left ?? '0' };
  const enter = (line: Line, part: keyof Arrived, value: string) =>
    setEntered({ ...entered, [line.id]: { ...arrivedOf(line), [part]: value } });
  const say = (sentence: string, isProblem = false) =>
    dispatch(noticed(isProblem ? { sentence, tone: 'problem' } : { sentence }));
  const post = async () => {
    const arrived = open.flatMap((line) => {
      const { good, lost, abnormal } = arrivedOf(line);
      return [good, lost, abnormal].every((amount) => amount === '0') ? [] : [{ line, good, lost, abnormal }];
    });
    const [postingView] = shipment.postedOn === null ? await engine.ask('shipmentPosting', [shipment.id]) : [];
    const views = await engine.ask(
      'receiptToPost',
      arrived.map(({ line, good, lost, abnormal }) => [line.id, good, lost, abnormal].join('@')),
    );
    if (arrived.length === 0) return say('Nothing is entered as received.', true);
    const missing = postingView?.missing ?? [];
    if (missing.length > 0 || views.some(({ stored }) => stored === null))
      return say(
        `The landed cost has to be complete before goods are received at it${missing.length === 0 ? '' : `: ${missing.join('; ')}`}.`,
        true,
      );
    const operations = arrived.flatMap(({ line, good, lost, abnormal }, index) =>
      receiptOf(line, date, { good, lost, abnormal }, views[index] as ReceiptToPostView),
    );
    // What is not entered now is still to come.
    const isAll = arrived.length === open.length && views.every(({ stored }) => stored?.isLast);
    const becomes = isAll && shipment.state === 'ordered' ? ('received' as const) : undefined;
    const posted =
      postingView === undefined
        ? becomes === undefined
          ? []
          : updateOf('shipment', shipment, { state: becomes })
        : postingOperations(postingView, becomes);
    const [problem] = edit([...posted, ...operations]);
    // What is refused stays as it was typed.
    if (problem === undefined) setEntered({});
    say(problem?.sentence ?? 'Posted into stock at the landed cost of today.', problem !== undefined);
  };
  return (
    <section aria-label="Receive goods" className="mt-3">
      <DetailHeading>What has arrived</DetailHeading>
      <span className="mt-1.5 flex max-w-48 items-center gap-2">
        <span>on</span>
        <DayInput
          label="Received on"
          day={date}
          value={dayText(date, locale)}
          commit={(text) => {
            const read = readDayText(text, locale);
            if (isRefusal(read)) return read.refusal;
            setDate(read.value);
            return null;
          }}
        />
      </span>
      <div className="overflow-x-auto">
        <table className="table mt-1.5">
          <thead>
            <tr>
              <th scope="col">Material</th>
              {['Good', 'Lost on the way', 'Abnormal loss'].map((label) => (
                <th key={label} scope="col" className="w-32 text-right">
                  {label}
                </th>
              ))}
              <th scope="col">Unit</th>
              <th scope="col" className="text-right">
                Cost per unit
              </th>
              <th scope="col" className="text-right">
                To expense
              </th>
            </tr>
          </thead>
          <tbody>
            {open.map((line) => (
              <ArrivedRow
                key={line.id}
                line={line}
                arrived={arrivedOf(line)}
                enter={(part, value) => enter(line, part, value)}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn btn-primary"
          onClick={() =>
            void post().catch((error: unknown) => say(error instanceof Error ? error.message : String(error), true))
          }
        >
          Post into stock
        </button>
        <span className="text-soft">
          What is usually lost on the way is carried by the good units; what is lost beyond that goes to expense.
        </span>
      </p>
    </section>
  );
}

interface ArrivedRowProps {
  readonly line: Line;
  readonly arrived: Arrived;
  readonly enter: (part: keyof Arrived, value: string) => void;
}

function ArrivedRow({ line, arrived, enter }: ArrivedRowProps) {
  const { locale } = useSettings();
  const view = useView('receiptToPost', [line.id, arrived.good, arrived.lost, arrived.abnormal].join('@'));
  const name = materialName(line.materialId);
  const parts = [
    ['good', 'Good'],
    ['lost', 'Lost on the way'],
    ['abnormal', 'Abnormal loss'],
  ] as const;
  return (
    <tr>
      <th scope="row" className="font-normal">
        {name}
      </th>
      {parts.map(([part, label]) => (
        <td key={part}>
          <TypedInput
            label={`${label}, ${name}`}
            value={typedText(arrived[part], locale)}
            numeric
            commit={(text) => {
              const read = readAnyQuantity(text.trim() === '' ? '0' : text, locale);
              if (isRefusal(read)) return read.refusal;
              if (read.value.startsWith('-')) return 'A quantity that arrived is not below zero.';
              enter(part, read.value);
              return null;
            }}
          />
        </td>
      ))}
      <td>{unitWords(line.unit)}</td>
      <td className="text-right">
        <Amount figure={view?.perBaseUnit ?? undefined} digits={4} />
      </td>
      <td className="text-right">
        <Amount figure={view?.lostCost ?? undefined} digits={2} />
      </td>
    </tr>
  );
}

/** The movements that post what arrived of a line: the receipt, and a write-off of what was lost beyond what is usual. */
function receiptOf(line: Line, date: string, arrived: Arrived, { stored }: ReceiptToPostView): Operation[] {
  const material = model.rows.row('material', line.materialId);
  if (stored === null || material === undefined) return [];
  const of = { materialId: line.materialId, date, unit: material.baseUnit, lineId: line.id };
  const id = newId();
  const receipt = createOf('stockMovement', id, {
    ...of,
    type: 'receipt',
    quantity: stored.quantity,
    cost: stored.cost,
    ofLine: stored.ofLine,
    remark: arrived.lost === '0' ? '' : `lost on the way: ${arrived.lost} ${line.unit}`,
  });
  if (stored.lostQuantity === null) return [receipt];
  const lost = { ...of, type: 'write-off', quantity: stored.lostQuantity, ofMovementId: id, remark: 'lost on the way' };
  return [receipt, createOf('stockMovement', newId(), lost)];
}

/** What has been received of each line so far, and what of its cost is posted. */
function ReceivedTable({ lines, received }: PartsProps) {
  const { currency } = useSettings();
  const columns = [
    ['ordered', 'Ordered', 2],
    ['settled', 'Received', 2],
    ['toCome', 'To come', 2],
    ['posted', `Posted, ${currency}`, 2],
    ['due', `Landed today, ${currency}`, 2],
    ['notPosted', `Not posted, ${currency}`, 2],
  ] as const;
  return (
    <section aria-label="Received so far" className="mt-4">
      <DetailHeading>Received so far</DetailHeading>
      <div className="overflow-x-auto">
        <table className="table mt-1.5">
          <thead>
            <tr>
              <th scope="col">Material</th>
              {columns.map(([member, label]) => (
                <th key={member} scope="col" className="text-right">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => {
              const view = ofLine(received, line);
              return (
                <tr key={line.id}>
                  <th scope="row" className="font-normal">
                    <ScreenLink to="stock" row={line.materialId}>
                      {materialName(line.materialId)}
                    </ScreenLink>
                  </th>
                  {columns.map(([member, , digits]) => (
                    <td key={member} className="text-right">
                      <Amount figure={view?.[member]} digits={digits} />
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
