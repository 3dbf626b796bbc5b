'use client'
import { useUnits } from '@/ui/units'
import { attempt } from '@/core/base/errors/orzoError'
import { FORMULA_TOLERANCE_F, orificeSuperheat } from '@/core/diagnosis/targets/orificeFormula'
import { differenceFromKelvin, differenceToKelvin, fromKelvin, toKelvin } from '@/core/base/units/convert'
import { showDifference } from '@/core/base/units/show'
import type { TemperatureUnit } from '@/core/base/units/units'
import { QuantityField } from '@/ui/QuantityField'
import { asTemperature, type Typed } from './format'
import { NumberTable } from '@/ui/NumberTable'
import { Figure, Figures } from '@/ui/Figure'
import { Inputs, Problem, Source } from './parts'
import { useRemembered } from './useRemembered'

type Input = { wetBulb: Typed | undefined; outdoor: Typed | undefined }
const INITIAL: Input = { wetBulb: { value: 63, unit: 'F' }, outdoor: { value: 85, unit: 'F' } }

const WET_BULBS = [56, 60, 64, 68, 72]
const OUTDOORS = [65, 75, 85, 95, 105]
const inF = (typed: Typed) => fromKelvin(toKelvin(asTemperature(typed)), 'F')

function Answer({ input }: { input: Input }) {
  const { wetBulb, outdoor } = input
  if (!wetBulb || !outdoor) return <Problem>Type the return wet bulb and the outdoor air.</Problem>
  const found = attempt(() => orificeSuperheat(inF(wetBulb), inF(outdoor)))
  if (!found.ok) return <Problem>{found.error.message}</Problem>
  const unit = { temperature: wetBulb.unit as TemperatureUnit }
  const shown = (degrees: number) => showDifference(differenceToKelvin(degrees, 'F'), unit, 0)
  return (
    <Figures>
      <Figure
        label="Target superheat"
        value={shown(found.value)}
        note={`+- ${shown(FORMULA_TOLERANCE_F)}, at the compressor`}
      />
    </Figures>
  )
}

const cell = (wet: number, outdoor: number, unit: TemperatureUnit) => {
  const found = attempt(() => orificeSuperheat(wet, outdoor))
  return found.ok ? differenceFromKelvin(differenceToKelvin(found.value, 'F'), unit).toFixed(0) : 'weigh'
}

/** Target superheat of a fixed orifice. */
export function SuperheatTool() {
  const { say, system } = useUnits()
  const { input, set, restored } = useRemembered(INITIAL)
  if (!restored) return null
  return (
    <>
      <Inputs>
        <QuantityField
          clears
          label="Return wet bulb"
          kind="temperature"
          defaultUnit="F"
          value={input.wetBulb}
          onChange={(wetBulb) => set({ wetBulb })}
        />
        <QuantityField
          clears
          label="Outdoor air"
          kind="temperature"
          defaultUnit="F"
          value={input.outdoor}
          onChange={(outdoor) => set({ outdoor })}
        />
      </Inputs>
      <Answer input={input} />
      <NumberTable
        caption={`Target superheat by wet bulb and outdoor air, ${system.temperature}`}
        head={[`Outdoor, ${system.temperature}`, ...WET_BULBS.map((wet) => `Wet bulb ${say(`${wet} F`)}`)]}
        rows={OUTDOORS.map((outdoor) => ({
          key: String(outdoor),
          cells: [
            say(`${outdoor} F`).split(' ')[0],
            ...WET_BULBS.map((wet) => cell(wet, outdoor, system.temperature)),
          ],
        }))}
      />
      <Source>
        For a fixed orifice or piston only: (3 x wet bulb - 80 - outdoor) / 2 [practice]. With an expansion
        valve charge by subcooling. The unit&apos;s own chart, where there is one, comes first.
      </Source>
    </>
  )
}
