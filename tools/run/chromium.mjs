/** Debian's Chromium, and the switches that keep it from looking for a network. */
export const CHROMIUM_PATH = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium'
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
