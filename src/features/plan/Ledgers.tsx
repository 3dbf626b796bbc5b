import Box from '@mui/material/Box'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import type { Plan } from '@/core/repair/plan/plan'
import { grams } from '../shared/planText'

type Row = readonly [label: string, value: string, strong?: true]

function LedgerTable({ rows, label }: { rows: readonly Row[]; label: string }) {
  return (
    <Table size="small" aria-label={label}>
      <TableBody>
        {rows.map(([name, value, strong]) => (
          <TableRow key={name}>
            <TableCell
              component="th"
              scope="row"
              sx={{ px: 0, fontWeight: strong ? 700 : 400, fontSize: '0.95rem' }}
            >
              {name}
            </TableCell>
            <TableCell
              align="right"
              sx={{ px: 0, fontWeight: strong ? 700 : 400, whiteSpace: 'nowrap', fontSize: '0.95rem' }}
            >
              {value}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}

/** Grams of water in against grams out, and acid after each oil change. */
export function Ledgers({ plan }: { plan: Plan }) {
  const { water, acid } = plan.contamination
  const waterRows: Row[] = [
    ...water.sources.map(({ label, kg, error }): Row => [label, `+ ${grams(kg)} ±${grams(error)}`]),
    ...water.sinks.map(({ label, kg }): Row => [label, `− ${grams(kg)}`]),
    ['left for the dryer', `${grams(water.remainder)} ±${grams(water.error)}`, true],
  ]
  const acidRows: Row[] = [
    ['acid number before, assumed by class', acid.before.toFixed(2)],
    ...acid.after.map((value, i): Row => [`after oil change ${i + 1}`, value.toFixed(3)]),
    ['below', acid.target.toFixed(2), true],
  ]
  return (
    <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', md: '1.4fr 1fr' } }}>
      <section aria-labelledby="water-title">
        <Typography id="water-title" variant="h3">
          Water
        </Typography>
        <LedgerTable rows={waterRows} label="Water ledger" />
      </section>
      <section aria-labelledby="acid-title">
        <Typography id="acid-title" variant="h3">
          Acid, mg KOH/g
        </Typography>
        {acid.before > 0 ? (
          <LedgerTable rows={acidRows} label="Acid ledger" />
        ) : (
          <Typography sx={{ py: 0.75 }}>No sign of acid.</Typography>
        )}
      </section>
    </Box>
  )
}
