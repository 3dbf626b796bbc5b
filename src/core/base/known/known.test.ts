import { entriesText } from './entries'
import {
  askSentence,
  assumed,
  basisOf,
  computed,
  fact,
  guess,
  isAssumed,
  known,
  whereItDecides,
} from './known'

const plate = known(3.2, 'plate', 'plate charge')
const tons = assumed(3, '3 tons, usual for split-ac', 'nominalTons')
const oil = assumed(1.2, 'oil by tons', 'oilCharge')

test('what follows from facts is computed, from all of them', () => {
  const whole = computed(4, plate, fact('typed', 'line set'), undefined)
  expect(whole).toEqual({ value: 4, source: 'computed', from: ['plate charge', 'line set'], asks: [] })
})

test('one guess among facts makes a guess, and what is told of it are the guesses', () => {
  const basis = basisOf(plate, tons, oil, tons)
  expect(basis).toEqual({
    source: 'assumed',
    from: ['3 tons, usual for split-ac', 'oil by tons'],
    asks: ['nominalTons', 'oilCharge'],
  })
  expect(isAssumed(computed(1, computed(2, basis), plate))).toBe(true)
})

test('nothing at all rests on nothing', () => {
  expect(basisOf()).toEqual({ source: 'computed', from: [], asks: [] })
  expect(askSentence(basisOf(), 'it is told')).toBeUndefined()
})

test('a guess counts where it changes the word; a fact never does, and is not asked', () => {
  const words = jest.fn(() => ['wet', 'wet', 'dry'])
  expect(whereItDecides(tons, words)).toBe(tons)
  expect(whereItDecides(tons, () => ['wet', 'wet'])).toBeUndefined()
  words.mockClear()
  expect(whereItDecides(plate, words)).toBeUndefined()
  expect(words).not.toHaveBeenCalled()
})

test.each([
  [[], ''],
  [['factoryCharge'], 'the plate charge'],
  [['factoryCharge', 'lineLength'], 'the plate charge and the length of the lines'],
  [
    ['factoryCharge', 'lineLength', 'oilKind'],
    'the plate charge, the length of the lines and the kind of oil',
  ],
] as const)('%j reads "%s"', (ids, text) => expect(entriesText(ids)).toBe(text))

test('what is asked, and what it would bring', () =>
  expect(askSentence(guess('by tons', 'factoryCharge'), 'the weight is told against it')).toBe(
    'Enter the plate charge: then the weight is told against it.',
  ))
