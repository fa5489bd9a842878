import type { SchemaObject } from '@nestjs/swagger';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { getMetadataStorage } from 'class-validator';
import { targetConstructorToSchema, validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { OpenHoursConstraint } from '../places/open-hours.dto.js';

export type Schemas = Record<string, SchemaObject>;
// eslint-disable-next-line typescript/no-unsafe-function-type
export type RequestClass = Function;

export const REFERENCE = '#/components/schemas/';

const MINUTE_OF_DAY: SchemaObject = { type: 'integer', minimum: 0, maximum: 1440 };
const OPEN_HOURS: SchemaObject = {
  type: 'array',
  minItems: 7,
  maxItems: 7,
  description: 'Seven weekdays, Monday first; null where closed.',
  items: {
    anyOf: [
      {
        type: 'object',
        properties: { openMinute: MINUTE_OF_DAY, closeMinute: MINUTE_OF_DAY },
        required: ['openMinute', 'closeMinute'],
        additionalProperties: false,
      },
      { type: 'null' },
    ],
  },
};

/** A text that matches each pattern that is not plain from its look. */
const MATCHING: Readonly<Record<string, string>> = {
  '^[A-Z]{3}$': 'CAD',
  '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}$': '2026-01-15T09:00',
  '^[a-z0-9-]{1,40}$': 'helper',
};

function patternOf(pattern: RegExp): SchemaObject {
  const example = MATCHING[pattern.source];
  return { type: 'string', pattern: pattern.source, ...(example !== undefined && { examples: [example] }) };
}

/** The package has types of its own for the same shape. */
type SchemaConverted = ReturnType<typeof targetConstructorToSchema>;

const OPTIONS: NonNullable<Parameters<typeof validationMetadatasToSchemas>[0]> = {
  classTransformerMetadataStorage: defaultMetadataStorage,
  refPointerPrefix: REFERENCE,
  additionalConverters: {
    matches: ({ constraints }) => patternOf(constraints[0] as RegExp) as SchemaConverted,
    customValidation: ({ constraintCls }) =>
      ((constraintCls as unknown) === OpenHoursConstraint ? OPEN_HOURS : {}) as SchemaConverted,
  },
};

/** Does a check let null pass for this field? */
function takesNull(of: RequestClass, field: string): boolean {
  const checks = getMetadataStorage().getTargetValidationMetadatas(of, '', true, false);
  const conditions = checks.filter(
    ({ propertyName, type }) => propertyName === field && type === 'conditionalValidation',
  );
  const given = { [field]: null };
  return conditions.some(({ constraints }) =>
    constraints.some((isChecked: (of: object, value: unknown) => boolean) => !isChecked(given, null)),
  );
}

function withNulls(schema: SchemaObject, of: RequestClass): SchemaObject {
  const properties = Object.entries(schema.properties ?? {}).map(([field, one]) => [
    field,
    takesNull(of, field) ? { anyOf: [one, { type: 'null' }] } : one,
  ]);
  return {
    ...schema,
    properties: Object.fromEntries(properties) as SchemaObject['properties'],
    additionalProperties: false,
  };
}

/** Every class whose fields are checked, once for each name. */
function checkedClasses(): Map<string, RequestClass> {
  const { validationMetadatas } = getMetadataStorage() as unknown as {
    readonly validationMetadatas: ReadonlyMap<RequestClass, unknown>;
  };
  return new Map([...validationMetadatas.keys()].map((one) => [one.name, one]));
}

/**
 * What requests are checked by, as schemas: ranges, kinds and which fields may be left out or null.
 *
 * @param asked classes that routes name; those without checks of their own have those of what they are made from
 */
export function requestSchemas(asked: readonly RequestClass[]): Schemas {
  const all = validationMetadatasToSchemas(OPTIONS) as Schemas;
  const classes = checkedClasses();
  const checked = Object.entries(all).map(([name, schema]) => {
    const of = classes.get(name);
    return [name, of ? withNulls(schema, of) : schema];
  });
  const named = asked.map((of) => [
    of.name,
    withNulls(targetConstructorToSchema(of, OPTIONS) as SchemaObject, of),
  ]);
  return Object.fromEntries([...checked, ...named]) as Schemas;
}
