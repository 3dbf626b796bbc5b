import { Chart } from 'chart.js'

test('parts of every chart are known before the first chart can be drawn, whichever comes first', async () => {
  expect(() => Chart.registry.getPlugin('annotation')).toThrow()
  await import('./CurveChart')
  for (const id of ['annotation', 'tooltip', 'legend']) expect(Chart.registry.getPlugin(id)?.id).toBe(id)
  expect(Chart.registry.getScale('logarithmic')?.id).toBe('logarithmic')
})
