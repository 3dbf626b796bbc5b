'use client'
import { useUnits } from '@/ui/units'
import { UNITS } from '@/core/base/units/units'
import { Choice } from '@/ui/Choice'
import { attempt } from '@/core/base/errors/orzoError'
import type { RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { type TubeName, TUBES } from '@/core/physics/processes/tubes'
import { lineSetAdder } from '@/core/repair/charge/lineSetAdder'
import { fromSI, toSI } from '@/core/base/units/convert'
import { QuantityField } from '@/ui/QuantityField'
import type { Typed } from './format'
import { Figure, Figures } from '@/ui/Figure'
import { Inputs, Problem, RefrigerantChoice, Source } from './parts'
import { useRemembered } from './useRemembered'
import { useTables } from '../shared/tables/useTables'

type Input = {
  refrigerant: RefrigerantName
  liquidTube: TubeName
  vapourTube: TubeName
  length: Typed | undefined
  included: Typed | undefined
}
const INITIAL: Input = {
  refrigerant: 'R-410A',
  liquidTube: '3/8 in',
  vapourTube: '3/4 in',
  length: { value: 40, unit: 'ft' },
  included: { value: 15, unit: 'ft' },
}
const NAMES = TUBES.map(({ name }) => name)
const FOOT = UNITS.ft.si

const perFoot = (kilograms: number) => `${fromSI(kilograms * FOOT, 'oz').toFixed(2)} oz/ft`
const perMetre = (kilograms: number) => `${(kilograms * 1000).toFixed(0)} g/m`

function Answer({ input }: { input: Input }) {
  const { system } = useUnits()
  const { refrigerant, liquidTube, vapourTube, length, included } = input
  if (!length) return <Problem>Type the length of the line set.</Problem>
  const beyond = toSI(length) - (included ? toSI(included) : 0)
  const found = attempt(() => lineSetAdder(refrigerant, liquidTube, vapourTube, beyond))
  if (!found.ok) return <Problem>{found.error.message}</Problem>
  const { liquid, vapour, total } = found.value
  const rate = system.mass === 'kg' ? perMetre : perFoot
  return (
    <>
      <Figures>
        <Figure
          label={total < 0 ? 'Take out' : 'Add'}
          value={
            system.mass === 'kg'
              ? `${Math.abs(total * 1000).toFixed(0)} g`
              : `${Math.abs(fromSI(total, 'oz')).toFixed(1)} oz`
          }
        />
        <Figure label="Liquid line" value={rate(liquid)} />
        <Figure label="Vapour line" value={rate(vapour)} />
      </Figures>
      {total < 0 && (
        <Problem>The line is shorter than the plate charge covers: the charge is too much by this.</Problem>
      )}
    </>
  )
}

/** What a line set holds beyond what the plate covers. */
export function LineSetTool() {
  const { input, set, restored } = useRemembered(INITIAL)
  const { ready, problem } = useTables([input.refrigerant])
  if (!restored) return null
  return (
    <>
      <Inputs>
        <RefrigerantChoice value={input.refrigerant} onChange={(refrigerant) => set({ refrigerant })} />
        <Choice
          label="Liquid line, outer diameter"
          value={input.liquidTube}
          values={NAMES}
          onChange={(liquidTube) => set({ liquidTube })}
        />
        <Choice
          label="Vapour line, outer diameter"
          value={input.vapourTube}
          values={NAMES}
          onChange={(vapourTube) => set({ vapourTube })}
        />
        <QuantityField
          clears
          label="Line length"
          kind="length"
          defaultUnit="ft"
          value={input.length}
          onChange={(length) => set({ length })}
        />
        <QuantityField
          clears
          label="Covered by the plate"
          kind="length"
          defaultUnit="ft"
          value={input.included}
          onChange={(included) => set({ included })}
        />
      </Inputs>
      {problem && <Problem>{problem}</Problem>}
      {ready && <Answer input={input} />}
      <Source>
        Inner area x density: liquid at 100 F, suction gas at 40 F with 10 F superheat [physics]; tube walls
        [memory]. The plate or the maker&apos;s sheet comes first.
      </Source>
    </>
  )
}
