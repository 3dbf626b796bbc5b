'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import type { ComponentType } from 'react'
import { INK } from '@/ui/theme/tokens'
import { PageHeader } from '../shared/PageHeader'
import { CompareTool } from './CompareTool'
import { LineSetTool } from './LineSetTool'
import { NitrogenTool } from './NitrogenTool'
import { SaturationTool } from './SaturationTool'
import { SuperheatTool } from './SuperheatTool'
import { type ToolId, TOOLS } from './tools'
import { WaterTool } from './WaterTool'

const CONTENT: Readonly<Record<ToolId, ComponentType>> = {
  saturation: SaturationTool,
  compare: CompareTool,
  superheat: SuperheatTool,
  'line-set': LineSetTool,
  water: WaterTool,
  nitrogen: NitrogenTool,
}

function ToolList({ current }: { current: ToolId }) {
  return (
    <Box
      component="nav"
      aria-label="Tables"
      className="no-print"
      sx={{
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        borderRight: { md: 1 },
        borderBottom: { xs: 1, md: 0 },
        borderColor: { xs: 'divider', md: 'divider' },
        bgcolor: INK.raised,
        pt: { md: 1 },
      }}
    >
      {TOOLS.map(({ id, label }) => {
        const on = id === current
        return (
          <ButtonBase
            key={id}
            component={Link}
            href={`/tables/${id}`}
            aria-current={on ? 'page' : undefined}
            sx={{
              justifyContent: 'flex-start',
              minHeight: 48,
              px: 1.5,
              fontSize: '1rem',
              fontWeight: on ? 650 : 500,
              width: { xs: '50%', md: '100%' },
              color: on ? 'primary.main' : 'text.primary',
              bgcolor: on ? INK.copperWash : 'transparent',
              borderLeft: `4px solid ${on ? INK.copper : 'transparent'}`,
              '&:focus-visible': { outline: `2px solid ${INK.copper}`, outlineOffset: -3 },
            }}
          >
            {label}
          </ButtonBase>
        )
      })}
    </Box>
  )
}

/** The tables beside the jobs. */
export function TablesPage({ tool }: { tool: ToolId }) {
  const Content = CONTENT[tool]
  const label = TOOLS.find(({ id }) => id === tool)?.label ?? ''
  return (
    <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <PageHeader title="Tables" />
      <Box
        sx={{
          flex: 1,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '208px minmax(0, 1fr)' },
          gridTemplateRows: { xs: 'auto 1fr', md: '1fr' },
        }}
      >
        <ToolList current={tool} />
        <Box component="main" sx={{ p: { xs: 1.5, md: 2.5 }, minWidth: 0 }}>
          <Typography variant="h1" sx={{ mb: 1.5 }}>
            {label}
          </Typography>
          <Content />
        </Box>
      </Box>
    </Box>
  )
}
