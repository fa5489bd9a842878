import { Button } from '@mantine/core';
import { MINOR_PER_UNIT, type PlaceRecord, type QuoteAnswer } from '@keen/core';
import { useFormat } from '../../format/use-format.js';

interface QuoteTextProps {
  readonly quote: QuoteAnswer;
  readonly place: PlaceRecord;
  readonly onAgree: (amount: number) => void;
}

/** What the price list says of it, and what that leaves. */
export function QuoteText({ quote, place, onAgree }: QuoteTextProps) {
  const format = useFormat();
  const { totalMinor, minutes, costMinor, leftMinor } = quote;
  if (totalMinor === null)
    return (
      <p role="status" style={{ margin: 0 }}>
        Not all of it is on the price list, so there is no quote.
      </p>
    );
  return (
    <p role="status" style={{ margin: 0 }}>
      By the price list <strong className="figure">{format.money(totalMinor)}</strong>; at {place.name} it
      takes {format.minutes(minutes)} and {format.money(costMinor)} (time at its price), which leaves{' '}
      <strong className="figure">{format.money(leftMinor ?? 0)}</strong>.{' '}
      <Button size="compact-sm" variant="default" onClick={() => onAgree(totalMinor / MINOR_PER_UNIT)}>
        Agree on it
      </Button>
    </p>
  );
}
