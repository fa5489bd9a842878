import type { PlaceRecord, Queue } from '@keen/core';
import { KIND_FACTS, type PlaceDraft, queueHours, type QueueRow, type WaterDraft } from './place-draft.js';

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

/** The form as the server takes it. Only for a form without faults. */
export function placeFrom(draft: PlaceDraft): Omit<PlaceRecord, 'id'> {
  const {
    setpointC,
    relHumidityPercent,
    horizon,
    openings,
    offers,
    tariff,
    weekdayQueue,
    weekendQueue,
    washWater,
    finalRinse,
    finishPlaceId,
    finishMinutes,
    finishMinor,
    ...fields
  } = draft;
  const relHumidityFraction = relHumidityPercent === null ? null : relHumidityPercent / 100;
  const facts = KIND_FACTS[draft.kind];
  return {
    ...fields,
    name: fields.name.trim(),
    latitudeDeg: draft.latitudeDeg ?? 0,
    longitudeDeg: draft.longitudeDeg ?? 0,
    carHeadingDeg: draft.carHeadingDeg ?? 0,
    travelMinutes: draft.travelMinutes ?? 0,
    carsAtOnce: draft.carsAtOnce ?? 1,
    climate:
      facts.climate === 'heated'
        ? { kind: 'heated', setpointC: setpointC ?? 15, relHumidityFraction }
        : facts.climate === 'unheated'
          ? { kind: 'unheated', relHumidityFraction }
          : { kind: facts.climate },
    shelter:
      facts.shelter === 'indoors'
        ? { kind: 'indoors' }
        : facts.shelter === 'roofed'
          ? { kind: 'roofed', openings }
          : { kind: 'open', horizon },
    washWater: waterFrom(washWater),
    finalRinse: finalRinse ? waterFrom(finalRinse) : null,
    methods: offers.map(({ methodId, priceMinor }) => ({
      methodId,
      priceMinor: Math.round(priceMinor ?? 0),
    })),
    tariff: tariff && {
      startPriceMinor: Math.round(tariff.startPriceMinor ?? 0),
      startSeconds: tariff.startSeconds ?? 0,
      blockPriceMinor: Math.round(tariff.blockPriceMinor ?? 0),
      blockSeconds: tariff.blockSeconds ?? 60,
      pausable: tariff.pausable,
    },
    queue: queueFrom(weekdayQueue, weekendQueue),
    finishAt:
      finishPlaceId === null
        ? null
        : {
            placeId: finishPlaceId,
            driveMinutes: finishMinutes ?? 0,
            priceMinor: Math.round(finishMinor ?? 0),
          },
  };
}
