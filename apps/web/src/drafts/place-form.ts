import type { PlaceRecord, Queue } from '@keen/core';
import { KIND_FACTS } from './kind-facts.js';
import type { PlaceDraft, WaterDraft } from './place-draft.js';
import { queueHours, type QueueRow } from './queue-rows.js';

function queueFrom(weekday: readonly QueueRow[], weekend: readonly QueueRow[]): Queue | null {
  if (weekday.length === 0 && weekend.length === 0) return null;
  return { weekdayMinutes: queueHours(weekday), weekendMinutes: queueHours(weekend) };
}

const waterFrom = (water: WaterDraft): PlaceRecord['washWater'] => ({
  ...water,
  hardnessMgPerLitre: water.hardnessMgPerLitre ?? 0,
  tdsMgPerLitre: water.tdsMgPerLitre ?? 0,
  tempC: water.tempC ?? 0,
});

/** The air as it is kept: only what the chosen way to know it says. */
function climateFrom(draft: PlaceDraft): PlaceRecord['climate'] {
  const { indoorAir, setpointC, usualC, readC, readAtMs, relHumidityPercent } = draft;
  const facts = KIND_FACTS[draft.kind];
  if (facts.shelter !== 'indoors') return { kind: facts.climate };
  const relHumidityFraction = relHumidityPercent === null ? null : relHumidityPercent / 100;
  if (indoorAir === 'kept') return { kind: 'heated', setpointC: setpointC ?? 15, relHumidityFraction };
  // What is not known is not kept, so that a place saved unchanged stays as it was.
  return {
    kind: 'unheated',
    relHumidityFraction,
    ...(indoorAir === 'model' || usualC === null ? {} : { usualC }),
    ...(indoorAir === 'read' ? { readC, readAtMs } : {}),
  };
}

function shelterFrom({ kind, openings, horizon }: PlaceDraft): PlaceRecord['shelter'] {
  const { shelter } = KIND_FACTS[kind];
  if (shelter === 'indoors') return { kind: 'indoors' };
  return shelter === 'roofed' ? { kind: 'roofed', openings } : { kind: 'open', horizon };
}

const tariffFrom = (tariff: PlaceDraft['tariff']): PlaceRecord['tariff'] =>
  tariff && {
    startPriceMinor: Math.round(tariff.startPriceMinor ?? 0),
    startSeconds: tariff.startSeconds ?? 0,
    blockPriceMinor: Math.round(tariff.blockPriceMinor ?? 0),
    blockSeconds: tariff.blockSeconds ?? 60,
    pausable: tariff.pausable,
  };

const finishFrom = ({ finishPlaceId, finishMinutes, finishMinor }: PlaceDraft): PlaceRecord['finishAt'] =>
  finishPlaceId === null
    ? null
    : {
        placeId: finishPlaceId,
        driveMinutes: finishMinutes ?? 0,
        priceMinor: Math.round(finishMinor ?? 0),
      };

const numbersFrom = (draft: PlaceDraft) => ({
  latitudeDeg: draft.latitudeDeg ?? 0,
  longitudeDeg: draft.longitudeDeg ?? 0,
  carHeadingDeg: draft.carHeadingDeg ?? 0,
  travelMinutes: draft.travelMinutes ?? 0,
  carsAtOnce: draft.carsAtOnce ?? 1,
});

const offersFrom = (offers: PlaceDraft['offers']): PlaceRecord['methods'] =>
  offers.map(({ methodId, priceMinor }) => ({ methodId, priceMinor: Math.round(priceMinor ?? 0) }));

/** The form as the server takes it. Only for a form without faults. */
export function placeFrom(draft: PlaceDraft): Omit<PlaceRecord, 'id'> {
  const {
    indoorAir: _air,
    setpointC: _setpoint,
    usualC: _usual,
    readC: _read,
    readAtMs: _readAt,
    relHumidityPercent: _humidity,
    horizon: _horizon,
    openings: _openings,
    offers,
    tariff,
    weekdayQueue,
    weekendQueue,
    washWater,
    finalRinse,
    finishPlaceId: _finishAt,
    finishMinutes: _finishMinutes,
    finishMinor: _finishMinor,
    ...fields
  } = draft;
  return {
    ...fields,
    name: fields.name.trim(),
    dryingSpot: fields.dryingSpot.trim(),
    ...numbersFrom(draft),
    climate: climateFrom(draft),
    shelter: shelterFrom(draft),
    washWater: waterFrom(washWater),
    finalRinse: finalRinse ? waterFrom(finalRinse) : null,
    methods: offersFrom(offers),
    tariff: tariffFrom(tariff),
    queue: queueFrom(weekdayQueue, weekendQueue),
    finishAt: finishFrom(draft),
  };
}
