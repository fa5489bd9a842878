import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  DEFAULT_HOUSE,
  type LeftOn,
  type RunAnswer,
  type Variant,
  type VehicleRecord,
} from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { LeftOnBox } from './left-on.js';

const IRON: LeftOn = {
  leftover: 'iron',
  grade: 2.5,
  zones: ['wheels-left', 'wheels-right'],
  origin: 'estimated',
  step: { id: 'iron', groups: ['wheels'] },
};
const ARCHES: LeftOn = {
  leftover: 'arches',
  grade: 4,
  zones: ['arches-left', 'arches-right'],
  origin: 'measured',
  step: null,
};

const answer = (leftOn: readonly LeftOn[], variant?: Variant): RunAnswer =>
  ({
    wash: {
      id: 'w',
      vehicleId: 'black',
      methodId: 'bay-contact',
      status: 'planned',
      predicted: variant ? { variant } : {},
    },
    pack: { leftOn },
  }) as unknown as RunAnswer;

function serve(): Sent[] {
  return madeUpServer(({ path }) => {
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, house: DEFAULT_HOUSE } };
    if (path.endsWith('/vehicles'))
      return { body: [{ id: 'black', delicateWheels: false }] as VehicleRecord[] };
    return undefined;
  });
}

const orderIn = (sent: readonly Sent[]): string[] => {
  const changed = sent.filter(({ path }) => path.endsWith('/washes/w'));
  return changed.flatMap(({ body }) => (body as { variant: Variant }).variant.steps.map(({ key }) => key));
};

describe('what a wash leaves on it', () => {
  it('says nothing where nothing is left', () => {
    serve();
    show(<LeftOnBox answer={answer([])} isBegun={false} />);
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('names amount, place, grade and origin', () => {
    serve();
    show(<LeftOnBox answer={answer([ARCHES, IRON])} isBegun={true} />);
    expect(screen.getByRole('region').textContent).toBe(
      'This wash leaves on it: arches (4.0 of 5, seen) · some iron on the wheels left and wheels right (2.5 of 5, estimated)',
    );
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('puts the step before the water that takes it off, for this wash alone', async () => {
    const sent = serve();
    show(<LeftOnBox answer={answer([IRON])} isBegun={false} />);
    const button = screen.getByRole('button', { name: 'Add iron remover to this wash' });
    await waitFor(() => expect(button).toHaveProperty('disabled', false));
    await userEvent.click(button);
    await screen.findByText('iron remover added to this wash.');
    const order = orderIn(sent);
    expect(order.indexOf('rinse-0')).toBe(order.indexOf('+iron') + 1);
  });

  it('rinses between it and another that works there', async () => {
    const sent = serve();
    const steps = ['wheels-0', 'foam-0', '+tar', 'rinse-0'].map((key) => ({ key, minutes: null, note: '' }));
    show(<LeftOnBox answer={answer([IRON], { steps, leftOut: [] })} isBegun={false} />);
    const button = screen.getByRole('button', { name: 'Add iron remover to this wash' });
    await waitFor(() => expect(button).toHaveProperty('disabled', false));
    await userEvent.click(button);
    await screen.findByText('iron remover added to this wash.');
    const order = orderIn(sent);
    expect(order.slice(order.indexOf('+tar'), order.indexOf('rinse-0') + 1)).toEqual([
      '+tar',
      '+rinse',
      '+iron',
      'rinse-0',
    ]);
  });
});
