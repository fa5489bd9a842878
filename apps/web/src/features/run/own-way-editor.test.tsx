import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  DEFAULT_HOUSE,
  type RunAnswer,
  type TrialAnswer,
  type TrialFault,
  type Variant,
} from '@keen/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { OwnWayEditor } from './own-way-editor.js';

const answer = (predicted: object | null = null, isDriven = false) =>
  ({
    wash: {
      id: 'w',
      vehicleId: 'black',
      placeId: 'bay',
      methodId: 'bay-contact',
      startMs: 1,
      extras: [],
      predicted,
    },
    pack: {
      vehicle: { delicateWheels: false, bodyClass: 'saloon' },
      method: { steps: isDriven ? [{ id: 'rinseless', isElsewhere: true }] : [] },
    },
  }) as unknown as RunAnswer;

const trial = (minutes: number, faults: readonly TrialFault[] = []): TrialAnswer =>
  ({
    standing: 'go',
    wayId: 'whole',
    limiting: {},
    against: [],
    minutes,
    moneyMinor: 1200,
    litres: 80,
    faults,
  }) as unknown as TrialAnswer;

const UNRINSED: TrialFault = {
  key: 'foam-0',
  id: 'foam',
  fault: { kind: 'not-rinsed', groups: ['wheels'] },
  fix: { kind: 'rinse-behind' },
};
const TOO_FAR: TrialFault = {
  key: 'foam-0',
  id: 'foam',
  fault: { kind: 'not-rinsed-here' },
  fix: { kind: 'any-place' },
};
const variantOf = ({ body }: Sent): Variant | undefined => (body as { variant?: Variant }).variant;
const isShipped = (sent: Sent): boolean => variantOf(sent)?.steps.length === 0;

function serve(faultsOf: (variant: Variant | undefined) => readonly TrialFault[] = () => []): Sent[] {
  return madeUpServer((request) => {
    if (request.path.endsWith('/settings'))
      return { body: { display: DEFAULT_DISPLAY, house: DEFAULT_HOUSE, namedWays: [] } };
    if (request.path.endsWith('/places'))
      return {
        body: [
          { id: 'bay', name: 'Pier Road bay', finishAt: { placeId: 'unit', driveMinutes: 5, priceMinor: 0 } },
          { id: 'unit', name: 'Quay unit', finishAt: null },
        ],
      };
    if (request.path.endsWith('/kit')) return { body: { products: [], gear: [] } };
    if (request.path.endsWith('/trial'))
      return { body: isShipped(request) ? trial(50) : trial(62, faultsOf(variantOf(request))) };
    return undefined;
  });
}
const trials = (sent: readonly Sent[]) => sent.filter(({ path }) => path.endsWith('/trial'));

