import { chance, CLOCK, startShop } from './server.mjs';

const NOW = Date.parse(CLOCK);
const CLIENTS = 4;
const STOCK = 100_000;

/**
 * Kills the server at any moment while several clients add customers and log washes, each of which takes one out of stock, and looks afterwards whether all
 * that was acknowledged is there, and nothing by halves.
 */
export async function kills(count) {
  // A shop of its own: a thousand kills leave it so full that what is timed later would be timed on that.
  const { server, place, car } = await startShop();
  const next = chance(7);
  const methodId = 'garage-rinseless';
  await server.ask('PATCH', '/settings', { stock: { [methodId]: STOCK } });
  const acknowledged = new Set();
  const customers = new Set();
  let sent = 0;
  for (let round = 0; round < count; round += 1) {
    let isUp = true;
    const client = async () => {
      while (isUp) {
        sent += 1;
        if (sent % 3 > 0) {
          const { status, answer } = await server
            .ask('POST', '/customers', { name: `Customer ${sent}`, notes: 'x'.repeat(sent % 1500) })
            .catch(() => ({ status: 0, answer: null }));
          if (status === 201) customers.add(answer.id);
          if (status === 0) return;
          continue;
        }
        const startMs = NOW - (sent % 20_000) * 60_000 - 3_600_000;
        const wash = { vehicleId: car.id, placeId: place.id, methodId, startMs, minutes: 30 };
        const found = { icePanels: [], spots: 'none', leftovers: '', note: `wash ${sent}` };
        const { status, answer } = await server
          .ask('POST', '/washes/done', { ...wash, found })
          .catch(() => ({ status: 0, answer: null }));
        if (status === 201) acknowledged.add(answer.id);
        if (status === 0) return;
      }
    };
    const clients = Array.from({ length: CLIENTS }, client);
    await new Promise((done) => setTimeout(done, 200 + 1000 * next()));
    await server.kill();
    isUp = false;
    await Promise.all(clients);
    await server.start();
  }
  const { answer: washes } = await server.ask('GET', '/washes');
  const { answer: settings } = await server.ask('GET', '/settings');
  const kept = new Set(washes.map(({ id }) => id));
  const { answer: people } = await server.ask('GET', '/customers');
  const known = new Set([...kept, ...people.map(({ id }) => id)]);
  const all = [...acknowledged, ...customers];
  const lost = all.filter((id) => !known.has(id)).length;
  const taken = STOCK - settings.stock[methodId];
  await server.end();
  const of = `of ${all.length} in ${count} kills`;
  // What is done is out of stock, and what is out of stock was done.
  const half = Math.abs(kept.size - taken);
  return [
    { what: 'acknowledged writes lost', measured: `${lost} ${of}`, asked: '0', ok: lost === 0 },
    {
      what: 'washes without their stock, or stock without its wash',
      measured: `${half} ${of}`,
      asked: '0',
      ok: half === 0,
    },
  ];
}
