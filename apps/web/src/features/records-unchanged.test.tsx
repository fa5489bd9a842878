import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import {
  type Customer,
  DEFAULT_DISPLAY,
  type Gear,
  type Product,
  type Settings,
  type ZoneProtection,
  type ConditionView,
  type PlaceRecord,
  type VehicleRecord,
} from '@keen/core';
import { QueryClient } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { type Answer, madeUpServer, type Sent } from '../testing/server.js';
import { show } from '../testing/show.js';
import { ProtectionPanel } from './condition/protection-panel.js';
import { CustomerDrawer } from './customers/customer-drawer.js';
import { GearDrawer } from './kit/gear-drawer.js';
import { ProductDrawer } from './kit/product-drawer.js';
import { PlaceDrawer } from './places/place-drawer.js';
import { VehicleDrawer } from './vehicles/vehicle-drawer.js';

/** The shop's own zone; these tests run in a browser on the other side of the world (see jest.config.js). */
const ZONE = 'America/Toronto';
const DAY = { openMinute: 480, closeMinute: 1020 };

const VEHICLE: VehicleRecord = {
  id: 'v',
  name: 'Black saloon',
  colourName: 'black',
  keeper: 'The shop',
  notes: 'Low nose.',
  bodyClass: 'saloon',
  paintTone: 'black',
  bodyMaterial: 'steel',
  protection: 'coating',
  waterBehaviour: 'beading',
  protections: [],
  delicateWheels: true,
  hasChargePort: false,
  weekShares: [1, 1, 1, 1, 1, 0.5, 0],
  driving: { mainRoadKm: 30.25, townKm: 9, bridgeKm: 0.4 },
  standsAtPlaceId: null,
  cadenceDays: 500,
  target: { kind: 'salt-days', most: 12 },
  seasonJobs: ['underbody'],
  customerId: null,
  knownSinceMs: 0,
  washedBefore: { atMs: 86_400_000, isKnown: true },
};

const PLACE: PlaceRecord = {
  id: 'bay',
  name: 'Pier Road bay',
  notes: '',
  kind: 'self-serve-bay',
  latitudeDeg: 46.51234,
  longitudeDeg: -84.3999,
  timeZone: ZONE,
  climate: { kind: 'open-bay' },
  shelter: { kind: 'roofed', openings: [{ fromDeg: 110, toDeg: 165, topElevationDeg: 35 }] },
  carHeadingDeg: 42,
  hasDrain: true,
  hasLight: true,
  tap: 'always',
  openHours: [DAY, DAY, DAY, DAY, DAY, { openMinute: 1320, closeMinute: 360 }, null],
  washWater: { name: 'Bay', hardnessMgPerLitre: 118.37, tdsMgPerLitre: 190, tempC: 34.2, origin: 'measured' },
  finalRinse: null,
  methods: [{ methodId: 'bay-contact', priceMinor: 0 }],
  tariff: {
    startPriceMinor: 300,
    startSeconds: 180,
    blockPriceMinor: 100,
    blockSeconds: 60,
    pausable: false,
  },
  queue: { weekdayMinutes: Array<number>(24).fill(0), weekendMinutes: Array<number>(24).fill(0) },
  forbids: ['no-own-foam'],
  travelMinutes: 10,
  carsAtOnce: 2,
  finishAt: { placeId: 'elsewhere', driveMinutes: 12.5, priceMinor: 1250 },
};

const PRODUCT: Product = {
  id: 'p',
  name: 'Iron remover',
  role: 'iron-remover',
  inUsePh: 6.5,
  usualParts: 0,
  fewestParts: 0,
  mostParts: 3,
  capMl: null,
  carMl: null,
  dwell: { minMinutes: 2, maxMinutes: 4 },
  lowestWorkC: 4.4,
  lowestStoreC: 1,
  keptIn: 'van',
  bottleMl: 1000,
  leftMl: 612.5,
  lowMl: 150,
  priceMinor: 2451,
  notes: '',
};
const DILUTED: Product = { ...PRODUCT, name: 'Rinseless', usualParts: 255, fewestParts: 15, mostParts: 320 };

const GEAR: Gear = {
  id: 'g',
  name: 'Foamer',
  kind: 'foamer',
  count: 1,
  cleanCount: 1,
  volumeMl: 3800,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
};

const CUSTOMER: Customer = {
  id: 'c',
  name: 'Orla Venn',
  contact: 'text',
  notes: 'Evenings.',
  photoConsent: 'public',
  consentMs: 1,
  availability: [DAY, null, DAY, DAY, DAY, null, null],
};

const APPLIED = Date.parse('2026-01-02T22:47:13-05:00');
const COAT: ZoneProtection = {
  zone: 'roof',
  kind: 'sealant',
  productName: 'Larch seal',
  appliedMs: APPLIED,
  claimedLifeDays: 120,
  observed: { behaviour: 'beading', atMs: APPLIED + 3_600_000 },
  notedMs: null,
};

let sent: Sent[] = [];
let answer: Answer = {};

