import { bottlesFor, type Mix } from '@keen/core';
import { Select } from '@mantine/core';
import { useKit } from '../../api/kit-queries.js';
import { useSaveSettings, useSettings } from '../../api/queries.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import classes from './run.module.css';

const AUTOMATIC = 'automatic';

/** Which bottle the shop takes for a step: in verdicts, plans and sheets alike. */
export function ProductChoice({ step }: { readonly step: Mix['step'] }) {
  const { data: kit } = useKit();
  const { data: settings } = useSettings();
  const save = useSaveSettings();
  const bottles = bottlesFor(step, kit?.products ?? []);
  if (!settings || bottles.length < 2) return null;
  const before = settings.house.products?.[step] ?? null;
  const chosen = bottles.some(({ id }) => id === before) ? before : null;
  const name = RUN_STEP_NAMES[step];
  const choose = (productId: string | null): void =>
    save.mutate(
      { house: { products: { [step]: productId } } },
      {
        onSuccess: () => {
          const bottle = bottles.find(({ id }) => id === productId);
          noticeWithUndo(bottle ? `${name}: always ${bottle.name}` : `${name}: picked automatically`, () =>
            save.mutate({ house: { products: { [step]: before } } }),
          );
        },
        onError: noticeOfFailure,
      },
    );
  return (
    <Select
      className={`${classes.choice} no-print`}
      size="xs"
      aria-label={`Product for “${name}”, in every wash`}
      data={[
        { value: AUTOMATIC, label: 'Picked automatically' },
        ...bottles.map((bottle) => ({
          value: bottle.id,
          label: `Always ${bottle.name}${bottle.leftMl > 0 ? '' : ' (empty)'}`,
        })),
      ]}
      value={chosen ?? AUTOMATIC}
      onChange={(value) => choose(value === AUTOMATIC ? null : value)}
      allowDeselect={false}
      disabled={save.isPending}
    />
  );
}
