import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import { DisplayProvider } from '@/features/shared/display/DisplayProvider'

export const metadata: Metadata = {
  title: { default: 'Orzo', template: '%s - Orzo' },
  description: "A technician's bench for one broken refrigeration circuit at a time.",
}

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#f7f2e8' }

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>
        <DisplayProvider>{children}</DisplayProvider>
      </body>
    </html>
  )
}
