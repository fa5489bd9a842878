import { visitOf } from '@keen/core';
import { add, base, median, timed } from './shared.mjs';

const PLACE = 'home-garage';
const START_MS = Date.parse('2026-01-16T12:00:00-05:00');

const post = async (path, body) => {
  const response = await fetch(`${base}/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${path}: ${await response.text()}`);
  return response.json();
};

/** The pack of a wash that is planned for this alone, with room for two cars where it is washed. */
async function packOf(get, vehicleId, methodId) {
  const wash = await post('washes', { vehicleId, placeId: PLACE, methodId, startMs: START_MS });
  const { pack } = await get(`runs/${wash.id}`);
  await fetch(`${base}/washes/${wash.id}`, { method: 'DELETE' });
  return { ...pack, place: { ...pack.place, carsAtOnce: 2 } };
}

/** The editor of the steps as one types, and the order of two cars. */
export async function editing(get) {
  const slot = {
    vehicleId: 'grey-suv',
    placeId: PLACE,
    methodId: 'garage-hose',
    startMs: START_MS,
    extras: [],
  };
  const typed = async (minutes) => {
    const variant = { steps: [{ key: 'towel-1', minutes, note: '' }], leftOut: [] };
    await post('verdicts/trial', { ...slot, variant });
  };
  await typed(5);
  const trials = [];
  for (let minutes = 10; minutes < 22; minutes += 1) trials.push(await timed(() => typed(minutes)));
  add('editor of the steps: verdict, minutes and faults for a change, over HTTP, median of 12', {
    measured: `${median(trials).toFixed(0)} ms`,
    asked: '≤ 100 ms',
    ok: median(trials) <= 100,
  });

  const first = await packOf(get, 'grey-suv', 'strip-reseal');
  const second = await packOf(get, 'white-van', 'strip-reseal');
  const steps = first.sheet.steps.length + second.sheet.steps.length;
  const orders = [];
  for (let run = 0; run < 9; run += 1)
    orders.push(
      await timed(() => {
        if (!visitOf(first, second)) throw new Error('the two cars have no order');
      }),
    );
  add(`order of two cars, ${steps} steps, worked through, median of 9`, {
    measured: `${median(orders).toFixed(0)} ms`,
    asked: '≤ 50 ms',
    ok: median(orders) <= 50,
  });
}
