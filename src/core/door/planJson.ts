import type { DryerChoice } from '../repair/cleanup/dryers'
import type { Plan } from '../repair/plan/plan'

const grams = (kg: number) => Number((kg * 1000).toFixed(3))
const millilitres = (cubicMetres: number) => Number((cubicMetres * 1e6).toFixed(0))

const dryerJson = ({ place, chosen, reasons, refused, extraCharge }: DryerChoice) => ({
  place,
  chosen: chosen ?? null,
  reasons,
  extraChargeGrams: grams(extraCharge),
  refused: refused.map(({ dryer, reasons: why }) => ({ id: dryer.id, reasons: why })),
})

/** The shape of design/architecture.md: contamination, dryers, oil, refrigerantPath, parts, tasks, schedule. */
export function planJson(plan: Plan): Record<string, unknown> {
  const { contamination, oil } = plan
  const { water, acid } = contamination
  const line = ({ label, kg, error }: { label: string; kg: number; error: number }) => ({
    label,
    grams: grams(kg),
    error: grams(error),
  })
  return {
    fault: plan.faults[0],
    faults: plan.faults,
    contamination: {
      class: contamination.class,
      also: contamination.also,
      evidence: contamination.evidence,
      water: {
        sources: water.sources.map(line),
        sinks: water.sinks.map(line),
        totalGrams: grams(water.total),
        remainderGrams: grams(water.remainder),
        errorGrams: grams(water.error),
        sweeps: water.sweeps,
      },
      acid,
    },
    dryers: plan.dryers.map(dryerJson),
    oil: { kind: oil.kind, millilitres: millilitres(oil.volume), changes: oil.changes, reasons: oil.reasons },
    refrigerantPath: plan.refrigerantPath,
    parts: plan.parts,
    beforeLeaving: plan.beforeLeaving,
    tasks: plan.tasks,
    schedule: plan.schedule,
  }
}
