import type {
  CarColumns,
  CarListReport,
  CarsMade,
  ImportMode,
  WashColumns,
  WashesMade,
  WashListReport,
} from '@keen/core';
import { useAct, useChange } from './change.js';
import { ask } from './client.js';

interface ListFile<C> {
  readonly text: string;
  readonly mode: ImportMode;
  readonly columns?: C;
}
const sendCars = (body: ListFile<CarColumns>) =>
  ask<CarListReport>('vehicles/list', { method: 'POST', body });
const sendWashes = (body: ListFile<WashColumns>) =>
  ask<WashListReport>('washes/list', { method: 'POST', body });

/** Looks at a list of cars; nothing is changed. */
export const useLookAtCarList = () => useAct(sendCars);

/** Keeps what is good of a list of cars, with their customers. */
export const useKeepCarList = () => useChange(sendCars, 'customers');

/** Takes out what came with a list of cars. */
export const useUndoCarList = () =>
  useChange((made: CarsMade) => ask<void>('vehicles/list/undo', { method: 'POST', body: made }), 'customers');

/** Looks at a list of old washes; nothing is changed. */
export const useLookAtWashList = () => useAct(sendWashes);

/** Keeps what is good of a list of old washes. */
export const useKeepWashList = () => useChange(sendWashes, 'washes');

/** Takes out what came with a list of old washes. */
export const useUndoWashList = () =>
  useChange((made: WashesMade) => ask<void>('washes/list/undo', { method: 'POST', body: made }), 'washes');
