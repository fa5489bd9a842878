import {
  BRINE_AGENTS,
  CALCULATORS,
  calculate,
  HARDNESS_UNITS,
  saturationOverWaterPa,
  skyViewFraction,
} from '@keen/core';

type Numbers = Readonly<Record<string, number>>;
type Values = Readonly<Record<string, unknown>>;

/** The figures of one sum, in its own units. */
interface Sum {
  readonly given: Numbers;
  readonly found: Numbers;
  readonly input: Values;
  readonly output: Values;
}

/** A number with as many digits as matter. */
const plain = (value: number | undefined): string =>
  value === undefined || !Number.isFinite(value)
    ? '?'
    : String(Number(value.toPrecision(5))).replace('-', '−');

/** The same within a formula: negative ones in brackets. */
const n = (value: number | undefined): string =>
  value !== undefined && value < 0 ? `(${plain(value)})` : plain(value);

const listOf = (value: unknown): readonly number[] =>
  Array.isArray(value) ? (value as readonly number[]) : [];

const tableAround = (agent: unknown, massPercent: number | undefined): string => {
  const row = BRINE_AGENTS.find((entry) => entry.agent === agent);
  const points = row?.freezing ?? [];
  const above = points.findIndex((point) => point.massPercent >= (massPercent ?? 0));
  const low = points[Math.max(0, above - 1)];
  const high = points[Math.max(0, above)];
  return low && high
    ? `table: ${n(low.massPercent)} % freezes at ${n(low.freezingPointC)} °C, ${n(high.massPercent)} % at ${n(high.freezingPointC)} °C; monotone curve between`
    : 'table of the agent';
};

