import { CLOCK, startShop } from './server.mjs';

const HOUR = 3_600_000;
const STEP_HOURS = 6;

/** The clock goes on by a simulated month while a shop asks for its morning, weather and salt: memory is to stay where it is. */
export async function month(days) {
  const { server, car } = await startShop();
  const memory = [];
  const from = Date.parse(CLOCK);
  let faults = 0;
  for (let hour = 0; hour <= days * 24; hour += STEP_HOURS) {
    await server.ask('PUT', '/clock', { nowMs: from + hour * HOUR });
    for (const path of ['/plan/morning', '/weather', `/verdicts/salt/${car.id}`, '/washes', '/kit'])
      if ((await server.ask('GET', path, undefined, { timeoutMs: 60_000 })).status !== 200) faults += 1;
    memory.push(server.memoryMb());
  }
  await server.end();
  const third = Math.ceil(memory.length / 3);
  const mean = (list) => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);
  const firstMb = mean(memory.slice(third, 2 * third));
  const lastMb = mean(memory.slice(-third));
  return [
    {
      what: 'memory from the second third to the last',
      measured: `${Math.round(firstMb)} to ${Math.round(lastMb)} MB in ${days} days`,
      asked: 'flat (10 %)',
      ok: lastMb < 1.1 * firstMb,
      isTimed: true,
    },
    { what: 'answers that failed meanwhile', measured: String(faults), asked: '0', ok: faults === 0 },
  ];
}
