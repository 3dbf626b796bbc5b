// Prints the stored cases as JSON for optima.py, each with a finish that can be reached.
import { solve } from '@/core/repair/schedule/solve'
import { drawnProblem, STORED_CASES } from './cases'

const ROOM = 20

const cases = STORED_CASES.map(({ seed, shape }) => {
  const problem = drawnProblem(seed, shape)
  const cap = Math.min(problem.horizon, solve(problem).finish + ROOM)
  return { seed, problem: { ...problem, cap } }
})
process.stdout.write(JSON.stringify(cases))
