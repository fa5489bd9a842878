import { panelM2, type PanelId, SECTION_IDS, type SectionId, type ZoneGroup } from '../vehicle/index.js';

/** A share of a panel. */
export interface Piece {
  readonly panel: PanelId;
  readonly share: number;
}

export const PART_IDS = [
  'whole-car',
  'left-side',
  'right-side',
  'top',
  'left-flank',
  'nose',
  'right-flank',
  'tail',
  'roof',
  'windscreen',
  'left-ahead',
  'left-behind',
  'bonnet',
  'front',
  'right-ahead',
  'right-behind',
  'boot',
  'rear',
] as const;
export type PartId = (typeof PART_IDS)[number];

/** What is worked on at once, its pieces in the order in which hands reach them. */
export interface Part {
  readonly id: PartId;
  readonly pieces: readonly Piece[];
}

const whole = (panel: PanelId): Piece => ({ panel, share: 1 });
const half = (panel: PanelId): Piece => ({ panel, share: 0.5 });

/** From the top down and round the car; a side takes its half of what lies across (judgement). */
const PARTS: Readonly<Record<SectionId, readonly Part[]>> = {
  'whole-car': [
    {
      id: 'whole-car',
      pieces: ['roof', 'windscreen', 'bonnet', 'boot', 'left', 'front', 'right', 'rear'].map((panel) =>
        whole(panel as PanelId),
      ),
    },
  ],
  'one-side': (['left', 'right'] as const).map((flank) => ({
    id: `${flank}-side` as const,
    pieces: [
      half('roof'),
      half('windscreen'),
      half('bonnet'),
      half('boot'),
      whole(flank),
      half('front'),
      half('rear'),
    ],
  })),
  'two-panels': [
    { id: 'top', pieces: [whole('roof'), whole('windscreen')] },
    { id: 'left-flank', pieces: [whole('left')] },
    { id: 'nose', pieces: [whole('bonnet'), whole('front')] },
    { id: 'right-flank', pieces: [whole('right')] },
    { id: 'tail', pieces: [whole('boot'), whole('rear')] },
  ],
  'one-panel': [
    { id: 'roof', pieces: [whole('roof')] },
    { id: 'windscreen', pieces: [whole('windscreen')] },
    { id: 'left-ahead', pieces: [half('left')] },
    { id: 'left-behind', pieces: [half('left')] },
    { id: 'bonnet', pieces: [whole('bonnet')] },
    { id: 'front', pieces: [whole('front')] },
    { id: 'right-ahead', pieces: [half('right')] },
    { id: 'right-behind', pieces: [half('right')] },
    { id: 'boot', pieces: [whole('boot')] },
    { id: 'rear', pieces: [whole('rear')] },
  ],
};

/** The parts of the car, one after the other. */
export const partsOf = (section: SectionId): readonly Part[] => PARTS[section];

const BY_ID = new Map<PartId, Part>(SECTION_IDS.flatMap((id) => PARTS[id].map((part) => [part.id, part])));

/** The pieces of a part. @throws RangeError for a part that does not exist */
export function piecesOf(partId: PartId): readonly Piece[] {
  const part = BY_ID.get(partId);
  if (!part) throw new RangeError(`piecesOf: partId is ${partId}; allowed is ${PART_IDS.join(', ')}`);
  return part.pieces;
}

type HalfOfPanel = 0 | 1;

/** The halves of each panel that lie in a part: 0 the left or front one, 1 the right or rear one; no part halves a panel further. */
function halvesByPanel(section: SectionId, part: Part): ReadonlyMap<PanelId, readonly HalfOfPanel[]> {
  const holding = (panel: PanelId): Part[] =>
    PARTS[section].filter(({ pieces }) => pieces.some((piece) => piece.panel === panel));
  return new Map(
    part.pieces.map(({ panel, share }) => [
      panel,
      share === 1 ? [0, 1] : [holding(panel)[0] === part ? 0 : 1],
    ]),
  );
}

const HALVES = new Map<PartId, ReadonlyMap<PanelId, readonly HalfOfPanel[]>>(
  SECTION_IDS.flatMap((id) => PARTS[id].map((part) => [part.id, halvesByPanel(id, part)])),
);
const NONE: readonly HalfOfPanel[] = [];
const BOTH: readonly HalfOfPanel[] = [0, 1];
const WHOLE: ReadonlyMap<PanelId, readonly HalfOfPanel[]> = HALVES.get('whole-car') ?? new Map();

/** Which halves of a panel lie in a part? All of it where no part is said. */
export const halvesIn = (part: PartId | null | undefined, panel: PanelId): readonly HalfOfPanel[] =>
  part ? (HALVES.get(part)?.get(panel) ?? NONE) : BOTH;

/** The section that a part is of. */
export const sectionOfPart = (part: PartId): SectionId =>
  SECTION_IDS.find((id) => PARTS[id].some((one) => one.id === part)) ?? 'whole-car';

/** Do two parts have anything of the car in common? No part said is all of it. */
export const partsMeet = (a: PartId | null | undefined, b: PartId | null | undefined): boolean =>
  !a ||
  !b ||
  a === b ||
  [...WHOLE.keys()].some((panel) => halvesIn(a, panel).some((half) => halvesIn(b, panel).includes(half)));

/** Does one part hold all of another? */
export const partHolds = (whole: PartId | null | undefined, part: PartId | null | undefined): boolean =>
  !whole ||
  whole === part ||
  [...WHOLE.keys()].every((panel) =>
    halvesIn(part, panel).every((half) => halvesIn(whole, panel).includes(half)),
  );

const LOW_PANELS: ReadonlySet<PanelId> = new Set(['left', 'right', 'front', 'rear']);
const HIGH_PANELS: ReadonlySet<PanelId> = new Set(['roof', 'windscreen', 'bonnet', 'boot', 'left', 'right']);

/** Share of a panel that work on these groups of zones goes over: each half of the body has its half of a flank (judgement). */
export function reachedFraction(groups: readonly ZoneGroup[], panel: PanelId): number {
  const isHigh = HIGH_PANELS.has(panel);
  const isLow = LOW_PANELS.has(panel);
  const each = isHigh && isLow ? 0.5 : 1;
  return (groups.includes('upper') && isHigh ? each : 0) + (groups.includes('lower') && isLow ? each : 0);
}

/** Does work on these groups of zones touch that panel? */
export const touchesPanel = (groups: readonly ZoneGroup[], panel: PanelId): boolean =>
  reachedFraction(groups, panel) > 0;

/** Surface that work on these groups goes over in one part, m² of a saloon: shares are the same on every body (judgement). */
export const piecesM2 = (pieces: readonly Piece[], groups: readonly ZoneGroup[]): number =>
  pieces.reduce(
    (sum, { panel, share }) => sum + share * reachedFraction(groups, panel) * panelM2('saloon', panel),
    0,
  );

/** Share of all that work on these groups goes over which lies in one part, 0–1. */
export const partFraction = (part: Part, groups: readonly ZoneGroup[]): number => {
  const all = piecesM2(piecesOf('whole-car'), groups);
  return all > 0 ? piecesM2(part.pieces, groups) / all : 0;
};
