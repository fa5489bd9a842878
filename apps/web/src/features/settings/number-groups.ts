import {
  HOUSE_NUMBERS,
  HOUSE_RULES,
  type HouseChoices,
  LIMITS,
  PRICES,
  SEASON_JOBS,
  SEASON_NUMBERS,
  type SeasonJobRow,
  type Settings,
} from '@keen/core';
import type { SettingsChange } from '../../api/queries.js';
import { SEASON_JOB_NAMES, SEASON_NAMES } from '../../words/car-names.js';
import type { NumberRow } from './number-rows.js';
import { isAbout, type SubjectId } from './subjects.js';
import { capital } from './units-section.js';

/** Numbers that stand together. */
export interface NumberGroup {
  readonly key: string;
  readonly subject: SubjectId;
  readonly title: string;
  /** Behind the title: when it is done, for instance. */
  readonly note: string;
  readonly rows: readonly NumberRow[];
  readonly values: Readonly<Record<string, number>>;
  /** What is sent to keep one of them. */
  readonly change: (id: string, value: number) => SettingsChange;
}

function seasonsText({ seasons, everyDays }: SeasonJobRow): string {
  const when = new Intl.ListFormat('en').format(seasons.map((season) => SEASON_NAMES[season]));
  return everyDays === null ? `once ${when}` : `every ${everyDays} days ${when}`;
}

const seasonGroup = (job: SeasonJobRow, season: Settings['season']): NumberGroup => ({
  key: job.id,
  subject: 'season',
  title: capital(SEASON_JOB_NAMES[job.id]),
  note: seasonsText(job),
  rows: SEASON_NUMBERS.filter(({ jobId }) => jobId === job.id).map((row) => ({
    ...row,
    means: `${SEASON_JOB_NAMES[job.id]}: ${row.means}`,
    origin: 'judgement',
  })),
  values: season,
  change: (id, value) => ({ season: { [id]: value } }),
});

/** Every number that decides, by subject. */
export const numberGroups = ({ house, limits, season, prices }: Settings): readonly NumberGroup[] => [
  {
    key: 'rules',
    subject: 'rules',
    title: 'House rules',
    note: '',
    rows: HOUSE_NUMBERS.map((row) => ({ ...row, origin: 'judgement' })),
    values: house.numbers,
    change: (id, value) => ({ house: { numbers: { [id]: value } } }),
  },
  {
    key: 'limits',
    subject: 'limits',
    title: 'Limits that decide a verdict',
    note: '',
    rows: LIMITS.map((row) => ({ ...row, origin: `${row.status}, ${row.source}` })),
    values: limits,
    change: (id, value) => ({ limits: { [id]: value } }),
  },
  ...SEASON_JOBS.map((job) => seasonGroup(job, season)),
  {
    key: 'worth',
    subject: 'worth',
    title: 'What things are worth',
    note: '',
    rows: PRICES.map((row) => ({ ...row, origin: 'judgement' })),
    values: prices,
    change: (id, value) => ({ prices: { [id]: value } }),
  },
];

const isChanged = ({ values }: NumberGroup, { id, value }: NumberRow): boolean => values[id] !== value;

/** What is looked for: words, and whether only what differs from what was shipped. */
export interface Wanted {
  readonly text: string;
  readonly onlyChanged: boolean;
}

/** The groups with those of their rows that are looked for; groups without any are left out. */
export const groupsFound = (groups: readonly NumberGroup[], { text, onlyChanged }: Wanted): NumberGroup[] =>
  groups
    .map((group) => ({
      ...group,
      rows: group.rows.filter(
        (row) =>
          (!onlyChanged || isChanged(group, row)) &&
          isAbout(text, group.title, row.means, row.origin, row.unit),
      ),
    }))
    .filter(({ rows }) => rows.length > 0);

/** Questions of the house that are looked for. */
export const rulesFound = (
  choices: HouseChoices,
  { text, onlyChanged }: Wanted,
): readonly (keyof HouseChoices)[] =>
  HOUSE_RULES.filter(
    ({ id, question, moves, options }) =>
      (!onlyChanged || choices[id] !== options[0]?.id) &&
      isAbout(text, question, moves, ...options.map(({ says }) => says)),
  ).map(({ id }) => id);

/** How many settings of a subject differ from what was shipped. */
export function changedCount(
  subject: SubjectId,
  groups: readonly NumberGroup[],
  choices: HouseChoices,
): number {
  const numbers = groups
    .filter((group) => group.subject === subject)
    .reduce((sum, group) => sum + group.rows.filter((row) => isChanged(group, row)).length, 0);
  return subject === 'rules'
    ? numbers + rulesFound(choices, { text: '', onlyChanged: true }).length
    : numbers;
}
