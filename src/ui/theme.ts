'use client'
import { createTheme } from '@mui/material/styles'

/** Sunlight: warm paper, ink, hairlines, one accent. Contrast on paper: ink 16:1, quiet 6.5:1, copper 6.4:1. */
export const SUNLIGHT = {
  paper: '#f7f2e8',
  raised: '#fffdf8',
  ink: '#1d1a16',
  quiet: '#5c5347',
  hairline: '#d3c8b4',
  copper: '#8f4413',
  copperWash: '#f0e0d0',
} as const

const FAMILY = '"Atkinson Hyperlegible Next Variable", sans-serif'
const TOUCH = 48

export const theme = createTheme({
  palette: {
    mode: 'light',
    primary: { main: SUNLIGHT.copper, contrastText: '#ffffff' },
    background: { default: SUNLIGHT.paper, paper: SUNLIGHT.raised },
    text: { primary: SUNLIGHT.ink, secondary: SUNLIGHT.quiet },
    divider: SUNLIGHT.hairline,
    error: { main: '#8c1d18' },
  },
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: FAMILY,
    fontSize: 15,
    h1: { fontSize: '1.45rem', fontWeight: 650 },
    h2: { fontSize: '1.1rem', fontWeight: 650 },
    h3: { fontSize: '0.95rem', fontWeight: 650 },
    overline: { letterSpacing: '0.06em', lineHeight: 1.6, textTransform: 'none', fontSize: '0.85rem' },
    button: { textTransform: 'none', fontWeight: 600 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums', overflowX: 'hidden' },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': {
            transitionDuration: '0.01ms !important',
            animationDuration: '0.01ms !important',
          },
        },
        '@media print': { body: { backgroundColor: '#ffffff' }, '.no-print': { display: 'none !important' } },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: { defaultProps: { disableElevation: true }, styleOverrides: { root: { minHeight: TOUCH } } },
    MuiIconButton: { styleOverrides: { root: { minWidth: TOUCH, minHeight: TOUCH } } },
    MuiChip: {
      styleOverrides: {
        root: { borderRadius: 4, fontSize: '0.95rem', backgroundColor: 'transparent' },
        clickable: { minHeight: TOUCH },
      },
    },
    MuiTextField: { defaultProps: { size: 'medium', fullWidth: true } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          minHeight: TOUCH,
          minWidth: TOUCH,
          textTransform: 'none',
          color: SUNLIGHT.ink,
          borderColor: SUNLIGHT.hairline,
        },
      },
    },
    MuiTab: { styleOverrides: { root: { minHeight: TOUCH, textTransform: 'none', fontSize: '1rem' } } },
    MuiPaper: { defaultProps: { elevation: 0 } },
    MuiListItemButton: { styleOverrides: { root: { minHeight: TOUCH } } },
  },
})
