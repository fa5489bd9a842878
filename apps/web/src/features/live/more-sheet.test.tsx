import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type LiveStep, type RunDeed, type RunPack, type RunState } from '@keen/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { liveStep, moment } from '../../testing/live.js';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { MoreSheet } from './more-sheet.js';
import type { RunLog } from './run-log.js';

const PARTS = ['left-flank', 'right-flank', 'nose', 'tail'] as const;
const partly = (id: LiveStep['step']['id']): LiveStep[] =>
  PARTS.map((part) => liveStep(id, { part }, { key: `${id} ${part}` }));
const [first, ...others] = [...partly('rinseless'), ...partly('towel')];

function open(): RunDeed[] {
  const deeds: RunDeed[] = [];
  madeUpServer(() => ({ body: { display: DEFAULT_DISPLAY } }));
  show(
    <MoreSheet
      pack={{ vehicle: { bodyClass: 'saloon' } } as unknown as RunPack}
      log={{} as RunLog}
      state={{ steps: [first, ...others] } as unknown as RunState}
      moment={moment({ next: first ?? null })}
      act={(...done) => deeds.push(...done)}
      onClose={() => undefined}
    />,
  );
  return deeds;
}

describe('the ways round the steps', () => {
  it('name a step with the part that it is done on, so that no two are alike', async () => {
    const deeds = open();
    const dialog = await screen.findByRole('dialog');
    expect(within(dialog).getByText('Skip “wash it rinseless, left flank”, because')).toBeTruthy();
    const names = within(dialog)
      .getAllByRole('button', { name: /^(Wash it rinseless|Towel it dry)/ })
      .map(({ textContent }) => textContent);
    expect(new Set(names).size).toBe(others.length);
    await userEvent.click(within(dialog).getByRole('button', { name: 'Towel it dry, bonnet and front' }));
    expect(deeds).toEqual([{ kind: 'sooner', step: 'towel nose' }]);
  });

  it('fold the steps that are far off', async () => {
    open();
    const more = await screen.findByText('1 more that wait');
    const folded = more.closest('details');
    expect(folded?.open).toBe(false);
    expect(folded?.textContent).toContain('Towel it dry, boot lid and rear');
  });
});
