import { Button, Menu } from '@mantine/core';
import { lastWater, type PlaceRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { methodName, nameOf } from '../../words/names.js';
import { PLACE_KIND_NAMES, TAP_NAMES } from '../../words/place-words.js';
import card from '../../parts/drawn-card.module.css';
import classes from './place-card.module.css';
import { OwnerOnly } from '../../parts/owner-only.js';
import { MoreMenu } from '../../parts/more-menu.js';
import { PlacePlan } from './place-plan.js';

/** "5 min away; finished at the unit, 5 min on". */
function wayText(
  { travelMinutes, finishAt }: PlaceRecord,
  places: readonly PlaceRecord[],
  format: Format,
): string {
  const away = travelMinutes === 0 ? 'here' : `${format.minutes(travelMinutes)} away`;
  const second = finishAt && places.some(({ id }) => id === finishAt.placeId);
  return second
    ? `${away}; finished at ${nameOf(places, finishAt.placeId)}, ${format.minutes(finishAt.driveMinutes)} on`
    : away;
}

/** "a meter: $5.00 for 4 min, then $2.00 for 2 min", or what a visit costs. */
function payText({ tariff, methods }: PlaceRecord, format: Format): string {
  const visits = methods
    .filter(({ priceMinor }) => priceMinor !== 0)
    .map(({ methodId, priceMinor }) => `${methodName(methodId)} ${format.money(priceMinor)}`);
  if (tariff) {
    const { startPriceMinor, startSeconds, blockPriceMinor, blockSeconds } = tariff;
    const meter = `meter: ${format.money(startPriceMinor)} for ${format.minutes(startSeconds / 60)}, then ${format.money(blockPriceMinor)} for ${format.minutes(blockSeconds / 60)}`;
    return [...visits, meter].join('; ');
  }
  return visits.length === 0 ? 'nothing' : visits.join('; ');
}

interface PlaceCardProps {
  readonly place: PlaceRecord;
  readonly places: readonly PlaceRecord[];
  readonly nowMs: number;
  readonly onEdit: () => void;
  readonly onDelete: () => void;
}

/** One place: drawn from above, with what decides a wash there. */
export function PlaceCard({ place, places, nowMs, onEdit, onDelete }: PlaceCardProps) {
  const format = useFormat();
  const { name, kind, hasDrain, hasLight, tap, notes, methods } = place;
  const water = lastWater(place);
  const facts = [
    {
      term: 'Last water',
      text: `${water.name}, ${format.hardness(water.hardnessMgPerLitre)} (${water.origin})`,
    },
    { term: 'Floor', text: `${hasDrain ? 'drain' : 'no drain'}, ${hasLight ? 'lamps' : 'no lamps'}` },
    { term: 'Tap', text: TAP_NAMES[tap].toLowerCase() },
    { term: 'To pay', text: payText(place, format) },
  ];
  return (
    <li className={card.card}>
      <PlacePlan place={place} nowMs={nowMs} />
      <div>
        <h2>{name}</h2>
        <p className="muted">
          {PLACE_KIND_NAMES[kind]}, {wayText(place, places, format)} · {methods.length}{' '}
          {methods.length === 1 ? 'way' : 'ways'} to wash
        </p>
        <dl className={classes.facts}>
          {facts.map(({ term, text }) => (
            <div key={term} style={{ display: 'contents' }}>
              <dt>{term}</dt>
              <dd>{text}</dd>
            </div>
          ))}
        </dl>
        {notes && <p className="muted">{notes}</p>}
      </div>
      <OwnerOnly>
        <div className={`${card.acts} no-print`}>
          <Button variant="default" onClick={onEdit} aria-label={`Edit ${name}`}>
            Edit
          </Button>
          <MoreMenu about={name}>
            <Menu.Item onClick={onDelete}>Delete</Menu.Item>
          </MoreMenu>
        </div>
      </OwnerOnly>
    </li>
  );
}
