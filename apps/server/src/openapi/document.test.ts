import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { OpenAPIObject, OperationObject, SchemaObject } from '@nestjs/swagger';
import Ajv2020 from 'ajv/dist/2020.js';
import { startTestApp, type TestApp } from '../testing/test-app.js';
import { apiDocument } from './document.js';
import { readOperations } from './operations.js';

let running: TestApp;
let document: OpenAPIObject;
beforeAll(async () => {
  running = await startTestApp();
  document = apiDocument(running.app);
});
afterAll(() => running.close());

const operations = (): [string, OperationObject][] =>
  Object.entries(document.paths).flatMap(([path, item]) =>
    Object.entries(item as Record<string, OperationObject>).map(
      ([method, one]): [string, OperationObject] => [`${method} ${path}`, one],
    ),
  );

describe('the description of the API', () => {
  it('has a summary, an answer and errors for every operation', () => {
    expect(operations().length).toBeGreaterThan(100);
    const lacking = operations().filter(
      ([, { summary, responses }]) =>
        !summary ||
        !('default' in responses) ||
        !Object.keys(responses).some((status) => status.startsWith('2')),
    );
    expect(lacking.map(([name]) => name)).toEqual([]);
  });

  it('has an example that fits for each body and each answer', () => {
    const ajv = new Ajv2020.default({ strict: false, validateFormats: false });
    ajv.addSchema(document, 'doc');
    const faults = operations().flatMap(([name, { requestBody, responses }]) => {
      const answers = Object.entries(responses).map(([status, one]) => [`${name} ${status}`, one] as const);
      return [[`${name} body`, requestBody] as const, ...answers].flatMap(([what, one]) => {
        const json = one && 'content' in one ? one.content?.['application/json'] : undefined;
        const schema = json?.schema;
        if (!schema || !('$ref' in schema)) return [];
        const fits = ajv.getSchema(`doc${schema.$ref}`);
        return fits?.(json.example) ? [] : [`${what}: ${ajv.errorsText(fits?.errors)}`];
      });
    });
    expect(faults).toEqual([]);
  });

  it('says of a query what can be sent in one', () => {
    const { parameters = [] } = document.paths['/api/verdicts/cell']?.get ?? {};
    const named = parameters.map((one) => ('name' in one ? [one.name, one.schema] : []));
    expect(Object.fromEntries(named)).toMatchObject({
      startMs: { type: 'integer' },
      products: { type: 'string' },
    });
  });

  it('describes each sum of the reference desk by what checks it', () => {
    const { requestBody, summary } = document.paths['/api/calc/film']?.post ?? {};
    expect(summary).toBeTruthy();
    expect(JSON.stringify(requestBody)).toContain('sum-film-input');
    const fieldsOf = (name: string) =>
      (document.components?.schemas?.[name] as SchemaObject | undefined)?.properties;
    expect(fieldsOf('sum-film-input')?.filmGramsPerM2).toMatchObject({ unit: 'g/m²' });
    expect(fieldsOf('sum-sun-input')?.latitudeDeg).toMatchObject({ minimum: -90, maximum: 90 });
  });

  it('says the unit of every number that has one in its name, and the range of what is checked', () => {
    const { schemas = {} } = document.components ?? {};
    const place = schemas.CreatePlaceDto as SchemaObject;
    expect(place.properties?.latitudeDeg).toMatchObject({
      minimum: -90,
      maximum: 90,
      description: 'Unit: °.',
    });
    expect(place.required).toContain('latitudeDeg');
    const wash = schemas.WashRecord as SchemaObject;
    expect(wash.properties?.startMs).toMatchObject({ description: expect.stringContaining('ms since 1970') });
  });

  it('refers to nothing that it does not have', () => {
    const { schemas = {} } = document.components ?? {};
    const names = [...JSON.stringify(document).matchAll(/"#\/components\/schemas\/([^"]+)"/g)].map(
      ([, name]) => name,
    );
    expect([...new Set(names)].filter((name) => name !== undefined && !(name in schemas))).toEqual([]);
  });

  it('is what the source says; after a change run npm run api and read what moved', () => {
    const root = resolve(import.meta.dirname, '../../../..');
    const read = `import { readAnswers } from './scripts/api/answers.mjs'; process.stdout.write(JSON.stringify(readAnswers(process.cwd())));`;
    const { stdout, stderr } = spawnSync('node', ['--input-type=module', '-e', read], {
      cwd: root,
      encoding: 'utf8',
      maxBuffer: 2 ** 25,
    });
    expect(stderr).toBe('');
    expect(JSON.parse(stdout)).toEqual(readOperations());
  });
});
