import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR, startOfHourMs } from '@keen/core';
import request from 'supertest';
import { startTestApp, TEST_CLOCK, type TestApp } from '../testing/test-app.js';
import { readAviation } from './read-aviation.js';
import { WeatherService } from './weather.service.js';

const NOW = Date.parse(TEST_CLOCK);
const HOUR = startOfHourMs(NOW);
const at = (hours: number): string => new Date(HOUR + hours * MS_PER_HOUR).toISOString();
const faultOf = (act: () => unknown): unknown => {
  try {
    act();
    return null;
  } catch (error) {
    return (error as { getResponse: () => { error: unknown } }).getResponse().error;
  }
};

let server: TestApp;
beforeAll(async () => {
  server = await startTestApp();
});
afterAll(() => server.close());
const api = () => request(server.app.getHttpServer());
const weather = async () => (await api().get('/api/weather').expect(200)).body;
const load = (body: object) =>
  api()
    .post('/api/weather/import')
    .send({ source: 'Yard mast', format: 'csv', kind: 'measured', mode: 'all-or-nothing', ...body });

describe('weather that is reported', () => {
  it('comes from the station alone at first, with no gap', async () => {
    const { hourSources, source, ahead } = await weather();
    expect(source).toBe('simulated station');
    expect(hourSources.every((hour: { missing: string[] }) => hour.missing.length === 0)).toBe(true);
    expect(ahead.length).toBeGreaterThanOrEqual(230);
  });

  it('is looked at before it is kept', async () => {
    const text = `at;airTempC;relHumidityPercent\n${at(-2)};-4.5;80\n${at(-1)};-4,1;81`;
    const { body } = await load({ text, mode: 'look' }).expect(200);
    expect(body).toMatchObject({
      kept: false,
      good: [{ line: 2 }],
      faults: [{ line: 3, field: 'airTempC' }],
    });
    expect((await api().get('/api/weather/sources')).body).toHaveLength(1);
  });

  it('leads once kept, field by field, and the station fills what it does not tell', async () => {
    const before = await weather();
    const text = `at,airTempC,relHumidityPercent\n${at(-2)},-20,80\n${at(-1)},-21,81`;
    await load({ text }).expect(200);
    const { past, hourSources } = await weather();
    expect(past.at(-1)).toMatchObject({ airTempC: -21, cloudFraction: before.past.at(-1).cloudFraction });
    expect(hourSources[22]).toMatchObject({ source: 'Yard mast', missing: [] });
    expect(hourSources[21]).toMatchObject({ source: 'simulated station' });
    const { body } = await api().get('/api/weather/sources');
    expect(body).toMatchObject([
      { source: 'Yard mast', rank: 0, measuredHours: 2, isStation: false },
      { source: 'simulated station', rank: 1, isStation: true, memberCount: 20 },
    ]);
  });

  it('is not known where only a source tells it that tells too little', async () => {
    const before = (await api().get('/api/weather/sources')).body.map(
      (one: { source: string }) => one.source,
    );
    await api()
      .put('/api/weather/sources')
      .send({ order: ['Yard mast'] })
      .expect(200);
    const { past, ahead, hourSources } = await weather();
    expect(past).toEqual([]);
    expect(ahead).toEqual([]);
    expect(hourSources[23]).toMatchObject({
      source: 'Yard mast',
      missing: ['windMetresPerSecond', 'cloudFraction', 'precipMm'],
    });
    // The morning says that it does not know, and does not fail.
    const { body } = await api().get('/api/plan/morning').expect(200);
    expect(body.answers).toEqual([]);
    await api().put('/api/weather/sources').send({ order: before }).expect(200);
    expect((await weather()).ahead.length).toBeGreaterThan(200);
  });

  it.each([
    { order: ['nobody'], field: 'order.0' },
    { order: ['Yard mast', 'Yard mast'], field: 'order.1' },
  ])('refuses an order of $order', async ({ order, field }) => {
    const { body } = await api().put('/api/weather/sources').send({ order }).expect(400);
    expect(body.error.field).toBe(field);
  });

  it('takes a forecast with members, laid round the course that leads', async () => {
    const hours = [0, 1, 2, 3, 4, 5].flatMap((hour) =>
      [0, 1, 2].map((member) => [at(hour), member, -3 - member, -6, 2, 40, 0].join(',')),
    );
    const text = `at,member,airTempC,dewPointC,windMetresPerSecond,cloudPercent,precipMm\n${hours.join('\n')}`;
    await load({ text, source: 'Harbour model', kind: 'forecast' }).expect(200);
    const { ahead, source, memberCount } = await weather();
    expect(source).toBe('Harbour model');
    expect(memberCount).toBe(2);
    expect(ahead[2]).toMatchObject({ airTempC: -3, lowTempC: -5, highTempC: -4, cloudFraction: 0.4 });
    // Beyond its reach the next source goes on.
    expect(ahead.length).toBeGreaterThan(200);
    await api().delete('/api/weather/sources/Harbour model').expect(204);
    expect((await weather()).source).toBe('simulated station');
  });

  it.each([
    { why: 'columns in two units', text: 'at,airTempC,airTempF\n', field: 'line 1' },
    { why: 'one column', text: `at|airTempC:windKmh\n`, field: 'line 1' },
    { why: 'broken quotes', text: `at,airTempC\n"${at(-1)},-3\n`, field: 'line 2' },
    { why: 'broken JSON', text: '[{"at": ', format: 'json', field: 'text' },
    { why: 'JSON that is no list', text: '{"hours": 3}', format: 'json', field: 'text' },
    {
      why: 'a key in JSON that is none',
      text: `[{"at": "${at(-1)}", "temp": 3}]`,
      format: 'json',
      field: 'text',
    },
    {
      why: 'a forecast read as measured',
      text: 'TAF CKNA 141140Z 1412/1512 29012KT P6SM BKN030',
      format: 'aviation',
      field: 'text',
    },
    {
      why: 'the station’s own name',
      text: `at,airTempC\n${at(-1)},-3`,
      source: 'simulated station',
      field: 'source',
    },
    { why: 'no members while measuring', text: `at,member,airTempC\n${at(-1)},1,-3`, field: 'member' },
  ])('is refused for $why, and nothing is kept', async ({ why: _, field, ...body }) => {
    const before = (await api().get('/api/weather/sources')).body;
    const answer = await load(body).expect(400);
    expect(answer.body.error.field).toBe(field);
    expect((await api().get('/api/weather/sources')).body).toEqual(before);
  });

  it('has a line for each row that failed, and keeps the others when told to', async () => {
    const text = `at,airTempC\n${at(-5)},-3\n${at(-5)},-3\n${at(-7)},-3\n${at(-4)},-3,9\n${at(3)},-3`;
    const all = await load({ text, source: 'Shed', mode: 'all-or-nothing' }).expect(200);
    expect(all.body.kept).toBe(false);
    expect(all.body.faults.map(({ line }: { line: number }) => line)).toEqual([3, 4, 5, 6]);
    const good = await load({ text, source: 'Shed', mode: 'good-lines' }).expect(200);
    expect(good.body).toMatchObject({ kept: true, good: [{ line: 2 }] });
    await api().delete('/api/weather/sources/Shed').expect(204);
  });

  it('comes from one’s own station by the API, all or none', async () => {
    const hours = [
      { at: at(-2), airTempC: -8, dewPointC: -11, windKmh: 10, cloudOktas: 3, precipMm: 0 },
      { at: at(-1), airTempC: -8.5, dewPointC: -11, windKmh: 9, cloudOktas: 3, precipMm: 0 },
    ];
    const bad = [...hours, { at: at(0), airTempC: 'cold' }];
    const send = (list: unknown) =>
      api().post('/api/weather/hours').send({ source: 'Roof station', kind: 'measured', hours: list });
    const refused = await send(bad).expect(400);
    expect(refused.body.error.field).toBe('hours.2.airTempC');
    const kept = await send(hours).expect(200);
    expect(kept.body).toEqual({ kept: 2 });
    expect((await weather()).past.at(-1)).toMatchObject({ airTempC: -8.5, cloudFraction: 3 / 8 });
    // Left out of the order it stays out, however much it sends.
    await api()
      .put('/api/weather/sources')
      .send({ order: ['simulated station'] })
      .expect(200);
    await send(hours).expect(200);
    expect((await weather()).past.at(-1).airTempC).not.toBe(-8.5);
  });
});

