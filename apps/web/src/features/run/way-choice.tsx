import { type WashRecord, type WayId, type WayOption } from '@keen/core';
import { Select } from '@mantine/core';
import { useMoveWash } from '../../api/wash-queries.js';
import { useWays } from '../../api/verdict-queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { findingText } from '../../words/finding-words.js';
import { wayName } from '../../words/way-words.js';
import classes from './run.module.css';

const goes = ({ standing }: WayOption): boolean => standing === 'go' || standing === 'go-if';

/** "two panels at a time, from the hand on · 72 min", and why not where it does not go. */
export const wayOptionText = (option: WayOption, format: Format): string => {
  const taking = `${wayName(option.wayId)} · ${format.minutes(option.minutes)}`;
  return goes(option) ? taking : `${taking} · no: ${findingText(option.limiting, format)}`;
};

/** How many other ways go; null: they are being looked for. */
function othersText(count: number | null): string {
  if (count === null) return 'Looking for other ways at that hour …';
  if (count === 0) return 'No other way goes at that hour.';
  const ways = count === 1 ? 'One other way goes' : `${count} other ways go`;
  return `${ways} at that hour; minutes, products and sheet follow.`;
}

/** The other ways in which a planned wash goes; the one that is chosen is the one that is prepared and run. */
export function WayChoice({ wash, wayId }: { readonly wash: WashRecord; readonly wayId: WayId }) {
  const format = useFormat();
  const { vehicleId, placeId, methodId, startMs, extras, predicted } = wash;
  const asked = { vehicleId, placeId, methodId, startMs, extras };
  const { data: options } = useWays({ ...asked, products: predicted?.products, variant: predicted?.variant });
  const move = useMoveWash();
  const others = options?.filter((option) => option.wayId !== wayId && goes(option)) ?? [];
  const choose = (chosen: string | null): void =>
    void sayWithUndo(
      move.mutateAsync({ id: wash.id, wayId: chosen as WayId }),
      `Done another way: ${wayName(chosen as WayId)}`,
      () => move.mutateAsync({ id: wash.id, wayId }),
    );
  return (
    <Select
      className={`${classes.wayChoice} no-print`}
      label="How it is done"
      description={othersText(options ? others.length : null)}
      data={(options ?? [{ wayId }]).map((option) => ({
        value: option.wayId,
        label: 'standing' in option ? wayOptionText(option, format) : wayName(option.wayId),
        disabled: 'standing' in option && !goes(option) && option.wayId !== wayId,
      }))}
      value={wayId}
      onChange={choose}
      allowDeselect={false}
      disabled={move.isPending || others.length === 0}
      maxDropdownHeight={340}
    />
  );
}
