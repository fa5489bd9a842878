import { type Finding, STEP_KINDS, type WashStepId } from '@keen/core';
import { actual, beyond, isInOtherWay, limit, panelOf, type Phrase, workedSo } from './finding-figures.js';
import { ZONE_NAMES } from './car-names.js';
import { RUN_STEP_NAMES } from './run-words.js';

const stepName = (step: WashStepId): string => RUN_STEP_NAMES[step].toLowerCase();
const productOf = ({ step }: Finding): string => (step ? stepName(step) : 'a step');
const zoneOf = ({ zone }: Finding): string => (zone ? ZONE_NAMES[zone].toLowerCase() : 'car');

/** What the rules about products found. */
export const PRODUCT_PHRASES: Readonly<
  Record<'wear' | 'label-time' | 'chemicals' | 'working-warmth', Phrase>
> = {
  wear: (finding, format) => {
    const by = productOf(finding);
    if (finding.level === 'block') return `the product for “${by}” may not touch the ${zoneOf(finding)}`;
    if (finding.remedy === 'strip-on-purpose')
      return `you mean to: “${by}” takes off the protection that lies on the ${zoneOf(finding)}`;
    if (finding.margin === null)
      return finding.level === 'condition'
        ? `you protect it again after: the product for “${by}” takes off what lies on the ${zoneOf(finding)}`
        : 'nothing to wear, or it is sealed again';
    const where = finding.zone ? ` (${ZONE_NAMES[finding.zone].toLowerCase()})` : '';
    return finding.level === 'condition'
      ? `you top up the protection after${where}: what “${by}” puts on (${actual(finding, format)}) is ${beyond(finding, format)} too strong for it`
      : `mild enough for what protects it${where}`;
  },
  'working-warmth': (finding, format) => {
    if (finding.level === 'unknown') return 'no weather for these hours';
    if (finding.margin === null) return 'its products take the cold';
    return finding.level === 'block'
      ? `too cold for the product: ${actual(finding, format)}, ${limit(finding, format)} needed`
      : `warm enough: ${actual(finding, format)}`;
  },
  'label-time': (finding, format) => {
    if (finding.level === 'unknown') return 'no weather for these hours';
    if (isInOtherWay(finding)) return `${workedSo(finding)}: then nothing outstays its label`;
    if (finding.margin === null) return 'no label sets a limit here';
    return finding.level === 'block'
      ? `“${productOf(finding)}” lies ${actual(finding, format)} on the ${finding.panel ? panelOf(finding) : 'wheels'}; its label allows ${limit(finding, format)}`
      : `“${productOf(finding)}” lies ${actual(finding, format)} at most; its label allows ${limit(finding, format)}`;
  },
  chemicals: (finding) => {
    if (finding.level === 'clear') return 'everything is rinsed off, and acid meets no alkali';
    if (finding.step && finding.under && STEP_KINDS[finding.step].wantsDry)
      return `“${productOf(finding)}” wants dry paint, and “${stepName(finding.under)}” leaves it wet. Towel it dry between`;
    return finding.under
      ? `“${productOf(finding)}” goes on over “${stepName(finding.under)}”: acid and alkali meet. Put a rinse between`
      : `nothing rinses off “${productOf(finding)}”. Put a rinse after it`;
  },
};
