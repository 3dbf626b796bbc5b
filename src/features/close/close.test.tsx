import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { Edit } from '@/core/record/edits/edit'
import { emptyJob, type StoredJob } from '@/core/record/job/job'
import type { Closing } from '@/core/record/records/closing'
import type { ClosePoint } from '@/core/report/closePoints'
import { lineText } from '@/core/report/line'
import { ReportSections } from '../shared/report/ReportSections'
import { Entries } from './Entries'
import { Missing } from './Missing'

const NOW = '2026-11-20T10:00:00.000Z'
const job = (closing?: Closing): StoredJob => ({
  ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }),
  id: 'a',
  createdAt: NOW,
  updatedAt: NOW,
  ...(closing ? { closing } : {}),
})
/** Edits as they were asked for, each run on the job. */
function changes(start: StoredJob) {
  const made: StoredJob[] = []
  const change = (edit: Edit) => {
    made.push(edit(start, { now: NOW, newId: () => 'id' }) as StoredJob)
    return Promise.resolve(true)
  }
  return { made, change }
}
const point = (more: Partial<ClosePoint>): ClosePoint => ({
  id: 'recovered',
  name: 'Recovered weight',
  state: 'missing',
  missing: ['the weight that was recovered'],
  override: undefined,
  canOverride: true,
  place: { at: 'close', field: 'recovered' },
  ...more,
})
const met = point({ id: 'proof', state: 'met', missing: [] })

test('with everything on record nothing is asked', () => {
  const { change } = changes(job())
  render(<Missing job={job()} change={change} points={[met, { ...met, id: 'steps' }]} />)
  expect(screen.getByText('● All 2 points are on record.')).toBeVisible()
  expect(screen.queryByRole('list')).toBeNull()
})

test('what is missing stands with its reason, its place and the way to pass it; what must be chosen has none', () => {
  const { change } = changes(job())
  const points = [
    met,
    point({}),
    point({ id: 'not-tested', name: 'Tight under nitrogen', place: { at: 'step', task: 'pressureTest' } }),
    point({ id: 'proven', name: 'Shown under load', canOverride: false, place: undefined }),
  ]
  render(<Missing job={job()} change={change} points={points} />)
  expect(screen.getByText('1 of 4 points are on record.')).toBeVisible()
  const [weight, tight, proven] = screen.getAllByRole('listitem')
  expect(weight).toHaveTextContent('△ Recovered weight')
  expect(weight).toHaveTextContent('Not on record: the weight that was recovered')
  expect(within(weight!).getByRole('button', { name: 'Go to the field' })).toBeVisible()
  expect(within(tight!).getByRole('button', { name: /^Go to: Pressure test/ })).toBeVisible()
  expect(within(proven!).queryByRole('button')).toBeNull()
})

test('a field for a reason comes when it is asked for', async () => {
  const { change } = changes(job())
  render(<Missing job={job()} change={change} points={[point({})]} />)
  expect(screen.queryByRole('textbox')).toBeNull()
  await userEvent.click(screen.getByRole('button', { name: 'Pass in writing: Recovered weight' }))
  expect(screen.getByLabelText('Why without: Recovered weight')).toHaveFocus()
})

test('a reason is written for its point, letter by letter, and one too short says so', async () => {
  const start = job({ overrides: [{ point: 'recovered', reason: 'no', at: NOW }] })
  const { made, change } = changes(start)
  render(<Missing job={start} change={change} points={[point({})]} />)
  const field = screen.getByLabelText('Why without: Recovered weight')
  expect(screen.getByText(/fewer than eight letters pass nothing/)).toBeVisible()
  await userEvent.type(field, ' scale')
  expect(made.at(-1)?.closing?.overrides).toEqual([{ point: 'recovered', reason: 'no scale', at: NOW }])
  await userEvent.clear(field)
  expect(made.at(-1)?.closing).toBeUndefined()
})

test('what was passed at its step shows those words, and is not passed again', () => {
  const { change } = changes(job())
  render(
    <Missing
      job={job()}
      change={change}
      points={[point({ state: 'overridden', override: 'seen by eye' })]}
    />,
  )
  expect(screen.getByText('“seen by eye”')).toBeVisible()
  expect(screen.getByText(/^Passed in writing; not on record/)).toBeVisible()
  expect(screen.queryByRole('textbox')).toBeNull()
})

test('the choice at the end is made by a person and taken back; a return reading is asked for where nothing was proven', async () => {
  const { made, change } = changes(job())
  const { rerender } = render(<Entries closing={undefined} change={change} replaced="" />)
  expect(screen.queryByLabelText('Return reading on')).toBeNull()
  await userEvent.click(screen.getByRole('button', { name: 'not proven today' }))
  expect(made.at(-1)?.closing).toEqual({ proven: 'not-proven-today' })
  rerender(<Entries closing={{ proven: 'not-proven-today' }} change={change} replaced="" />)
  expect(screen.getByLabelText('Return reading on')).toBeVisible()
  await userEvent.click(screen.getByRole('button', { name: '● not proven today' }))
  expect(made.at(-1)?.closing).toBeUndefined()
})

test('what the steps say was replaced stands there until it is typed over', () => {
  const { change } = changes(job())
  render(<Entries closing={undefined} change={change} replaced="expansion valve; dryer" />)
  expect(screen.getByLabelText('Replaced')).toHaveValue('expansion valve; dryer')
  expect(screen.getByText(/From the steps that are done/)).toBeVisible()
})

test('a section shows each line with its guess marked', () => {
  const lines = [
    { name: 'Oil', value: 'POE', assumed: 'usual for R-410A' },
    { name: 'Note', value: '', note: 'as typed 7 lb' },
  ]
  render(<ReportSections sections={[{ id: 'x', title: 'Went in', lines }]} />)
  const region = screen.getByRole('region', { name: 'Went in' })
  expect(region).toHaveTextContent('POE △ assumed: usual for R-410A')
  expect(region).toHaveTextContent('as typed 7 lb')
  expect(lineText(lines[0]!)).toBe('POE (assumed: usual for R-410A)')
})
