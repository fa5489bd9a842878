import type { OpenSpan } from '../place/index.js';

export const PHOTO_CONSENTS = ['none', 'own-records', 'public'] as const;
/** What photographs of a customer's car may be used for: nothing, the shop's own records, or showing to anybody. */
export type PhotoConsent = (typeof PHOTO_CONSENTS)[number];

/** Somebody whose cars are washed. */
export interface Customer {
  readonly id: string;
  readonly name: string;
  /** How they are reached, as they said it. */
  readonly contact: string;
  readonly notes: string;
  readonly photoConsent: PhotoConsent;
  /** When they said so; null: they have not been asked. */
  readonly consentMs: number | null;
  /** When their cars can be had, Monday first, in the shop's time; null: at any time. */
  readonly availability: readonly (OpenSpan | null)[] | null;
}
