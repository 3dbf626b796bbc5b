import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { METERINGS, type UnitPlate } from '@/core/record/equipment/unit'
import { Circuit } from './Circuit'
import { asPoints, middleOf, overlaps } from './geometry'
import { loopOf } from './loop'
import { spreadPlaces } from './PlaceButtons'
import { unreadTap } from './unreadTap'

const UNIT: UnitPlate = { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' }
const SIZE = { width: 532, height: 640 }

function draw(
  unit: UnitPlate,
  mode: 'cooling' | 'heating' | 'off',
  more: Partial<Parameters<typeof Circuit>[0]> = {},
) {
  const onSelect = jest.fn()
  const { container } = render(
    <Circuit
      loop={loopOf(unit, mode)}
      taps={[
        unreadTap('suctionPressure', { value: '118', unit: 'psig', error: '±1.2', age: '3 min' }),
        unreadTap('liquidLineTemp'),
      ]}
      selected="liquidLineTemp"
      onSelect={onSelect}
      tints={{ liquid: 310 }}
      notes={{ condenser: 'condensing 103 F' }}
      size={SIZE}
      title="Circuit"
      {...more}
    />,
  )
  return { onSelect, container }
}

describe('the drawing', () => {
  test('has a tap at its place that says all about itself and opens', async () => {
    const user = userEvent.setup()
    const { onSelect } = draw(UNIT, 'cooling')
    const suction = screen.getByRole('button', {
      name: 'Suction pressure: 118 psig, plus or minus 1.2, 3 min ago',
    })
    expect(suction).toHaveTextContent('Suction P118psig±1.2 · 3 min')
    await user.click(suction)
    expect(onSelect).toHaveBeenCalledWith('suctionPressure')
    expect(screen.getByRole('button', { name: /Liquid line.*not read/ })).toHaveAttribute(
      'aria-pressed',
      'true',
    )
  })
  test('shows the reversing valve in its mode, and names the coils by their roles', () => {
    const { container } = draw(UNIT, 'heating')
    expect(container.querySelector('[data-part=reversing-valve]')).toHaveAttribute('data-mode', 'heating')
    expect(container).toHaveTextContent(/Indoor coilcondensing 103 F.*Outdoor coiltakes heat/)
  })
  test.each(METERINGS)('%s has its own mark', (metering) => {
    const { container } = draw({ ...UNIT, kind: 'split-ac', metering }, 'cooling')
    const mark = metering === 'fixed-orifice' ? 'orifices' : metering
    expect(container.querySelector(`[data-part=${mark}]`)).not.toBeNull()
    expect(container.querySelector('[data-part=reversing-valve]')).toBeNull()
    expect(container.querySelector('[data-part=bulb]') !== null).toBe(metering === 'txv')
  })
  test('liquid is solid, mixture dashed, vapour hollow; off, nothing flows', () => {
    const { container } = draw({ ...UNIT, kind: 'split-ac' }, 'cooling')
    const lines = (id: string) => container.querySelectorAll(`[data-pipe=${id}] polyline`)
    expect(lines('liquid')).toHaveLength(1)
    expect(lines('liquid')[0]).not.toHaveAttribute('stroke-dasharray')
    expect(lines('feed')[0]).toHaveAttribute('stroke-dasharray')
    expect(lines('suction')).toHaveLength(2)
    expect(container.querySelectorAll('[data-pipe] polygon').length).toBeGreaterThan(3)
    const { container: off } = draw({ ...UNIT, kind: 'split-ac' }, 'off')
    expect(off.querySelectorAll('[data-pipe] polygon')).toHaveLength(0)
  })
  test('asks for a place: each tap says its place, also of one that is there; taps give way', async () => {
    const user = userEvent.setup()
    const onAnswer = jest.fn()
    draw(UNIT, 'cooling', {
      seen: {
        question: 'Oil stain',
        answers: [
          { value: 'compressor', place: 'compressor', chosen: true },
          { value: 'valve-stem', place: 'meteringIn', chosen: false },
        ],
        onAnswer,
      },
    })
    expect(screen.queryByRole('button', { name: /Suction pressure/ })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'valve stem' }))
    await user.click(screen.getByRole('button', { name: /compressor/ }))
    expect(onAnswer.mock.calls).toEqual([['valve-stem'], ['compressor']])
  })
})

describe('geometry', () => {
  test('rectangles that only touch do not overlap', () => {
    const box = { x: 0, y: 0, width: 10, height: 10 }
    expect(overlaps(box, { ...box, x: 10 })).toBe(false)
    expect(overlaps(box, { ...box, x: 9.9 })).toBe(true)
  })
  test('the arrow stands on the longest leg, along the flow', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 100 },
    ]
    expect(middleOf(points)).toEqual({ at: { x: 10, y: 50 }, angle: 90 })
    expect(asPoints(points)).toBe('0,0 10,0 10,100')
  })
  test('places that fall together move apart downwards, and up again from the edge', () => {
    const spread = spreadPlaces(
      [
        { x: 50, y: 90 },
        { x: 50, y: 95 },
        { x: 200, y: 95 },
      ],
      140,
    )
    expect(spread.map(({ x }) => x)).toEqual([50, 50, 200])
    expect(spread[1]!.y - spread[0]!.y).toBeGreaterThanOrEqual(48)
    expect(Math.max(...spread.map(({ y }) => y))).toBeLessThanOrEqual(140 - 24)
  })
})
