import type { Metadata } from 'next'
import { connection } from 'next/server'
import '@fontsource-variable/figtree/index.css'
import '@fontsource/andika/400.css'
import '@fontsource/andika/700.css'
import '@fontsource/noto-sans-arabic/arabic-400.css'
import '@fontsource/noto-sans-hebrew/hebrew-400.css'
import '@/ui/theme/theme.scss'

export const metadata: Metadata = {
  title: { default: 'Islands', template: '%s · Islands' },
  description: 'Maths game stations: measure, group, plan, run, record, regroup.',
}

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  // Every page is made for its request: the security policy gives each answer a nonce of its own.
  await connection()
  return (
    <html lang="en-GB">
      <body>{children}</body>
    </html>
  )
}
