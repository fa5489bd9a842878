import { describe, expect, it } from '@jest/globals';
import type { RunSheet, WetEdge } from '@keen/core';
import { screen } from '@testing-library/react';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { EdgeBars } from './edge-bars.js';

const edge = (panel: string, minutes: number | null, ends = 'dries'): WetEdge =>
  ({ panel, minutes, ends }) as WetEdge;
const shown = (edges: readonly WetEdge[], firstFlank: RunSheet['firstFlank'] = null) => {
  madeUpServer();
  const steps = [{ id: 'towel' }];
  show(<EdgeBars sheet={{ edges, section: 'two-panels', firstFlank, steps } as unknown as RunSheet} />);
};

describe('the time before panels dry or freeze', () => {
  it('is drawn for those that do, soonest first, and said in one line of those that last', () => {
    shown(
      [edge('roof', 4.2, 'freezes'), edge('left', 8.4), edge('bonnet', null), edge('rear', null)],
      'left',
    );
    const rows = screen.getAllByRole('listitem');
    expect(rows.map(({ textContent }) => textContent)).toEqual([
      'rooffreezes 4.2 min',
      'left flankdries 8.4 min',
    ]);
    expect(rows[0]?.hasAttribute('data-first')).toBe(true);
    expect(rows[1]?.hasAttribute('data-first')).toBe(false);
    expect(screen.getByText('bonnet and rear: wet for more than 60 min.')).toBeTruthy();
    expect(screen.getByText(/Finish the left flank first/)).toBeTruthy();
  });

  it('needs no bars where no panel differs', () => {
    shown([edge('roof', null), edge('bonnet', null)]);
    expect(screen.queryByRole('list')).toBeNull();
    expect(screen.getByText('Every panel stays wet for more than 60 min.')).toBeTruthy();
  });
});
