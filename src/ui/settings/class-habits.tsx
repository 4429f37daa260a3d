'use client'

import { useRouter } from 'next/navigation'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { forgetLikings, forgetPace } from '@/server/habits'
import type { SettingsPage } from '@/server/keeping/settings'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { many, paceInWords } from '../words'

/** What the class has shown at its stations, which plans go by; each can be forgotten. */
export function ClassHabits({
  classId,
  habits: { pace, liked },
  forgetPace: noPace,
  forgetLikings: noLikings,
}: {
  classId: string
  habits: SettingsPage['habits']
  forgetPace: Action<typeof forgetPace>
  forgetLikings: Action<typeof forgetLikings>
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  const forget = (words: string, work: Action<typeof forgetPace>) => (
    <Button
      variant="plain"
      size="sm"
      disabled={busy}
      onClick={() => save(() => work({ classId }), router.refresh)}
    >
      {words}
    </Button>
  )
  return (
    <section aria-labelledby="habits-title">
      <h2 className="section" id="habits-title">
        What the class has shown
      </h2>
      <Problems problems={problems} />
      <p className="small">
        {paceInWords(pace) ??
          'Nothing was timed yet: minutes are the usual ones. “Finished” at a station times a game.'}{' '}
        {pace.games > 0 && forget('Forget the pace', noPace)}
      </p>
      <p className="small">
        {liked.length === 0
          ? 'Nobody has said which games are liked.'
          : `Liked: ${liked.map(({ title, liked: yes, of }) => `${title} ${yes} of ${many(of, 'time')}`).join(', ')}.`}{' '}
        {liked.length > 0 && forget('Forget what is liked', noLikings)}
      </p>
    </section>
  )
}
