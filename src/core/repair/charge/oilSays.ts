import { entriesText } from '../../base/known/entries'
import { isAssumed } from '../../base/known/known'
import { fromSI } from '../../base/units/convert'
import { hasOilPorts, OIL_ROWS } from '../cleanup/oils'
import { CONVERSION_SHARE } from './conversionOil'
import type { OilBalance, OilInput } from './oilFigures'

/** [practice] more than the plate by this share: it was overfilled, or refrigerant is in it. */
const OVER_PLATE = 1.15
/** [practice] a can of a hygroscopic oil is used at once, hours. */
const OPEN_CAN = 1

type Facts = Omit<OilBalance, 'reasons'> & Pick<OilInput, 'unit' | 'repair' | 'policy' | 'refrigerant'>

const floz = (cubicMetres: number) => `${fromSI(cubicMetres, 'floz').toFixed(1)} fl oz`

/** What is said of the oil, where it applies. [practice] */
const SAYS: readonly (readonly [applies: (at: Facts) => boolean, says: (at: Facts) => string])[] = [
  [
    ({ isMeasured, refill }) => !isMeasured && refill.value > 0,
    () =>
      'Measure what comes out, by volume or on a scale: until then three quarters of the plate are assumed.',
  ],
  [
    ({ isMeasured, policy }) => isMeasured && policy.oilRefill === 'level',
    () => 'By policy to the level mark where there is a glass; else what came out.',
  ],
  [
    ({ out, plate }) => out !== undefined && !isAssumed(plate) && out > plate.value * OVER_PLATE,
    ({ out, plate }) =>
      `${floz(out ?? 0)} came out of a plate of ${floz(plate.value)}: it was overfilled, or refrigerant is in it. Let it stand open to a hood, measure again.`,
  ],
  [
    ({ newCompressor }) => newCompressor !== undefined,
    () => 'The new compressor’s own oil is the first change: one that never ran is not drained again.',
  ],
  [
    ({ newCompressor }) =>
      newCompressor !== undefined && newCompressor.pourOff.value > 0 && !isAssumed(newCompressor.together),
    ({ newCompressor, plate }) =>
      `${floz(newCompressor!.together.value)} would be in it, of a plate of ${floz(plate.value)}: pour ${floz(newCompressor!.pourOff.value)} off before it is fitted.`,
  ],
  [
    ({ newCompressor }) => newCompressor !== undefined && isAssumed(newCompressor.together),
    ({ newCompressor }) =>
      `A new compressor usually ships full, a semi-hermetic may ship empty; what is over the plate by more than a tenth is poured off before it is fitted. Enter ${entriesText(newCompressor!.together.asks)}.`,
  ],
  [
    ({ newCompressor, kind, goesIn }) => newCompressor !== undefined && kind.value !== goesIn,
    ({ goesIn }) => `Its box must say ${goesIn}: another oil is changed before it is fitted.`,
  ],
  [
    ({ changes, laterChanges }) => changes > 0 && laterChanges > 0,
    ({ laterChanges }) =>
      `${laterChanges === 1 ? 'One more change' : `${laterChanges} more changes`} after it has run: what lies in the circuit mixes with the new oil only then.`,
  ],
  [
    ({ newCompressor, laterChanges }) => newCompressor !== undefined && laterChanges > 0,
    ({ laterChanges }) =>
      `${laterChanges === 1 ? 'One change' : `${laterChanges} changes`} after it has run, if the test of its oil still asks for it.`,
  ],
  [
    ({ unit, changes, newCompressor }) => changes > 0 && newCompressor === undefined && !hasOilPorts(unit),
    ({ unit }) =>
      unit.compressor?.oilPorts === false
        ? 'It has no oil ports: it is pulled, tipped, filled and fitted again.'
        : 'No oil ports are on record: it is pulled and tipped; with ports it is drained and filled in a third of the time.',
  ],
  [
    ({ goesIn, kind }) => goesIn !== kind.value,
    ({ goesIn, kind, refrigerant }) =>
      `${refrigerant} does not carry ${kind.value} oil back: ${goesIn} goes in.`,
  ],
  [
    ({ kind, goesIn, conversionChanges }) => kind.value !== goesIn && conversionChanges > 0,
    ({ conversionChanges }) =>
      `${conversionChanges} changes bring the new oil to ${CONVERSION_SHARE * 100} %; a field shortcut of 10-25 % leaves most of the oil immiscible, the risk is the owner's.`,
  ],
  [
    ({ goesIn }) => OIL_ROWS[goesIn].hygroscopic,
    ({ goesIn }) => `${goesIn} takes water from the air: open a can once, use it, no open cups.`,
  ],
  [
    ({ repair, goesIn }) => OIL_ROWS[goesIn].hygroscopic && (repair.oilCanOpen ?? 0) > OPEN_CAN,
    ({ repair }) => `The can has was open for ${repair.oilCanOpen} h: it does not go in, take a new one.`,
  ],
  [
    () => true,
    () => 'A long or low port traps oil: choose where it enters, wipe it from stubs before any flame.',
  ],
]

/** What is said of the oil of a job. */
export const oilSays = (facts: Facts): string[] =>
  SAYS.filter(([applies]) => applies(facts)).map(([, says]) => says(facts))