describe('what was seen now', () => {
  it('corrects the next hours and the plan’s road, and can be taken back', async () => {
    const before = await weather();
    const seen = {
      airTempC: before.ahead[0].airTempC + 4,
      falling: 'none',
      roadClass: 'main',
      roadState: 'ice',
    };
    const { body: record } = await api().post('/api/weather/sights').send(seen).expect(201);
    const after = await weather();
    expect(after.ahead[0].airTempC).toBeCloseTo(seen.airTempC, 9);
    expect(after.ahead[6].airTempC - before.ahead[6].airTempC).toBeCloseTo(4 / Math.E, 6);
    expect(after.ahead[40]).toEqual(before.ahead[40]);
    await api().delete(`/api/weather/sights/${record.id}`).expect(204);
    expect((await weather()).ahead[0].airTempC).toBe(before.ahead[0].airTempC);
    await api().post(`/api/weather/sights/${record.id}/restore`).expect(204);
    expect((await weather()).ahead[0].airTempC).toBeCloseTo(seen.airTempC, 9);
    await api().delete(`/api/weather/sights/${record.id}`).expect(204);
  });

  it.each([
    { body: {}, field: 'airTempC' },
    { body: { roadState: 'wet' }, field: 'roadClass' },
    { body: { airTempC: 90 }, field: 'airTempC' },
  ])('is refused as $body', async ({ body, field }) => {
    const answer = await api().post('/api/weather/sights').send(body).expect(400);
    expect(answer.body.error.field).toBe(field);
  });
});

