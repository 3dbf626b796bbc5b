import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import type { TypedQuantity } from '@/core/base/units/compound'
import { elevationSchema } from '@/core/record/equipment/unit'
import { AutosaveField } from './AutosaveField'
import { ChoiceChips } from './ChoiceChips'
import { QuantityField } from './QuantityField'

describe('autosave field', () => {
  test('saves every change, and shows what another window wrote once it is left', async () => {
    const user = userEvent.setup()
    const onSave = jest.fn(() => undefined)
    const { rerender } = render(<AutosaveField label="Complaint" value="" onSave={onSave} />)
    await user.type(screen.getByLabelText('Complaint'), 'hot')
    expect(onSave.mock.calls.map(([text]: unknown[]) => text)).toEqual(['h', 'ho', 'hot'])
    rerender(<AutosaveField label="Complaint" value="from elsewhere" onSave={onSave} />)
    expect(screen.getByLabelText('Complaint')).toHaveValue('hot')
    await user.tab()
    expect(screen.getByLabelText('Complaint')).toHaveValue('from elsewhere')
  })
  test('a refused text stays on screen with its message, so that nothing typed is lost', async () => {
    const user = userEvent.setup()
    render(
      <AutosaveField
        label="Tons"
        value="3"
        onSave={(text) => (text === '3x' ? 'Type a number.' : undefined)}
      />,
    )
    await user.type(screen.getByLabelText('Tons'), 'x')
    await user.tab()
    expect(screen.getByLabelText('Tons')).toHaveValue('3x')
    expect(screen.getByText('Type a number.')).toBeVisible()
    expect(screen.getByLabelText('Tons')).toHaveAttribute('aria-invalid', 'true')
  })
})

test('a text that was refused later stays on screen when the field is left, until it is put right', async () => {
  const user = userEvent.setup()
  const refuse = (text: string) => Promise.resolve(text.length < 4)
  render(<AutosaveField label="Complaint" value="warm" onSave={refuse} />)
  await user.type(screen.getByLabelText('Complaint'), 'er')
  await user.tab()
  expect(await screen.findByText(/This is not stored/)).toBeVisible()
  expect(screen.getByLabelText('Complaint')).toHaveValue('warmer')
  await user.clear(screen.getByLabelText('Complaint'))
  await user.type(screen.getByLabelText('Complaint'), 'hot')
  await user.tab()
  expect(screen.queryByText(/This is not stored/)).toBeNull()
})

test('a height below the sea is stored where the field allows it, a weight below nothing never', async () => {
  const user = userEvent.setup()
  const [height, weight] = [jest.fn(), jest.fn()]
  render(
    <>
      <QuantityField
        label="Elevation"
        kind="length"
        defaultUnit="m"
        value={undefined}
        schema={elevationSchema}
        onChange={height}
      />
      <QuantityField label="Charge" kind="mass" defaultUnit="lb" value={undefined} onChange={weight} />
    </>,
  )
  await user.type(screen.getByLabelText('Elevation'), '-90')
  expect(height).toHaveBeenLastCalledWith({ value: -90, unit: 'm' })
  await user.type(screen.getByLabelText('Charge'), '-9')
  expect(weight).not.toHaveBeenCalled()
  expect(screen.getByText(/is negative/)).toBeVisible()
})

function Weight({ onChange }: { onChange: (value: unknown) => void }) {
  const [value, setValue] = useState<TypedQuantity>()
  return (
    <QuantityField
      label="Charge"
      kind="mass"
      defaultUnit="lb"
      value={value}
      onChange={(next) => {
        setValue(next)
        onChange(next)
      }}
    />
  )
}

