'use client'
import type { TEXT_SIZE_NAMES } from '@/core/record/settings/settings'
import { createTheme } from '@mui/material/styles'
import { cssVariables, INK, type ThemeName, TOKENS } from './tokens'

const FAMILY = '"Atkinson Hyperlegible Next Variable", sans-serif'
const TOUCH = 48

/** Text sizes that can be chosen, as a share of the browser's. */
export type TextSize = (typeof TEXT_SIZE_NAMES)[number]
export const TEXT_SIZES: Readonly<Record<TextSize, number>> = { usual: 1, large: 1.15, largest: 1.3 }

/** From this width on the screen stands in columns. */
export const IS_WIDE = '(min-width:900px)'

const paletteOf = (name: ThemeName) => {
  const { paper, raised, ink, quiet, hairline, copper, onCopper, error } = TOKENS[name]
  return {
    mode: name === 'sunlight' ? ('light' as const) : ('dark' as const),
    primary: { main: copper, contrastText: onCopper },
    background: { default: paper, paper: raised },
    text: { primary: ink, secondary: quiet },
    divider: hairline,
    error: { main: error },
  }
}

/**
 * A menu opens when the button goes down. Letting go over it is no choice: on a slow machine, or with a slow finger, it would
 * choose what happens to lie under the pointer. A click on a line chooses it.
 */
const notYetAChoice = (event: { stopPropagation: () => void }) => event.stopPropagation()

/** The theme of one ground and text size. */
export const themeOf = (name: ThemeName, size: TextSize) =>
  createTheme({
    palette: paletteOf(name),
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
          ':root': cssVariables(name),
          // what the browser draws itself, as the mark of a calendar, stands out from the ground too
          html: {
            fontSize: `${100 * TEXT_SIZES[size]}%`,
            colorScheme: name === 'sunlight' ? 'light' : 'dark',
          },
          body: { fontVariantNumeric: 'tabular-nums', overflowX: 'hidden' },
          '@media (prefers-reduced-motion: reduce)': {
            '*, *::before, *::after': {
              transitionDuration: '0.01ms !important',
              animationDuration: '0.01ms !important',
            },
          },
          // what has the focus is never under the bar of a narrow screen
          '@media screen and (max-width: 899.95px)': {
            html: { scrollPaddingBottom: 'calc(var(--orzo-bars, 152px) + 8px)', scrollPaddingTop: 16 },
          },
          '@media print': {
            // paper is light, whatever the screen is
            ':root': cssVariables('sunlight'),
            '*, *::before, *::after': {
              color: `${TOKENS.sunlight.ink} !important`,
              backgroundColor: 'transparent !important',
            },
            body: { backgroundColor: '#ffffff !important' },
            '.no-print': { display: 'none !important' },
          },
        },
      },
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        // the same on every button, whatever its ground: a ring of ink with paper between
        styleOverrides: {
          root: { '&:focus-visible': { outline: `3px solid ${INK.ink}`, outlineOffset: 2, zIndex: 1 } },
        },
      },
      MuiButton: { defaultProps: { disableElevation: true }, styleOverrides: { root: { minHeight: TOUCH } } },
      MuiIconButton: { styleOverrides: { root: { minWidth: TOUCH, minHeight: TOUCH } } },
      MuiChip: {
        styleOverrides: {
          root: { borderRadius: 4, fontSize: '0.95rem', backgroundColor: 'transparent' },
          clickable: { minHeight: TOUCH },
        },
      },
      // the place in a file that a sentence names may be longer than a phone is wide
      MuiAlert: { styleOverrides: { message: { overflowWrap: 'anywhere' } } },
      MuiTextField: { defaultProps: { size: 'medium', fullWidth: true } },
      MuiSelect: {
        defaultProps: { MenuProps: { slotProps: { paper: { onMouseUpCapture: notYetAChoice } } } },
      },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            minHeight: TOUCH,
            minWidth: TOUCH,
            textTransform: 'none',
            color: INK.ink,
            borderColor: INK.hairline,
          },
        },
      },
      MuiTab: { styleOverrides: { root: { minHeight: TOUCH, textTransform: 'none', fontSize: '1rem' } } },
      MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
      MuiListItemButton: { styleOverrides: { root: { minHeight: TOUCH } } },
    },
  })
