import type { Mark } from '../drawing/marks'
import { inCoinage, type Coinage } from '../skills/coins'
import type { Page } from './pack'

const named = (mark: Mark, coinage: Coinage): Mark =>
  mark.op === 'group'
    ? { ...mark, marks: mark.marks.map((one) => named(one, coinage)) }
    : mark.op === 'text'
      ? { ...mark, text: inCoinage(mark.text, coinage) }
      : mark

/** Pages in what a class calls its coins: no name of them is longer than “shells”, so everything keeps its place. */
export const pagesInCoinage = (pages: readonly Page[], coinage: Coinage): Page[] =>
  coinage === 'shells'
    ? [...pages]
    : pages.map((page) => ({ ...page, marks: page.marks.map((mark) => named(mark, coinage)) }))
