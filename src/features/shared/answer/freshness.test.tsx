import { render, screen } from '@testing-library/react'
import { Freshness } from './Freshness'

test('an answer to an older state says so and is busy; a fresh one is shown as it is', () => {
  const { container, rerender } = render(
    <Freshness fresh={false}>
      <p>76 %</p>
    </Freshness>,
  )
  expect(container.firstChild).toHaveAttribute('aria-busy', 'true')
  expect(screen.getByText('△ before the last change')).toBeInTheDocument()
  rerender(
    <Freshness fresh>
      <p>77 %</p>
    </Freshness>,
  )
  expect(container.firstChild).toHaveAttribute('aria-busy', 'false')
  expect(screen.queryByText(/before the last change/)).toBeNull()
  expect(screen.getByText('77 %')).toBeVisible()
})
