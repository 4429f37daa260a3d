import type { Metadata } from 'next'
import '@fontsource-variable/figtree/index.css'
import '@fontsource/andika/400.css'
import '@/ui/theme/theme.scss'

export const metadata: Metadata = {
  title: { default: 'Islands', template: '%s · Islands' },
  description: 'Maths game stations: measure, group, plan, run, record, regroup.',
}

export default function RootLayout({ children }: { children: React.ReactNode }) {
  return (
    <html lang="en-GB">
      <body>{children}</body>
    </html>
  )
}
