import { type Fittings, PLAIN_FITTINGS, type StepProduct, type WashStep } from '../method/index.js';
import { SITE_SOAP_FACTS, type SiteSoapFacts } from './data/site-soap.js';
import { type ChoiceCase } from './choose-bottle.js';

/** What decides the products of a wash. */
export interface EquipCase extends Omit<ChoiceCase, 'isToStrip'> {
  /** How much more there is of this body than of a saloon. */
  readonly sizeFactor: number;
  /** What the place has; absent: nothing out of the ordinary. */
  readonly fittings?: Fittings;
}

/** In-use pH of what a machine soaks with (judgement). */
export const MACHINE_PH = 12.5;

export const soapAt = ({ fittings = PLAIN_FITTINGS }: EquipCase): SiteSoapFacts =>
  SITE_SOAP_FACTS[fittings.siteSoap];

/** Foam on the meter comes out of the place's own lance. */
export const isSiteFoam = ({ id, onMeter }: WashStep): boolean => id === 'foam' && onMeter;

/** What the site's soap takes off, by how well it works. */
export function removedBySite(step: WashStep, of: EquipCase): WashStep['removes'] {
  const { worksFraction } = soapAt(of);
  const entries = Object.entries(step.removes).map(([group, share]) => [
    group,
    Math.min(1, share * worksFraction),
  ]);
  return Object.fromEntries(entries) as WashStep['removes'];
}

/** The place's own soap: its strength and its price are the place's. */
export const siteProduct = (inUsePh: number): StepProduct => ({
  from: 'site',
  id: null,
  name: null,
  role: 'alkaline-pre-wash',
  because: 'site',
  inUsePh,
  dwell: null,
  lowestWorkC: null,
  capMl: null,
  into: 'foamer',
  parts: 0,
  fewestParts: 0,
  mixMl: 0,
  productMl: 0,
  panelPercent: null,
  vesselMl: null,
  costMinor: 0,
  isEssential: false,
});
