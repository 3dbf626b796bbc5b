'use client'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableContainer from '@mui/material/TableContainer'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { ReactNode } from 'react'

type Props = {
  caption: string
  head: readonly string[]
  rows: readonly { readonly key: string; readonly cells: readonly ReactNode[] }[]
  /** columns that hold words, not numbers */
  words?: readonly number[]
}

/** Numbers in columns: the first cell of a row names it. */
export function NumberTable({ caption, head, rows, words = [] }: Props) {
  const align = (column: number) => (column === 0 || words.includes(column) ? 'left' : 'right')
  return (
    <TableContainer tabIndex={0} role="region" aria-label={caption} sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label={caption}>
        <TableHead>
          <TableRow>
            {head.map((title, i) => (
              <TableCell
                key={title}
                align={align(i)}
                sx={{
                  fontWeight: 650,
                  px: 0.75,
                  lineHeight: 1.2,
                  verticalAlign: 'bottom',
                  borderColor: 'text.secondary',
                }}
              >
                {title}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ key, cells }) => (
            <TableRow key={key}>
              {cells.map((cell, i) => (
                <TableCell
                  key={head[i]}
                  component={i === 0 ? 'th' : 'td'}
                  scope={i === 0 ? 'row' : undefined}
                  align={align(i)}
                  sx={{
                    whiteSpace: words.includes(i) ? 'normal' : 'nowrap',
                    fontSize: '0.95rem',
                    px: 0.75,
                    borderColor: 'divider',
                    fontWeight: i === 0 ? 650 : 400,
                    ...(i === 0 ? { position: 'sticky', left: 0, bgcolor: 'background.default' } : {}),
                  }}
                >
                  {cell}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  )
}
