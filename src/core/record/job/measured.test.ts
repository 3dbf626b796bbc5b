import type { ReadingKey } from '../readings/vocabulary'
import { emptyJob, type Job } from './job'
import { isMeasured } from './measured'
import { stageStates } from './stages'

const jobWith = (keys: readonly ReadingKey[], unit: Partial<Job['unit']> = {}): Job => {
  const job: Job = emptyJob({})
  const readings = Object.fromEntries(keys.map((key) => [key, { value: 1, unit: 'ohm' }]))
  return {
    ...job,
    unit: { ...job.unit, ...unit },
    readingSets: [{ id: 's', mode: 'cooling', readings }],
  } as unknown as Job
}

// [practice] what a kind of job needs (handbook 02, 05, 13)
test.each<[string, readonly ReadingKey[], boolean]>([
  ['nothing', [], false],
  ['one ohm', ['ohmsCR'], false],
  ['two windings and ground', ['ohmsCR', 'ohmsCS', 'ohmsToGround'], false],
  ['all windings and ground', ['ohmsCR', 'ohmsCS', 'ohmsRS', 'ohmsToGround'], true],
  ['pressures alone', ['suctionPressure', 'liquidPressure'], false],
  ['pressures with one line', ['suctionPressure', 'liquidPressure', 'suctionLineTemp'], false],
  [
    'pressures with both lines',
    ['suctionPressure', 'liquidPressure', 'suctionLineTemp', 'liquidLineTemp'],
    true,
  ],
  [
    'shown superheat and subcooling count',
    ['suctionPressure', 'dischargePressure', 'superheatShown', 'subcoolingShown'],
    true,
  ],
  ['standing pressure alone', ['standingPressure'], false],
  ['standing pressure with the air', ['standingPressure', 'outdoorAirTemp'], true],
  ['volts alone', ['voltageL1L2'], false],
  ['volts and amps', ['voltageL1L2', 'compressorAmps'], true],
])('%s: %j', (_name, keys, measured) => {
  const job = jobWith(keys)
  expect(isMeasured(job)).toBe(measured)
  expect(stageStates(job).find(({ stage }) => stage === 'measure')!.done).toBe(measured)
})

test('a small unit without ports is read from outside, another kind is not', () => {
  const outside: readonly ReadingKey[] = ['boxTemp', 'suctionLineTemp', 'compressorAmps']
  expect(isMeasured(jobWith(outside, { kind: 'reach-in' }))).toBe(true)
  expect(isMeasured(jobWith(outside, { kind: 'walk-in-cooler' }))).toBe(false)
})

test('what one set lacks another one does not lend it', () => {
  const job = jobWith(['suctionPressure', 'suctionLineTemp'])
  const other = jobWith(['liquidPressure', 'liquidLineTemp']).readingSets
  expect(isMeasured({ ...job, readingSets: [...job.readingSets, ...other] })).toBe(false)
})
