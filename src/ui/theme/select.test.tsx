import MenuItem from '@mui/material/MenuItem'
import { ThemeProvider } from '@mui/material/styles'
import TextField from '@mui/material/TextField'
import { act, fireEvent, render, screen } from '@testing-library/react'
import { themeOf } from './theme'

test('a slow press that opens a list chooses nothing when it is let go; a click does', () => {
  jest.useFakeTimers()
  const chosen = jest.fn()
  render(
    <ThemeProvider theme={themeOf('sunlight', 'usual')}>
      <TextField select label="Refrigerant" value="R-410A" onChange={({ target }) => chosen(target.value)}>
        <MenuItem value="R-22">R-22</MenuItem>
        <MenuItem value="R-410A">R-410A</MenuItem>
      </TextField>
    </ThemeProvider>,
  )
  fireEvent.mouseDown(screen.getByRole('combobox'))
  act(() => void jest.advanceTimersByTime(2000))
  fireEvent.mouseUp(screen.getByRole('option', { name: 'R-22' }))
  expect(chosen).not.toHaveBeenCalled()
  fireEvent.click(screen.getByRole('option', { name: 'R-22' }))
  expect(chosen).toHaveBeenCalledWith('R-22')
  jest.useRealTimers()
})
