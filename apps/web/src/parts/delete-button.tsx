import { Button } from '@mantine/core';

interface DeleteButtonProps {
  /** What is taken away, for those who do not see the row. */
  readonly what: string;
  readonly onClick: () => void;
}

/** The small button at the end of a row that takes it away; the caller offers to undo it. */
export function DeleteButton({ what, onClick }: DeleteButtonProps) {
  return (
    <Button size="compact-sm" variant="subtle" onClick={onClick} aria-label={`Delete ${what}`}>
      Delete
    </Button>
  );
}
