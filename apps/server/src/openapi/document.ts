import type { INestApplication } from '@nestjs/common';
import { ModulesContainer } from '@nestjs/core';
import { allSums, schemasOf } from '@keen/core';
import {
  type ContentObject,
  DocumentBuilder,
  type OpenAPIObject,
  SwaggerModule,
  type OperationObject,
  type ParameterObject,
  type ReferenceObject,
  type ResponsesObject,
} from '@nestjs/swagger';
import { sample } from 'openapi-sampler';
import { VERSION } from '../health/health.controller.js';
import { FAULTS, type Shape } from './faults.js';
import { type Operation, type Operations, readOperations } from './operations.js';
import { REFERENCE, type RequestClass, requestSchemas, type Schemas } from './requests.js';
import { withUnits } from './units.js';

const reference = (name: string): ReferenceObject => ({ $ref: `${REFERENCE}${name}` });

/** Fields of a query class as parameters, each as it is checked. */
function queryOf(name: string | null, schemas: Schemas): ParameterObject[] {
  const { properties = {}, required = [] } = (name !== null && schemas[name]) || {};
  return Object.entries(properties).map(([field, schema]) => ({
    name: field,
    in: 'query',
    required: required.includes(field),
    schema,
  }));
}

/** What is answered when all goes well, under the status that the route has. */
function answered(described: OperationObject, { name, type }: Operation, example: unknown): ResponsesObject {
  const [status = '200'] = Object.keys(described.responses).filter((code) => code.startsWith('2'));
  const before = described.responses[status];
  const given = before && 'content' in before ? before.content : undefined;
  const json: ContentObject = { 'application/json': { schema: reference(name), example } };
  const text: ContentObject = { 'text/calendar': { schema: { type: 'string' } } };
  const content = type === null ? given : type === 'string' ? text : json;
  return { [status]: { description: type === null ? 'Done.' : 'The answer.', ...(content && { content }) } };
}

function faultsOf(shape: Shape): ResponsesObject {
  const example = {
    error: { code: 'bad-field', field: 'startMs', message: 'startMs lies outside the forecast.' },
  };
  const content = { 'application/json': { schema: reference('ErrorBody'), example } };
  return Object.fromEntries(
    FAULTS.filter(({ when }) => when(shape)).map(({ status, description }) => [
      status,
      { description, content },
    ]),
  );
}

function bodyOf({ body }: Operation, described: OperationObject, exampleOf: (name: string) => unknown) {
  if (body === null) return described.requestBody;
  const content = { 'application/json': { schema: reference(body), example: exampleOf(body) } };
  return { required: true, content };
}

/** The classes by which the routes check what is sent to them. */
function classesOf(app: INestApplication): RequestClass[] {
  const controllers = [...app.get(ModulesContainer).values()].flatMap((module) => [
    ...module.controllers.values(),
  ]);
  const types = controllers.flatMap(({ metatype }) => {
    const prototype = (metatype as RequestClass).prototype as object;
    return Object.getOwnPropertyNames(prototype).flatMap(
      (method) =>
        (Reflect.getMetadata('design:paramtypes', prototype, method) as RequestClass[] | undefined) ?? [],
    );
  });
  return [...new Set(types)].filter((one) => one?.name.endsWith('Dto'));
}

/** Each sum of the reference desk as an operation of its own, described by what checks it. */
function sumPaths(schemas: Schemas, exampleOf: (name: string) => unknown): OpenAPIObject['paths'] {
  const described = allSums().map((sum) => {
    const { input, output } = schemasOf(sum);
    const [takes, gives] = [`sum-${sum.name}-input`, `sum-${sum.name}-output`];
    Object.assign(schemas, { [takes]: input, [gives]: output });
    const operation: Operation = {
      name: `CalcController_run-${sum.name}`,
      summary: sum.question,
      type: gives,
      body: takes,
      query: null,
    };
    const json = (name: string): ContentObject => ({
      'application/json': { schema: reference(name), example: exampleOf(name) },
    });
    const post: OperationObject = {
      operationId: operation.name,
      tags: ['calculators'],
      summary: operation.summary,
      requestBody: { required: true, content: json(takes) },
      responses: {
        '200': { description: 'The answer.', content: json(gives) },
        ...faultsOf({ operation, method: 'post', hasPath: false }),
      },
    };
    return [`/api/calc/${sum.name}`, { post }];
  });
  return Object.fromEntries(described) as OpenAPIObject['paths'];
}

/** An example of a schema that fits it. */
const examplesOf =
  (schemas: Schemas) =>
  (name: string): unknown =>
    sample(reference(name), { quiet: true }, { components: { schemas } });

/** One operation as the framework found it, with what its method says of it. */
function describedAs(
  described: OperationObject,
  method: string,
  { byName, schemas, exampleOf }: Described,
): OperationObject {
  const operation = byName.get(described.operationId ?? '');
  if (!operation) return described;
  const path = (described.parameters ?? []).filter(
    (one): one is ParameterObject => 'in' in one && one.in === 'path',
  );
  const shape = { operation, method, hasPath: path.length > 0 };
  const example =
    operation.type === null || operation.type === 'string' ? undefined : exampleOf(operation.name);
  const requestBody = bodyOf(operation, described, exampleOf);
  return {
    ...described,
    summary: operation.summary,
    parameters: [...path, ...queryOf(operation.query, schemas)],
    ...(requestBody && { requestBody }),
    responses: { ...answered(described, operation, example), ...faultsOf(shape) },
  };
}

interface Described {
  readonly byName: ReadonlyMap<string, Operations['operations'][number]>;
  readonly schemas: Schemas;
  readonly exampleOf: (name: string) => unknown;
}

/**
 * What the API takes and answers. Requests are described by what checks them, answers by the types of the methods that give them.
 *
 * Source of the answers: `operations.json`, which `npm run api` writes and a test compares.
 */
export function apiDocument(app: INestApplication, from: Operations = readOperations()): OpenAPIObject {
  const about = new DocumentBuilder()
    .setTitle('Keen Rinse')
    .setDescription(
      'Instants are milliseconds since 1970 UTC in fields ending in Ms; the calculators take ISO 8601. Fields carry their unit in their name.',
    )
    .setVersion(VERSION)
    .setOpenAPIVersion('3.1.0')
    .build();
  const document = SwaggerModule.createDocument(app, about);
  const schemas = withUnits({ ...requestSchemas(classesOf(app)), ...from.schemas }) as Schemas;
  const exampleOf = examplesOf(schemas);
  const byName = new Map(from.operations.map((operation) => [operation.name, operation]));
  const known = { byName, schemas, exampleOf };
  const paths = Object.fromEntries(
    Object.entries(document.paths).map(([path, item]) => [
      path,
      Object.fromEntries(
        Object.entries(item as Record<string, OperationObject>).map(([method, one]) => [
          method,
          describedAs(one, method, known),
        ]),
      ),
    ]),
  );
  Object.assign(paths, sumPaths(schemas, exampleOf));
  return { ...document, paths, components: { ...document.components, schemas } };
}
