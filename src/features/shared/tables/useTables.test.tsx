import { renderHook, waitFor } from '@testing-library/react'
import * as tables from '@/core/physics/refrigerants/tables'
import { useTables } from './useTables'

jest.mock('@/core/physics/refrigerants/tables', () => ({
  __esModule: true,
  ...jest.requireActual('@/core/physics/refrigerants/tables'),
}))

afterEach(() => jest.restoreAllMocks())

test('loaded tables are ready at once', async () => {
  const { result } = renderHook(() => useTables(['R-22', 'R-410A']))
  await waitFor(() => expect(result.current).toEqual({ ready: true, problem: undefined }))
})

test('not ready until the files have come', async () => {
  let arrived = false
  jest.spyOn(tables, 'isLoaded').mockImplementation(() => arrived)
  jest.spyOn(tables, 'loadRefrigerants').mockImplementation(async () => {
    arrived = true
  })
  const { result } = renderHook(() => useTables(['R-454C']))
  expect(result.current.ready).toBe(false)
  await waitFor(() => expect(result.current.ready).toBe(true))
})

test('a file that does not come is told with what to do; another choice asks again', async () => {
  jest.spyOn(tables, 'isLoaded').mockImplementation((name) => name === 'R-22')
  const load = jest.spyOn(tables, 'loadRefrigerants')
  load.mockRejectedValueOnce(new Error('The properties of R-12 could not be loaded: reload the page.'))
  load.mockResolvedValueOnce(undefined)
  const { result, rerender } = renderHook(({ name }: { name: 'R-12' | 'R-22' }) => useTables([name]), {
    initialProps: { name: 'R-12' as 'R-12' | 'R-22' },
  })
  await waitFor(() => expect(result.current.problem).toMatch(/reload the page/))
  expect(result.current.ready).toBe(false)
  rerender({ name: 'R-22' })
  await waitFor(() => expect(result.current).toEqual({ ready: true, problem: undefined }))
  expect(load).toHaveBeenCalledTimes(2)
})
