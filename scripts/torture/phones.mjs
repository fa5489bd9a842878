import { randomUUID } from 'node:crypto';
import { chance, CLOCK, plannedWash } from './server.mjs';

const NOW = Date.parse(CLOCK);
const MINUTE = 60_000;
/** What the clocks of the two phones are wrong by. */
const SKEWS = [23 * MINUTE, -4 * 60 * MINUTE];
/** A request is cut off after so long at most, ms: before it arrives, or before its answer does. */
const LONGEST_MS = 25;

/** A phone as the program's own is: what was done is kept, sent until it is known to have arrived, and joined with the other's. */
class Phone {
  deeds = [];
  known = new Map();
  sent = new Set();
  seq = 0;

  constructor(server, { washId, skewMs, name }) {
    Object.assign(this, { server, washId, skewMs, name });
  }

  add(deed) {
    const id = randomUUID();
    const count = this.deeds.length;
    const atMs = NOW + count * MINUTE + this.skewMs;
    this.deeds.push({ id, tap: id, deviceId: this.name, count, atMs, deed });
  }

  async exchange(timeoutMs) {
    const unsent = this.deeds.filter(({ id }) => !this.sent.has(id));
    const body = { actions: unsent, after: this.seq };
    const { status, answer } = await this.server.ask('POST', `/runs/${this.washId}/actions`, body, {
      timeoutMs,
    });
    if (status !== 200) throw new Error(`a phone was answered ${status}: ${JSON.stringify(answer)}`);
    for (const action of answer.actions) this.known.set(action.id, action);
    this.seq = answer.seq;
    for (const { id } of unsent) this.sent.add(id);
  }
}

/** Two phones whose clocks are wrong note one wash while the network is cut again and again, and now and then the server killed. */
export async function phones(cuts, shop) {
  const { server } = shop;
  const next = chance(23);
  const { id: washId } = await plannedWash(shop);
  const { answer: run } = await server.ask('GET', `/runs/${washId}`);
  const both = SKEWS.map((skewMs, i) => new Phone(server, { washId, skewMs, name: `phone-${i}` }));
  both[0].add({ kind: 'start', packId: run.pack.id });
  let cut = 0;
  let kills = 0;
  while (cut < cuts) {
    for (const phone of both)
      for (let n = Math.floor(4 * next()); n > 0; n -= 1)
        phone.add({ kind: 'note', text: `${phone.name} ${phone.deeds.length}` });
    const exchanges = both.map((phone) =>
      phone.exchange(1 + Math.floor(LONGEST_MS * next())).catch((error) => {
        if (error.message.startsWith('a phone was answered')) throw error;
        cut += 1;
      }),
    );
    if (next() < 0.1) {
      await server.kill();
      kills += 1;
      await Promise.all(exchanges);
      await server.start();
    } else await Promise.all(exchanges);
  }
  for (const phone of [...both, ...both]) await phone.exchange(20_000);
  const { answer: whole } = await server.ask('GET', `/runs/${washId}`);
  const ids = whole.actions.map(({ id }) => id);
  const noted = both.flatMap(({ deeds }) => deeds.map(({ id }) => id));
  const there = new Set(ids);
  const lost = noted.filter((id) => !there.has(id)).length;
  const doubled = ids.length - there.size;
  const apart = both.reduce((sum, { known }) => sum + noted.filter((id) => !known.has(id)).length, 0);
  const of = `of ${noted.length} by two phones, ${cut} cuts, ${kills} kills`;
  return [
    { what: 'deeds lost', measured: `${lost} ${of}`, asked: '0', ok: lost === 0 },
    { what: 'deeds that count twice', measured: String(doubled), asked: '0', ok: doubled === 0 },
    {
      what: 'deeds that one phone does not have in the end',
      measured: String(apart),
      asked: '0',
      ok: apart === 0,
    },
  ];
}
