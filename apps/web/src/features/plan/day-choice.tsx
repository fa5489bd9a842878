import { SegmentedControl } from '@mantine/core';
import { useFormat } from '../../format/use-format.js';
import { type DayStrip } from './plan-view.js';

interface DayChoiceProps {
  readonly strips: readonly DayStrip[];
  /** A day's key; empty: all of them. */
  readonly value: string;
  readonly isNarrow: boolean;
  readonly onChange: (key: string) => void;
}

export function DayChoice({ strips, value, isNarrow, onChange }: DayChoiceProps) {
  const format = useFormat();
  const dayChoice = [
    { value: '', label: 'Ten days' },
    ...strips.slice(0, 7).map((strip) => ({ value: strip.key, label: format.dayShort(strip.fromMs) })),
  ];
  return (
    <SegmentedControl
      className="no-print"
      aria-label="Days"
      value={value}
      onChange={onChange}
      data={dayChoice}
      fullWidth={!isNarrow}
      orientation={isNarrow ? 'vertical' : 'horizontal'}
      display={isNarrow ? 'none' : undefined}
    />
  );
}
