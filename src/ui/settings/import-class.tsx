'use client'

import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Answer } from '@/server/answer'
import type { ImportPreview } from '@/server/keeping/documents'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'
import { dayInWords, many } from '../words'

async function send(text: string, mode: 'preview' | 'merge' | 'replace'): Promise<Answer<ImportPreview>> {
  const response = await fetch(`/settings/import?mode=${mode}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: text,
  })
  return (await response.json()) as Answer<ImportPreview>
}

/** A class's document is chosen, looked at, and only then brought in. */
export function ImportClass() {
  const router = useRouter()
  const file = useRef<HTMLInputElement>(null)
  const [chosen, setChosen] = useState<{ text: string; preview: ImportPreview } | null>(null)
  const { problems, busy, save } = useSaving()

  function choose(list: FileList | null) {
    const [one] = list ?? []
    if (!one) return
    save(
      async () => {
        const text = await one.text()
        const preview = await send(text, 'preview')
        return preview.ok ? { ok: true, value: { text, preview: preview.value } } : preview
      },
      (value) => setChosen(value),
    )
  }

  const bring = (mode: 'merge' | 'replace') => {
    if (!chosen) return
    save(
      () => send(chosen.text, mode),
      () => {
        setChosen(null)
        router.push('/')
        router.refresh()
      },
    )
  }

  return (
    <>
      <Button variant="quiet" size="sm" disabled={busy} onClick={() => file.current?.click()}>
        {busy ? 'Reading …' : 'Import a class'}
      </Button>
      <input
        ref={file}
        className="visually-hidden"
        tabIndex={-1}
        type="file"
        accept="application/json,.json"
        aria-label="Document of a class"
        onChange={({ target }) => {
          choose(target.files)
          target.value = ''
        }}
      />
      {!chosen && <Problems problems={problems} />}
      {chosen && (
        <SideSheet title={`${chosen.preview.className}, from a document`} onClose={() => setChosen(null)}>
          <Problems problems={problems} />
          <p>
            {many(chosen.preview.children, 'child', 'children')}, {many(chosen.preview.sessions, 'session')},{' '}
            {chosen.preview.marks.toLocaleString('en-GB')} marks, written on{' '}
            {dayInWords(chosen.preview.madeAt.slice(0, 10))}.
          </p>
          {chosen.preview.present ? (
            <>
              <p>
                The class is here already, with {many(chosen.preview.present.children, 'child', 'children')}.
                What there is now is backed up first.
              </p>
              <div className="button-row">
                <Button disabled={busy} onClick={() => bring('merge')}>
                  {busy ? 'Bringing in …' : 'Add what is missing'}
                </Button>
                <Button variant="quiet" disabled={busy} onClick={() => bring('replace')}>
                  Put it in the place of what is here
                </Button>
              </div>
            </>
          ) : (
            <Button disabled={busy} onClick={() => bring('replace')}>
              {busy ? 'Bringing in …' : 'Bring it in as a new class'}
            </Button>
          )}
        </SideSheet>
      )}
    </>
  )
}
