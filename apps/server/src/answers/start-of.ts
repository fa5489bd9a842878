import { choicesOf, MS_PER_HOUR, type OfCar, type Predicted, type StartQuestion } from '@keen/core';
import { badField } from '../errors/api-error.js';

/** What was accepted of a start when it was planned. */
export type Accepted = Pick<Predicted, 'wayId' | 'placeC' | 'products' | 'variant'>;

/** A start with what was accepted of it; what was not said is not there. */
export const startOf = ({
  placeId,
  methodId,
  startMs,
  wayId,
  placeC,
  products,
  variant,
  extras = [],
}: StartQuestion & Accepted) => ({
  placeId,
  methodId,
  startMs,
  ...(wayId ? { wayId } : {}),
  ...(placeC === undefined ? {} : { placeC }),
  ...choicesOf({ products, variant }),
  ...(extras.length > 0 ? { extras } : {}),
});

/** Does the forecast reach this start? */
export const isForecast = ({ weather }: OfCar, startMs: number): boolean =>
  startMs >= weather.fromMs && startMs < weather.fromMs + weather.control.length * MS_PER_HOUR;

export const notForecast = () =>
  badField('startMs', 'startMs is outside the hours that the forecast reaches.');
