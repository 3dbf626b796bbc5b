import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { REFRIGERANT_NAMES, type RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { Choice } from './Choice'
import { found } from './found'

const all = REFRIGERANT_NAMES as readonly string[]

describe('what is typed finds', () => {
  test.each([
    ['22', 'R-22'],
    ['r22', 'R-22'],
    ['R-410', 'R-410A'],
    ['410a', 'R-410A'],
    ['134', 'R-134a'],
    ['32', 'R-32'],
    ['448', 'R-448A'],
  ])('"%s": %s first', (typed, first) => expect(found(all, (name) => name, typed)[0]).toBe(first))
  test('nothing typed gives the whole list in its order, nonsense nothing', () => {
    expect(found(all, (name) => name, '  ')).toEqual(all)
    expect(found(all, (name) => name, 'zzz')).toEqual([])
  })
  test('words in any place: "wet" finds the return wet bulb', () => {
    expect(found(['Return air', 'Return air, wet bulb'], (label) => label, 'wet')).toEqual([
      'Return air, wet bulb',
    ])
  })
})

function Harness({ onChange }: { onChange: (name: RefrigerantName) => void }) {
  const [value, setValue] = useState<RefrigerantName>('R-410A')
  return (
    <>
      <Choice
        label="Refrigerant"
        value={value}
        values={REFRIGERANT_NAMES}
        onChange={(name) => {
          setValue(name)
          onChange(name)
        }}
      />
      <button>elsewhere</button>
    </>
  )
}

describe('a long list', () => {
  test('is typed into over what stands there; Enter takes the best answer', async () => {
    const user = userEvent.setup()
    const onChange = jest.fn()
    render(<Harness onChange={onChange} />)
    await user.click(screen.getByRole('combobox', { name: 'Refrigerant' }))
    expect(screen.getAllByRole('option')).toHaveLength(REFRIGERANT_NAMES.length)
    await user.clear(screen.getByRole('combobox'))
    await user.keyboard('22{Enter}')
    expect(onChange.mock.calls).toEqual([['R-22']])
    expect(screen.getByRole('combobox')).toHaveValue('R-22')
  })
  test('what was typed and not chosen changes nothing, and goes', async () => {
    const user = userEvent.setup()
    const onChange = jest.fn()
    render(<Harness onChange={onChange} />)
    await user.click(screen.getByRole('combobox'))
    await user.clear(screen.getByRole('combobox'))
    await user.keyboard('22')
    await user.click(screen.getByRole('button', { name: 'elsewhere' }))
    expect(onChange).not.toHaveBeenCalled()
    expect(screen.getByRole('combobox')).toHaveValue('R-410A')
  })
  test('what is not in the list is told', async () => {
    const user = userEvent.setup()
    render(<Harness onChange={jest.fn()} />)
    await user.click(screen.getByRole('combobox'))
    await user.clear(screen.getByRole('combobox'))
    await user.keyboard('999')
    expect(screen.getByText('Nothing in the list answers this')).toBeVisible()
  })
})
