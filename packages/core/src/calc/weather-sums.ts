import { z } from 'zod';
import { humidAir, windChill } from '../air/index.js';
import { incidenceDeg, irradiance, panelIrradianceWm2, sunPosition } from '../sun/index.js';
import { defineCalculator } from './calculator.js';
import { airTempC, at, fraction, latitudeDeg, longitudeDeg, number } from './fields.js';

const nullable = (unit: string): z.ZodNullable<z.ZodNumber> => number(unit).nullable();

export const windChillSum = defineCalculator({
  name: 'wind-chill',
  question: 'How cold does the wind feel, and how soon does skin freeze?',
  input: z.strictObject({ airTempC, windKmh: number('km/h at 10 m') }),
  output: z.object({
    windChillC: nullable('°C'),
    frostbiteClass: z.enum(['none', '10-30-min', '5-10-min', '2-5-min', 'under-2-min']),
    reason: z.string().optional(),
  }),
  run: windChill,
});

export const humidAirSum = defineCalculator({
  name: 'humid-air',
  question: 'How damp is this air, and how cold can a wet panel get in it?',
  input: z.strictObject({ airTempC, relHumidityFraction: fraction, pressureHpa: number('hPa').optional() }),
  output: z.object({
    dewPointC: number('°C'),
    frostPointC: nullable('°C'),
    wetBulbC: number('°C'),
    iceBulbC: nullable('°C'),
    vapourPressurePa: number('Pa'),
  }),
  run: humidAir,
});

export const sunSum = defineCalculator({
  name: 'sun',
  question: 'Where is the sun?',
  input: z.strictObject({ latitudeDeg, longitudeDeg, at }),
  output: z.object({ elevationDeg: number('deg'), azimuthDeg: number('deg clockwise from north') }),
  run: (input) => sunPosition(input, Date.parse(input.at)),
});

export const sunOnPanelSum = defineCalculator({
  name: 'sun-on-panel',
  question: 'How much sun falls on a panel that lies this way?',
  input: z.strictObject({
    latitudeDeg,
    longitudeDeg,
    at,
    tiltDeg: z.number().min(0).max(180).meta({ unit: 'deg, 0 level, 90 upright' }),
    panelAzimuthDeg: number('deg clockwise from north'),
    cloudFraction: fraction,
    albedoFraction: fraction,
  }),
  output: z.object({
    globalWm2: number('W/m²'),
    beamNormalWm2: number('W/m²'),
    diffuseWm2: number('W/m²'),
    incidenceDeg: number('deg'),
    panelWm2: number('W/m²'),
  }),
  run: (input) => {
    const atMs = Date.parse(input.at);
    const sun = sunPosition(input, atMs);
    const light = irradiance(sun, { cloudFraction: input.cloudFraction, atMs });
    const panelWm2 = panelIrradianceWm2(light, { sun, panel: input, albedoFraction: input.albedoFraction });
    return { ...light, incidenceDeg: incidenceDeg(sun, input), panelWm2 };
  },
});
