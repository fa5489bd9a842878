import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { faultOf, startTestApp, TEST_CLOCK, type TestApp, testCalls } from '../testing/test-app.js';
import { ClockService } from './clock.service.js';

const NOW = Date.parse(TEST_CLOCK);

let test: TestApp;
const { api, get } = testCalls(() => test);
const read = () => get<{ nowMs: number; canBeSet: boolean }>('clock');

beforeAll(async () => {
  test = await startTestApp();
}, 60_000);

afterAll(() => test.close());

describe('the demo’s clock', () => {
  it('starts where it was set and runs on', async () => {
    const { nowMs, canBeSet } = await read();
    expect(nowMs).toBeGreaterThanOrEqual(NOW);
    expect(nowMs).toBeLessThan(NOW + 60_000);
    expect(canBeSet).toBe(true);
  });

  it('can be moved, and tells those who wait for it', async () => {
    const told: number[] = [];
    const listening = test.app.get(ClockService).moved.subscribe((atMs) => told.push(atMs));
    await api()
      .put('/api/clock')
      .send({ nowMs: NOW + 86_400_000 })
      .expect(200);
    listening.unsubscribe();
    expect(told).toEqual([NOW + 86_400_000]);
    expect((await read()).nowMs).toBeGreaterThanOrEqual(NOW + 86_400_000);
  });

  it.each([946_684_799_999, 4_102_444_800_001, 1.5, 'today'])('is not moved to %s', async (nowMs) => {
    const { body } = await api().put('/api/clock').send({ nowMs }).expect(400);
    expect(faultOf(body).field).toBe('nowMs');
  });
});

it('of one’s own data it cannot be moved', () => {
  const clock = new ClockService({ clockStartMs: null, isDemo: false } as never);
  expect(clock.canBeSet).toBe(false);
  expect(Math.abs(clock.now() - Date.now())).toBeLessThan(1000);
});