describe('quantity field', () => {
  test('number and unit make one value; empty clears it', async () => {
    const user = userEvent.setup()
    const onChange = jest.fn()
    render(<Weight onChange={onChange} />)
    await user.type(screen.getByLabelText('Charge'), '7,5')
    expect(onChange).toHaveBeenLastCalledWith({ value: 7.5, unit: 'lb' })
    await user.click(screen.getByRole('combobox', { name: /Unit of Charge/ }))
    await user.click(screen.getByRole('option', { name: 'kg' }))
    expect(onChange).toHaveBeenLastCalledWith({ value: 7.5, unit: 'kg' })
    await user.clear(screen.getByLabelText('Charge'))
    expect(onChange).toHaveBeenLastCalledWith(undefined)
  })
  test.each([
    ['-2', /negative/],
    ['abc', /number/],
  ])('"%s" is told and not stored', async (text, message) => {
    const user = userEvent.setup()
    const onChange = jest.fn()
    render(<Weight onChange={onChange} />)
    await user.type(screen.getByLabelText('Charge'), text)
    expect(screen.getByText(message)).toBeVisible()
    expect(onChange.mock.calls.every(([value]) => value === undefined || value.value >= 0)).toBe(true)
  })
})

test('chips: one word at a time, the same again takes it back, the choice is said by shape too', async () => {
  const user = userEvent.setup()
  const onChange = jest.fn()
  render(<ChoiceChips label="Oil" values={['clear', 'burnt-smell']} value="clear" onChange={onChange} />)
  const chosen = screen.getByRole('button', { name: /clear/ })
  expect(chosen).toHaveAttribute('aria-pressed', 'true')
  expect(chosen).toHaveTextContent('●')
  await user.click(screen.getByRole('button', { name: 'burnt smell' }))
  await user.click(chosen)
  expect(onChange.mock.calls).toEqual([['burnt-smell'], [undefined]])
})

test('pounds and ounces stand in two fields, each typed over, emptied, and kept as typed', async () => {
  const user = userEvent.setup()
  const onChange = jest.fn()
  render(<Weight onChange={onChange} />)
  await user.click(screen.getByRole('combobox', { name: 'Unit of Charge' }))
  await user.click(screen.getByRole('option', { name: 'lb + oz' }))
  await user.type(screen.getByLabelText('Charge, lb'), '6')
  await user.type(screen.getByLabelText('oz'), '4')
  expect(onChange).toHaveBeenLastCalledWith({ value: 6.25, unit: 'lb', typed: '6 lb 4 oz' })
  await user.clear(screen.getByLabelText('oz'))
  await user.type(screen.getByLabelText('oz'), '12')
  expect(onChange).toHaveBeenLastCalledWith({ value: 6.75, unit: 'lb', typed: '6 lb 12 oz' })
  await user.type(screen.getByLabelText('oz'), 'x')
  expect(screen.getByText(/is no number/)).toBeVisible()
  expect(screen.getByLabelText('oz')).toHaveValue('12x')
  expect(onChange).toHaveBeenLastCalledWith({ value: 6.75, unit: 'lb', typed: '6 lb 12 oz' })
  await user.clear(screen.getByLabelText('oz'))
  await user.clear(screen.getByLabelText('Charge, lb'))
  expect(onChange).toHaveBeenLastCalledWith(undefined)
})

test('the other part is not lost while the store has not answered yet', async () => {
  const onChange = jest.fn()
  const user = userEvent.setup()
  // nothing that was typed has come back from the store
  render(
    <QuantityField
      label="Charge"
      kind="mass"
      defaultUnit="lb"
      value={{ value: 1, unit: 'lb', typed: '1 lb 0 oz' }}
      onChange={onChange}
    />,
  )
  await user.clear(screen.getByLabelText('Charge, lb'))
  await user.type(screen.getByLabelText('Charge, lb'), '6')
  await user.type(screen.getByLabelText('oz'), '4')
  expect(onChange).toHaveBeenLastCalledWith({ value: 6.25, unit: 'lb', typed: '6 lb 4 oz' })
  // once the focus is elsewhere what is stored leads again
  await user.tab()
  await user.type(screen.getByLabelText('oz'), '8')
  expect(onChange).toHaveBeenLastCalledWith(expect.objectContaining({ typed: '1 lb 8 oz' }))
})
