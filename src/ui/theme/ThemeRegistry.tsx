'use client'
import CssBaseline from '@mui/material/CssBaseline'
import { ThemeProvider } from '@mui/material/styles'
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter'
import { type ReactNode, useMemo } from 'react'
import { type TextSize, themeOf } from './theme'
import type { ThemeName } from './tokens'

type Props = { name: ThemeName; textSize: TextSize; nonce?: string | undefined; children: ReactNode }

/** Theme and style cache round every page. */
export function ThemeRegistry({ name, textSize, nonce, children }: Props) {
  const theme = useMemo(() => themeOf(name, textSize), [name, textSize])
  return (
    <AppRouterCacheProvider options={{ key: 'orzo', ...(nonce ? { nonce } : {}) }}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        {children}
      </ThemeProvider>
    </AppRouterCacheProvider>
  )
}
