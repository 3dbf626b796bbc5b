import 'fake-indexeddb/auto'
import { act, render, renderHook, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { database } from '@/data/shared'
import { readSettings } from '@/data/settings'
import { readSettingRows } from '@/core/record/settings/settings'
import { US_UNITS } from '@/core/base/units/system'
import { lookOf } from './display'
import { DisplayButton } from './DisplayButton'
import { DisplayProvider, useLook } from './DisplayProvider'
import { useScreenOn } from './useScreenOn'

afterEach(() => database().settings.clear())

test('nothing chosen is Sunlight, usual text, right hand, a screen that may sleep; nonsense too', () => {
  const first = { theme: 'sunlight', textSize: 'usual', hand: 'right', screenOn: false, system: US_UNITS }
  expect(lookOf({})).toEqual(first)
  const rows = { theme: 'neon', textSize: '200', hand: 'both', screenOn: 'perhaps' }
  expect(lookOf(readSettingRows(Object.entries(rows).map(([key, value]) => ({ key, value }))))).toEqual(first)
})

function Shown() {
  const { theme, textSize, hand } = useLook()
  return <p>{[theme, textSize, hand].join(' ')}</p>
}

test('what is chosen in the dialog holds for the whole page and is remembered', async () => {
  const user = userEvent.setup()
  render(
    <DisplayProvider>
      <Shown />
      <DisplayButton />
    </DisplayProvider>,
  )
  await user.click(screen.getByRole('button', { name: 'Display' }))
  await user.click(screen.getByText('Mixed: a unit for each quantity'))
  for (const name of ['Cellar', 'Large', 'Left', 'Kelvin'])
    await user.click(screen.getByRole('button', { name }))
  await waitFor(() => expect(screen.getByText('cellar large left')).toBeInTheDocument())
  expect(await readSettings(database())).toMatchObject({
    theme: 'cellar',
    textSize: 'large',
    temperatureUnit: 'K',
  })
  expect(getComputedStyle(document.documentElement).getPropertyValue('--orzo-paper').trim()).toBe('#17191b')
})

describe('the screen stays on', () => {
  const release = jest.fn(async () => undefined)
  const request = jest.fn(async () => ({ release }))
  beforeEach(() => {
    jest.clearAllMocks()
    Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true })
  })
  afterEach(() => Reflect.deleteProperty(navigator, 'wakeLock'))

  test('while it is wanted, again when the page comes back, and is let go at the end', async () => {
    const hook = renderHook(({ on }) => useScreenOn(on), { initialProps: { on: true } })
    await act(async () => undefined)
    act(() => void document.dispatchEvent(new Event('visibilitychange')))
    expect(request).toHaveBeenCalledTimes(2)
    await act(async () => undefined)
    hook.rerender({ on: false })
    expect(release).toHaveBeenCalledTimes(1)
  })
  test('not unless it is asked for; a refusal is borne', async () => {
    renderHook(() => useScreenOn(false))
    expect(request).not.toHaveBeenCalled()
    request.mockRejectedValueOnce(new Error('battery saver'))
    const hook = renderHook(() => useScreenOn(true))
    await act(async () => undefined)
    hook.unmount()
    expect(release).not.toHaveBeenCalled()
  })
  test('a lock that comes after one has left is let go at once', async () => {
    const hook = renderHook(() => useScreenOn(true))
    hook.unmount()
    await act(async () => undefined)
    expect(release).toHaveBeenCalledTimes(1)
  })
})
