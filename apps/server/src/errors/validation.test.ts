import { describe, expect, it, jest } from '@jest/globals';
import { type ArgumentsHost, BadRequestException, HttpException, Logger } from '@nestjs/common';
import { Type } from 'class-transformer';
import { IsInt, IsString, Max, ValidateNested } from 'class-validator';
import { badField, conflict, notFound } from './api-error.js';
import { answerFor, ErrorFilter } from './error.filter.js';
import { validation } from './validation.js';

class Wheel {
  @IsInt() @Max(9) nuts: number;
}
class Car {
  @IsString() name: string;
  @ValidateNested() @Type(() => Wheel) wheel: Wheel;
}
const check = (body: unknown): Promise<unknown> =>
  validation().transform(body, { type: 'body', metatype: Car }) as Promise<unknown>;

describe('a request that does not fit', () => {
  const faultsOf = async (body: unknown): Promise<unknown> => {
    try {
      await check(body);
      return null;
    } catch (error) {
      const { error: first } = (error as BadRequestException).getResponse() as {
        error: { code: string; field: string; others: { code: string; field: string }[] };
      };
      return [first, ...first.others].map(({ code, field }) => [code, field]);
    }
  };

  it('passes where it does', async () => {
    expect(await check({ name: 'a', wheel: { nuts: 5 } })).toBeInstanceOf(Car);
  });

  it('is reported fault by fault, with the way to the field', async () => {
    expect(await faultsOf({ wheel: { nuts: 12 } })).toEqual([
      ['missing-field', 'name'],
      ['bad-field', 'wheel.nuts'],
    ]);
    expect(await faultsOf({ name: 3, wheel: { nuts: 1 }, colour: 'red' })).toEqual([
      ['unknown-field', 'colour'],
      ['bad-field', 'name'],
    ]);
    expect(await faultsOf({ name: 'a', wheel: { nuts: 1, bolts: 2 } })).toEqual([
      ['unknown-field', 'wheel.bolts'],
    ]);
  });

  it('names the field in its words', async () => {
    await expect(check({ name: 'a', wheel: { nuts: 12 } })).rejects.toMatchObject({
      response: { error: { message: expect.stringContaining('wheel.nuts') } },
    });
    await expect(check({ name: 'a', wheel: { nuts: 1 }, colour: 1 })).rejects.toMatchObject({
      response: { error: { message: 'colour is not a field here.' } },
    });
  });
});

describe('an error that is thrown on purpose', () => {
  it.each([
    { error: badField('name', 'name is empty.'), status: 400, code: 'bad-field', field: 'name' },
    { error: notFound('wash', 'w7'), status: 404, code: 'not-found', field: 'wash' },
    { error: conflict('startMs', 'taken'), status: 409, code: 'conflict', field: 'startMs' },
  ])('$code keeps its field', ({ error, status, code, field }) => {
    expect(answerFor(error)).toMatchObject({ status, body: { error: { code, field } } });
  });

  it.each([
    [400, 'bad-request'],
    [403, 'forbidden'],
    [404, 'not-found'],
    [409, 'conflict'],
    [413, 'too-large'],
    [418, 'failed'],
  ])('of the framework with %p is %p', (status, code) => {
    expect(answerFor(new HttpException('so it says', status))).toEqual({
      status,
      body: { error: { code, field: null, message: 'so it says' } },
    });
  });

  it.each([{ error: null }, { error: 'text' }, 'text', { other: 1 }])(
    'is not taken for ours as %j',
    (body) => {
      expect(answerFor(new HttpException(body as object, 400)).body.error.code).toBe('bad-request');
    },
  );
});

describe('what goes out', () => {
  const caught = (error: unknown, headersSent = false) => {
    const sent: unknown[] = [];
    const response = {
      headersSent,
      status: (status: number) => ({ json: (body: unknown) => sent.push([status, body]) }),
    };
    const logged = jest.spyOn(Logger.prototype, 'error').mockImplementation(() => undefined);
    new ErrorFilter().catch(error, {
      switchToHttp: () => ({ getResponse: () => response }),
    } as unknown as ArgumentsHost);
    const count = logged.mock.calls.length;
    logged.mockRestore();
    return { sent, count };
  };

  it('is written down where it is the program’s own fault, and only then', () => {
    expect(caught(notFound('wash', 'w')).count).toBe(0);
    expect(caught(new Error('broken')).count).toBe(1);
    expect(caught('broken').count).toBe(1);
    expect(caught(new HttpException('x', 499)).count).toBe(0);
    expect(caught(new HttpException('x', 500)).count).toBe(1);
  });

  it('is sent once', () => {
    expect(caught(notFound('wash', 'w')).sent).toMatchObject([[404, { error: { field: 'wash' } }]]);
    expect(caught(notFound('wash', 'w'), true).sent).toEqual([]);
  });
});
