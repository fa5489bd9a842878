import {
  type CallHandler,
  type ExecutionContext,
  Injectable,
  type NestInterceptor,
  StreamableFile,
} from '@nestjs/common';
import type { Request } from 'express';
import { map, type Observable } from 'rxjs';
import { operationOf } from './access.guard.js';
import type { Asker } from './access.service.js';

/** Money by its name: amounts in minor units, and lists of prices. */
const MONEY = /Minor$|^prices$|^priceList$/;
/** What is put into the meter of a bay: who washes there pays it. */
const COINS: ReadonlySet<string> = new Set(['tariff', 'money', 'paidMinor', 'savedMinor']);

/** The same without a figure of money, but for coins: numbers under such names are null. */
export function withoutMoney(value: unknown, isMoney = false): unknown {
  if (typeof value === 'number') return isMoney ? null : value;
  if (Array.isArray(value)) return value.map((one: unknown) => withoutMoney(one, isMoney));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, one]: [string, unknown]) => [
      name,
      COINS.has(name) ? one : withoutMoney(one, isMoney || MONEY.test(name)),
    ]),
  );
}

const isOwn = (wash: unknown, workerId: string | null): boolean =>
  workerId !== null &&
  typeof wash === 'object' &&
  wash !== null &&
  'workerId' in wash &&
  wash.workerId === workerId;

/** Cars by what a helper has to tell them apart by: not whose they are, nor what is noted of them. */
const byName = (cars: unknown): unknown => {
  if (Array.isArray(cars)) return cars.map(byName);
  return typeof cars === 'object' && cars !== null ? { ...cars, keeper: '', notes: '' } : cars;
};

/** A helper sees no prices, of the washes only their own, and cars by name. */
@Injectable()
export class ForHelper implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { who } = context.switchToHttp().getRequest<Request & { who?: Asker }>();
    if (who?.role !== 'helper') return next.handle();
    const operation = operationOf(context);
    const isList = operation === 'WashesController_list';
    return next.handle().pipe(
      map((answer: unknown) => {
        if (answer instanceof StreamableFile) return answer;
        const own =
          isList && Array.isArray(answer) ? answer.filter((wash) => isOwn(wash, who.workerId)) : answer;
        return withoutMoney(operation.startsWith('VehiclesController_') ? byName(own) : own);
      }),
    );
  }
}
