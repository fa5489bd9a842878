import { Group, Select } from '@mantine/core';
import { PRODUCT_ROLES, type ProductRole, shopStands, type VehicleRecord } from '@keen/core';
import { useState } from 'react';
import { useSettings } from '../../api/queries.js';
import { NumberField } from '../../parts/number-field.js';
import { COMPATIBILITY_REASONS, ZONE_NAMES } from '../../words/car-names.js';
import { ROLE_NAMES } from '../../words/kit-names.js';
import { optionsOf } from '../../words/names.js';
import { compatibilityByZone } from './condition-view.js';
import classes from './condition.module.css';

const ANSWERS = {
  fine: 'Fine',
  warn: 'With care',
  're-protect': 'Protect again after',
  block: 'Keep it off',
} as const;
const ORDER = ['block', 're-protect', 'warn', 'fine'] as const;

/** May this product touch what lies on this car, zone by zone? */
export function CompatibilityCheck({ vehicle }: { readonly vehicle: VehicleRecord }) {
  const { data: settings } = useSettings();
  const [role, setRole] = useState<ProductRole>('alkaline-pre-wash');
  const [ph, setPh] = useState<number | null>(null);
  const typical = PRODUCT_ROLES[role].typicalPh;
  const inUsePh = ph ?? typical;
  const isPh = inUsePh >= 0 && inUsePh <= 14;
  const zones = isPh
    ? compatibilityByZone(vehicle, { role, inUsePh }, settings && shopStands(settings.limits))
    : [];
  return (
    <section className={classes.box}>
      <h2>What may touch it</h2>
      <Group align="start">
        <Select
          label="Product"
          data={optionsOf(ROLE_NAMES)}
          value={role}
          onChange={(value) => {
            if (!value) return;
            setRole(value);
            setPh(null);
          }}
          allowDeselect={false}
          searchable
          w={240}
        />
        <NumberField
          label="pH in use"
          hint={`From the label; empty: ${typical}, typical of its kind (judgement)`}
          value={ph}
          onChange={setPh}
          min={0}
          max={14}
          error={isPh ? undefined : 'From 0 to 14.'}
        />
      </Group>
      <dl className={classes.verdicts} aria-live="polite">
        {ORDER.map((kind) => {
          const there = zones.filter(({ answer }) => answer.kind === kind);
          if (there.length === 0) return null;
          const reasons = new Set(
            there.flatMap(({ answer }) =>
              answer.kind === 'fine'
                ? []
                : [
                    `${COMPATIBILITY_REASONS[answer.reason]}${answer.limitPh === null ? '' : ` (stands pH ${answer.limitPh})`}`,
                  ],
            ),
          );
          return (
            <div key={kind} data-kind={kind}>
              <dt>{ANSWERS[kind]}</dt>
              <dd>
                {there.map(({ zone }) => ZONE_NAMES[zone].toLowerCase()).join(', ')}
                {reasons.size > 0 && <>: {[...reasons].join('; ')}</>}
              </dd>
            </div>
          );
        })}
      </dl>
      <p className="muted">
        Limits are judgement for short contact; the product's data sheet goes first. Ten times more water
        moves a strong alkali by about one pH only.
      </p>
    </section>
  );
}