beforeEach(() => {
  answer = {};
  localStorage.clear();
  sent = madeUpServer(({ method }) => (method === 'GET' ? undefined : answer));
});

afterEach(() => {
  localStorage.clear();
});

function open(form: ReactNode, display: Partial<Settings['display']> = {}) {
  const client = new QueryClient();
  client.setQueryData(['settings'], { display: { ...DEFAULT_DISPLAY, ...display }, timeZone: ZONE });
  client.setQueryData(['customers'], []);
  return show(form, client);
}

const done = jest.fn();
const drawers = (over: object = {}): Readonly<Record<string, ReactNode>> => ({
  vehicle: <VehicleDrawer vehicle={{ ...VEHICLE, ...over }} places={[]} onClose={done} onSaved={done} />,
  place: <PlaceDrawer place={PLACE} places={[PLACE]} timeZone={ZONE} currency="CAD" onClose={done} />,
  product: <ProductDrawer product={PRODUCT} onClose={done} />,
  'diluted product': <ProductDrawer product={DILUTED} onClose={done} />,
  gear: <GearDrawer gear={GEAR} onClose={done} />,
  customer: <CustomerDrawer customer={CUSTOMER} vehicles={[]} onClose={done} onSaved={done} />,
});
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save' }));

describe('a record that is opened and saved unchanged', () => {
  it('is tested in another zone than the shop’s', () => {
    expect(Intl.DateTimeFormat().resolvedOptions().timeZone).not.toBe(ZONE);
  });

  it.each(Object.keys(drawers()))('sends nothing: %s', async (kind) => {
    done.mockClear();
    open(drawers()[kind], { temperature: 'F', hardness: 'gpg' });
    await save();
    expect(sent).toEqual([]);
    expect(done).toHaveBeenCalled();
  });

  it('sends nothing where a strength is said in another way and back', async () => {
    open(drawers()['diluted product']);
    for (const way of ['%', 'mL per L', 'fl oz per gal', '1:N'])
      await userEvent.click(screen.getByRole('radio', { name: way }));
    await save();
    expect(sent).toEqual([]);
  });

  it('keeps a protection’s own hour and what was seen of it', async () => {
    const vehicle: VehicleRecord = { ...VEHICLE, protections: [COAT] };
    const condition = { protections: [] } as unknown as ConditionView;
    open(
      <ProtectionPanel
        vehicle={vehicle}
        condition={condition}
        zone="roof"
        nowMs={APPLIED + 9 * 86_400_000}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    const { notedMs: _noted, ...coat } = COAT;
    expect(sent[0]).toHaveProperty('body.protections', [coat]);
  });
});

describe('a record of which one field is changed', () => {
  it('sends that field, and what was read of it', async () => {
    open(drawers().product);
    const left = screen.getByLabelText('Left, mL');
    await userEvent.clear(left);
    await userEvent.type(left, '500');
    await save();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ method: 'PATCH', path: '/api/kit/products/p' });
    expect(sent[0]?.body).toEqual({ leftMl: 500, was: { leftMl: 612.5 } });
  });

  it('shows both values where it was changed meanwhile, and then keeps its own if that is meant', async () => {
    const message = 'leftMl was changed meanwhile: it was 612.5 when you opened this, and is 300 now.';
    answer = { status: 409, body: { error: { code: 'changed-meanwhile', field: 'leftMl', message } } };
    open(drawers().product);
    const left = screen.getByLabelText('Left, mL');
    await userEvent.clear(left);
    await userEvent.type(left, '500');
    await save();
    expect((await screen.findByText(/Save again to keep yours/)).textContent).toContain('is 300 now');
    expect(screen.getByLabelText<HTMLInputElement>('Left, mL').value).toBe('500');
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
  });

  it('lets fields that nobody touched follow the newest record', async () => {
    const view = open(<ProductDrawer product={PRODUCT} onClose={done} />);
    const name = screen.getByLabelText(/^Name/);
    await userEvent.type(name, ' 2');
    view.unmount();
    // The bottle was used meanwhile; the draft knows only the name.
    open(<ProductDrawer product={{ ...PRODUCT, leftMl: 300 }} onClose={done} />);
    expect(screen.getByLabelText<HTMLInputElement>(/^Name/).value).toBe('Iron remover 2');
    expect(screen.getByLabelText<HTMLInputElement>('Left, mL').value).toBe('300');
    await save();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ name: 'Iron remover 2', was: { name: 'Iron remover' } });
  });

  it('is not held up by a field that is not shown', async () => {
    // Its 500 days between washes do not count while its target is salt days.
    open(drawers().vehicle);
    const name = screen.getByLabelText(/^Name/);
    await userEvent.type(name, '!');
    await save();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ name: 'Black saloon!', was: { name: 'Black saloon' } });
  });

  it('keeps a longitude west of Greenwich west of it', async () => {
    open(drawers().place);
    const longitude = screen.getByLabelText(/^Longitude/);
    await userEvent.clear(longitude);
    await userEvent.type(longitude, '-79.4');
    await save();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ longitudeDeg: -79.4, was: { longitudeDeg: -84.3999 } });
  });
});
