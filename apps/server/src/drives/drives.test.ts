import { describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '@keen/core';
import { loadOn, NOW, saltedCar } from '../testing/salted-car.js';
import { faultOf } from '../testing/test-app.js';

const { api, make, pathOf, salt } = saltedCar();

describe('drives', () => {
  const path = (): string => pathOf('drives');
  const drive = { hourMs: NOW - 2 * MS_PER_DAY, roadClass: 'main', km: 80, meanKmh: 90 };

  it('count in the ledger, and can be taken back', async () => {
    const before = await salt();
    const kept = await make<{ id: string }>(path(), drive);
    expect(loadOn(await salt(), 'underbody')).not.toBeCloseTo(loadOn(before, 'underbody'), 3);
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
    expect(loadOn(await salt(), 'underbody')).toBeCloseTo(loadOn(before, 'underbody'), 9);
  }, 60_000);

  it.each([
    { change: { km: 5000 }, field: 'km', why: '5,000 km in an hour' },
    { change: { meanKmh: 999 }, field: 'meanKmh', why: 'flying' },
    { change: { hourMs: NOW + MS_PER_DAY }, field: 'hourMs', why: 'tomorrow' },
    { change: { hourMs: NOW - 300 * MS_PER_DAY }, field: 'hourMs', why: 'before the car was known' },
    { change: { roadClass: 'rail' }, field: 'roadClass', why: 'by rail' },
  ])('are refused for $why by field', async ({ change, field }) => {
    const { body } = await api()
      .post(`/api/${path()}`)
      .send({ ...drive, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });

  it('are read from a recorded way, with speeds', async () => {
    const points = Array.from({ length: 41 }, (_, i) => {
      const time = new Date(NOW - 3 * MS_PER_DAY + i * 30_000).toISOString();
      return `<trkpt lat="${46.5 + i * 0.006}" lon="-84.3"><time>${time}</time></trkpt>`;
    });
    const text = `<gpx>\n<trk><trkseg>\n${points.join('\n')}\n<trkpt lat="46.5" lon="-84.3"/>\n</trkseg></trk></gpx>`;
    const send = async (mode: string): Promise<unknown> =>
      (await api().post(`/api/${path()}/import`).send({ text, mode }).expect(200)).body;
    expect(await send('all-or-nothing')).toMatchObject({
      kept: false,
      faults: [{ line: 44, field: 'no-time' }],
    });
    const report = (await send('good-lines')) as { kept: boolean; good: { km: number; meanKmh: number }[] };
    expect(report.kept).toBe(true);
    const km = report.good.reduce((sum, entry) => sum + entry.km, 0);
    expect(km).toBeCloseTo(40 * 0.006 * 111.19, 0);
    expect(report.good[0]?.meanKmh).toBeCloseTo(80, 0);
    expect(await send('good-lines')).toMatchObject({ kept: false, good: [] });
  });

  it('answer a broken file with its line', async () => {
    const { body } = await api()
      .post(`/api/${path()}/import`)
      .send({ text: '<gpx>\n<trk>\n</gpx>', mode: 'look' })
      .expect(400);
    expect(faultOf(body)).toMatchObject({
      code: 'unreadable-file',
      field: expect.stringMatching(/^line \d+$/),
    });
  });
});
