import { describe, expect, it } from '@jest/globals';
import type { ImportMode, ImportReport } from '@keen/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../testing/show.js';
import { ImportReportView } from './import-report.js';

const numbers = (count: number): number[] => Array.from({ length: count }, (_, i) => i + 1);
const faults = (count: number) =>
  numbers(count).map((line) => ({ line, field: 'airTempC', message: `is odd on ${line}` }));

function opened(report: Partial<ImportReport<number>>) {
  const kept: ImportMode[] = [];
  let closedCount = 0;
  const whole = { good: [], faults: [], kept: false, ...report } as ImportReport<number>;
  show(
    <ImportReportView
      report={whole}
      describe={(row) => `row ${row}`}
      isBusy={false}
      onKeep={(mode) => kept.push(mode)}
      onClose={() => (closedCount += 1)}
    />,
  );
  return { kept, closed: () => closedCount };
}

describe('what was read of a file', () => {
  it('keeps all where all is good, and shows the first lines of many', async () => {
    const { kept } = opened({ good: numbers(9) });
    expect(screen.getByText('9 good, 0 not.')).toBeTruthy();
    expect(screen.getByText('row 6')).toBeTruthy();
    expect(screen.queryByText('row 7')).toBeNull();
    expect(screen.getByText('and 3 more')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Keep all' }));
    expect(kept).toEqual(['all-or-nothing']);
  });

  it('keeps the good lines where some are not, each of which is named with its field', async () => {
    const { kept } = opened({ good: numbers(2), faults: faults(13) });
    expect(screen.getByText('Line 12, airTempC: is odd on 12')).toBeTruthy();
    expect(screen.queryByText(/is odd on 13/)).toBeNull();
    expect(screen.getByText('and 1 more')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Keep the 2 good ones' }));
    expect(kept).toEqual(['good-lines']);
  });

  it('has nothing to keep where no line is good, and is closed', async () => {
    const { closed } = opened({ faults: faults(1) });
    expect(screen.queryByRole('button', { name: /^Keep (all|the)/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Keep nothing' }));
    expect(closed()).toBe(1);
  });

  it('says what was kept, with what was noted', () => {
    opened({ good: numbers(2), faults: faults(1), kept: true, notes: ['The clock is taken as UTC.'] });
    expect(screen.getByText('Kept 2, left out 1.')).toBeTruthy();
    expect(screen.getByText('The clock is taken as UTC.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Done' })).toBeTruthy();
  });
});
