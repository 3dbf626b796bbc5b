import { US_UNITS } from '@/core/base/units/system'
import 'fake-indexeddb/auto'
import { act, render, renderHook, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Reading, ReadingSet } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { database } from '@/data/shared'
import { buildDemoJobs } from '@/demo/buildDemo'
import { demoUnit } from '@/demo/observatory'
import type { LiveTap } from '@/instruments/session'
import { compareSets } from '@/core/answer/comparison'
import { captureReadings } from '@/core/record/edits/readingEdits'
import { captured } from './live/capture'
import { useTakeSettled } from './live/useTakeSettled'
import { rememberColumns, rememberedColumns } from '../shared/logs/import/columnsMemory'
import { guessColumns } from '@/core/record/logs/readLog'
import { MOST_TABLE_BYTES } from '@/core/base/csv/csv'
import { parseLog, tableOf } from '../shared/logs/import/parseLog'
import { knownJob } from '@/core/record/job/known'
import { createPadEntry } from '../shared/entry/padEntry'
import { PadPanel } from './PadPanel'
import { seenOnDrawing } from '../shared/circuit/seenOnDrawing'
import { useKept } from '../shared/display/useKept'

const NOW = new Date('2026-05-04T09:00:00Z')
const demo = (id: string) => knownJob(buildDemoJobs(NOW).find((job) => job.id === id)!)
const live = (value: number, state: LiveTap['state'] = 'settled'): LiveTap => ({
  probe: 'gauge-low',
  name: 'Low gauge',
  value,
  unit: 'psig',
  at: NOW.getTime(),
  state,
  trend: undefined,
})

describe('capture', () => {
  const stamp = { now: NOW.toISOString(), newId: () => 'new' }
  test('a live value becomes a reading with its instrument; the one before stays in its history', () => {
    const job = demo('demo-control-room')
    const before = job.readingSets[0]!.readings.suctionPressure!
    const after = captureReadings(undefined, captured([['suctionPressure', live(70)]], US_UNITS))(job, stamp)
    expect(after.readingSets[0]!.readings.suctionPressure).toEqual({
      value: 70,
      unit: 'psig',
      at: NOW.toISOString(),
      source: 'probe',
      instrument: 'Low gauge',
      before: [{ value: before.value, unit: before.unit, at: before.at }],
    })
    expect(after.readingSets[0]!.readings.liquidPressure).toBe(job.readingSets[0]!.readings.liquidPressure)
  })
  test('a job without a set gets its first', () => {
    const job = captureReadings(undefined, captured([['suctionPressure', live(70)]], US_UNITS))(
      demo('demo-water-source'),
      stamp,
    )
    expect(job.readingSets).toHaveLength(1)
    expect(job.readingSets[0]).toMatchObject({ label: 'as found', mode: 'cooling' })
  })
})

describe('taking on its own', () => {
  const taps = (state: LiveTap['state']) =>
    new Map<ReadingKey, LiveTap>([['suctionPressure', live(70, state)]])
  const watch = () => {
    const take = jest.fn()
    const hook = renderHook(({ on, state }) => useTakeSettled(on, taps(state), take), {
      initialProps: { on: true, state: 'moving' as LiveTap['state'] },
    })
    return { take, show: (state: LiveTap['state'], on = true) => hook.rerender({ on, state }) }
  }
  test('once when it has settled, again only after it moved', () => {
    const { take, show } = watch()
    expect(take).not.toHaveBeenCalled()
    show('settled')
    show('settled')
    expect(take).toHaveBeenCalledTimes(1)
    show('moving')
    show('settled')
    expect(take).toHaveBeenCalledTimes(2)
  })
  test('not while it is off, and never a lost value', () => {
    const { take, show } = watch()
    show('settled', false)
    show('lost')
    expect(take).not.toHaveBeenCalled()
  })
})

describe('comparison', () => {
  test('two sets are compared with their differences, temperatures as differences', () => {
    const { rows, headings } = compareSets(demo('demo-exhibit-hall'), { temperature: 'C' })
    expect(headings).toEqual(['as found', 'after repair'])
    const dryer = rows.find(({ key }) => key === 'dryerDrop')!
    expect(dryer.change).toMatch(/^-\d+ C$/)
    const evaporating = rows.find(({ key }) => key === 'evaporatingMean')!
    const [before, after] = evaporating.cells.map((cell) => Number(cell!.text.replace(' C', '')))
    expect(Math.abs(Number(evaporating.change!.replace(' C', '')) - (after! - before!))).toBeLessThanOrEqual(
      1,
    )
    expect(
      compareSets(demo('demo-exhibit-hall'), { temperature: 'C' }, ['set-after', 'set-after']).rows[0]
        ?.change,
    ).toBeUndefined()
  })
})

