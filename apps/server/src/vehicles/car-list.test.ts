import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { CarListReport, Customer, VehicleRecord } from '@keen/core';
import request from 'supertest';
import { faultOf, startTestApp, type TestApp } from '../testing/test-app.js';

const LIST = `Car;Body;Colour;Owner;Phone;Last wash
Blue one;estate;blue;Ann Arbour;555-0100;2026-01-03
Red one;hatch;red;ann arbour;;
Blue one;suv;black;;;
Boat;boat;white;;;`;

describe('a list of cars', () => {
  let test: TestApp;
  beforeAll(async () => {
    test = await startTestApp();
  }, 60_000);
  afterAll(() => test.close());
  const api = () => request(test.app.getHttpServer());
  const read = async (body: object): Promise<CarListReport> =>
    (await api().post('/api/vehicles/list').send(body).expect(200)).body as CarListReport;
  const names = async (path: string): Promise<string[]> =>
    ((await api().get(`/api/${path}`).expect(200)).body as { name: string }[]).map(({ name }) => name);

  it('is looked at first: good lines, faults by line and heading, and nothing is kept', async () => {
    const report = await read({ text: LIST, mode: 'look' });
    expect(report.good.map(({ name }) => name)).toEqual(['Blue one', 'Red one']);
    expect(report.faults.map(({ line, field }) => [line, field])).toEqual([
      [4, 'Car'],
      [5, 'Body'],
    ]);
    expect(report).toMatchObject({
      kept: false,
      made: null,
      columns: { name: 'Car', lastWash: 'Last wash' },
    });
    expect(await names('vehicles')).toEqual([]);
    expect((await read({ text: LIST, mode: 'all-or-nothing' })).kept).toBe(false);
    expect(await names('vehicles')).toEqual([]);
  });

  it('is kept with its customers, each once, and taken out again', async () => {
    const { made, kept } = await read({ text: LIST, mode: 'good-lines' });
    expect(kept).toBe(true);
    expect(await names('vehicles')).toEqual(['Blue one', 'Red one']);
    const people = (await api().get('/api/customers').expect(200)).body as Customer[];
    expect(people).toMatchObject([{ name: 'Ann Arbour', contact: '555-0100', photoConsent: 'none' }]);
    const cars = (await api().get('/api/vehicles').expect(200)).body as VehicleRecord[];
    expect(cars.map(({ customerId }) => customerId)).toEqual([people[0]?.id, people[0]?.id]);
    expect(cars.map(({ washedBefore }) => washedBefore?.isKnown)).toEqual([true, false]);
    await api()
      .post('/api/vehicles/list/undo')
      .send(made ?? {})
      .expect(204);
    expect(await names('vehicles')).toEqual([]);
    expect(await names('customers')).toEqual([]);
  });

  it('uses the headings that were chosen, and names one that is not there', async () => {
    const text = 'Wagen,Bemerkung\nKombi,rot';
    expect((await read({ text, mode: 'look' })).good).toEqual([]);
    const report = await read({ text, mode: 'look', columns: { name: 'Wagen', notes: 'Bemerkung' } });
    expect(report.good).toMatchObject([{ name: 'Kombi', notes: 'rot' }]);
    const refused = await api()
      .post('/api/vehicles/list')
      .send({ text, mode: 'look', columns: { name: 'Auto' } })
      .expect(400);
    expect(faultOf(refused.body).field).toBe('columns.name');
  });

  it('that is broken or too long is refused as a whole', async () => {
    const long = `Car\n${Array.from({ length: 501 }, (_, i) => `car ${i}`).join('\n')}`;
    const refused = await api().post('/api/vehicles/list').send({ text: long, mode: 'look' }).expect(400);
    expect(faultOf(refused.body).message).toMatch(/At most 500/);
    await api().post('/api/vehicles/list').send({ text: 'Car\n"a', mode: 'look' }).expect(400);
  });
});
