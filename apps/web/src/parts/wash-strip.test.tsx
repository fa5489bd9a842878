import { describe, expect, it } from '@jest/globals';
import type { WashPanel } from '@keen/core';
import { screen } from '@testing-library/react';
import { show } from '../testing/show.js';
import { WashStrip } from './wash-strip.js';

const roof = {
  panel: 'roof',
  input: { events: [{ atMinute: 4, kind: 'wet' }] },
  steps: [0],
  waits: [],
  spans: [{ atMinute: 4 }],
} as unknown as WashPanel;
const rinse = { id: 'rinse', fromMinute: 2, minutes: 4 } as const;

describe('the wash drawn panel by panel', () => {
  it('has a row for each panel and the minutes of the whole', () => {
    show(<WashStrip panels={[roof]} steps={[rinse]} minutes={40} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    expect(screen.getByText('roof')).toBeTruthy();
    expect(screen.getByText('40 min')).toBeTruthy();
    expect(screen.queryByText(/on the road/)).toBeNull();
  });

  it('names the halves of a panel that are done one after the other, and of a flank its front and rear', () => {
    const steps = (['left-side', 'right-side', 'left-ahead'] as const).map((part) => ({ ...rinse, part }));
    const on = (panel: WashPanel['panel'], step: number[]) => ({ ...roof, panel, steps: step });
    show(
      <WashStrip
        panels={[on('roof', [0]), on('roof', [1]), on('left', [0, 2])]}
        steps={steps}
        minutes={40}
      />,
    );
    const names = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(names).toEqual(['roof, left half', 'roof, right half', 'left flank, front half']);
  });

  it('shows the drive where the wash ends in a second place', () => {
    const drive = { id: 'drive-on', fromMinute: 10, minutes: 8 } as const;
    show(<WashStrip panels={[roof]} steps={[rinse, drive]} minutes={40} />);
    expect(screen.getByText(/on the road, then at the second place/)).toBeTruthy();
    const drawn = document.querySelector<HTMLElement>('[data-stage="drive"]');
    expect([drawn?.style.left, drawn?.style.width]).toEqual(['25%', '20%']);
  });
});
