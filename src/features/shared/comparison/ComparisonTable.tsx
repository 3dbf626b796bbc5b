import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { Verdict } from '@/core/diagnosis/evidence/sentence'
import type { Comparison } from '@/core/answer/comparison'
import { chance } from '@/core/base/units/chance'

const MARK: Readonly<Record<Verdict, string>> = { 'in band': '●', above: '△', below: '▽' }

/** Before and after, each value with its verdict. */
export function ComparisonTable({ comparison }: { comparison: Comparison }) {
  const { headings, leaders, rows } = comparison
  return (
    <Table size="small" aria-label="Before and after" sx={{ '& th, & td': { px: { xs: 0.5, md: 1 } } }}>
      <TableHead>
        <TableRow>
          <TableCell sx={{ px: 0 }}>Reading</TableCell>
          {headings.map((heading, i) => (
            <TableCell key={`${i}-${heading}`} align="right">
              {heading}
            </TableCell>
          ))}
          {headings.length > 1 && (
            <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
              Change
            </TableCell>
          )}
          <TableCell align="right" sx={{ pr: 0, whiteSpace: 'nowrap' }}>
            Target
          </TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => (
          <TableRow key={row.key}>
            <TableCell component="th" scope="row" sx={{ px: 0 }}>
              {row.label}
            </TableCell>
            {row.cells.map((cell, i) => (
              <TableCell
                key={i}
                align="right"
                sx={{ fontSize: '1.05rem', fontWeight: 600, whiteSpace: 'nowrap' }}
              >
                {cell ? (
                  <>
                    <span aria-label={cell.verdict}>{MARK[cell.verdict]}</span> {cell.text}
                  </>
                ) : (
                  '–'
                )}
              </TableCell>
            ))}
            {headings.length > 1 && (
              <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                {row.change ?? '–'}
              </TableCell>
            )}
            <TableCell align="right" sx={{ pr: 0, color: 'text.secondary', whiteSpace: 'nowrap' }}>
              {row.target}
            </TableCell>
          </TableRow>
        ))}
        <TableRow>
          <TableCell component="th" scope="row" sx={{ px: 0, fontWeight: 650 }}>
            Leading suspect
          </TableCell>
          {leaders.map(({ label, probability }, i) => (
            <TableCell
              key={i}
              align="right"
              sx={{ fontWeight: 650, fontSize: { xs: '0.8rem', md: '0.875rem' } }}
            >
              {label} <span style={{ whiteSpace: 'nowrap' }}>{chance(probability)}</span>
            </TableCell>
          ))}
          <TableCell colSpan={headings.length > 1 ? 2 : 1} />
        </TableRow>
      </TableBody>
    </Table>
  )
}
