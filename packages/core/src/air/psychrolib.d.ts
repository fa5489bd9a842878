declare module 'psychrolib' {
  /** The part of the psychrometric library that is used here (SI: °C, Pa, kg/kg). */
  interface Psychrolib {
    readonly SI: number;
    SetUnitSystem(unitSystem: number): void;
    GetHumRatioFromVapPres(vapourPressurePa: number, pressurePa: number): number;
    GetTWetBulbFromHumRatio(airTempC: number, humidityRatio: number, pressurePa: number): number;
    GetSatVapPres(airTempC: number): number;
  }
  const psychrolib: Psychrolib;
  export default psychrolib;
}
