import createClient from 'openapi-fetch';
import type { components, paths } from './paths.js';

type Schemas = components['schemas'];

/** What came of it. */
export interface Day {
  readonly vehicle: Schemas['VehicleRecord'];
  readonly hours: number;
  readonly morning: Schemas['VehicleAnswer'] | undefined;
  readonly planned: Schemas['WashRecord'] | undefined;
  readonly done: Schemas['WashRecord'];
  readonly log: readonly Schemas['WashRecord'][];
}

const ALL_DAY = { openMinute: 0, closeMinute: 1440 };

/** Fails with what the server says is wrong. */
function given<T>({ data, error }: { data?: T; error?: Schemas['ErrorBody'] }): T {
  if (data === undefined) throw new Error(error?.error.message ?? 'no answer');
  return data;
}

/**
 * The main job with a client that is made from the description of the API alone: a place, a vehicle, the weather, the morning's answer, the
 * plan, the wash done, the log.
 */
export async function mainJob(baseUrl: string): Promise<Day> {
  const client = createClient<paths>({ baseUrl });
  const place = given(
    await client.POST('/api/places', {
      body: {
        name: 'Own unit',
        kind: 'heated-unit',
        latitudeDeg: 46.5,
        longitudeDeg: -84.3,
        timeZone: 'America/Toronto',
        climate: { kind: 'heated', setpointC: 14 },
        shelter: { kind: 'indoors' },
        carHeadingDeg: 0,
        hasDrain: false,
        hasLight: true,
        tap: 'none',
        openHours: Array.from({ length: 7 }, () => ALL_DAY),
        washWater: {
          name: 'Tap',
          hardnessMgPerLitre: 118,
          tdsMgPerLitre: 190,
          tempC: 12,
          origin: 'measured',
        },
        methods: [{ methodId: 'garage-rinseless', priceMinor: 1400 }],
        travelMinutes: 12,
      },
    }),
  );
  const vehicle = given(
    await client.POST('/api/vehicles', {
      body: {
        name: 'Teal estate',
        bodyClass: 'estate',
        paintTone: 'mid',
        bodyMaterial: 'steel',
        protection: 'wax',
        waterBehaviour: 'beading',
        driving: { mainRoadKm: 30, townKm: 10, bridgeKm: 0 },
        cadenceDays: 1,
        standsAtPlaceId: place.id,
      },
    }),
  );
  const weather = given(await client.GET('/api/weather'));
  const before = given(
    await client.POST('/api/washes/done', {
      body: {
        vehicleId: vehicle.id,
        placeId: place.id,
        methodId: 'garage-rinseless',
        startMs: weather.fromMs - 4 * 86_400_000,
        minutes: 70,
        costMinor: 1400,
        found: { icePanels: [], spots: 'none', leftovers: '', note: '' },
      },
    }),
  );
  const { answers } = given(await client.GET('/api/plan/morning'));
  const plan = given(await client.GET('/api/plan'));
  const changeIds = plan.changes.map(({ id }) => id);
  const { added } = given(await client.POST('/api/plan/accept', { body: { changeIds } }));
  const planned = added.find(({ vehicleId }) => vehicleId === vehicle.id);
  const done = given(
    await client.POST('/api/washes/{id}/done', {
      params: { path: { id: planned?.id ?? before.id } },
      body: {
        methodId: 'garage-rinseless',
        startMs: weather.fromMs - 3_600_000,
        minutes: 60,
        costMinor: 1400,
        found: { icePanels: [], spots: 'few', leftovers: '', note: 'By a made client.' },
      },
    }),
  );
  const log = given(await client.GET('/api/washes', { params: { query: { vehicleId: vehicle.id } } }));
  const morning = answers.find(({ vehicleId }) => vehicleId === vehicle.id);
  return { vehicle, hours: weather.ahead.length, morning, planned, done, log };
}
