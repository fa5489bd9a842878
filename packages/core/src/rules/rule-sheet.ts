import { METHODS } from '../method/index.js';
import { LIMITS } from './data/limits.js';
import { RULES } from './judge-all.js';

const limitTable = (): string[] => [
  '| limit | shipped as | range | unit | what it means | status | source |',
  '|---|---|---|---|---|---|---|',
  ...LIMITS.map(
    ({ id, value, min, max, unit, means, status, source }) =>
      `| \`${id}\` | ${value} | ${min} to ${max} | ${unit} | ${means} | ${status} | ${source} |`,
  ),
];

const ruleSections = (): string[] =>
  RULES.flatMap((rule, i) => [
    `### ${i + 1}. \`${rule.id}\``,
    '',
    rule.question,
    '',
    `- sign: ${rule.glyph}`,
    `- reads: ${rule.reads.map((name) => `\`${name}\``).join(', ')}`,
    `- limits: ${rule.limits.length > 0 ? rule.limits.map((id) => `\`${id}\``).join(', ') : 'none; it is not a matter of degree'}`,
    `- a later hour may change it: ${rule.changesWithTime ? 'yes' : 'no'}`,
    '',
  ]);

const methodTable = (): string[] => [
  '| method | at | minutes | litres | water off by | soap pH | soil up to grade | takes off upper / lower / under |',
  '|---|---|---|---|---|---|---|---|',
  ...METHODS.map(({ id, placeKinds, minutes, litres, drying, soapPh, soilCeilingGrade, removes }) => {
    const off =
      drying.kind === 'left'
        ? `machine blower, ${drying.filmShare * 100} % stays`
        : drying.sections.map((section) => `${section.id} ${section.minutes} min`).join(', ');
    return `| \`${id}\` | ${placeKinds.join(', ')} | ${minutes} | ${litres} | ${off} | ${soapPh} | ${soilCeilingGrade} | ${removes.upper} / ${removes.lower} / ${removes.under} |`;
  }),
];

/** The rule sheet as Markdown: every rule, limit and source, made from the code that decides. */
export function ruleSheet(): string {
  return [
    '# Rule sheet',
    '',
    'Made from the code by `npm run rules`; a test holds this copy against it. All rules run on every vehicle, hour, place',
    'and method. The gravest finding decides: *block*, then *unknown*, then *condition* (Go if…), then *clear*. Among equals the one',
    'nearest to, or furthest beyond, its limit is named. A block that a later hour lifts is shown as Wait.',
    '',
    '## Limits',
    '',
    ...limitTable(),
    '',
    '## Rules',
    '',
    ...ruleSections(),
    '## Methods (judgement)',
    '',
    ...methodTable(),
    '',
  ].join('\n');
}
