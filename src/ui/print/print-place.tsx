'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { groupNames } from '@/core/grouping/pennants'
import { copiesToPrint } from '@/core/printing/to-print'
import type { Action } from '@/server/answer'
import type { countInBag, PrintPage, previewPages, putIntoBags, ShownItem } from '@/server/print/print'
import type { Language } from '@/core/printing/letters'
import { useShortcuts } from '../keys/use-shortcuts'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { many } from '../words'
import { ItemLine } from './item-line'
import { Pages } from './pages'
import { PrintSettings, type PaperSettings } from './print-settings'
import { usePdf } from './use-pdf'
import { usePreview } from './use-preview'

interface Props {
  classId: string
  page: PrintPage
  language: Language
  preview: Action<typeof previewPages>
  putIn: Action<typeof putIntoBags>
  countIn: Action<typeof countInBag>
}

type Bags = Record<string, ShownItem['inBag']>

const startingCounts = ({ bundles }: PrintPage, bags: Bags): Record<string, number> =>
  Object.fromEntries(
    bundles.flatMap(({ items }) =>
      items.map((item) => [item.id, copiesToPrint(item, bags[item.id] ?? null)]),
    ),
  )

/** What is needed and what the bags hold on the left, the pages themselves on the right, one button for the pile. */
export function PrintPlace({ classId, page, language, preview: ask, putIn, countIn }: Props) {
  const router = useRouter()
  const [bags, setBags] = useState<Bags>(() =>
    Object.fromEntries(page.bundles.flatMap(({ items }) => items.map(({ id, inBag }) => [id, inBag]))),
  )
  const [counts, setCounts] = useState(() => startingCounts(page, bags))
  const [settings, setSettings] = useState<PaperSettings>({
    paper: 'A4',
    backs: 'none',
    taskCards: 'small',
    seed: 1,
  })
  const { problems, busy, save, setProblems } = useSaving()
  const { pdf, fetchPdf, cancel, clear } = usePdf(classId)
  const asked = useMemo(
    () => ({ classId, what: page.what, language, job: { ...settings, counts: positive(counts) } }),
    [classId, page.what, language, settings, counts],
  )
  const { preview, more } = usePreview(asked, ask)
  const { total } = preview
  const print = () => {
    if (total) void fetchPdf(asked)
  }
  useShortcuts([{ keys: 'p', title: 'Print the pile', run: print }])

  const change = (id: string, count: number) => setCounts((now) => ({ ...now, [id]: count }))

  async function keep(id: string, inBag: NonNullable<ShownItem['inBag']>) {
    const before = bags[id] ?? null
    const item = page.bundles.flatMap(({ items }) => items).find((one) => one.id === id)!
    const now = { ...inBag, missing: Math.min(inBag.missing, inBag.count) }
    const kept = now.count === 0 ? null : now
    setBags((all) => ({ ...all, [id]: kept }))
    // What is to be printed follows, unless somebody has chosen another number.
    if (counts[id] === copiesToPrint(item, before)) change(id, copiesToPrint(item, kept))
    const answer = await countIn({ classId, item: id, ...now })
    if (answer.ok) return setProblems([])
    setBags((all) => ({ ...all, [id]: before }))
    setProblems(answer.problems)
  }

  function allCameOut() {
    const inBags = page.bundles
      .filter(({ isBag }) => isBag)
      .flatMap(({ items }) =>
        items.flatMap(({ id }) => {
          const was = bags[id]
          const there = was ? was.count - was.missing : 0
          return counts[id] > 0 ? [[id, there + counts[id]] as const] : []
        }),
      )
    save(
      () => putIn({ classId, bags: Object.fromEntries(inBags) }),
      () => {
        const next = { ...bags }
        for (const [id, count] of inBags) next[id] = { count, missing: 0, laminated: false }
        setBags(next)
        setCounts(startingCounts(page, next))
        clear()
      },
    )
  }

  const hasBags = page.bundles.some(({ isBag }) => isBag)
  return (
    <>
      <div className="headline">
        <div>
          <h1>
            {total === null ? 'Pages' : total === 0 ? 'Nothing to print' : many(total, 'page')} for{' '}
            {page.title}
          </h1>
          <p>
            {total === 0
              ? 'All that is needed is in the bags. Change a count to print more.'
              : 'In the order of the bags, true to size. Print at 100 %, not “fit to page”.'}
          </p>
        </div>
        {pdf.state === 'coming' ? (
          <div className="print-progress" role="status">
            <progress max={pdf.total || 1} value={pdf.pages} aria-label="Pages ready" />
            <span className="small">
              {pdf.pages} of {pdf.total || '…'}
            </span>
            <Button variant="quiet" onClick={cancel}>
              Stop
            </Button>
          </div>
        ) : (
          <Button disabled={!total} onClick={print}>
            {total ? `Print ${many(total, 'page')}` : 'Print'}
          </Button>
        )}
      </div>
      <Problems
        problems={[...preview.problems, ...problems, ...(pdf.state === 'failed' ? pdf.problems : [])]}
      />
      {preview.lettersWithout.length > 0 && (
        <p className="caution small" role="status">
          No font here has {preview.lettersWithout.slice(0, 12).join(' ')}: left out on paper. Change the name
          in the class, or write it in by hand.
        </p>
      )}
      {page.changesWait && (
        <p className="caution-line">
          The plan was changed after it was made ready; these pages are without those changes.{' '}
          <Link href={`/c/${classId}/plan`}>Look at the plan</Link>
        </p>
      )}
      {page.without.length > 0 && (
        <p className="caution small">
          Nothing fits to be played at home yet for {page.without.join(', ')}: place them first.
        </p>
      )}
      {pdf.state === 'there' && (
        <div className="print-done" role="status">
          <span className="grow">
            <strong>{many(pdf.total, 'page')} ready.</strong>{' '}
            {hasBags ? 'When they have come out, the bags remember them.' : ''}
          </span>
          <a className="btn btn-quiet" href={pdf.url} target="_blank" rel="noreferrer">
            Open the PDF
          </a>
          {hasBags && (
            <Button variant="quiet" disabled={busy} onClick={allCameOut}>
              All came out: put them in the bags
            </Button>
          )}
        </div>
      )}
      <WhatFor classId={classId} page={page} />
      <div className="columns print-place">
        <div className="print-list">
          <PrintSettings
            settings={settings}
            onChange={(part) => setSettings((now) => ({ ...now, ...part }))}
            language={hasBags ? null : language}
            onLanguage={(next) => {
              const address = new URL(window.location.href)
              address.searchParams.set('language', next)
              router.replace(`${address.pathname}${address.search}`)
            }}
          />
          {page.bundles.map(({ id, title, isBag, items, shelf }) => (
            <section key={id} aria-label={title}>
              <h2 className="section">{title}</h2>
              <ul className="rows">
                {items.map((item) => (
                  <ItemLine
                    key={item.id}
                    item={{ ...item, inBag: bags[item.id] ?? null }}
                    count={counts[item.id] ?? 0}
                    isBag={isBag}
                    onCount={(count) => change(item.id, count)}
                    onInBag={(inBag) => void keep(item.id, inBag)}
                  />
                ))}
              </ul>
              {shelf.length > 0 && (
                <p className="tiny muted">
                  From the shelf: {shelf.map(({ name, count }) => `${count} × ${name}`).join(', ')}
                </p>
              )}
            </section>
          ))}
        </div>
        <Pages preview={preview} onMore={() => void more()} />
      </div>
    </>
  )
}

/** The next session, or something for the children of a group to play at home. */
function WhatFor({ classId, page: { what, groups, title } }: { classId: string; page: PrintPage }) {
  return (
    <nav className="print-for small" aria-label="What to print for">
      <Link
        href={`/c/${classId}/print`}
        aria-current={what.kind === 'session' ? 'page' : undefined}
        prefetch={false}
      >
        Next session
      </Link>
      {groups.length > 0 && <span className="muted">At home:</span>}
      {groups.map(({ id, pennant }) => (
        <Link
          key={id}
          href={`/c/${classId}/print?group=${id}`}
          aria-current={what.kind === 'group' && title.startsWith(groupNames[pennant]) ? 'page' : undefined}
          prefetch={false}
        >
          {groupNames[pennant]}
        </Link>
      ))}
    </nav>
  )
}

const positive = (counts: Record<string, number>) =>
  Object.fromEntries(Object.entries(counts).filter(([, count]) => count > 0))
