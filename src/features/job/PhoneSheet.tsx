'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Drawer from '@mui/material/Drawer'
import { type ReactNode, useState } from 'react'
import type { Diagnosis } from '@/core/diagnose/diagnose'
import { percent } from '@/ui/percent'
import { SUNLIGHT } from '@/ui/theme'

/** On a phone the answer is a bar that pulls up into a sheet. */
export function PhoneSheet({ diagnosis, children }: { diagnosis: Diagnosis; children: ReactNode }) {
  const [open, setOpen] = useState(false)
  const leader = diagnosis.suspects[0]
  return (
    <>
      <ButtonBase
        onClick={() => setOpen(true)}
        aria-haspopup="dialog"
        sx={{
          width: '100%',
          minHeight: 56,
          px: 2,
          justifyContent: 'space-between',
          bgcolor: SUNLIGHT.copperWash,
          font: 'inherit',
          borderTop: 1,
          borderColor: 'divider',
          textAlign: 'left',
        }}
      >
        <span>
          <span aria-hidden>▴ </span>
          {leader?.label}
        </span>
        <strong style={{ fontSize: '1.2rem' }}>{leader && percent(leader.probability)}</strong>
      </ButtonBase>
      <Drawer
        anchor="bottom"
        open={open}
        onClose={() => setOpen(false)}
        slotProps={{ paper: { sx: { maxHeight: '82dvh' } } }}
      >
        <Box
          sx={{
            display: 'flex',
            justifyContent: 'flex-end',
            position: 'sticky',
            top: 0,
            bgcolor: 'background.paper',
            zIndex: 1,
          }}
        >
          <ButtonBase
            onClick={() => setOpen(false)}
            sx={{ font: 'inherit', minHeight: 48, px: 2, fontWeight: 600 }}
          >
            Close ▾
          </ButtonBase>
        </Box>
        {children}
      </Drawer>
    </>
  )
}
