'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import type { ReactNode } from 'react'

/** The bar above a page that stands beside the jobs: back to them, its name, what can be done. */
export function PageHeader({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Box
      component="header"
      className="no-print"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: { xs: 1, md: 2 },
        px: { xs: 1, md: 2 },
        minHeight: 56,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <Button component={Link} href="/" color="inherit" sx={{ fontWeight: 700, px: 1 }} aria-label="All jobs">
        ‹ Jobs
      </Button>
      <Typography component="p" sx={{ fontWeight: 650, flex: 1 }}>
        {title}
      </Typography>
      {children}
    </Box>
  )
}
