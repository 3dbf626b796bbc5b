'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import AssignmentOutlined from '@mui/icons-material/AssignmentOutlined'
import BuildOutlined from '@mui/icons-material/BuildOutlined'
import DoneAllOutlined from '@mui/icons-material/DoneAllOutlined'
import HandymanOutlined from '@mui/icons-material/HandymanOutlined'
import ThermostatOutlined from '@mui/icons-material/ThermostatOutlined'
import TroubleshootOutlined from '@mui/icons-material/TroubleshootOutlined'
import type { ElementType } from 'react'
import type { Stage, StageState } from '@/core/record/job/stages'
import { INK } from '@/ui/theme/tokens'
import { JobAnchor } from '../shared/address/JobAnchor'
import { STAGE_LABELS } from '../shared/stageNames'

const ICONS: Readonly<Record<Stage, ElementType>> = {
  arrive: AssignmentOutlined,
  measure: ThermostatOutlined,
  diagnose: TroubleshootOutlined,
  plan: BuildOutlined,
  work: HandymanOutlined,
  close: DoneAllOutlined,
}

type Props = { jobId: string; current: Stage; states: readonly StageState[] }

/** The stages of the job, always visible: a column on a laptop, a bar below on a phone. */
export function StageRail({ jobId, current, states }: Props) {
  return (
    <Box
      component="nav"
      aria-label="Stages"
      sx={{
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        gap: { xs: 0, md: 0.5 },
        borderRight: { md: 1 },
        borderTop: { xs: 1, md: 0 },
        borderColor: { xs: 'divider', md: 'divider' },
        bgcolor: INK.raised,
        pt: { md: 1 },
      }}
    >
      {states.map(({ stage, done, blocked }) => {
        const Icon = ICONS[stage]
        const on = stage === current
        return (
          <ButtonBase
            key={stage}
            component={JobAnchor}
            jobId={jobId}
            page={stage}
            aria-current={on ? 'page' : undefined}
            sx={{
              flex: { xs: 1, md: 'none' },
              flexDirection: 'column',
              minHeight: { xs: 60, md: 76 },
              justifyContent: { xs: 'flex-start', md: 'center' },
              py: 0.5,
              px: 0.5,
              gap: 0.25,
              color: on ? 'primary.main' : 'text.primary',
              bgcolor: on ? INK.copperWash : 'transparent',
              borderLeft: { md: `4px solid ${on ? INK.copper : 'transparent'}` },
              borderTop: { xs: `3px solid ${on ? INK.copper : 'transparent'}`, md: 'none' },
              '&:focus-visible': { outline: `2px solid ${INK.copper}`, outlineOffset: -3 },
            }}
          >
            <Icon fontSize="small" />
            <Box
              component="span"
              sx={{ fontSize: { xs: '0.78rem', md: '0.85rem' }, fontWeight: 600, whiteSpace: 'nowrap' }}
            >
              {STAGE_LABELS[stage]}
              {done && <span aria-label=", done"> ●</span>}
            </Box>
            {blocked && (
              <Box
                component="span"
                sx={{
                  fontSize: '0.7rem',
                  color: 'text.secondary',
                  lineHeight: 1.1,
                  textAlign: 'center',
                }}
              >
                {blocked}
              </Box>
            )}
          </ButtonBase>
        )
      })}
    </Box>
  )
}
