import { nameKey, newId, type Operation } from '@nuvar/book';
import { type MixTable, readMixTable } from '@nuvar/core';
import { useState } from 'react';
import { model } from '../../book/model.js';
import { createOf } from '../../book/operations.js';
import { useEdit, useSettings } from '../../book/use-book.js';
import { Dialog } from '../../controls/dialogs/dialog.js';
import { FileChoice } from '../../controls/fields/file-choice.js';
import { counted, decimalSign } from '../../figures/format.js';
import { tableOfFile } from '../../purchasing/import/table-of-file.js';

/** Takes a mix in from a table of products x resources, after a look at what was understood. */
export function MixImport({ planId }: { readonly planId: string }) {
  const { locale } = useSettings();
  const [read, setRead] = useState<MixTable | null>(null);
  const take = async (file: File) => {
    const table = readMixTable(await tableOfFile(file), decimalSign(locale));
    if (table.products.length === 0)
      throw new RangeError(
        'No product was found. The first row names the columns, and the first column the products; every other column is a resource.',
      );
    setRead(table);
  };
  return (
    <>
      <FileChoice label="Import a table" className="link link-primary" take={take} />
      {read !== null && <Preview planId={planId} table={read} onClose={() => setRead(null)} />}
    </>
  );
}

interface PreviewProps {
  readonly planId: string;
  readonly table: MixTable;
  readonly onClose: () => void;
}

const MOST_SHOWN = 8;

function Preview({ planId, table, onClose }: PreviewProps) {
  const edit = useEdit();
  const { locale } = useSettings();
  const [problem, setProblem] = useState<string | null>(null);
  const { products, resources, refused } = table;
  const known = products.filter(({ name }) => productNamed(name) !== undefined).length;
  const add = () => {
    const found = edit(operationsOf(planId, table))[0];
    if (found === undefined) onClose();
    else setProblem(found.sentence);
  };
  return (
    <Dialog title="Import a mix" onClose={onClose} wide>
      <p className="mt-2">
        {counted(products.length, 'product', locale)} and {counted(resources.length, 'resource', locale)} are added to
        this plan. {counted(known, 'product', locale)} of them {known === 1 ? 'is' : 'are'} in the book by name; the
        others stand in the plan alone.
      </p>
      {refused.length > 0 && (
        <ul className="mt-2 text-error">
          {refused.slice(0, MOST_SHOWN).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
          {refused.length > MOST_SHOWN && <li>And more of the same: these cells are left empty.</li>}
        </ul>
      )}
      <div className="mt-2 max-h-80 overflow-auto">
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Product</th>
              <th scope="col" className="text-right">
                Contribution
              </th>
              {resources.map(({ name }) => (
                <th key={name} scope="col" className="text-right">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {products.slice(0, MOST_SHOWN).map(({ name, fields, uses }, index) => (
              <tr key={`${name}.${index}`}>
                <th scope="row" className="font-normal">
                  {name}
                </th>
                <td className="text-right">{fields.contribution ?? ''}</td>
                {uses.map((use, at) => (
                  <td key={resources[at]?.name} className="text-right">
                    {use ?? ''}
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <th scope="row" className="font-normal">
                Available
              </th>
              <td />
              {resources.map(({ name, available }) => (
                <td key={name} className="text-right">
                  {available ?? 'not stated'}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      {problem !== null && <p className="mt-2 text-error">{problem}</p>}
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" onClick={add}>
          Import
        </button>
      </div>
    </Dialog>
  );
}

const productNamed = (name: string) =>
  model.rows.all('product').find((product) => !product.archived && nameKey(product.name) === nameKey(name));

/** All rows of the table as one change: products, resources and uses, behind those that are there already. */
function operationsOf(planId: string, { products, resources }: MixTable): Operation[] {
  const firstProduct = model.rows.rowsWith('mixProduct', 'planId', planId).length;
  const firstResource = model.rows.rowsWith('mixResource', 'planId', planId).length;
  const resourceIds = resources.map(() => newId());
  return [
    ...resources.map(({ name, available }, index) =>
      createOf('mixResource', resourceIds[index] ?? '', { planId, name, available, position: firstResource + index }),
    ),
    ...products.flatMap(({ name, fields, uses }, index) => {
      const id = newId();
      const productId = productNamed(name)?.id ?? null;
      return [
        createOf('mixProduct', id, {
          planId,
          productId,
          name: productId === null ? name : '',
          position: firstProduct + index,
          ...fields,
        }),
        ...uses.flatMap((perUnit, at) =>
          perUnit === null
            ? []
            : [createOf('mixUse', newId(), { mixProductId: id, resourceId: resourceIds[at] ?? '', perUnit })],
        ),
      ];
    }),
  ];
}
