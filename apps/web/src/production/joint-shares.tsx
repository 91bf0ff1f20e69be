import { JOINT_METHODS, type JointMethod, type StoredRow } from '@nuvar/book';
import type { FigureView, JointView, JointUse } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';

type Output = StoredRow<'jointOutput'>;

export const JOINT_WORDS: Readonly<Record<JointMethod, string>> = {
  quantity: 'quantity',
  'sales value at split-off': 'sales value at split-off',
  'net realisable value': 'net realisable value',
  'constant margin': 'constant margin',
};

interface SharesProps {
  readonly view: JointView;
  readonly outputs: readonly Output[];
}

/** The joint cost by each of the four methods, with the margin that each leaves. */
export function Shares({ view, outputs }: SharesProps) {
  const { currency } = useSettings();
  const main = outputs.filter(({ isByProduct }) => !isByProduct);
  return (
    <section aria-label="Joint cost by method">
      <DetailHeading>{`Joint cost by method, ${currency}, and margin in %`}</DetailHeading>
      <div className="overflow-x-auto">
        <table className="table mt-1 w-auto">
          <thead>
            <tr>
              <th scope="col">Output</th>
              {JOINT_METHODS.map((method) => (
                <th key={method} scope="col" colSpan={2} className="text-right">
                  {JOINT_WORDS[method]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {main.map(({ id, name }) => (
              <tr key={id}>
                <th scope="row" className="font-normal">
                  {name}
                </th>
                {JOINT_METHODS.map((method) => (
                  <ShareCells key={method} figures={view.outputs[id]?.methods[method]} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function ShareCells({
  figures,
}: {
  readonly figures: JointView['outputs'][string]['methods'][JointMethod] | undefined;
}) {
  return (
    <>
      <td className="text-right">
        <Amount figure={figures?.share} digits={2} />
      </td>
      <td className="text-right text-soft">
        <Amount figure={figures?.margin} digits={1} />
      </td>
    </>
  );
}

/** The best use of each output, sold at split-off or taken further, and the batch by these uses. The joint cost is spent. */
export function BestUses({ view, outputs }: SharesProps) {
  const { currency } = useSettings();
  if (outputs.length === 0) return null;
  return (
    <section aria-label="Best use of each output">
      <DetailHeading>{`Best use of each output, ${currency} a batch`}</DetailHeading>
      <table className="table mt-1 w-auto">
        <thead>
          <tr>
            <th scope="col">Output</th>
            {['Sold for more', 'Further cost', 'Gain'].map((header) => (
              <th key={header} scope="col" className="text-right">
                {header}
              </th>
            ))}
            <th scope="col">Best use</th>
            <th scope="col" className="text-right">
              Brings
            </th>
          </tr>
        </thead>
        <tbody>
          {outputs.map(({ id, name }) => (
            <UseRow key={id} name={name} output={view.outputs[id]} />
          ))}
          <TotalRow label="Joint cost" figure={view.jointCost} />
          <TotalRow label="Profit by the best uses" figure={view.bestProfit} isLast />
        </tbody>
      </table>
    </section>
  );
}

const USE_WORDS: Readonly<Record<JointUse, string>> = {
  'sold at split-off': 'sell at split-off',
  'taken further': 'go further',
  left: 'leave it: neither brings anything',
};

function UseRow({
  name,
  output,
}: {
  readonly name: string;
  readonly output: JointView['outputs'][string] | undefined;
}) {
  if (output === undefined) return null;
  const { further, use, worth } = output;
  return (
    <tr>
      <th scope="row" className="font-normal">
        {name}
      </th>
      {(['more', 'cost', 'gain'] as const).map((member) => (
        <td key={member} className="text-right">
          {further && <Amount figure={further[member]} digits={2} />}
        </td>
      ))}
      <td>{use && USE_WORDS[use]}</td>
      <td className="text-right">
        <Amount figure={worth} digits={2} />
      </td>
    </tr>
  );
}

interface TotalRowProps {
  readonly label: string;
  readonly figure: FigureView;
  readonly isLast?: boolean;
}

function TotalRow({ label, figure, isLast = false }: TotalRowProps) {
  return (
    <tr className={isLast ? 'border-t border-base-content font-semibold' : ''}>
      <th scope="row" className={isLast ? '' : 'font-normal'} colSpan={5}>
        {label}
      </th>
      <td className="text-right">
        <Amount figure={figure} digits={2} />
      </td>
    </tr>
  );
}
