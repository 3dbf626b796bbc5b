import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import type { Unit } from '@/core/base/units/units'
import { tapSentence } from '../circuit/tapView'
import { unreadTap } from '../circuit/unreadTap'
import { judgeEntry, offeredUnits, pressKey, startingUnit, takesSign } from './entry'
import { NumericPad } from './NumericPad'
import { TapList } from './TapList'

describe('entry', () => {
  test.each([
    ['118', 'suctionPressure', 'psig', 118],
    ['-12.5', 'boxTemp', 'F', -12.5],
    ['.5', 'compressorAmps', 'A', 0.5],
    ['12.', 'compressorAmps', 'A', 12],
  ] as const)('%s at %s in %s is %f', (text, key, unit, value) => {
    expect(judgeEntry(text, key, unit)).toEqual({ state: 'good', value, unit })
  })
  test.each([
    ['-20', 'suctionPressure', 'psig', /perfect vacuum/],
    ['-500', 'boxTemp', 'F', /absolute zero/],
    ['1.2.3', 'boxTemp', 'F', /no number/],
    ['abc', 'boxTemp', 'F', /no number/],
    ['-1', 'compressorAmps', 'A', /negative/],
  ] as const)('%s at %s in %s is refused', (text, key, unit, message) => {
    const entry = judgeEntry(text, key, unit)
    expect(entry.state).toBe('bad')
    if (entry.state === 'bad') expect(entry.message).toMatch(message)
  })
  test('a unit typed behind the number counts', () => {
    expect(judgeEntry('12inHg', 'suctionPressure', 'psig')).toEqual({
      state: 'good',
      value: 12,
      unit: 'inHgVac',
    })
    expect(judgeEntry('12 lb', 'suctionPressure', 'psig')).toMatchObject({ state: 'bad' })
  })
  test('nothing and a lone sign are empty', () => {
    expect(judgeEntry('', 'boxTemp', 'F').state).toBe('empty')
    expect(judgeEntry('-', 'boxTemp', 'F').state).toBe('empty')
  })
  test.each([
    ['11', '8', '118'],
    ['11', '⌫', '1'],
    ['11', '±', '-11'],
    ['-11', '±', '11'],
    ['1.5', '.', '1.5'],
    ['123456789', '0', '123456789'],
  ])('%s then %s is %s', (text, key, result) => expect(pressKey(text, key)).toBe(result))
  test('units: daily ones first, the rest behind one key, none lost', () => {
    const { usual, more } = offeredUnits('suctionPressure')
    expect(usual).toEqual(['psig', 'kPag', 'barg', 'inHgVac'])
    expect(more).toEqual(['psia', 'kPa', 'bar', 'micron'])
    expect(offeredUnits('boxTemp')).toEqual({ usual: ['F', 'C', 'K'], more: [] })
  })
  test('a fresh tap starts in the units of this browser', () => {
    const display = { temperature: 'C', pressure: 'barg' } as const
    expect(startingUnit('suctionPressure', display)).toBe('barg')
    expect(startingUnit('boxTemp', display)).toBe('C')
    expect(startingUnit('compressorAmps', display)).toBe('A')
    expect([takesSign('F'), takesSign('A')]).toEqual([true, false])
  })
})

function Harness({ onNext, unit: first }: { onNext: () => void; unit: Unit }) {
  const [text, setText] = useState('')
  const [unit, setUnit] = useState<Unit>(first)
  return (
    <NumericPad
      label="Suction pressure"
      text={text}
      unit={unit}
      units={offeredUnits('suctionPressure')}
      message={undefined}
      onText={setText}
      onUnit={setUnit}
      onNext={onNext}
    />
  )
}

describe('numeric pad', () => {
  test('keys, sign, delete and unit by touch', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} unit="psig" />)
    for (const key of ['1', '1', '8', 'Decimal point', '5', 'Delete last digit', 'Change sign']) {
      await user.click(screen.getByRole('button', { name: key }))
    }
    expect(screen.getByLabelText('Suction pressure')).toHaveValue('-118.')
    await user.click(screen.getByRole('button', { name: 'kPag' }))
    expect(screen.getByRole('button', { name: 'kPag' })).toHaveAttribute('aria-pressed', 'true')
  })
  test('rare units stand behind one key', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} unit="psig" />)
    expect(screen.queryByRole('button', { name: 'micron' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'More units' }))
    await user.click(screen.getByRole('button', { name: 'micron' }))
    expect(screen.getByRole('button', { name: 'micron' })).toHaveAttribute('aria-pressed', 'true')
  })
  test('by keyboard: digits, a decimal comma, Enter goes on', async () => {
    const user = userEvent.setup()
    const onNext = jest.fn()
    render(<Harness onNext={onNext} unit="psig" />)
    await user.type(screen.getByLabelText('Suction pressure'), '68,5{Enter}')
    expect(screen.getByLabelText('Suction pressure')).toHaveValue('68.5')
    expect(onNext).toHaveBeenCalledTimes(1)
  })
})

test('the list of taps shows values, what tells most, what to check, what is doubtful or stale', async () => {
  const user = userEvent.setup()
  const onSelect = jest.fn()
  const onMove = jest.fn()
  render(
    <TapList
      taps={[
        unreadTap('suctionPressure', { value: '118', unit: 'psig', wanted: true }),
        unreadTap('liquidLineTemp', { wanted: true }),
        unreadTap('suctionLineTemp', { value: '20', unit: 'F', flagged: true, doubtful: true, stale: true }),
      ]}
      selected="suctionPressure"
      onSelect={onSelect}
      onMove={onMove}
    />,
  )
  const [first, second, third] = document.querySelectorAll('[data-tap]')
  expect(first).toHaveAttribute('aria-pressed', 'true')
  expect(first).toHaveTextContent(/118psig/)
  expect(first).not.toHaveTextContent('tells most')
  expect(second).toHaveTextContent('tells most')
  expect(third).toHaveTextContent(/check it.*doubtful.*before conditions changed/)
  await user.click(second!)
  expect(onSelect).toHaveBeenCalledWith('liquidLineTemp')
  await user.click(screen.getByRole('button', { name: /Liquid line.* earlier/ }))
  expect(onMove).toHaveBeenCalledWith('liquidLineTemp', -1)
})

describe('a tap in words', () => {
  test.each([
    [unreadTap('boxTemp'), 'Box: not read'],
    [
      unreadTap('boxTemp', { value: '36', unit: 'F', error: '±1', age: '4 min' }),
      'Box: 36 F, plus or minus 1, 4 min ago',
    ],
    [
      unreadTap('boxTemp', { value: '36', unit: 'F', live: 'lost' }),
      'Box: 36 F, connection lost, last value',
    ],
    [
      unreadTap('boxTemp', { value: '36', unit: 'F', age: 'live', live: 'moving', trend: 'rising 2 a min' }),
      'Box: 36 F, live, rising 2 a min',
    ],
    [unreadTap('boxTemp', { wanted: true }), 'Box: not read, tells most'],
  ])('%#', (tap, sentence) => expect(tapSentence(tap)).toBe(sentence))
})
