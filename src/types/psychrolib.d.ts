/** The parts of the library that Orzo calls; it ships no types. SI: C, Pa, kg. */
declare module 'psychrolib' {
  type Psychrometrics = {
    readonly SI: number
    SetUnitSystem(system: number): void
    GetRelHumFromTWetBulb(dryBulb: number, wetBulb: number, pressure: number): number
    GetTWetBulbFromRelHum(dryBulb: number, relativeHumidity: number, pressure: number): number
    GetHumRatioFromRelHum(dryBulb: number, relativeHumidity: number, pressure: number): number
    GetSatVapPres(dryBulb: number): number
  }
  const library: Psychrometrics
  export default library
}
