/** The parts of the library that Orzo calls; it ships no types. SI: C, Pa, kg, J. */
declare module 'psychrolib' {
  type Psychrometrics = {
    readonly SI: number
    SetUnitSystem(system: number): void
    GetRelHumFromTWetBulb(dryBulb: number, wetBulb: number, pressure: number): number
    GetTWetBulbFromRelHum(dryBulb: number, relativeHumidity: number, pressure: number): number
    GetTWetBulbFromHumRatio(dryBulb: number, humidityRatio: number, pressure: number): number
    GetHumRatioFromRelHum(dryBulb: number, relativeHumidity: number, pressure: number): number
    GetHumRatioFromTWetBulb(dryBulb: number, wetBulb: number, pressure: number): number
    GetRelHumFromHumRatio(dryBulb: number, humidityRatio: number, pressure: number): number
    GetSatHumRatio(dryBulb: number, pressure: number): number
    GetMoistAirEnthalpy(dryBulb: number, humidityRatio: number): number
    GetTDryBulbFromEnthalpyAndHumRatio(enthalpy: number, humidityRatio: number): number
    GetMoistAirVolume(dryBulb: number, humidityRatio: number, pressure: number): number
    GetSatVapPres(dryBulb: number): number
    GetTDewPointFromVapPres(dryBulb: number, vapourPressure: number): number
  }
  const library: Psychrometrics
  export default library
}
