declare module 'psychrolib' {
  interface Psychrolib {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(temperatureC: number): number;
    GetRelHumFromTDewPoint(tDryBulb: number, tDewPoint: number): number;
    GetTDewPointFromVapPres(temperatureC: number, vapourPressurePa: number): number;
    GetHumRatioFromVapPres(vapourPressurePa: number, pressurePa: number): number;
    GetSatHumRatio(temperatureC: number, pressurePa: number): number;
    GetMoistAirEnthalpy(TDryBulb: number, HumRatio: number): number;
    GetHumRatioFromRelHum(temperatureC: number, relativeHumidity: number, pressurePa: number): number;
    GetTDewPointFromHumRatio(temperatureC: number, humidityRatio: number, pressurePa: number): number;
    GetVapPresFromRelHum(temperatureC: number, relativeHumidity: number): number;
    GetVapPresFromHumRatio(humidityRatio: number, pressurePa: number): number;
    GetRelHumFromHumRatio(temperatureC: number, humidityRatio: number, pressurePa: number): number;
    GetStandardAtmPressure(altitudeM: number): number;
  }
  const psychrolib: Psychrolib;
  export default psychrolib;
}
