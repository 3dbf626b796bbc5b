import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import type { Metadata, Viewport } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { DisplayProvider } from '@/features/shared/display/DisplayProvider'

export const metadata: Metadata = {
  title: { default: 'Orzo', template: '%s - Orzo' },
  description: "A technician's bench for one broken refrigeration circuit at a time.",
}

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#f7f2e8' }

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined
  return (
    <html lang="en">
      <body>
        <DisplayProvider nonce={nonce}>{children}</DisplayProvider>
      </body>
    </html>
  )
}
