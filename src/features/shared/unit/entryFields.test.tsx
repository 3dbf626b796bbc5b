import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { assumed } from '@/core/base/known/known'
import type { Edit } from '@/core/record/edits/edit'
import { emptyJob, type Job } from '@/core/record/job/job'
import { Figure } from '@/ui/Figure'
import { AskEntries } from './entryFields'

const JOB = emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' })

test('the fields that settle a guess write where the entry belongs; the rest is told in words', async () => {
  let job: Job = JOB
  const change = async (edit: Edit) => {
    job = edit(job, { now: '2026-11-30T10:00:00Z', newId: () => 'a' })
    return true
  }
  render(<AskEntries job={JOB} change={change} asks={['factoryCharge', 'oldDryer', 'weather']} />)
  const charge = screen.getByRole('textbox', { name: 'Factory charge' })
  await userEvent.type(charge, '7')
  await userEvent.tab()
  const dryer = screen.getByRole('textbox', { name: 'Old dryer, in³' })
  await userEvent.type(dryer, '8')
  await userEvent.tab()
  expect(job.unit.factoryCharge).toEqual({ value: 7, unit: 'lb' })
  expect(job.unit.oldDryer?.cubicInches).toBe(8)
  expect(screen.getByText(/the weather while it was open/)).toBeTruthy()
})

test('a figure by a guess bears its mark; on tap from what, and what would settle it', async () => {
  render(<Figure label="Oil in" value="30 fl oz" basis={assumed(30, 'oil by tons', 'oilCharge')} />)
  await userEvent.click(screen.getByRole('button', { name: 'Oil in is assumed: from what?' }))
  expect(screen.getByText('oil by tons')).toBeTruthy()
  expect(screen.getByText('To settle it, enter the oil charge of the plate.')).toBeTruthy()
})

test('a figure that is known bears none', () => {
  render(<Figure label="Oil in" value="30 fl oz" note="by the plate" />)
  expect(screen.queryByRole('button')).toBeNull()
})
