import { z } from 'zod';
import { brineFreezing, deliquescence } from '../brine/index.js';
import { film } from '../film/index.js';
import { washSum } from '../wash/index.js';
import { defineCalculator } from './calculator.js';
import { agent, airTempC, fraction, massPercent, number } from './fields.js';

export const filmSum = defineCalculator({
  name: 'film',
  question: 'Will this film of water dry or freeze, and how long have I got?',
  input: z.strictObject({
    material: z.enum(['steel', 'aluminium', 'glass', 'plastic']),
    tiltDeg: number('deg'),
    absorptanceFraction: fraction,
    solarWm2: number('W/m² on the panel'),
    airTempC,
    relHumidityFraction: fraction,
    airSpeedMetresPerSecond: number('m/s at the panel'),
    skyTempC: number('°C'),
    filmGramsPerM2: number('g/m²'),
    startTempC: number('°C, panel and water'),
    backWm2K: number('W/(m² K)').optional(),
    brine: z.strictObject({ agent, massPercent }).optional(),
    horizonMinutes: number('min').optional(),
  }),
  output: z.object({
    dryMinutes: number('min').nullable(),
    firstIceMinutes: number('min').nullable(),
    lowestTempC: number('°C'),
    dryPanelTempC: number('°C'),
    wetPanelTempC: number('°C'),
    wetEdgeMinutes: number('min').nullable(),
  }),
  run: film,
});

const minute = number('min from the beginning of the wash');
const rubs = z.boolean().optional();

export const panelWashSum = defineCalculator({
  name: 'wash',
  question: 'What becomes of one panel through a whole wash: when does it freeze, when is it dry?',
  input: z.strictObject({
    material: z.enum(['steel', 'aluminium', 'glass', 'plastic']),
    tiltDeg: number('deg'),
    absorptanceFraction: fraction,
    climate: z.array(
      z.strictObject({
        fromMinute: minute,
        solarWm2: number('W/m² on the panel'),
        airTempC,
        relHumidityFraction: fraction,
        airSpeedMetresPerSecond: number('m/s at the panel'),
        skyTempC: number('°C'),
      }),
    ),
    startPanelC: number('°C; the steady dry panel if absent').optional(),
    events: z.array(
      z.discriminatedUnion('kind', [
        z.strictObject({
          kind: z.literal('wet'),
          atMinute: minute,
          filmGramsPerM2: number('g/m² that stay'),
          passesGramsPerM2: number('g/m² in all; the film if absent').optional(),
          waterTempC: number('°C'),
          rubs,
        }),
        z.strictObject({ kind: z.literal('blow'), atMinute: minute, leavesFraction: fraction, rubs }),
        z.strictObject({
          kind: z.literal('wipe'),
          atMinute: minute,
          leavesGramsPerM2: number('g/m² of liquid water'),
          rubs,
        }),
      ]),
    ),
    afterMinutes: number('min').optional(),
  }),
  output: z.object({
    startPanelC: number('°C'),
    spans: z.array(
      z.object({
        atMinute: minute,
        startTempC: number('°C'),
        firstIceMinute: minute.nullable(),
        dryMinute: minute.nullable(),
        lowestTempC: number('°C'),
        endTempC: number('°C'),
        endWaterGramsPerM2: number('g/m²'),
        endIceGramsPerM2: number('g/m²'),
      }),
    ),
  }),
  run: washSum,
});

export const brineSum = defineCalculator({
  name: 'brine',
  question: 'When does this brine start to freeze?',
  input: z.strictObject({ agent, massPercent }),
  output: z.object({
    freezingPointC: number('°C').nullable(),
    eutecticC: number('°C'),
    eutecticMassPercent: number('%'),
    reason: z.string().optional(),
  }),
  run: brineFreezing,
});

export const deliquescenceSum = defineCalculator({
  name: 'deliquescence',
  question: 'From which humidity is this salt wet?',
  input: z.strictObject({ agent, tempC: number('°C') }),
  output: z.object({ relHumidityFraction: fraction.nullable(), reason: z.string().optional() }),
  run: deliquescence,
});
