import { bottlesFor, type Mix, type Product, type WashRecord } from '@keen/core';
import { Select } from '@mantine/core';
import { useMayChange } from '../../api/access-queries.js';
import { useKit } from '../../api/kit-queries.js';
import { useSaveSettings, useSettings } from '../../api/queries.js';
import { useMoveWash } from '../../api/wash-queries.js';
import { sayWithUndo } from '../../parts/notices.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import classes from './prepare.module.css';

const AUTOMATIC = 'automatic';
/** How the value of a choice for one wash begins; all others are for every wash. */
const ONCE = 'once ';

const optionsOf = (bottles: readonly Product[], canBeOnce: boolean) => {
  const named = ({ name, leftMl }: Product): string => `${name}${leftMl > 0 ? '' : ' (empty)'}`;
  const once = {
    group: 'This wash only',
    items: bottles.map((one) => ({ value: `${ONCE}${one.id}`, label: `${named(one)}, this wash only` })),
  };
  return [
    ...(canBeOnce ? [once] : []),
    {
      group: 'Every wash',
      items: [
        { value: AUTOMATIC, label: 'Picked automatically' },
        ...bottles.map((one) => ({ value: one.id, label: `Always ${named(one)}` })),
      ],
    },
  ];
};

interface ProductChoiceProps {
  readonly step: Mix['step'];
  readonly wash: Pick<WashRecord, 'id' | 'predicted'>;
  /** What it takes is settled: only the washes after it can be changed. */
  readonly isBegun: boolean;
}

/** Which bottle a step takes: in this wash alone, or in verdicts, plans and sheets alike. */
export function ProductChoice({ step, wash, isBegun }: ProductChoiceProps) {
  const mayChange = useMayChange();
  const { data: kit } = useKit();
  const { data: settings } = useSettings();
  const save = useSaveSettings();
  const move = useMoveWash();
  const bottles = bottlesFor(step, kit?.products ?? []);
  if (!settings || !mayChange || bottles.length < 2) return null;
  const there = (id: string | null | undefined): string | null =>
    bottles.some((bottle) => bottle.id === id) ? (id ?? null) : null;
  const always = there(settings.house.products?.[step]);
  const once = isBegun ? null : there(wash.predicted?.products?.[step]);
  const name = RUN_STEP_NAMES[step];
  const nameOfBottle = (id: string | null): string | undefined =>
    bottles.find((bottle) => bottle.id === id)?.name;
  const chooseOnce = (id: string | null): void => {
    const taking = (bottle: string | null) => ({ id: wash.id, products: { [step]: bottle } });
    const text = id === null ? 'as in every wash' : `${nameOfBottle(id)}, this wash only`;
    void sayWithUndo(move.mutateAsync(taking(id)), `${name}: ${text}`, () => move.mutateAsync(taking(once)));
  };
  const chooseAlways = (id: string | null): void => {
    const taking = (bottle: string | null) => ({ house: { products: { [step]: bottle } } });
    const text = id === null ? 'picked automatically' : `always ${nameOfBottle(id)}`;
    if (once !== null) chooseOnce(null);
    if (id !== always)
      void sayWithUndo(save.mutateAsync(taking(id)), `${name}: ${text}`, () =>
        save.mutateAsync(taking(always)),
      );
  };
  const choose = (value: string | null): void => {
    if (value?.startsWith(ONCE)) chooseOnce(value.slice(ONCE.length));
    else chooseAlways(value === AUTOMATIC ? null : value);
  };
  return (
    <Select
      className={`${classes.choice} no-print`}
      size="xs"
      aria-label={`Product for “${name}”`}
      data={optionsOf(bottles, !isBegun)}
      value={once === null ? (always ?? AUTOMATIC) : `${ONCE}${once}`}
      onChange={choose}
      allowDeselect={false}
      disabled={save.isPending || move.isPending}
    />
  );
}
