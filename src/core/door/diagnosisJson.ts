import type { Diagnosis } from '../answer/diagnose'
import { type DerivedKey, derivedRow } from '../record/readings/derivedTable'
import type { Measured } from '../record/readings/snapshot'
import { differenceFromKelvin, fromKelvin, fromPascals } from '../base/units/convert'

const round = (value: number, digits = 4) => Number(value.toFixed(digits))

/** Derived values as the door prints them: F, psi, plain ratios and shares. */
function shownDerived(
  key: DerivedKey,
  { value, error }: Measured,
): { value: number; error: number; unit: string } {
  const { kind } = derivedRow(key)
  const degrees = (kelvin: number) => round(differenceFromKelvin(kelvin, 'F'), 2)
  if (kind === 'temperature')
    return { value: round(fromKelvin(value, 'F'), 2), error: degrees(error), unit: 'F' }
  if (kind === 'temperatureDifference') return { value: degrees(value), error: degrees(error), unit: 'F' }
  if (kind === 'pressureDifference')
    return {
      value: round(fromPascals(value, 'psia'), 3),
      error: round(fromPascals(error, 'psia'), 3),
      unit: 'psi',
    }
  return { value: round(value), error: round(error), unit: '1' }
}

/** The shape of design/architecture.md: derived, flags, suspects, nextChecks, gates. */
export function diagnosisJson(diagnosis: Diagnosis): Record<string, unknown> {
  return {
    derived: Object.fromEntries(
      Object.entries(diagnosis.derived).map(([key, value]) => [key, shownDerived(key as DerivedKey, value)]),
    ),
    flags: diagnosis.flags,
    suspects: diagnosis.suspects.map(({ fault, also, family, probability, severity, evidence }) => ({
      fault,
      ...(also ? { also } : {}),
      family,
      probability: round(probability, 6),
      severity: round(severity, 3),
      evidence: evidence.map((entry) => ({ ...entry, weight: round(entry.weight, 3) })),
    })),
    nextChecks: diagnosis.nextChecks.map(({ check, label, minutes, gain, caution, unmet, taps, splits }) => ({
      check,
      label,
      minutes,
      gain: round(gain),
      ...(caution ? { caution } : {}),
      ...(unmet ? { unmet } : {}),
      taps,
      splits: splits.map((split) => ({
        ...split,
        chance: round(split.chance),
        probability: round(split.probability),
      })),
    })),
    gates: diagnosis.gates.map(({ gate, part, met, missing }) => ({
      gate,
      part,
      met,
      missing: missing.map(({ label }) => label),
    })),
    ...(Object.keys(diagnosis.tests).length > 0 ? { tests: shownTests(diagnosis) } : {}),
  }
}

/** What the electrical tests say, by test: the word of the ranking and the finding. */
const shownTests = ({ tests }: Diagnosis): Record<string, unknown> =>
  Object.fromEntries(Object.entries(tests).map(([key, { word, finding }]) => [key, { word, ...finding }]))
