import type {
  ChangedWashes,
  PlanView,
  PricedOption,
  SeasonJobId,
  VehicleRecord,
  WashRecord,
} from '@keen/core';
import { inverseOf, useAcceptPlan, useChangeWashes, useMarkWash } from '../../api/plan-queries.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, sayWithUndo } from '../../parts/notices.js';
import { nameOf } from '../../words/names.js';
import { type Block, changesText } from './plan-view.js';

/** Changes to the plan, each said and undoable. */
export function useActs(vehicles: readonly VehicleRecord[]) {
  const format = useFormat();
  const change = useChangeWashes();
  const accept = useAcceptPlan();
  const mark = useMarkWash();
  const say = (changed: Promise<ChangedWashes>, text: string): void =>
    void sayWithUndo(changed, text, (was) => change.mutateAsync(inverseOf(was)));
  const changeIt = (to: Parameters<typeof change.mutate>[0], text: string): void =>
    say(change.mutateAsync(to), text);
  const markIt = (to: Parameters<typeof mark.mutate>[0]): void =>
    void mark.mutateAsync(to).catch(noticeOfFailure);
  const nameOfCar = (vehicleId: string): string => nameOf(vehicles, vehicleId);
  const moveTo = (
    vehicleId: string,
    washId: string | null,
    to: { window: PricedOption['window']; workerId: string },
  ) => {
    const { placeId, methodId, startMs, extras } = to.window;
    const slot = { placeId, methodId, startMs, workerId: to.workerId, extras: extras.jobIds, isLocked: true };
    const where = `${nameOfCar(vehicleId)} planned for ${format.dayTime(startMs)}, and locked there.`;
    const body = washId === null ? { add: [{ vehicleId, ...slot }] } : { move: [{ id: washId, ...slot }] };
    changeIt(body, where);
  };
  return {
    isBusy: change.isPending || accept.isPending,
    moveTo,
    remove: ({ wash, vehicleId }: Block) =>
      wash && changeIt({ remove: [wash.id] }, `${nameOfCar(vehicleId)} removed from the plan.`),
    lock: ({ wash }: Block) => wash && markIt({ id: wash.id, isLocked: !wash.isLocked }),
    together: ({ wash, vehicleId }: Block, other: WashRecord) =>
      wash &&
      changeIt(
        { move: [{ id: wash.id, visitWith: other.id }] },
        `${nameOfCar(vehicleId)} and ${nameOfCar(other.vehicleId)} are one visit now.`,
      ),
    apart: ({ wash, vehicleId }: Block, startMs: number) =>
      wash &&
      changeIt(
        { move: [{ id: wash.id, visitWith: null, startMs }] },
        `${nameOfCar(vehicleId)} is washed by itself at ${format.dayTime(startMs)}.`,
      ),
    setExtras: ({ wash, vehicleId }: Block, extras: readonly SeasonJobId[]) =>
      wash &&
      changeIt({ move: [{ id: wash.id, extras }] }, `Seasonal jobs with ${nameOfCar(vehicleId)} changed.`),
    start: ({ wash }: Block, nowMs: number) =>
      wash && markIt({ id: wash.id, startedMs: wash.startedMs === null ? nowMs : null }),
    accept: (view: PlanView, changeIds: readonly string[]) => {
      const accepted = view.changes.filter(({ id }) => changeIds.includes(id));
      say(accept.mutateAsync(changeIds), `Accepted: ${changesText(accepted)}.`);
    },
  };
}
