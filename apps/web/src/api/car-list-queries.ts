import type { CarColumns, CarListReport, CarsMade, ImportMode } from '@keen/core';
import { useAct, useChange } from './change.js';
import { ask } from './client.js';

interface CarListFile {
  readonly text: string;
  readonly mode: ImportMode;
  readonly columns?: CarColumns;
}
const send = (body: CarListFile) => ask<CarListReport>('vehicles/list', { method: 'POST', body });

/** Looks at a list of cars; nothing is changed. */
export const useLookAtCarList = () => useAct(send);

/** Keeps what is good of a list of cars, with their customers. */
export const useKeepCarList = () => useChange(send, 'customers');

/** Takes out what came with a list. */
export const useUndoCarList = () =>
  useChange((made: CarsMade) => ask<void>('vehicles/list/undo', { method: 'POST', body: made }), 'customers');
