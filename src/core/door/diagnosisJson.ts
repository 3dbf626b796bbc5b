import { DEFAULT_DISPLAY } from '../base/units/show'
import type { Spread } from '../diagnosis/standing/chargeShare'
import { LOST_NEXT, standingSentence } from '../diagnosis/standing/standingSentence'
import { vetoesOf } from '../safety/vetoes'
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

const spread = ({ low, likely, high }: Spread) => ({
  low: round(low),
  likely: round(likely),
  high: round(high),
})

/** What a circuit at rest tells: psig, shares of the plate charge, and the sentences. */
function shownStanding({ standing, snapshot }: Diagnosis): Record<string, unknown> {
  if (!standing) return {}
  const { sections, state, isLost } = standing
  return {
    standing: {
      ...(state ? { state } : {}),
      isLost,
      sections: sections.map(({ section, state: of, pressure, share }) => ({
        section,
        state: of,
        psig: round(fromPascals(pressure, 'psig', snapshot.atmosphere), 2),
        ...(share ? { share: spread(share) } : {}),
      })),
      sentence: standingSentence(standing, snapshot, DEFAULT_DISPLAY),
      ...(isLost ? { next: LOST_NEXT } : {}),
    },
  }
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
    nextChecks: diagnosis.nextChecks.map(
      ({ check, label, minutes, gain, caution, unmet, unlocks, taps, splits }) => ({
        check,
        label,
        minutes,
        gain: round(gain),
        ...(caution ? { caution } : {}),
        ...(unmet ? { unmet } : {}),
        ...(unlocks ? { unlocks } : {}),
        taps,
        splits: splits.map((split) => ({
          ...split,
          chance: round(split.chance),
          probability: round(split.probability),
        })),
      }),
    ),
    gates: diagnosis.gates.map(({ gate, part, met, refused, missing }) => ({
      gate,
      part,
      met,
      ...(refused.length > 0 ? { refused } : {}),
      missing: missing.map(({ label }) => label),
    })),
    ...shownStanding(diagnosis),
    ...(diagnosis.vetoes.length > 0 ? { vetoes: vetoesOf(diagnosis.vetoes) } : {}),
    ...(Object.keys(diagnosis.tests).length > 0 ? { tests: shownTests(diagnosis) } : {}),
  }
}

/** What the electrical tests say, by test: the word of the ranking and the finding. */
const shownTests = ({ tests }: Diagnosis): Record<string, unknown> =>
  Object.fromEntries(Object.entries(tests).map(([key, { word, finding }]) => [key, { word, ...finding }]))
