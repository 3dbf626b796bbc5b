import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReportLine, ReportSection } from '@/core/report/line'

function Line({ name, value, note, assumed }: ReportLine) {
  return (
    <Box sx={{ display: 'contents' }}>
      <Box component="dt" sx={{ color: 'text.secondary' }}>
        {name}
      </Box>
      <Box component="dd" sx={{ m: 0 }}>
        {[value, note].filter(Boolean).join(' ')}
        {assumed && <Box component="span" sx={{ color: 'primary.main' }}>{` △ assumed: ${assumed}`}</Box>}
      </Box>
    </Box>
  )
}

type Props = { sections: readonly ReportSection[]; level?: 'h2' | 'h3' }

/** Sections of a report: names with what is on record; nothing stands empty. */
export const ReportSections = ({ sections, level = 'h3' }: Props) =>
  sections.map(({ id, title, lines }) => (
    <Box key={id} component="section" aria-labelledby={`report-${id}`} sx={{ breakInside: 'avoid-page' }}>
      <Typography id={`report-${id}`} variant={level}>
        {title}
      </Typography>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '112px minmax(0, 1fr)', md: '180px minmax(0, 1fr)' },
          gap: '2px 16px',
          m: 0,
          overflowWrap: 'anywhere',
        }}
      >
        {lines.map((line, i) => (
          <Line key={`${i} ${line.name}`} {...line} />
        ))}
      </Box>
    </Box>
  ))
