import { describe, expect, it } from '@jest/globals';
import { CALCULATORS, type CalculatorAnswer, SOLVERS } from '@keen/core';
import type { Request } from 'express';
import { CalcController } from './calc.controller.js';

const asked: [string, unknown][] = [];
const controller = (answer: CalculatorAnswer = { ok: true, value: 'solved' }): CalcController => {
  const solver = {
    sum: (name: string, input: unknown) => {
      asked.push([name, input]);
      return Promise.resolve(answer);
    },
  };
  return new CalcController(solver as unknown as ConstructorParameters<typeof CalcController>[0]);
};
const REQUEST = {
  on: () => undefined,
  once: () => undefined,
  socket: { on: () => undefined },
} as unknown as Request;

describe('the sums over HTTP', () => {
  it('are all listed, each once, with its question and its schemas', () => {
    const listed = controller().list() as { name: string; question: string; input: object; output: object }[];
    expect(listed.map(({ name }) => name).toSorted()).toEqual(
      [...CALCULATORS.keys(), ...SOLVERS.keys()].toSorted(),
    );
    for (const { question, input, output } of listed) {
      expect(question).toMatch(/\?$/);
      expect([input, output]).toEqual([expect.objectContaining({ type: 'object' }), expect.any(Object)]);
    }
  });

  it('are worked out at once where they are quick, in the thread of the searches where they search', async () => {
    const chill = await controller().run('wind-chill', { airTempC: -10, windKmh: 20 }, REQUEST);
    expect(chill).toMatchObject({ windChillC: expect.closeTo(-17.9, 0) });
    expect(asked).toEqual([]);
    const [search = ''] = SOLVERS.keys();
    expect(await controller().run(search, { jobs: [] }, REQUEST)).toBe('solved');
    expect(asked).toEqual([[search, { jobs: [] }]]);
  });

  it('name the field that is wrong, and a sum that there is not', async () => {
    await expect(
      controller().run('wind-chill', { airTempC: 'cold', windKmh: 20 }, REQUEST),
    ).rejects.toMatchObject({
      status: 400,
      response: { error: { field: 'airTempC' } },
    });
    await expect(controller().run('moon', {}, REQUEST)).rejects.toMatchObject({ status: 404 });
    const error = { code: 'out-of-range', field: 'jobs', message: 'jobs: too many' } as const;
    const [search = ''] = SOLVERS.keys();
    await expect(controller({ ok: false, error }).run(search, {}, REQUEST)).rejects.toMatchObject({
      response: { error },
    });
  });
});
