/** What the simulated station's weather is drawn from. All figures are judgement for a made-up town. */
export interface Climate {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly yearMeanC: number;
  readonly seasonalSwingC: number;
  readonly coldestDayOfYear: number;
  /** Half the day's range under a clear sky in midwinter. */
  readonly clearDaySwingC: number;
  readonly hoursBetweenFronts: number;
  /** Wind from this arc has crossed open water. */
  readonly lakeArc: { readonly fromDeg: number; readonly toDeg: number };
  /** Lake surface on the 1st of November, and how fast it cools to no less than 1 °C. */
  readonly lakeStartC: number;
  readonly lakeCoolingPerDayC: number;
}

/** A port on a cold lake: lake-effect snow on north-west winds, thaw and refreeze as fronts pass. */
export const COLD_LAKE_PORT: Climate = {
  latitudeDeg: 46.5,
  longitudeDeg: -84.3,
  yearMeanC: 4.6,
  seasonalSwingC: 13.2,
  coldestDayOfYear: 24,
  clearDaySwingC: 4.2,
  hoursBetweenFronts: 78,
  lakeArc: { fromDeg: 265, toDeg: 345 },
  lakeStartC: 8.5,
  lakeCoolingPerDayC: 0.075,
};
