import { Button } from '@mantine/core';

interface TakeAwayProps {
  /** What is taken away, for those who do not see the row. */
  readonly what: string;
  readonly onClick: () => void;
}

/** The small button at the end of a row that takes it away; the caller offers to undo it. */
export function TakeAway({ what, onClick }: TakeAwayProps) {
  return (
    <Button size="compact-sm" variant="subtle" onClick={onClick} aria-label={`Take away ${what}`}>
      Take away
    </Button>
  );
}