const WORKINGS: Readonly<Record<string, (sum: Sum) => string[]>> = {
  'wind-chill': ({ given: { airTempC: t = 0, windKmh: v = 0 }, found }) =>
    v >= 5
      ? [
          `V^0.16 = ${plain(v)}^0.16 = ${plain(v ** 0.16)}`,
          `13.12 + 0.6215 × ${n(t)} − 11.37 × ${n(v ** 0.16)} + 0.3965 × ${n(t)} × ${n(v ** 0.16)} = ${plain(found.windChillC)} °C`,
          'Environment Canada and US NWS, 2001; below −28 °C skin can freeze in 10 to 30 min',
        ]
      : [
          `below 5 km/h: T + (−1.59 + 0.1345 T) / 5 × V`,
          `${n(t)} + (−1.59 + 0.1345 × ${n(t)}) / 5 × ${n(v)} = ${plain(found.windChillC)} °C`,
        ],
  'humid-air': ({ given: { airTempC: t = 0, relHumidityFraction: rh = 0 }, found }) => [
    `saturation over water = 611.2 × exp(17.62 × ${n(t)} / (243.12 + ${n(t)})) = ${plain(saturationOverWaterPa(t))} Pa`,
    `vapour pressure = ${plain(rh)} × ${n(saturationOverWaterPa(t))} = ${plain(found.vapourPressurePa)} Pa`,
    `dew point: the temperature whose saturation is that = ${plain(found.dewPointC)} °C`,
    `wet bulb: heat and vapour of a wet film in balance = ${plain(found.wetBulbC)} °C`,
    'WMO Magnus form; ASHRAE balance, over liquid water at every temperature',
  ],
  sun: ({ input, found }) => [
    `instant: ${String(input.at)}`,
    `hour angle and declination by the almanac give elevation ${n(found.elevationDeg)}° and azimuth ${n(found.azimuthDeg)}°`,
  ],
  'sun-on-panel': ({ given, found }) => {
    const { tiltDeg = 0, cloudFraction = 0, albedoFraction = 0 } = given;
    const view = skyViewFraction(tiltDeg);
    const cosine = Math.max(0, Math.cos(((found.incidenceDeg ?? 90) * Math.PI) / 180));
    return [
      `level ground: clear sky (Haurwitz 1945) × (1 − 0.75 × ${n(cloudFraction)}^3.4) = ${plain(found.globalWm2)} W/m²`,
      `of it diffuse (Erbs 1982) ${n(found.diffuseWm2)}; along the beam ${n(found.beamNormalWm2)} W/m²`,
      `sky seen: (1 + cos ${n(tiltDeg)}°) / 2 = ${plain(view)}`,
      `${n(found.beamNormalWm2)} × ${n(cosine)} + ${n(found.diffuseWm2)} × ${n(view)} + ${n(albedoFraction)} × ${n(found.globalWm2)} × ${n(1 - view)} = ${plain(found.panelWm2)} W/m²`,
    ];
  },
  brine: ({ given, input }) => [tableAround(input.agent, given.massPercent)],
  deliquescence: ({ input, given, found }) => {
    const row = BRINE_AGENTS.find(({ agent }) => agent === input.agent);
    return [
      `table: ${(row?.deliquescence ?? []).map(({ tempC, relHumidityFraction }) => `${n(tempC)} °C ${n(relHumidityFraction)}`).join(', ')}`,
      `at ${n(given.tempC)} °C: ${n(found.relHumidityFraction)}${(given.tempC ?? 0) < 0 ? '; below 0 °C straight to the balance with ice at the eutectic' : ''}`,
    ];
  },
  hardness: ({ given, input, found }) => {
    const factor = HARDNESS_UNITS[input.unit as keyof typeof HARDNESS_UNITS];
    return [
      `${n(given.value)} × ${n(factor)} = ${plain(found.mgPerLitreCaCO3)} mg/L as CaCO₃`,
      `÷ 17.118 = ${plain(found.gpg)} gpg; ÷ 17.848 = ${plain(found.dH)} °dH; ÷ 10 = ${plain(found.fH)} °fH; ÷ 14.254 = ${plain(found.clark)} °e; ÷ 100.09 = ${plain(found.mmolPerLitre)} mmol/L`,
      'soft to 60, moderately hard to 120, hard to 180 mg/L (USGS)',
    ];
  },
  dilution: ({ found, given }) => [
    `1 part product : ${n(found.partsWater)} parts water = ${plain(found.percent)} % of the mix`,
    `product = ${plain(found.totalMl)} ÷ (1 + ${n(found.partsWater)}) = ${plain(found.productMl)} mL; water = ${plain(found.waterMl)} mL`,
    ...(given.capMl === undefined
      ? []
      : [`${n(found.productMl)} ÷ ${n(given.capMl)} mL a cap = ${plain(found.caps)} caps`]),
  ],
  mixed: ({ given, found, output }) => [
    `${n(given.waterMl)} ÷ ${n(given.productMl)} = ${plain(found.partsWater)} parts of water to one; ${n(given.productMl)} ÷ ${n(found.totalMl)} = ${plain(found.percent)} % of the mix`,
    ...(output.compared === 'stronger'
      ? [
          `${n(given.productMl)} × ${n(given.wantedPartsWater)} − ${n(given.waterMl)} = ${plain(found.addWaterMl)} mL more water`,
        ]
      : []),
    ...(output.compared === 'weaker'
      ? [
          `${n(given.waterMl)} ÷ ${n(given.wantedPartsWater)} − ${n(given.productMl)} = ${plain(found.addProductMl)} mL more product`,
        ]
      : []),
  ],
  'bottle-mix': ({ given, found, input, output }) => [
    ...listOf(input.partsWater).map(
      (parts, i) =>
        `${n(given.bottleMl)} ÷ (1 + ${n(parts)}) = ${plain(listOf(output.productMl)[i])} mL of product ${i + 1}`,
    ),
    `water to the brim: ${plain(found.waterMl)} mL`,
  ],
  'panel-impact': ({ given, found, input }) => {
    if (input.applicator === 'hand-sprayer')
      return ['a hand sprayer delivers what is in it: no further dilution'];
    const draw = ((given.outputLitresPerBottle ?? 0) * 1000) / (given.bottleMl ?? 1);
    return [
      `the lance thins: ${n(given.outputLitresPerBottle)} L leave while ${n(given.bottleMl)} mL are drawn, ${n(draw)} times`,
      `${n(given.panelPercent)} % × ${n(draw)} = ${plain((given.panelPercent ?? 0) * draw)} % in the bottle; at most 100, so at most ${n(found.highestPanelPercent)} % on the panel`,
    ];
  },
  'mix-water': ({ given: { hotC, coldC, targetC, litres }, found }) => [
    `hot = ${plain(litres)} × (${n(targetC)} − ${n(coldC)}) ÷ (${n(hotC)} − ${n(coldC)}) = ${plain(found.hotLitres)} L`,
    `cold = ${plain(litres)} − ${n(found.hotLitres)} = ${plain(found.coldLitres)} L`,
    'hands stand no more than 45 °C; on frozen glass hot water can crack it',
  ],
  'bucket-cooling': ({ given: { litres = 0, startC, ambientC, uaWattsPerK = 0, minutes = 0 }, found }) => [
    `time constant = 4186 × ${n(litres)} ÷ ${n(uaWattsPerK)} = ${plain((4186 * litres) / uaWattsPerK / 60)} min`,
    `${n(ambientC)} + (${n(startC)} − ${n(ambientC)}) × exp(−${n(minutes)} ÷ ${n((4186 * litres) / uaWattsPerK / 60)}) = ${plain(found.tempC)} °C`,
    'Newton; 5 W/K for an open bucket of 10 L, 1.8 with a lid (judgement)',
  ],
  film: ({ given, found }) => {
    const { tiltDeg = 0, airSpeedMetresPerSecond = 0, filmGramsPerM2 } = given;
    return [
      `heat to the air: 2.8 + 3.0 × ${n(airSpeedMetresPerSecond)} = ${plain(2.8 + 3 * airSpeedMetresPerSecond)} W/(m² K) (Watmuff 1977)`,
      `sky seen: (1 + cos ${n(tiltDeg)}°) / 2 = ${plain(skyViewFraction(tiltDeg))}; the rest is at the air's temperature`,
      `sun taken up: ${n(given.absorptanceFraction)} × ${n(given.solarWm2)} = ${plain((given.absorptanceFraction ?? 0) * (given.solarWm2 ?? 0))} W/m²`,
      `the balance of sun, sky, air and evaporation is stepped from ${n(given.startTempC)} °C and ${n(filmGramsPerM2)} g/m²; settles at ${n(found.wetPanelTempC)} °C wet, ${n(found.dryPanelTempC)} °C dry`,
      'the film lab draws it step by step',
    ];
  },
  swab: ({ given, found }) => [
    `5 kg/(m² S) × ${n(given.volumeMl)} mL × ${n(given.deltaMicroSiemensPerCm)} µS/cm ÷ ${n(given.areaMm2)} mm² = ${plain(found.mgPerM2)} mg/m²`,
    `which is ${n((found.mgPerM2 ?? 0) / 1000)} g/m²; ISO 8502-6 and -9`,
  ],
  residue: ({ given, found }) => [
    `${n(given.tdsMgPerLitre)} mg/L × ${n((given.filmGramsPerM2 ?? 0) / 1000)} L/m² = ${plain(found.mgPerM2)} mg/m²`,
    'shows from about 12 on black, 15 on mid, 25 on silver, 30 on white paint (judgement)',
  ],
  'resin-life': ({ given, found }) => [
    `capacity = ${plain(given.resinLitres)} L × ${n(given.capacityGramsPerLitre)} g/L = ${plain((given.resinLitres ?? 0) * (given.capacityGramsPerLitre ?? 0))} g`,
    `÷ ${n((given.tdsMgPerLitre ?? 0) / 1000)} g/L = ${plain(found.litresTotal)} L altogether; ${n(found.litresLeft)} L left`,
  ],
  meter: ({ found, output }) => [
    `run through: ${n(found.runThroughSeconds)} s on the meter, ${n((found.runThroughMinor ?? 0) / 100)}`,
    `a new start for every step: ${n((found.stopEachMinor ?? 0) / 100)}`,
    Array.isArray(output.stopAfter) && output.stopAfter.length > 0
      ? `cheapest: stop after step ${output.stopAfter.map((step: number) => step + 1).join(', ')}: ${n((found.cheapestMinor ?? 0) / 100)}`
      : `cheapest: do not stop: ${n((found.cheapestMinor ?? 0) / 100)}`,
  ],
};

const numbersOf = (values: Values): Numbers =>
  Object.fromEntries(
    Object.entries(values).filter((entry): entry is [string, number] => typeof entry[1] === 'number'),
  );

/** The way to a sum's answer, line by line, in the sum's own units; nothing where the input is at fault. */
export function workingOf(name: string, input: Values): string[] {
  const calculator = CALCULATORS.get(name);
  if (!calculator) return [];
  const answer = calculate(calculator, input);
  const working = WORKINGS[name];
  if (!answer.ok || !working) return [];
  const output = answer.value as Values;
  return working({ given: numbersOf(input), found: numbersOf(output), input, output });
}
