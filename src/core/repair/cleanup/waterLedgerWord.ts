import { type Basis, basisOf, type Known, whereItDecides } from '../../base/known/known'
import { refrigerantRow } from '../../physics/refrigerants/catalogue'
import type { CircuitSize } from './circuitSize'
import type { Exposure } from './exposure'
import { OIL_ROWS } from './oils'
import type { CleanupRecord } from './record'
import { suggestionsOf } from './suggests'
import { isWaterStanding, waterAsFound } from './waterFound'
import { waterSigns } from './waterEvidence'

/** Ice is the fault. */
const isIce = ({ faults }: CleanupRecord): boolean =>
  suggestionsOf(faults).some(({ contents }) => contents.wet)

/** Water stands in the circuit, or ice is the fault: its amount is open whatever a ledger says (handbook 06). */
export const isWaterFree = (record: CleanupRecord): boolean => isWaterStanding(record) || isIce(record)

/** Whether water was seen, or ice is the fault: that outranks every ledger (handbook 06). */
export const isWaterSeen = (record: CleanupRecord): boolean =>
  waterSigns(record).some(({ wet }) => wet) || isIce(record)

/** Whether the oil of an opened circuit holds more water than it may. @throws OrzoError not-loaded */
export const isWetByLedger = (record: CleanupRecord, size: CircuitSize, exposure: Exposure): boolean =>
  waterAsFound(record, size, 'likely', exposure).ppm > OIL_ROWS[size.oil.value].act

/** Everything that the ledger of an opened circuit is calculated from, whether it could change its word or not. */
export const insideOf = (size: CircuitSize, exposure: Exposure | undefined): Basis =>
  exposure ? basisOf(size.oilMass, size.volume, size.oil, exposure.time, exposure.weather) : basisOf()

/** [memory] a guess at oil or inner volume errs by less than this factor. */
const SIZE_FACTOR = 3
const FACTORS = [1 / SIZE_FACTOR, 1, SIZE_FACTOR]

const scaled = (figure: Known<number>, factor: number): Known<number> => ({
  ...figure,
  value: figure.value * factor,
})

/** What the ledger's word rests on: of what it is calculated from, that which could change it. */
export function ledgerBasis(record: CleanupRecord, size: CircuitSize, exposure: Exposure): Basis {
  const word = (change: Partial<CircuitSize>) => isWetByLedger(record, { ...size, ...change }, exposure)
  const { oils } = refrigerantRow(record.unit.convertedFrom ?? record.unit.refrigerant)
  const { low, high } = exposure.humidity
  return basisOf(
    exposure.time,
    whereItDecides(size.oil, () => oils.map((value) => word({ oil: { ...size.oil, value } }))),
    whereItDecides(basisOf(size.oilMass, size.volume), () =>
      FACTORS.flatMap((oil) =>
        FACTORS.map((volume) =>
          word({ oilMass: scaled(size.oilMass, oil), volume: scaled(size.volume, volume) }),
        ),
      ),
    ),
    whereItDecides(exposure.weather, () =>
      [low, high].map((likely) =>
        isWetByLedger(record, size, { ...exposure, humidity: { ...exposure.humidity, likely } }),
      ),
    ),
  )
}