describe('the pad', () => {
  const show = (reading: Reading | undefined, onDoubt = jest.fn()) => {
    const save = jest.fn()
    const readings = reading ? { suctionPressure: reading } : {}
    const entry = createPadEntry({ readings, display: { temperature: 'F', pressure: 'psig' }, save })
    entry.open('suctionPressure')
    render(
      <PadPanel
        entry={entry}
        open="suctionPressure"
        order={['suctionPressure', 'liquidPressure']}
        reading={reading}
        onDoubt={onDoubt}
        onNote={jest.fn()}
        onUnit={jest.fn()}
        hand="left"
      />,
    )
    return { entry, onDoubt, save }
  }
  test('next goes on in the order, done closes, clearing empties', async () => {
    const user = userEvent.setup()
    const { entry, save } = show({ value: 118, unit: 'psig' })
    await user.click(screen.getByRole('button', { name: 'Next' }))
    expect(entry.current()?.key).toBe('liquidPressure')
    act(() => entry.open('suctionPressure'))
    await user.click(screen.getByRole('button', { name: 'Clear this reading' }))
    await user.click(screen.getByRole('button', { name: /Done/ }))
    expect(save.mock.calls).toEqual([['suctionPressure', undefined, { value: 118, unit: 'psig' }]])
    expect(entry.current()).toBeUndefined()
  })
  test('doubt goes on and off; without a reading there is nothing to doubt', async () => {
    const user = userEvent.setup()
    const { onDoubt } = show({ value: 118, unit: 'psig', doubtful: true })
    await user.click(screen.getByRole('button', { name: '? Doubtful' }))
    expect(onDoubt).toHaveBeenCalledWith('suctionPressure', false)
  })
  test('an empty tap offers neither doubt nor history', () => {
    show(undefined)
    expect(screen.queryByRole('button', { name: '? Doubtful' })).toBeNull()
    expect(screen.queryByRole('button', { name: /Before/ })).toBeNull()
  })
})

const SEEN: Pick<ReadingSet, 'observations' | 'also'> = {
  observations: { oilStain: 'joint' },
  also: { oilStain: ['valve-stem'] },
}

describe('what is seen on the drawing', () => {
  const unit: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
  const values = (plate: UnitPlate) =>
    seenOnDrawing(plate, 'oilStain', SEEN, () => undefined)!.answers.map(({ value }) => value)
  test('has only places of this unit, and marks the answer', () => {
    expect(values(unit)).not.toContain('reversing-valve')
    expect(values({ ...unit, kind: 'split-heat-pump' })).toContain('reversing-valve')
    const { answers } = seenOnDrawing(unit, 'oilStain', SEEN, () => undefined)!
    expect(answers.filter(({ chosen }) => chosen).map(({ value }) => value)).toEqual(['valve-stem', 'joint'])
  })
})

describe('logs', () => {
  const headings = ['Time', 'Low side (psig)']
  afterEach(() => database().settings.clear())
  test('units in a row of their own belong to the names above them', () => {
    const cells = [
      ['Site log', ''],
      ['Time', 'Low side', 'Outdoor'],
      ['(min)', 'psig', '°F'],
      ['0', '118', '95'],
    ]
    expect(tableOf(cells)?.headings).toEqual(['Time (min)', 'Low side psig', 'Outdoor °F'])
    expect(guessColumns(tableOf(cells)!)).toEqual([
      { use: 'time' },
      { use: 'reading', key: 'suctionPressure', unit: 'psig' },
      { use: 'reading', key: 'outdoorAirTemp', unit: 'F' },
    ])
    // two rows of names are two rows of names
    expect(
      tableOf([
        ['Site', 'Dome'],
        ['Time', 'Outdoor'],
        ['0', '95'],
      ])?.headings,
    ).toEqual(['Time', 'Outdoor'])
  })
  test('what stands above the headings is left out; words alone are no log', () => {
    const cells = [['made by hand'], ['Time', ''], ['0', '118'], ['10', '119'], ['end']]
    expect(tableOf(cells)).toEqual({
      headings: ['Time', 'Column 2'],
      rows: [
        ['0', '118'],
        ['10', '119'],
      ],
    })
    expect(tableOf([['only', 'words']])).toBeUndefined()
  })
  test('a file is read with any separator, and refused when it is too large', async () => {
    const file = { size: 40, text: async () => 'Time;Low side (psig)\n0;118,5\n10;119,5\n' } as File
    expect(await parseLog(file)).toEqual({
      headings,
      rows: [
        ['0', '118,5'],
        ['10', '119,5'],
      ],
    })
    await expect(parseLog({ size: MOST_TABLE_BYTES + 1 } as File)).rejects.toThrow(/20 MB/)
  })
  test('a mapping is found again by its headings only', async () => {
    const columns = [{ use: 'time' }, { use: 'reading', key: 'suctionPressure', unit: 'kPag' }] as const
    await rememberColumns(headings, columns)
    expect(await rememberedColumns(headings)).toEqual(columns)
    expect(await rememberedColumns(['Time', 'High side'])).toBeUndefined()
    await database().settings.put({ key: 'logColumns', value: 'broken' })
    expect(await rememberedColumns(headings)).toBeUndefined()
  })
})

test('only demo jobs have a simulated unit behind them', () => {
  expect(demoUnit('demo-water-source')?.question.faults[0]?.fault).toBe('condenser-water-low-flow')
  expect(demoUnit('demo-exhibit-hall')?.question.faults).toEqual([])
  expect(demoUnit('job-of-a-customer')).toBeUndefined()
})

test('what one looked at outlives the component', async () => {
  const first = renderHook(() => useKept('view x', 'circuit'))
  act(() => first.result.current[1]('ladder'))
  first.unmount()
  const second = renderHook(() => useKept('view x', 'circuit'))
  await waitFor(() => expect(second.result.current[0]).toBe('ladder'))
})
