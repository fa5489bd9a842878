import { Button, Group, Select } from '@mantine/core';
import { NumberField } from '../../parts/number-field.js';
import { methodName } from '../../words/names.js';
import { NO_METHOD, type OwnPlan } from './own-cadence-view.js';

interface OwnCadenceProps {
  readonly offered: readonly string[];
  readonly own: OwnPlan;
  readonly onChange: (change: Partial<OwnPlan>) => void;
  readonly isShown: boolean;
  readonly onShow: () => void;
}

const ownError = (days: number | null): string | undefined =>
  days === null || days < 1 || days > 180 ? 'From 1 to 180 days.' : undefined;

interface DaysProps {
  readonly value: number | null;
  readonly onChange: (days: number | null) => void;
}

const Days = ({ value, onChange }: DaysProps) => (
  <NumberField
    label="every"
    unit="days"
    value={value}
    onChange={onChange}
    min={1}
    max={180}
    decimals={0}
    error={ownError(value)}
  />
);

/** A cadence of one's own: one method, and another besides. */
export function OwnCadence({ offered, own, onChange, isShown, onShow }: OwnCadenceProps) {
  const methods = offered.map((methodId) => ({ value: methodId, label: methodName(methodId) }));
  return (
    <Group align="end" mt="sm" className="no-print">
      <Select
        label="Your own: wash"
        data={methods}
        value={own.first}
        onChange={(first) => first && onChange({ first })}
        allowDeselect={false}
        w={230}
      />
      <Days value={own.firstDays} onChange={(firstDays) => onChange({ firstDays })} />
      <Select
        label="and"
        data={[{ value: NO_METHOD, label: 'nothing else' }, ...methods]}
        value={own.second}
        onChange={(second) => second && onChange({ second })}
        allowDeselect={false}
        w={230}
      />
      {own.second !== NO_METHOD && (
        <Days value={own.secondDays} onChange={(secondDays) => onChange({ secondDays })} />
      )}
      <Button variant="default" onClick={onShow} disabled={isShown}>
        {isShown ? 'Shown above' : 'Weigh it too'}
      </Button>
    </Group>
  );
}
