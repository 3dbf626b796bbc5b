import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { CompareTool } from './CompareTool'
import { LineSetTool } from './LineSetTool'
import { NitrogenTool } from './NitrogenTool'
import { SaturationTool } from './SaturationTool'
import { SuperheatTool } from './SuperheatTool'
import { WaterTool } from './WaterTool'

jest.mock('@/ui/CurveChart', () => ({
  CurveChart: ({ label, curves }: { label: string; curves: { label: string; points: unknown[] }[] }) => (
    <p aria-label={label}>{curves.map((curve) => `${curve.label} ${curve.points.length}`).join(', ')}</p>
  ),
}))

const figure = (label: string) => document.querySelector(`[data-figure="${label}"]`) as HTMLElement
async function retype(label: string, text: string) {
  const field = await screen.findByLabelText(label)
  await userEvent.clear(field)
  if (text) await userEvent.type(field, text)
}

describe('saturation', () => {
  test('a pressure gives both temperatures; its curve and table stand below', async () => {
    render(<SaturationTool />)
    await retype('Pressure', '118')
    expect(figure('Dew temperature')).toHaveTextContent('39.8 F')
    expect(screen.getByLabelText(/Saturation pressure of R-410A/)).toHaveTextContent(
      'Dew 39, Bubble 39, Typed 1',
    )
    const table = screen.getByRole('table', { name: 'R-410A saturation' })
    expect(within(table).getAllByRole('row')).toHaveLength(40)
  })
  test('higher up the same gauge pressure is colder; the elevation stays for the next visit', async () => {
    const { unmount } = render(<SaturationTool />)
    await retype('Elevation', '1750')
    expect(figure('Dew temperature')).toHaveTextContent('38.6 F')
    unmount()
    render(<SaturationTool />)
    expect(await screen.findByLabelText('Elevation')).toHaveValue('1750')
    await retype('Elevation', '0')
  })
  test('a temperature gives both pressures; outside the table it says which are valid', async () => {
    render(<SaturationTool />)
    await userEvent.click(await screen.findByRole('button', { name: 'Temperature' }))
    await retype('Temperature', '110')
    expect(figure('Bubble pressure')).toHaveTextContent(/36[4-6]\.\d psig/)
    await retype('Temperature', '400')
    expect(screen.getByRole('alert')).toHaveTextContent(/has saturation data from/)
    await retype('Temperature', '')
    expect(screen.getByRole('alert')).toHaveTextContent('Type a temperature.')
  })
})

test('comparison: every refrigerant, the original first, refusals with their reason', async () => {
  render(<CompareTool />)
  const table = await screen.findByRole('table', { name: 'Comparison of refrigerants' })
  const rows = within(table).getAllByRole('row')
  expect(rows).toHaveLength(27)
  expect(rows[1]).toHaveTextContent(/R-22.*on the plate/)
  expect(within(table).getByRole('row', { name: /R-32/ })).toHaveTextContent(/refused.*equipment listed/)
  await retype('Condensing', '190')
  expect(screen.getByText(/No data at these temperatures: .*R-410A/)).toBeVisible()
})

test('target superheat, or why it is not used', async () => {
  render(<SuperheatTool />)
  await retype('Return wet bulb', '67')
  await retype('Outdoor air', '95')
  expect(figure('Target superheat')).toHaveTextContent('13 F')
  await retype('Outdoor air', '130')
  expect(screen.getByRole('alert')).toHaveTextContent(/55 to 115 F/)
})

test('line set: ounces beyond the plate, or to take out', async () => {
  render(<LineSetTool />)
  await retype('Line length', '40')
  await retype('Covered by the plate', '15')
  expect(figure('Add')).toHaveTextContent(/1[45]\.\d oz/)
  await retype('Line length', '10')
  expect(figure('Take out')).toBeVisible()
  expect(screen.getByText(/shorter than the plate charge covers/)).toBeVisible()
})

test('water: below what it boils, and how cold a vacuum makes it', async () => {
  render(<WaterTool />)
  await retype('Coldest metal', '75')
  expect(figure('Water boils below')).toHaveTextContent(/22,\d+ microns/)
  await retype('Coldest metal', '20')
  expect(figure('Ice sublimes below')).toHaveTextContent(/warm the circuit/)
  await retype('Vacuum', '4580')
  expect(figure('At this vacuum it boils at')).toHaveTextContent(/32\.0 F|31\.9 F/)
})

test('nitrogen: temperature alone, then what is beyond it', async () => {
  render(<NitrogenTool />)
  await retype('Start pressure', '400')
  await retype('Start temperature', '80')
  await retype('Temperature now', '70')
  expect(figure('A tight circuit should read')).toHaveTextContent('392.3 psig')
  await retype('Pressure now', '380')
  expect(figure('Beyond temperature')).toHaveTextContent(/look for a leak/)
  await retype('Pressure now', '392')
  expect(figure('Beyond temperature')).toHaveTextContent(/holds/)
  expect(screen.getByText(/never oxygen/)).toBeVisible()
})
