import { differenceToKelvin, toKelvin } from '../../base/units/convert'
import { REFRIGERANT_NAMES, type RefrigerantName } from '../../physics/refrigerants/catalogue'
import { compareRefrigerants } from './compareRefrigerants'
import fixtures from './fixtures/comparison.json'

/**
 * Against a reference library (CoolProp 6, pure fluids and its pseudo-pure blends): the same means of glide, 12 F
 * superheat, 10 F subcooling, efficiency 0.7; ratios against R-22.
 */
describe.each(fixtures)(
  'compared at $evaporatingF F and $condensingF F',
  ({ evaporatingF, condensingF, rows }) => {
    const comparison = compareRefrigerants('R-22', REFRIGERANT_NAMES, {
      evaporating: toKelvin({ value: evaporatingF, unit: 'F' }),
      condensing: toKelvin({ value: condensingF, unit: 'F' }),
      superheat: differenceToKelvin(12, 'F'),
      subcooling: differenceToKelvin(10, 'F'),
      efficiency: 0.7,
    })
    test.each(Object.entries(rows))('%s within 1 %%', (name, wanted) => {
      const row = comparison.rows.find((each) => each.name === (name as RefrigerantName))!
      const found = {
        suction: row.cycle.suctionPressure,
        discharge: row.cycle.dischargePressure,
        relativeCapacity: row.relativeCapacity,
        relativeMassFlow: row.relativeMassFlow,
        relativeCharge: row.relativeCharge,
      }
      for (const key of Object.keys(found) as (keyof typeof found)[])
        expect([key, Math.abs(found[key] / wanted[key] - 1) < 0.01]).toEqual([key, true])
      expect(Math.abs(row.cycle.dischargeTemperature - wanted.dischargeTemperature)).toBeLessThan(1.5)
    })
  },
)
