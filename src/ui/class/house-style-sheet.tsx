'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { usualCount, type MovingUp } from '@/core/evidence/moving-up'
import type { HouseStyle } from '@/core/house-style'
import { strandIds, strandOf } from '@/core/skills'
import type { Answer } from '@/server/answer'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'

const groupingWords: Record<HouseStyle['grouping'], [title: string, changes: string]> = {
  similar: ['Similar level', 'A group plays at one level that fits it.'],
  mixed: ['Mixed levels', 'Every group spans the class; each child has an own range in the same game.'],
  pairs: ['Pairs within reach', 'Partners are near each other and new to each other; pairs are mixed.'],
  hand: ['By hand', 'You move the names; nothing is proposed.'],
}

const movingUpWords: Record<MovingUp['by'], [title: string, changes: string]> = {
  estimate: ['By the estimate', 'Four in five sure that the step is secure, seen on two days.'],
  count: ['By counting', 'Enough of the latest marks alone, on enough days.'],
  judgement: ['By your judgement alone', 'Nobody is called ready; the other two stand behind “Why”.'],
}

const skipWords: Record<HouseStyle['skipOrder'], [title: string, changes: string]> = {
  'tens-fives-twos': ['Tens, fives, twos', 'Tens come first in every list.'],
  'twos-fives-tens': ['Twos, fives, tens', 'Twos come first in every list.'],
}

const coinageWords: Record<HouseStyle['coinage'], [title: string, changes: string]> = {
  shells: ['Shells', 'Made up, so that it fits every country.'],
  pence: ['Pence', 'Tasks, rules and cards say pence.'],
  cents: ['Cents', 'Tasks, rules and cards say cents.'],
}

/** What the class has settled on, each choice with the one thing it changes. */
export function HouseStyleSheet({
  style,
  onSave,
  onClose,
}: {
  style: HouseStyle
  onSave: (style: HouseStyle) => Promise<Answer<unknown>>
  onClose: () => void
}) {
  const [edited, setEdited] = useState(style)
  const { problems, busy, save } = useSaving()
  const { movingUp } = edited
  return (
    <SideSheet title="House style" onClose={onClose}>
      <p className="muted small">
        Nothing that was recorded changes; what is suggested from now on does. Your groups stay as they are
        until you make new ones.
      </p>
      <Problems problems={problems} />
      <Choice
        title="How are groups made?"
        name="grouping"
        words={groupingWords}
        chosen={edited.grouping}
        onChoose={(grouping) => setEdited({ ...edited, grouping })}
      />
      <Choice
        title="When does a child move up?"
        name="moving-up"
        words={movingUpWords}
        chosen={movingUp.by}
        onChoose={(by) => setEdited({ ...edited, movingUp: by === 'count' ? { by, ...usualCount } : { by } })}
      />
      {movingUp.by === 'count' && (
        <div className="count-rule">
          {(
            [
              ['own', 'alone', 20],
              ['of', 'of the last', 20],
              ['days', 'on days', 5],
            ] as const
          ).map(([part, label, most]) => (
            <Form.Group key={part} controlId={`count-${part}`}>
              <Form.Label className="small">{label}</Form.Label>
              <Form.Control
                size="sm"
                type="number"
                min={1}
                max={most}
                value={movingUp[part] || ''}
                onChange={({ target }) =>
                  setEdited({ ...edited, movingUp: { ...movingUp, [part]: Number(target.value) } })
                }
              />
            </Form.Group>
          ))}
        </div>
      )}
      <Choice
        title="In what order is counting in steps taught?"
        name="skip-order"
        words={skipWords}
        chosen={edited.skipOrder}
        onChoose={(skipOrder) => setEdited({ ...edited, skipOrder })}
      />
      <fieldset className="style-choice">
        <legend>Which strands do you work on?</legend>
        <p className="tiny muted">The others are not shown, asked or planned. What was seen of them stays.</p>
        <div className="style-strands">
          {strandIds.map((strand) => (
            <Form.Check
              key={strand}
              id={`strand-${strand}`}
              checked={!edited.leftAside.includes(strand)}
              onChange={({ target }) =>
                setEdited({
                  ...edited,
                  leftAside: target.checked
                    ? edited.leftAside.filter((one) => one !== strand)
                    : [...edited.leftAside, strand],
                })
              }
              label={strandOf(strand).title}
            />
          ))}
        </div>
      </fieldset>
      <fieldset className="style-choice">
        <legend>Does everybody in a group play at its level?</legend>
        <Form.Check
          type="switch"
          id="own-levels"
          checked={edited.ownLevels}
          onChange={({ target }) => setEdited({ ...edited, ownLevels: target.checked })}
          label={
            <>
              Own levels
              <span className="tiny muted">
                A child whom the level does not suit plays at the nearest that does, beside the others, in
                games that can be played alone.
              </span>
            </>
          }
        />
      </fieldset>
      <Choice
        title="What are coins called?"
        name="coinage"
        words={coinageWords}
        chosen={edited.coinage}
        onChoose={(coinage) => setEdited({ ...edited, coinage })}
      />
      <fieldset className="style-choice">
        <legend>May children play at a screen?</legend>
        <Form.Check
          type="switch"
          id="digital"
          checked={edited.digital}
          onChange={({ target }) => setEdited({ ...edited, digital: target.checked })}
          label={
            <>
              Digital station
              <span className="tiny muted">
                From the run, for one child at a time. What it answers is kept as digital and counts for less.
              </span>
            </>
          }
        />
      </fieldset>
      <Button disabled={busy} onClick={() => save(() => onSave(edited), onClose)}>
        {busy ? 'Saving …' : 'Save'}
      </Button>
    </SideSheet>
  )
}

function Choice<T extends string>({
  title,
  name,
  words,
  chosen,
  onChoose,
}: {
  title: string
  name: string
  words: Record<T, [title: string, changes: string]>
  chosen: T
  onChoose: (choice: T) => void
}) {
  return (
    <fieldset className="style-choice">
      <legend>{title}</legend>
      {(Object.entries(words) as [T, [string, string]][]).map(([choice, [label, changes]]) => (
        <Form.Check
          key={choice}
          type="radio"
          id={`${name}-${choice}`}
          name={name}
          checked={choice === chosen}
          onChange={() => onChoose(choice)}
          label={
            <>
              {label}
              <span className="tiny muted">{changes}</span>
            </>
          }
        />
      ))}
    </fieldset>
  )
}
