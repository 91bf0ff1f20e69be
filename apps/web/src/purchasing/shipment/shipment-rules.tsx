import type { StoredRow } from '@nuvar/book';
import type { ShipmentRuleView } from '@nuvar/core';
import { model } from '../../book/model.js';
import { useEdit, useMayEdit } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { chargeOfRule } from './charges-by-rules.js';
import { CHARGE_LABELS } from './shipment-words.js';

/** The charge rules that fit a shipment: which of them gave a charge, which wait for it, and which another one outweighs. */
export function ShipmentRules({ shipment }: { readonly shipment: StoredRow<'shipment'> }) {
  const rules = useView('shipmentRules', shipment.id) ?? [];
  const edit = useEdit();
  const mayEdit = useMayEdit() && shipment.state !== 'settled';
  if (rules.length === 0) return null;
  const waiting = rules.filter(({ isThere, lines }) => !isThere && lines.length > 0);
  const add = (chosen: readonly ShipmentRuleView[]) => {
    const rows = chosen.flatMap(({ ruleId }) => model.rows.row('chargeRule', ruleId) ?? []);
    edit(
      rows.reduce<ReturnType<typeof chargeOfRule>[]>((so, rule) => [...so, chargeOfRule(shipment.id, rule, so)], []),
    );
  };
  return (
    <section aria-label="Charge rules that fit" className="mt-3">
      <DetailHeading>Charge rules that fit</DetailHeading>
      <ul>
        {rules.map((rule) => (
          <li key={rule.ruleId} className={rule.lines.length === 0 ? 'text-soft' : ''}>
            {CHARGE_LABELS[rule.type]} by{' '}
            <ScreenLink to="chargeRules" row={rule.ruleId}>
              {rule.name}
            </ScreenLink>
            {': '}
            {reasonOf(rule)}{' '}
            {mayEdit && waiting.includes(rule) && (
              <button type="button" className="link link-primary" onClick={() => add([rule])}>
                Add
              </button>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && waiting.length > 1 && (
        <button type="button" className="btn mt-1.5" onClick={() => add(waiting)}>
          Add all {waiting.length}
        </button>
      )}
    </section>
  );
}

/** Why a rule gives a charge, or why it gives none. */
function reasonOf({ lines, isOfAllLines, conditions, lostTo, isThere }: ShipmentRuleView): string {
  const because = conditions.length === 0 ? 'no conditions' : `fits by ${conditions.join(', ')}`;
  const rivals = lostTo.map((name) => `"${name}"`).join(', ');
  if (lines.length === 0) return `${because}, but ${rivals} is more specific or was made later.`;
  const where = isOfAllLines ? 'all lines' : lines.join(', ');
  const lost = lostTo.length === 0 ? '' : `; elsewhere ${rivals} is more specific or was made later`;
  return `${because}, for ${where}${lost}${isThere ? '.' : '; not added yet.'}`;
}
