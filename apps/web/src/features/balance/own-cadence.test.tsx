import { describe, expect, it } from '@jest/globals';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../../testing/show.js';
import { OwnCadence } from './own-cadence.js';
import { NO_METHOD, type OwnPlan, ownParts } from './own-cadence-view.js';

const OWN: OwnPlan = { first: 'bay-contact', firstDays: 10, second: NO_METHOD, secondDays: 30 };
const OFFERED = ['bay-contact', 'salt-flush'];

describe('a cadence of one’s own', () => {
  it.each([
    { own: {}, parts: [['bay-contact', 10]], why: 'with one method' },
    {
      own: { second: 'salt-flush' },
      parts: [
        ['bay-contact', 10],
        ['salt-flush', 30],
      ],
      why: 'with two',
    },
    { own: { firstDays: null }, parts: [], why: 'without its days' },
    { own: { second: 'salt-flush', secondDays: null }, parts: [['bay-contact', 10]], why: 'half typed' },
    { own: { first: 'waterless' }, parts: [], why: 'of a method that no place offers any more' },
  ])('runs what can be run: $why', ({ own, parts }) => {
    expect(
      ownParts({ ...OWN, ...own }, OFFERED).map(({ methodId, everyDays }) => [methodId, everyDays]),
    ).toEqual(parts);
  });

  const opened = (own: Partial<OwnPlan> = {}, isShown = false) => {
    const changes: Partial<OwnPlan>[] = [];
    let shownCount = 0;
    show(
      <OwnCadence
        offered={OFFERED}
        own={{ ...OWN, ...own }}
        onChange={(change) => changes.push(change)}
        isShown={isShown}
        onShow={() => (shownCount += 1)}
      />,
    );
    return { changes, shown: () => shownCount };
  };

  it('asks for the days of the second method only where there is one, and names days out of range', () => {
    opened({ firstDays: 0 });
    expect(screen.getAllByLabelText(/^every/)).toHaveLength(1);
    expect(screen.getByText('From 1 to 180 days.')).toBeTruthy();
  });

  it('takes another method, and is weighed by one tap', async () => {
    const { changes, shown } = opened({ second: 'salt-flush' });
    expect(screen.getAllByLabelText(/^every/)).toHaveLength(2);
    await userEvent.click(screen.getByRole('combobox', { name: 'and' }));
    await userEvent.click(await screen.findByRole('option', { name: 'nothing else' }));
    expect(changes).toEqual([{ second: NO_METHOD }]);
    await userEvent.click(screen.getByRole('button', { name: 'Weigh it too' }));
    expect(shown()).toBe(1);
  });

  it('says that it stands above already', () => {
    opened({}, true);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Shown above' }).disabled).toBe(true);
  });
});
