import { readFileSync } from 'node:fs';
import type { SchemaObject } from '@nestjs/swagger';

/** One operation as its controller has it. */
export interface Operation {
  /** Class and method, which is also its name in the description. */
  readonly name: string;
  readonly summary: string;
  /** Of the answer; null: it answers with nothing, a file or a stream. */
  readonly type: string | null;
  /** Names of the classes that its body and its query are checked by. */
  readonly body: string | null;
  readonly query: string | null;
}

export interface Operations {
  readonly operations: readonly Operation[];
  readonly schemas: Readonly<Record<string, SchemaObject>>;
}

/** What `npm run api` took from the source; found beside the bundle as well as beside what it is made of. */
export const readOperations = (): Operations =>
  JSON.parse(readFileSync(new URL('../openapi/operations.json', import.meta.url), 'utf8')) as Operations;
