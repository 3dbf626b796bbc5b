import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import type { Reading } from '@/core/record/readings/schema'
import { tapSentence } from '../circuit/tapView'
import { unreadTap } from '../circuit/unreadTap'
import { editing, followed, given, inUnit, openDraft, pressed, typed } from './draft'
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

function Harness({ onNext, held }: { onNext: () => void; held?: Reading }) {
  const [draft, setDraft] = useState(() =>
    openDraft('suctionPressure', held, { temperature: 'F', pressure: 'psig' }),
  )
  return (
    <>
      <NumericPad
        label="Suction pressure"
        text={draft.text}
        unit={draft.unit}
        units={offeredUnits('suctionPressure')}
        message={undefined}
        fresh={draft.fresh}
        onText={(text) => setDraft((now) => typed(now, text))}
        onKey={(key) => setDraft((now) => pressed(now, key))}
        onEdit={() => setDraft(editing)}
        onLeave={() => {}}
        onUnit={(unit) => setDraft((now) => inUnit(now, unit))}
        onNext={onNext}
      />
      <button>elsewhere</button>
    </>
  )
}

describe('numeric pad', () => {
  test('keys, sign, delete and unit by touch', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} />)
    for (const key of ['1', '1', '8', 'Decimal point', '5', 'Delete last digit', 'Change sign']) {
      await user.click(screen.getByRole('button', { name: key }))
    }
    expect(screen.getByLabelText('Suction pressure')).toHaveValue('-118.')
    await user.click(screen.getByRole('button', { name: 'kPag' }))
    expect(screen.getByRole('button', { name: 'kPag' })).toHaveAttribute('aria-pressed', 'true')
  })
  test('rare units stand behind one key', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} />)
    expect(screen.queryByRole('button', { name: 'microns' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'More units' }))
    await user.click(screen.getByRole('button', { name: 'microns' }))
    expect(screen.getByRole('button', { name: 'microns' })).toHaveAttribute('aria-pressed', 'true')
  })
  test('by keyboard: digits, a decimal comma, Enter goes on', async () => {
    const user = userEvent.setup()
    const onNext = jest.fn()
    render(<Harness onNext={onNext} />)
    await user.type(screen.getByLabelText('Suction pressure'), '68,5{Enter}')
    expect(screen.getByLabelText('Suction pressure')).toHaveValue('68,5')
    expect(onNext).toHaveBeenCalledTimes(1)
  })
  test('the sign by mouse, then Enter: it goes on and does not turn the sign back', async () => {
    const user = userEvent.setup()
    const onNext = jest.fn()
    render(<Harness onNext={onNext} />)
    await user.type(screen.getByLabelText('Suction pressure'), '20')
    await user.click(screen.getByRole('button', { name: 'Change sign' }))
    await user.keyboard('{Enter}')
    expect(screen.getByLabelText('Suction pressure')).toHaveValue('-20')
    expect(onNext).toHaveBeenCalledTimes(1)
    // the space bar presses a key
    await user.keyboard(' ')
    expect(screen.getByLabelText('Suction pressure')).toHaveValue('20')
  })
  test.each([
    ['9999 psig', /9,999|10,000 psig cannot be. It lies between/],
    ['-800 inHg', /Inches of vacuum run from 0 to 29.9/],
  ])('what cannot be is refused with its range: %s', (text, message) => {
    const entry = judgeEntry(text, 'suctionPressure', 'psig')
    expect(entry).toMatchObject({ state: 'bad', message: expect.stringMatching(message) })
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

  const HELD: Reading = { value: 63.6, unit: 'psig' }
  const display = () => screen.getByLabelText('Suction pressure')
  const press = (user: ReturnType<typeof userEvent.setup>, ...keys: string[]) =>
    keys.reduce(
      (before, key) => before.then(() => user.click(screen.getByRole('button', { name: key }))),
      Promise.resolve(),
    )
  test('a stored value is replaced by what is typed on the drawn pad', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} held={HELD} />)
    expect(screen.getByText('typing replaces it')).toBeVisible()
    await press(user, '8', '1', 'Decimal point', '5')
    expect(display()).toHaveValue('81.5')
    expect(screen.queryByText('typing replaces it')).toBeNull()
  })
  test('and by what is typed by keyboard or pasted, where the focus comes by Tab', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} held={HELD} />)
    display().focus()
    await user.keyboard('81.5')
    expect(display()).toHaveValue('81.5')
  })
  test('pasted over it', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} held={HELD} />)
    display().focus()
    await user.paste('70 psig')
    expect(display()).toHaveValue('70 psig')
  })
  test('pasted over all of it, what begins alike is taken whole', async () => {
    const user = userEvent.setup()
    render(<Harness onNext={() => {}} held={HELD} />)
    display().focus()
    ;(display() as HTMLInputElement).select()
    await user.paste('63.65')
    expect(display()).toHaveValue('63.65')
  })
  test.each([
    ['delete on the pad', (user) => press(user, 'Delete last digit', '8'), '63.8'],
    ['sign on the pad', (user) => press(user, 'Change sign'), '-63.6'],
    ['a tap into the display', (user) => user.click(display()).then(() => user.keyboard('81')), '63.681'],
    ['a unit behind it', (user) => (display().focus(), user.keyboard(' kPa')), '63.6 kPa'],
    ['an arrow', (user) => (display().focus(), user.keyboard('{ArrowRight}81')), '63.681'],
    ['backspace', (user) => (display().focus(), user.keyboard('{Backspace}8')), '63.8'],
  ] as [string, (user: ReturnType<typeof userEvent.setup>) => Promise<void>, string][])(
    '%s edits it instead',
    async (_name, act, result) => {
      const user = userEvent.setup()
      render(<Harness onNext={() => {}} held={HELD} />)
      await act(user)
      expect(display()).toHaveValue(result)
    },
  )
})

describe('the pad beside the store', () => {
  const A: Reading = { value: 118, unit: 'psig' }
  const opened = () => openDraft('suctionPressure', A, { temperature: 'F', pressure: 'psig' })
  test('what was given is not shown anew when it comes back, however late', () => {
    const first = given(typed(opened(), '120'), { value: 120, unit: 'psig' })
    const second = given(typed(first, '1205'), { value: 1205, unit: 'psig' })
    // the first comes back after the second was given
    const late = followed(second, { value: 120, unit: 'psig' })
    expect(late.text).toBe('1205')
    const both = followed(late, { value: 1205, unit: 'psig' })
    expect(both).toMatchObject({ text: '1205', touched: false, original: A })
  })
  test('an undo, an instrument, another window: shown, and typed over', () => {
    const sent = followed(given(typed(opened(), '120'), { value: 120, unit: 'psig' }), {
      value: 120,
      unit: 'psig',
    })
    const undone = followed(sent, A)
    expect(undone).toMatchObject({ text: '118', fresh: true, original: A })
    expect(followed(sent, undefined)).toMatchObject({ text: '', fresh: false })
    const captured: Reading = { value: 131, unit: 'psig', source: 'probe' }
    expect(typed(followed(sent, captured), '1315')).toMatchObject({ text: '5', original: captured })
  })
  test('while one types, what comes is kept for the history and does not take the display', () => {
    const other: Reading = { value: 131, unit: 'psig' }
    expect(followed(typed(opened(), '12'), other)).toMatchObject({
      text: '12',
      original: other,
      touched: true,
    })
  })
})
