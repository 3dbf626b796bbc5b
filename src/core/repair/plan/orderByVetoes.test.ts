import { VETO_IDS, type VetoId } from '../../safety/vetoes'
import { orderByVetoes } from './orderByVetoes'
import type { TaskId } from './tasks/tasks'

const ids = (wanted: readonly TaskId[], holding: readonly VetoId[]) =>
  orderByVetoes(wanted, holding).map(({ id }) => id)

describe('tasks obey the states that hold', () => {
  test('nothing holds: the order of the work, each task once', () => {
    expect(ids(['settle', 'confirm', 'setUp', 'settle'], [])).toEqual(['setUp', 'confirm', 'settle'])
  })
  test.each<readonly [string, readonly TaskId[], readonly VetoId[], readonly TaskId[]]>([
    [
      'a grounded compressor is confirmed with the power off',
      ['confirm', 'swapCompressor', 'evacuate', 'weighIn', 'settle'],
      ['ground-path'],
      ['confirmDead', 'swapCompressor', 'evacuate', 'weighIn', 'closeCover', 'settle'],
    ],
    [
      'the cover goes on just before power',
      ['setUp', 'checkControls', 'settle'],
      ['cover-off'],
      ['setUp', 'closeCover', 'checkControls', 'settle'],
    ],
    [
      'standing water is drained before recovery',
      ['recover', 'swapValve', 'evacuate', 'weighIn'],
      ['water-standing'],
      ['drainWater', 'recover', 'swapValve', 'evacuate', 'weighIn'],
    ],
    [
      'valves are opened before a start',
      ['swapContactor', 'settle'],
      ['isolated'],
      ['swapContactor', 'openValves', 'settle'],
    ],
    [
      'a flammable circuit is swept before any flame',
      ['recover', 'swapValve'],
      ['flammable'],
      ['recover', 'sweepFlammable', 'swapValve'],
    ],
    [
      'evacuated, then charged, then started',
      ['evacuate', 'weighIn', 'settle'],
      ['standing-vacuum', 'no-liquid'],
      ['evacuate', 'weighIn', 'settle'],
    ],
  ])('%s', (_name, wanted, holding, expected) => {
    const steps = orderByVetoes(wanted, holding)
    expect(steps.map(({ id }) => id)).toEqual(expected)
    expect(steps.some(({ refused }) => refused)).toBe(false)
  })
  test('what nothing makes possible stays in the plan, marked with its reason', () => {
    const steps = orderByVetoes(['swapContactor', 'settle'], ['ground-path'])
    expect(steps.map(({ id }) => id)).toEqual(['swapContactor', 'settle'])
    expect(steps[1]?.refused).toMatch(/^Not now: a path to ground.*Until the path is shown/)
    expect(orderByVetoes(['settle'], ['no-liquid'])[0]?.refused).toMatch(/no liquid is left/)
  })
  test('with every state at once nothing is started before all of them ended', () => {
    const steps = orderByVetoes(
      ['recover', 'swapCompressor', 'repairLeak', 'evacuate', 'weighIn', 'settle'],
      VETO_IDS,
    )
    expect(steps.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['drainWater', 'closeCover', 'openValves', 'restoreWater']),
    )
    expect(steps.filter(({ refused }) => refused)).toEqual([])
  })
})
