import { CLOCK } from './server.mjs';

const HOUR = 3_600_000;
const NOW = Date.parse(CLOCK);

/** Two clients plan the same hands, place and hour at once: one of them gets it, the other is refused. */
export async function pairs(count, { server, place, car }) {
  let double = 0;
  let neither = 0;
  for (let n = 0; n < count; n += 1) {
    const startMs = Math.floor(NOW / HOUR) * HOUR + (24 + (n % 200)) * HOUR;
    const wash = { vehicleId: car.id, placeId: place.id, methodId: 'garage-rinseless', startMs };
    const both = await Promise.all([
      server.ask('POST', '/washes', wash),
      server.ask('POST', '/washes', wash),
    ]);
    const made = both.filter(({ status }) => status === 201);
    if (made.length > 1) double += 1;
    if (made.length === 0) neither += 1;
    for (const { answer } of made) await server.ask('DELETE', `/washes/${answer.id}`);
  }
  return [
    { what: 'double plans', measured: `${double} of ${count} pairs`, asked: '0', ok: double === 0 },
    { what: 'pairs in which nobody had it', measured: String(neither), asked: '0', ok: neither === 0 },
  ];
}
