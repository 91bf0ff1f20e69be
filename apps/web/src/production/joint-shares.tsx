import { JOINT_METHODS, type JointMethod, type StoredRow } from '@nuvar/book';
import type { JointView } from '@nuvar/core';
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

/** Sell at split-off, or go further: only what changes counts, and not the joint cost. */
export function Further({ view, outputs }: SharesProps) {
  const { currency } = useSettings();
  const asked = outputs.flatMap((output) => {
    const further = view.outputs[output.id]?.further;
    return further ? [{ ...output, further }] : [];
  });
  if (asked.length === 0) return null;
  return (
    <section aria-label="Sell at split-off or go further">
      <DetailHeading>{`Sell at split-off, or go further? ${currency} a batch`}</DetailHeading>
      <table className="table mt-1 w-auto">
        <thead>
          <tr>
            <th scope="col">Output</th>
            {['Sold for more', 'Further cost', 'Gain'].map((header) => (
              <th key={header} scope="col" className="text-right">
                {header}
              </th>
            ))}
            <th scope="col">Decision</th>
          </tr>
        </thead>
        <tbody>
          {asked.map(({ id, name, further }) => (
            <tr key={id}>
              <th scope="row" className="font-normal">
                {name}
              </th>
              <td className="text-right">
                <Amount figure={further.more} digits={2} />
              </td>
              <td className="text-right">
                <Amount figure={further.cost} digits={2} />
              </td>
              <td className="text-right">
                <Amount figure={further.gain} digits={2} />
              </td>
              <td>{decisionOf(further.gain.amount)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function decisionOf(gain: string | null): string {
  if (gain === null) return '';
  if (Number(gain) === 0) return 'the same either way';
  return gain.startsWith('-') ? 'sell at split-off' : 'go further';
}
