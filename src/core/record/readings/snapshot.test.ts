import type { ReadingSet } from './schema'
import { DOUBTFUL_ERRORS, takeSnapshot } from './snapshot'

const taken = (doubtful: boolean) => {
  const set: ReadingSet = {
    mode: 'cooling',
    readings: {
      suctionPressure: { value: 118, unit: 'psig', ...(doubtful ? { doubtful } : {}) },
      boxTemp: { value: 40, unit: 'F' },
    },
  }
  return takeSnapshot(set, 'R-410A', 101_325).values
}

test('a doubted reading counts with four times the error of its instrument, the others do not', () => {
  const [sure, doubted] = [taken(false), taken(true)]
  expect(DOUBTFUL_ERRORS).toBe(4)
  expect(doubted.suctionPressure!.error / sure.suctionPressure!.error).toBeCloseTo(4, 9)
  expect(doubted.suctionPressure!.value).toBe(sure.suctionPressure!.value)
  expect(doubted.boxTemp).toEqual(sure.boxTemp)
})
