import { act, renderHook } from '@testing-library/react'
import type { Readings } from '@/core/readings/schema'
import { useReadingEntry } from './useReadingEntry'

const DISPLAY = { temperature: 'F', pressure: 'psig' } as const

function setup(readings: Readings = {}) {
  const save = jest.fn()
  const hook = renderHook(() => useReadingEntry(readings, DISPLAY, save))
  return { save, hook, entry: () => hook.result.current }
}

beforeEach(() => {
  jest.useFakeTimers()
})
afterEach(() => {
  jest.useRealTimers()
})

test('a tap opens with its stored value and unit, or empty in the browser units', () => {
  const { entry } = setup({ liquidPressure: { value: 24, unit: 'barg' } })
  act(() => entry().open('liquidPressure'))
  expect(entry().draft).toMatchObject({ text: '24', unit: 'barg' })
  act(() => entry().open('suctionLineTemp'))
  expect(entry().draft).toMatchObject({ text: '', unit: 'F' })
})

test('opening another tap saves the one before; looking alone saves nothing', () => {
  const { entry, save } = setup()
  act(() => entry().open('suctionPressure'))
  act(() => entry().open('liquidPressure'))
  expect(save).not.toHaveBeenCalled()
  act(() => entry().type('350'))
  act(() => entry().open('suctionLineTemp'))
  expect(save).toHaveBeenCalledWith('liquidPressure', { value: 350, unit: 'psig' })
})

test('a pause saves; so does leaving the stage, at once', () => {
  const { entry, save, hook } = setup()
  act(() => entry().open('suctionPressure'))
  act(() => entry().type('118'))
  expect(save).not.toHaveBeenCalled()
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenLastCalledWith('suctionPressure', { value: 118, unit: 'psig' })
  act(() => entry().type('119'))
  hook.unmount()
  expect(save).toHaveBeenLastCalledWith('suctionPressure', { value: 119, unit: 'psig' })
})

test('going to another program saves before the browser may stop the page', () => {
  const { entry, save } = setup()
  act(() => entry().open('suctionPressure'))
  act(() => entry().type('70'))
  act(() => void globalThis.dispatchEvent(new Event('pagehide')))
  expect(save).toHaveBeenCalledWith('suctionPressure', { value: 70, unit: 'psig' })
})

test('a unit chip changes the unit of the same number', () => {
  const { entry, save } = setup({ suctionPressure: { value: 8, unit: 'psig' } })
  act(() => entry().open('suctionPressure'))
  act(() => entry().chooseUnit('barg'))
  act(() => entry().close())
  expect(save).toHaveBeenCalledWith('suctionPressure', { value: 8, unit: 'barg' })
  expect(entry().draft).toBeUndefined()
})

test('emptied is taken out; impossible is told and not saved', () => {
  const { entry, save } = setup({ suctionPressure: { value: 118, unit: 'psig' } })
  act(() => entry().open('suctionPressure'))
  act(() => entry().type(''))
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenLastCalledWith('suctionPressure', undefined)
  act(() => entry().type('-99'))
  expect(entry().message).toMatch(/perfect vacuum/)
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenCalledTimes(1)
})
