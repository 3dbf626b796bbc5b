import { carriedOver } from './carry'
import { emptyJob, type Job } from '../job/job'

const job: Job = {
  ...emptyJob({ kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv' }),
  readingSets: [
    {
      id: 'a',
      mode: 'cooling',
      readings: {
        suctionPressure: { value: 40, unit: 'psig' },
        lowCutIn: { value: 25, unit: 'psig' },
        ohmsCR: { value: 1.2, unit: 'ohm' },
      },
      observations: { frostPattern: 'none', oilStain: 'joint', phaseSequence: 'correct' },
    },
  ],
}

test('settings, windings and what was looked at once go along; what moves is read anew', () => {
  expect(carriedOver(job)).toEqual({
    readings: { lowCutIn: { value: 25, unit: 'psig' }, ohmsCR: { value: 1.2, unit: 'ohm' } },
    observations: { oilStain: 'joint', phaseSequence: 'correct' },
  })
})
test('after a decided repair only what a repair leaves alone goes along', () => {
  expect(
    carriedOver({
      ...job,
      decisions: [{ id: 'compressor-grounded', fault: 'compressor-grounded', state: 'decided' }],
    }),
  ).toEqual({
    readings: { lowCutIn: { value: 25, unit: 'psig' } },
    observations: { phaseSequence: 'correct' },
  })
})
test('a first set carries nothing', () => {
  expect(carriedOver({ ...job, readingSets: [] })).toEqual({ readings: {} })
})

test('a ground goes along with its place; once something was replaced for it, it is measured anew', () => {
  const grounded = (groundMended: 'nothing' | 'lead'): Job => ({
    ...job,
    readingSets: [
      {
        id: 'a',
        mode: 'off',
        readings: { ohmsToGround: { value: 2, unit: 'ohm' } },
        observations: { groundMeasuredAt: 'terminals', terminalCover: 'off', groundMended },
      },
    ],
  })
  expect(carriedOver(grounded('nothing'))).toEqual({
    readings: { ohmsToGround: { value: 2, unit: 'ohm' } },
    observations: { groundMeasuredAt: 'terminals' },
  })
  expect(carriedOver(grounded('lead'))).toEqual({ readings: {} })
})
