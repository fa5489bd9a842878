import type { SiteSoap } from '../../place/index.js';

export interface SiteSoapFacts {
  /** As it comes out of the lance. */
  readonly inUsePh: number;
  /** Share of what ordinary bay soap takes off. */
  readonly worksFraction: number;
  readonly status: 'judgement';
}

/** What comes out of a bay's own lance: some run it thin, some strong (judgement). */
export const SITE_SOAP_FACTS: Readonly<Record<SiteSoap, SiteSoapFacts>> = {
  weak: { inUsePh: 9.5, worksFraction: 0.5, status: 'judgement' },
  ordinary: { inUsePh: 11.5, worksFraction: 1, status: 'judgement' },
  strong: { inUsePh: 12.5, worksFraction: 1.1, status: 'judgement' },
};