describe('the editor of the steps', () => {
  it('shows how the wash goes in these steps beside the way that ships', async () => {
    serve();
    show(<OwnWayEditor answer={answer()} isBegun={false} onClose={() => undefined} />);
    const line = await screen.findByRole('status');
    expect(await within(line).findByText('It goes.')).toBeTruthy();
    expect(line.textContent).toContain('In these steps62 min · $12.00 · 80 L');
    await waitFor(() => expect(line.textContent).toContain('As it ships50 min'));
  });

  it('names what is wrong at its step, mends it with one tap, and takes the tap back', async () => {
    const sent = serve((variant) => (variant?.steps.some(({ key }) => key === '+rinse') ? [] : [UNRINSED]));
    show(<OwnWayEditor answer={answer()} isBegun={false} onClose={() => undefined} />);
    expect(await screen.findByText(/Nothing after it rinses it off the wheels/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Rinse after it' }));
    await waitFor(() => expect(screen.queryByText(/Nothing after it rinses/)).toBeNull());
    expect(variantOf(trials(sent).at(-1)!)?.steps.map(({ key }) => key)).toContain('+rinse');
    await userEvent.click(screen.getByRole('button', { name: 'Undo the last change' }));
    expect(await screen.findByText(/Nothing after it rinses/)).toBeTruthy();
  });

  it('sends a step to the second place by its name, says why that cannot be, and lets it go again', async () => {
    const sent = serve((variant) =>
      variant?.steps.some(({ stage }) => stage === 'second') ? [TOO_FAR] : [],
    );
    show(<OwnWayEditor answer={answer(null, true)} isBegun={false} onClose={() => undefined} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Details of Foam the car' }));
    await userEvent.click(await screen.findByRole('combobox', { name: 'Done at' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Quay unit' }));
    expect(await screen.findByText(/nothing has rinsed the body yet/)).toBeTruthy();
    expect(variantOf(trials(sent).at(-1)!)?.steps.find(({ key }) => key === 'foam-0')?.stage).toBe('second');
    await userEvent.click(screen.getByRole('button', { name: 'Let the program pick the place' }));
    await waitFor(() => expect(screen.queryByText(/nothing has rinsed the body yet/)).toBeNull());
    const where: HTMLInputElement = screen.getByRole('combobox', { name: 'Done at' });
    expect(where.value).toBe('as usual');
  });

  it('keeps the steps for this wash only, or for every wash', async () => {
    const sent = serve();
    const closed: string[] = [];
    show(<OwnWayEditor answer={answer()} isBegun={false} onClose={() => closed.push('closed')} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Details of Foam the car' }));
    await userEvent.click(screen.getByLabelText('wheels'));
    await userEvent.click(screen.getByRole('button', { name: 'This wash only' }));
    await waitFor(() => expect(closed).toHaveLength(1));
    const change = sent.find(({ method }) => method === 'PATCH');
    expect(change?.path).toBe('/api/washes/w');
    const foam = variantOf(change!)?.steps.find(({ key }) => key === 'foam-0');
    expect(foam?.groups).toEqual(['upper', 'lower']);
    await userEvent.click(screen.getByRole('button', { name: 'Keep for every wash' }));
    await waitFor(() => expect(closed).toHaveLength(2));
    const settings = sent.find(({ path, method }) => method === 'PATCH' && path === '/api/settings');
    expect(settings?.body).toMatchObject({ house: { variants: { 'bay-contact': { leftOut: [] } } } });
  });

  it('sends nothing that is wrong, and says where', async () => {
    const sent = serve();
    show(<OwnWayEditor answer={answer()} isBegun={false} onClose={() => undefined} />);
    const minutes = await screen.findByLabelText('Minutes of Foam the car');
    await waitFor(() => expect(trials(sent).length).toBeGreaterThan(1));
    const before = trials(sent).length;
    await userEvent.clear(minutes);
    expect(await screen.findByText('Above 0, up to 240.')).toBeTruthy();
    expect(screen.getByText('Correct the marked fields to see the verdict.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep for every wash' }).disabled).toBe(
      true,
    );
    expect(trials(sent)).toHaveLength(before);
  });

  it('opens with what was chosen for this wash, and goes back to every wash', async () => {
    const sent = serve();
    const variant: Variant = { steps: [], leftOut: ['shuts-0'] };
    show(<OwnWayEditor answer={answer({ variant })} isBegun={false} onClose={() => undefined} />);
    expect(await screen.findByRole('button', { name: 'Do Wipe the door shuts again' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'As in every wash' }));
    await waitFor(() => expect(sent.some(({ method }) => method === 'PATCH')).toBe(true));
    expect(sent.find(({ method }) => method === 'PATCH')?.body).toEqual({ variant: null });
  });

  it('changes only later washes once it is begun', async () => {
    serve();
    show(<OwnWayEditor answer={answer()} isBegun onClose={() => undefined} />);
    expect(await screen.findByText(/stays as it was started/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'This wash only' })).toBeNull();
  });

  it('gives up what was chosen for this wash once the same is kept for every wash, and undo brings both back', async () => {
    const sent = serve();
    const variant: Variant = { steps: [], leftOut: ['shuts-0'] };
    const own = answer({ variant, isOwnWay: true, wayId: 'touch-one-side' });
    show(<OwnWayEditor answer={own} isBegun={false} onClose={() => undefined} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Keep for every wash' }));
    const changes = () => sent.filter(({ method }) => method === 'PATCH');
    await waitFor(() => expect(changes()).toHaveLength(2));
    expect(changes()[1]).toMatchObject({ path: '/api/washes/w', body: { variant: null } });
    await userEvent.click(await screen.findByText('Undo'));
    await waitFor(() => expect(changes()).toHaveLength(4));
    expect(
      changes()
        .slice(2)
        .map(({ body }) => body),
    ).toEqual(expect.arrayContaining([{ variant }, { house: { variants: { 'bay-contact': null } } }]));
    // The steps are tried in the way that somebody chose.
    expect(trials(sent).every(({ body }) => (body as { wayId?: string }).wayId === 'touch-one-side')).toBe(
      true,
    );
  });
});
