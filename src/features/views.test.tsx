import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { diagnoseJob } from '@/core/answer/diagnoseJob'
import { planOf } from '@/core/repair/plan/basis'
import { buildDemoJobs } from '@/demo/buildDemo'
import { compareSets } from '@/core/answer/comparison'
import { ComparisonTable } from './shared/comparison/ComparisonTable'
import { EvidenceList } from './diagnose/EvidenceList'
import { Gates } from './shared/decide/Gates'
import { knownJob } from '@/core/record/job/known'
import { NextChecks } from './diagnose/NextChecks'
import { Flags } from './shared/Flags'
import { Checklist } from './plan/Checklist'
import { Dryers } from './plan/Dryers'
import { WaterBalance } from './plan/WaterBalance'

const jobs = buildDemoJobs(new Date('2026-05-04T09:30:00.000Z')).map(knownJob)
const control = jobs.find(({ id }) => id === 'demo-control-room')!
const exhibit = jobs.find(({ id }) => id === 'demo-exhibit-hall')!
const diagnosis = diagnoseJob(control)
const plan = planOf(exhibit, ['plugged-liquid-dryer'])

test('evidence shows direction, strength in a word, and the sentence', () => {
  const suspect = diagnosis.suspects[0]!
  render(<EvidenceList evidence={suspect.evidence} />)
  const lines = screen.getAllByRole('listitem')
  expect(lines).toHaveLength(suspect.evidence.length)
  expect(lines[0]).toHaveTextContent(suspect.evidence[0]!.sentence)
  expect(lines[0]).toHaveTextContent(/for|against/)
  expect(lines[0]).toHaveTextContent(/strong|some|slight/)
})

test('without evidence it says so', () => {
  render(<EvidenceList evidence={[]} />)
  expect(screen.getByText(/No evidence yet/)).toBeVisible()
})

const actions = { answer: jest.fn(), take: jest.fn(), toBench: jest.fn() }

test('next checks show effort, gain, outcomes and caution', () => {
  render(<NextChecks checks={diagnosis.nextChecks} observations={{}} mode="cooling" actions={actions} />)
  for (const check of diagnosis.nextChecks) {
    const line = screen.getByText(check.label).closest('li')!
    expect(line).toHaveTextContent(`${check.minutes} min`)
    if (check.caution) expect(line).toHaveTextContent(check.caution)
    expect(within(line).getAllByRole('listitem').length).toBeGreaterThan(0)
  }
})

test('a gate shows what is on record and what is missing', () => {
  const answer = jest.fn()
  render(<Gates gates={diagnosis.gates} observations={{}} answer={answer} />)
  const gate = diagnosis.gates.find(({ gate: id }) => id === 'expansion-valve')!
  expect(gate.missing.length).toBeGreaterThan(0)
  for (const { label } of gate.missing) {
    expect(
      screen.getByText(
        (_text, element) => element?.tagName === 'LI' && element.textContent!.includes(`☐ ${label}`),
      ),
    ).toBeVisible()
  }
  for (const { label } of gate.onRecord) expect(screen.getByText(`☑ ${label}`)).toBeVisible()
})

test('flags are told where there are any', () => {
  const { container, rerender } = render(<Flags flags={[]} />)
  expect(container).toBeEmptyDOMElement()
  rerender(<Flags flags={[{ id: 'x', keys: ['liquidLineTemp'], sentence: 'Repeat the clamp.' }]} />)
  expect(screen.getByText('Repeat the clamp.')).toBeVisible()
})

test('dryers: chosen with figures, refused with reasons', () => {
  render(<Dryers plan={plan} />)
  const liquid = screen.getByRole('region', { name: 'Liquid dryer' })
  expect(liquid).toHaveTextContent(/block \d+ in³/)
  expect(liquid).toHaveTextContent(/carries .* tons on .* needed/)
  expect(screen.getByRole('region', { name: 'Suction dryer' })).toHaveTextContent(
    /Access valves on both sides/,
  )
  expect(screen.getAllByText(/refused, and why/)).toHaveLength(2)
})

test('a closed circuit changes no dryer, and says so', () => {
  render(<Dryers plan={{ ...plan, dryers: [], drops: [] }} />)
  expect(screen.getByText(/stays closed/)).toBeVisible()
})

test('what a later drop says stands beside the dryers', () => {
  const drop = {
    place: 'suction',
    verdict: 'change-now',
    drop: 5,
    limit: 2,
    unit: 'psi',
    sentence: '5.0 psi. Change it now.',
  } as const
  render(<Dryers plan={{ ...plan, drops: [drop] }} />)
  expect(screen.getByText(/⬣ 5\.0 psi\. Change it now\./)).toBeVisible()
})

test('the balance of water is named in words, its parts in grams', () => {
  const { water } = plan.contamination
  render(<WaterBalance water={water} room="room 1.0 g" />)
  const picture = screen.getByRole('img', { name: /of water in; .* out; .* left/ })
  for (const { short } of [...water.sources, ...water.sinks]) expect(picture).toHaveTextContent(short)
  expect(picture).toHaveTextContent('left, room 1.0 g')
})

test('a checklist ticks by its label', async () => {
  const user = userEvent.setup()
  const onTick = jest.fn()
  render(
    <Checklist
      label="Parts"
      lines={[
        { id: 'a', label: 'valve cores' },
        { id: 'b', label: 'oil' },
      ]}
      ticked={['b']}
      onTick={onTick}
    />,
  )
  expect(screen.getByRole('checkbox', { name: 'oil' })).toBeChecked()
  await user.click(screen.getByRole('checkbox', { name: 'valve cores' }))
  await user.click(screen.getByRole('checkbox', { name: 'oil' }))
  expect(onTick.mock.calls).toEqual([
    ['a', true],
    ['b', false],
  ])
})

test('before and after: each value with its verdict for the screen reader too', () => {
  render(<ComparisonTable comparison={compareSets(exhibit, { temperature: 'F' })} />)
  const row = screen.getByRole('row', { name: /Dryer drop/ })
  expect(within(row).getByLabelText('above')).toBeVisible()
  expect(within(row).getByLabelText('in band')).toBeVisible()
})