describe('aviation weather text', () => {
  const one = (text: string) => readAviation(text, NOW).hours[0]?.reading;

  it('tells an observation, the exact temperature before the rounded one', () => {
    const reading = one(
      'METAR CKNA 141100Z 29012G22KT 3SM -SN BKN020 OVC045 M07/M10 A2987 RMK SN6SC2 T10661094=',
    );
    expect(reading).toMatchObject({
      atMs: Date.UTC(2026, 0, 14, 11),
      airTempC: -6.6,
      dewPointC: -9.4,
      windFromDeg: 290,
      cloudFraction: 1,
      precipKind: 'snow',
      precipMm: 0.4,
    });
    expect(reading?.windMetresPerSecond).toBeCloseTo(6.17, 2);
    expect(reading?.pressureHpa).toBeCloseTo(1011.5, 1);
  });

  it.each([
    {
      text: 'CKNA 141055Z 00000MPS 9999 +FZRA OVC010 M01/M02 Q1008',
      told: { precipKind: 'sleet', precipMm: 5 },
    },
    {
      text: 'CKNA 141055Z 18005KT 9999 VCSH FEW030 02/M02 Q1008',
      told: { precipKind: 'none', cloudFraction: 1.5 / 8 },
    },
    { text: 'CKNA 141055Z 18005KT CAVOK 02/M02 Q1008', told: { cloudFraction: 0.1, pressureHpa: 1008 } },
    { text: 'CKNA 141055Z 18005KT 0200 FG VV001 M02/M02 Q1008', told: { cloudFraction: 1, precipMm: 0 } },
  ])('reads $text', ({ text, told }) => {
    expect(one(text)).toMatchObject({ atMs: Date.UTC(2026, 0, 14, 11), ...told });
  });

  it('leaves unknown what the station cannot tell', () => {
    const reading = one('CKNA 141055Z AUTO 18005KT 9999 // ////// 02/M02 Q1008');
    expect(reading).not.toHaveProperty('precipMm');
    expect(reading).not.toHaveProperty('cloudFraction');
  });

  it('follows a forecast through its changes and names what is not the likely course', () => {
    const text = `TAF CKNA 141140Z 1412/1512 29012G22KT P6SM -SHSN BKN030
      TEMPO 1412/1416 2SM SN OVC012
      FM141600 30010KT P6SM SCT040
      BECMG 1418/1420 27006KT NSC
      PROB30 1502/1506 1SM SN RMK NXT FCST BY 141800Z=`;
    const { hours, notes, kind } = readAviation(text, NOW);
    expect(kind).toBe('forecast');
    expect(hours).toHaveLength(24);
    expect(hours.map(({ reading }) => reading.precipKind).slice(3, 5)).toEqual(['snow', 'none']);
    expect(hours[7]?.reading.cloudFraction).toBe(3.5 / 8);
    expect(hours[8]?.reading).toMatchObject({ windFromDeg: 270, cloudFraction: 0.1 });
    expect(hours[0]?.reading).not.toHaveProperty('airTempC');
    expect(notes).toEqual([expect.stringContaining('TEMPO'), expect.stringContaining('PROB30')]);
  });

  it('goes over the end of a month', () => {
    const { hours } = readAviation(
      'TAF CKNA 312340Z 0100/0206 18005KT P6SM OVC030',
      Date.UTC(2026, 0, 31, 23, 50),
    );
    expect(hours[0]?.reading.atMs).toBe(Date.UTC(2026, 1, 1));
    expect(hours).toHaveLength(30);
  });

  const TAF = 'TAF CKNA 141140Z 1412/1512 29012KT P6SM BKN030';
  it.each([
    { why: 'no words', text: '  ', field: 'text' },
    { why: 'other words', text: 'hello world', field: 'line 1' },
    { why: 'a forecast cut in its span', text: 'TAF CKNA 141140Z 1412/15', field: 'line 1' },
    { why: 'a forecast cut in a time', text: `${TAF} FM1416`, field: 'line 1' },
    { why: 'a forecast cut behind a word', text: `${TAF}\n BECMG`, field: 'line 1' },
    { why: 'a forecast cut in a cloud', text: `${TAF}\n FM141600 30010KT P6SM SC`, field: 'line 1' },
    { why: 'an observation cut short', text: 'METAR CKNA 141100Z', field: 'line 1' },
    {
      why: 'both kinds at once',
      text: `METAR CKNA 141100Z 29012KT 9999 OVC020 M07/M10\n${TAF}`,
      field: 'line 2',
    },
    { why: 'two forecasts', text: `${TAF}\n${TAF}`, field: 'line 2' },
  ])('is refused for $why', ({ text, field }) => {
    expect(faultOf(() => readAviation(text, NOW))).toMatchObject({ code: 'unreadable-file', field });
  });

  it('has no cut that is taken for whole', () => {
    const whole =
      'TAF CKNA 141140Z 1412/1512 29012G22KT P6SM -SHSN BKN030 FM141600 30010KT P6SM SCT040 BECMG 1418/1420 27006KT';
    const words = whole.split(' ');
    const complete = new Set([7, 8, 12, 15].map((count) => words.slice(0, count).join(' ')));
    for (let end = 4; end < whole.length; end += 1) {
      const cut = whole.slice(0, end).trim();
      const fault = faultOf(() => readAviation(cut, NOW));
      // A cut between two whole groups cannot be told from a shorter report.
      const lastWord = cut.split(' ').length;
      if (fault === null) expect(words.slice(0, lastWord).join(' ')).toBe(cut);
      if (complete.has(cut)) expect(fault).toBeNull();
    }
  });
});

describe('the name of the weather', () => {
  const stamp = async (): Promise<string> => (await server.app.get(WeatherService).bundle()).stamp;

  it('changes when something is reported, and changes back when that is forgotten', async () => {
    const before = await stamp();
    await load({ source: 'Shed mast', text: `at,airTempC\n${at(-3)},-11` }).expect(200);
    expect(await stamp()).not.toBe(before);
    await api().delete('/api/weather/sources/Shed%20mast').expect(204);
    expect(await stamp()).toBe(before);
  });
});
