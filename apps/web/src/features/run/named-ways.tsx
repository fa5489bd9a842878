import { Button, Group, Select, TextInput } from '@mantine/core';
import type { NamedWay, Settings, Variant } from '@keen/core';
import { useState } from 'react';
import { useSaveSettings } from '../../api/queries.js';
import { sayWithUndo } from '../../parts/notices.js';
import { AS_IT_SHIPS } from './own-way.js';

const SHIPPED = '';

interface NamedWaysProps {
  readonly methodId: string;
  readonly named: Settings['namedWays'];
  /** The steps as they stand; null: they have faults. */
  readonly variant: Variant | null;
  readonly onBegin: (variant: Variant) => void;
}

/** Orders of steps by a name: to begin from, to keep, and to forget. */
export function NamedWays({ methodId, named, variant, onBegin }: NamedWaysProps) {
  const save = useSaveSettings();
  const [name, setName] = useState('');
  const [begun, setBegun] = useState<string | null>(null);
  const mine = named.filter((way) => way.methodId === methodId);
  const keep = (ways: readonly NamedWay[], said: string): void =>
    void sayWithUndo(save.mutateAsync({ namedWays: ways, was: { namedWays: named } }), said, () =>
      save.mutateAsync({ namedWays: named }),
    ).then((isKept) => isKept && setName(''));
  const begin = (chosen: string | null): void => {
    if (chosen === null) return;
    setBegun(chosen);
    onBegin(mine.find((way) => way.name === chosen)?.variant ?? AS_IT_SHIPS);
  };
  const others = (of: string): NamedWay[] =>
    named.filter((way) => way.methodId !== methodId || way.name !== of);
  const trimmed = name.trim();
  return (
    <Group align="end">
      <Select
        label="Begin from"
        placeholder="As it stands"
        data={[
          { value: SHIPPED, label: 'As it ships' },
          ...mine.map((way) => ({ value: way.name, label: way.name })),
        ]}
        value={begun}
        onChange={begin}
      />
      {begun !== null && begun !== SHIPPED && (
        <Button
          variant="default"
          loading={save.isPending}
          onClick={() => {
            keep(others(begun), `“${begun}” is forgotten.`);
            setBegun(null);
          }}
        >
          Forget it
        </Button>
      )}
      <TextInput
        label="A name for these steps"
        placeholder="Short winter wash"
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.currentTarget.value)}
      />
      <Button
        variant="default"
        loading={save.isPending}
        disabled={!variant || trimmed === ''}
        onClick={() =>
          variant && keep([...others(trimmed), { name: trimmed, methodId, variant }], `Kept as “${trimmed}”.`)
        }
      >
        Keep by that name
      </Button>
    </Group>
  );
}
