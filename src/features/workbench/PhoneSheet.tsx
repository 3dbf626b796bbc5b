'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Drawer from '@mui/material/Drawer'
import { type ReactNode, useState } from 'react'
import { INK } from '@/ui/theme/tokens'

/** On a phone the answer is a bar that pulls up into a sheet. */
export function PhoneSheet({
  label,
  value,
  fresh,
  children,
}: {
  label: string
  value: string
  /** whether it answers the state on the screen */
  fresh: boolean
  children: ReactNode
}) {
  const [open, setOpen] = useState(false)
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
          bgcolor: INK.copperWash,
          font: 'inherit',
          borderTop: 1,
          borderColor: 'divider',
          textAlign: 'left',
        }}
      >
        <span>
          <span aria-hidden>▴ </span>
          {label}
        </span>
        <strong
          style={{ fontSize: '1.2rem', whiteSpace: 'nowrap', opacity: fresh ? 1 : 0.6 }}
          aria-busy={!fresh}
        >
          {value}
        </strong>
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
