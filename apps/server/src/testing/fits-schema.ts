import { type CallHandler, type ExecutionContext, Injectable, type NestInterceptor } from '@nestjs/common';
import Ajv2020 from 'ajv/dist/2020.js';
import { map, type Observable } from 'rxjs';
import { readOperations } from '../openapi/operations.js';

const { operations, schemas } = readOperations();
const typed = new Set(
  operations.filter(({ type }) => type !== null && type !== 'string').map(({ name }) => name),
);
const ajv = new Ajv2020.default({
  strict: false,
  validateFormats: false,
  inlineRefs: false,
  code: { optimize: false },
});
ajv.addSchema({ components: { schemas } }, 'answers');

/** In tests, an answer that is not what the API says of it is a fault of the program. */
@Injectable()
export class FitsSchema implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const name = `${context.getClass().name}_${context.getHandler().name}`;
    const { who } = context.switchToHttp().getRequest<{ who?: { role: string } }>();
    // What a helper is shown lacks every figure of money.
    return typed.has(name) && who?.role !== 'helper'
      ? next.handle().pipe(map((answer: unknown) => fitting(name, answer)))
      : next.handle();
  }
}

/** @throws where the answer of an operation, as it is sent, is not what its schema says */
export function fitting<T>(name: string, answer: T): T {
  const fits = ajv.getSchema(`answers#/components/schemas/${name}`);
  const sent = JSON.parse(JSON.stringify(answer)) as unknown;
  if (!fits?.(sent)) throw new Error(`${name} answers beside its schema: ${ajv.errorsText(fits?.errors)}`);
  return answer;
}
