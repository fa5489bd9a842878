import { HOUSE_RULES } from '../house-rules/index.js';
import { EMPTY_SHELF, equip } from '../kit/index.js';
import { inWay, type Method, METHODS, waysOf } from '../method/index.js';
import { CLAIMED_LIFE_DAYS, PH_STANDS } from '../protection/index.js';
import { SALT_ZONES, TRAFFIC_SIDE_FACTOR } from '../salt/index.js';
import { type ByGroup, PROTECTIONS, ZONE_GROUPS } from '../vehicle/index.js';
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

const groups = (values: ByGroup): string => ZONE_GROUPS.map((group) => rounded(values[group])).join(' / ');
const rounded = (value: number): number => Math.round(value * 100) / 100;

/** A saloon without protection, and a kit without bottles. */
const typical = (method: Method): Method =>
  equip(method, {
    vehicle: { protection: 'bare', protections: [], delicateWheels: false },
    shelf: EMPTY_SHELF,
    sizeFactor: 1,
  });

const methodTable = (): string[] => [
  `| method | at | minutes | litres | paid s | ways, the usual one first | strongest typical pH | soil up to grade (${ZONE_GROUPS.join(' / ')}) | takes off (same order) | leaves |`,
  '|---|---|---|---|---|---|---|---|---|---|',
  ...METHODS.map((method) => {
    const soapPh = Math.max(7, ...typical(method).steps.map(({ product }) => product?.inUsePh ?? 7));
    const { id, placeKinds, minutes, litres, meterSeconds, drying, ceilingGrade, removes, leaves } = method;
    const off =
      drying.kind === 'left'
        ? `${drying.filmFraction * 100} % stays`
        : waysOf(method)
            .map((way) => `${way.id} (${inWay(method, way).minutes} min)`)
            .join(', ');
    return `| \`${id}\` | ${placeKinds.join(', ')} | ${minutes} | ${rounded(litres)} | ${meterSeconds} | ${off} | ${soapPh} | ${groups(ceilingGrade)} | ${groups(removes)} | ${leaves.join(', ')} |`;
  }),
];

const houseTable = (): string[] => [
  '| question | schools, the first as shipped | moves |',
  '|---|---|---|',
  ...HOUSE_RULES.map(
    ({ question, options, moves }) =>
      `| ${question} | ${options.map(({ id, says }) => `\`${id}\` ${says}`).join('<br>')} | ${moves} |`,
  ),
];

const protectionTable = (): string[] => [
  '| protection | stands pH | claimed life, days |',
  '|---|---|---|',
  ...PROTECTIONS.map((kind) => {
    const { low, high } = PH_STANDS[kind];
    return `| ${kind} | ${low} to ${high} | ${kind === 'bare' ? '' : CLAIMED_LIFE_DAYS[kind]} |`;
  }),
];

const saltTable = (): string[] => [
  '| zone | group | picks up | lost per mm of rain | weight in the clock |',
  '|---|---|---|---|---|',
  ...SALT_ZONES.map(
    ({ zone, group, pickUp, rainLossPerMm, weight }) =>
      `| ${zone} | ${group} | ${pickUp} | ${rainLossPerMm} | ${weight} |`,
  ),
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
    'Figures follow from the steps of each method; house rules change the steps.',
    '',
    ...methodTable(),
    '',
    '## House rules',
    '',
    ...houseTable(),
    '',
    '## Protections (judgement)',
    '',
    ...protectionTable(),
    '',
    '## Zones of the salt ledger (judgement)',
    '',
    `The flank towards passing lorries picks up ${TRAFFIC_SIDE_FACTOR} times as much.`,
    '',
    ...saltTable(),
    '',
  ].join('\n');
}
