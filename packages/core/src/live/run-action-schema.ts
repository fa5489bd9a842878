import { z } from 'zod';
import { SPOTS_FOUND } from '../log/index.js';
import { FieldError, MOST_MINOR } from '../quantity/index.js';
import { SEASON_JOB_IDS, WATER_BEHAVIOURS } from '../vehicle/index.js';
import { READING_ORIGINS, type RunAction, SKIP_REASONS } from './run-action.js';

const EARLIEST_MS = 946_684_800_000;
const LATEST_MS = 4_102_444_800_000;

const id = z.string().min(1).max(64);
const panel = z.enum(['roof', 'bonnet', 'boot', 'windscreen', 'left', 'right', 'front', 'rear']);
const minor = z.int().min(0).max(MOST_MINOR).nullable();
const towels = z.int().min(0).max(200).nullable();

const found = z.object({
  icePanels: z.array(panel).max(8),
  spots: z.enum(SPOTS_FOUND),
  leftovers: z.string().max(500),
  note: z.string().max(2000),
  behaviour: z.partialRecord(panel, z.enum(WATER_BEHAVIOURS)).optional(),
});

const deed = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('start'), packId: id }),
  z.object({ kind: z.literal('begin'), step: id }),
  z.object({ kind: z.literal('end'), step: id }),
  z.object({ kind: z.literal('skip'), step: id, reason: z.enum(SKIP_REASONS) }),
  z.object({ kind: z.literal('sooner'), step: id }),
  z.object({ kind: z.literal('pause') }),
  z.object({ kind: z.literal('resume') }),
  z.object({ kind: z.literal('product-on'), step: id, part: z.string().max(40) }),
  z.object({ kind: z.literal('product-off'), timer: id }),
  z.object({ kind: z.literal('meter-on') }),
  z.object({ kind: z.literal('meter-off') }),
  z.object({ kind: z.literal('wet'), panel }),
  z.object({ kind: z.literal('wiped'), panel }),
  z.object({
    kind: z.literal('reading'),
    of: z.union([panel, z.literal('air')]),
    tempC: z.number().min(-60).max(80),
    origin: z.enum(READING_ORIGINS),
  }),
  z.object({ kind: z.literal('note'), text: z.string().trim().min(1).max(1000) }),
  z.object({ kind: z.literal('photo'), photoId: id, caption: z.string().max(1000) }),
  z.object({ kind: z.literal('undo'), tap: id }),
  z.object({
    kind: z.literal('close'),
    found,
    used: z.object({ paidMinor: minor, foldedTowels: towels, dryingTowels: towels }),
    extras: z.array(z.enum(SEASON_JOB_IDS)).max(SEASON_JOB_IDS.length).optional(),
  }),
]);

const action = z.object({
  id,
  tap: id,
  deviceId: id,
  count: z.int().min(0),
  atMs: z.int().min(EARLIEST_MS).max(LATEST_MS),
  deed,
});

const actions = z.array(action).max(500);

/**
 * Checks actions that come from a phone.
 *
 * @throws FieldError naming the action and its field, as `actions.3.deed.tempC`
 */
export function checkedActions(given: unknown): RunAction[] {
  const parsed = actions.safeParse(given);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  const field = ['actions', ...(issue?.path ?? [])].join('.');
  throw new FieldError('out-of-range', field, `${field}: ${issue?.message ?? 'not an action'}`);
}
